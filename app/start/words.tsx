import type { ReactNode } from 'react';
// The words of this place, screen by screen, in the order in which they stand there.

export const paysNow = {
  whereYouSellNow: 'Where you sell now',
  leaveItIfYou: 'leave it if you don’t sell yet',
  whatItCostsYou: 'What it costs you',
  of29Mo2: '29/mo, 2% of each sale',
  addIt: 'Add it',
  itsPriceSheet: 'its price sheet',
  isCompared: (vendor: string, itsPriceSheet: ReactNode) => (
    <>
      {vendor === '' ? 'What you pay now' : vendor} is in the comparison. Everything read is on {itsPriceSheet}.
    </>
  ),
};

export const priceBox = {
  whatWasTyped: 'what was typed',
  selectAllOfAVendors: 'Select all of a vendor’s pricing page, copy it, and paste it here',
  starter12MoOr120: 'Starter 12/mo, or 120 billed yearly\n2.9% + 0.30 card fee',
  whatWasPasted: 'what was pasted',
  readPrices: 'Read prices',
  chooseSavedPages: 'Choose saved pages',
  savedPages: 'Saved pages',
  typeThemIn: 'Type them in',
  priceSheetsYouHave: 'price sheets you have already',
  twoVendorsAreEnough: (priceSheetsYou: ReactNode) => <>Two vendors are enough for an answer. You can also use {priceSheetsYou}.</>,
};

export const soFar = {
  yourComparisonSoFar: 'Your comparison so far',
  salesOfAMonth: (sales: string) => `Sales of ${sales} a month`,
  howMuchYouSell: 'How much you sell: not said yet',
  pricesOf: (vendors: string) => `Prices of ${vendors}`,
  pricesNoneYet: 'Prices: none yet',
  candidate: 'Candidate',
  total: 'Total',
  atLeast: 'at least ',
  seeTheWholeComparison: 'See the whole comparison',
  whatYouCannotDo: 'what you cannot do without',
  growthSeasonAndCards: 'growth, season and cards from abroad',
  nextWhatSharpensItMost: (whatYouCannot: ReactNode, growthSeasonAnd: ReactNode) => (
    <>
      Next, what sharpens it most: {whatYouCannot}, and {growthSeasonAnd}.
    </>
  ),
  seeWhenTheDearer: 'See when the dearer plan pays',
  seeWhenToMove: 'See when to move',
  seeWhetherPayingAhead: 'See whether paying ahead pays',
  seeWhetherItPays: 'See whether it pays for itself',
};
