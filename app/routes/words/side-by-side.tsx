import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const sideBySide = {
  comparison: 'Comparison',
  notPricedYet: 'Not priced yet',
  seeWhatItIsMade: 'see what it is made of',
  howItCameAbout: 'How it came about',
  close: 'Close',
  paymentsCount: 'Payments count',
  whenTheyArePaid: 'when they are paid',
  spreadOverTheMonths: 'spread over the months they cover',
  whenPaymentsCount: 'when payments count',
  theBestIsTheOne: 'The best is the one that',
  differencesTo: 'Differences to',
  whatDifferencesAreTo: 'what differences are to',
  wholeHorizon: (currency: string) => `${currency}, whole horizon`,
  amounts: (wholeHorizon: ReactNode) => <>Amounts {wholeHorizon}</>,
  anyFigureShowsHow: 'Any figure shows how it came about; a name, what it is put together from.',
  setTwoAgainstEach: 'set two against each other',
  theOrderOfTheLine: 'the order of the line-up',
  orderByTotalAgain: 'order by total again',
};
