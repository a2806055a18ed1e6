import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const decisions = {
  whatIsToBeDone: 'What is to be done with which decision cannot be read from this request',
  notFound: 'Not found',
  whereShouldWeSell: 'Where should we sell?',
  yourDecisionsVenalis: 'Your decisions · Venalis',
  yourDecisions: 'Your decisions',
  signOut: 'Sign out',
  untitledDecision: 'Untitled decision',
  wasDeleted: (deleted: string) => `“${deleted}” was deleted.`,
  bringBack: 'Bring back',
  sayWhatYouExpect:
    'Say what you expect to sell, enter what two plans cost, and see which one costs you least, and from which level of sales that changes.',
  archived: (archived: number) => `${archived} archived`,
  whatElseThereIs: 'What else there is',
  beginADecision: 'Begin a decision',
  priceWatch: 'Price watch',
  oneVendorsPricesHave: 'one vendor’s prices have changed.',
  vendorsPricesHaveChanged: (changed: number) => `${changed} vendors’ prices have changed.`,
  looksAtPricingPages: ' looks at pricing pages and exchange rates again, and says what that does to each decision.',
  yourData: 'Your data',
  hasBackUpsOne: (yourData: ReactNode) => <>{yourData} has back-ups, one file with everything, and what you deleted.</>,
  howItIsWorked: 'How it is worked out',
  aGuideOnOne: 'a guide on one page',
  withExamplesAndToPrint: (howItIs: ReactNode, guideOnOne: ReactNode) => (
    <>
      {howItIs}, with examples, and {guideOnOne} to print.
    </>
  ),
};
