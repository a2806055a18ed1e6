import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const pageIntake = {
  whatThePageSays: 'What the page says',
  whichDollarThePage: 'Which dollar the page means',
  theCurrencyOfItsPrices: 'The currency of its prices',
  compareEverythingInFromNow: (currency: string, former: string) =>
    `Compare everything in ${currency} from now on (it is ${former} so far, and nothing else has a price yet)`,
  addToTheSheet: 'Add to the sheet',
  leaveIt: 'Leave it',
  nameItsColumnsMyself: 'Name its columns myself',
  askedAbout: 'asked about',
  notUnderstood: 'not understood',
  putAside: 'put aside',
  areUsed: (count: number) => `${count} are used`,
  aPaymentProcessor: 'A payment processor',
  and: (addons: string) => ` and ${addons}`,
  notLookedAt: (leftOut: string) => `Not looked at: ${leftOut}.`,
  ofItsLines: (vendor: ReactNode, told: string, leftOut: ReactNode) => (
    <>
      {vendor} Of its lines {told}.{leftOut}
    </>
  ),
  questionsAboutThePage: 'Questions about the page',
  leaveItOpen: 'leave it open',
  stands: 'stands',
  stand: 'stand',
  differentlyOnTheSheet: (figures: string, stand: string) => `${figures} ${stand} differently on the sheet.`,
  onTheSheetOnThePage: (former: string) => `on the sheet ${former}, on the page`,
  takeThePagesWhat: 'take the page’s; what stood there is kept beside it',
  keepTheSheets: 'keep the sheet’s',
  linesOfThePage: 'Lines of the page',
  showWhatWasPut: 'Show what was put aside, too',
};
