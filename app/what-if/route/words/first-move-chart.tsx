import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const firstMoveChart = {
  notPossible: 'not possible',
  moveIn: (month: string, notPossible: string) => `move in ${month}: ${notPossible}`,
  bestMonth: 'best month',
  theBestMonthToMove: 'The best month to move',
  movingOnlyInWould: (month: string, more: string) => ` Moving only in ${month} would cost ${more} more.`,
  isTheBestMonth: (best: string, name: string, more: ReactNode) => (
    <>
      {best} is the best month to move to {name}.{more}
    </>
  ),
  whatTheWayCosts: 'What the way costs by the month of the first move; the figures stand in the table below',
  monthByMonth: 'Month by month',
  month: 'Month',
  cost: 'Cost',
  notPossibleOutgrown: 'not possible: outgrown',
};
