import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const figurePanel = {
  total: 'Total',
  thisCandidateIsNoLonger: 'This candidate is no longer being compared.',
  firstYear: 'first year',
  year: (year: number) => `year ${year}`,
  atLeast: 'at least ',
  inOfMonths: (months: number, byMonth: number, currency: ReactNode) => (
    <>
      in {months} of {byMonth} months{currency}
    </>
  ),
  onThePriceSheet: 'on the price sheet',
  seen: (seen: string) => ` seen ${seen}`,
  howCameAbout: (month: string) => `How ${month} came about`,
  theDearestMonth: ', the dearest month',
  anotherMonth: 'Another month',
  month: 'Month',
  amount: 'Amount',
};
