import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const ratePanel = {
  thisCandidateIsNoLonger: 'This candidate is no longer being compared.',
  perOrder: (column: string) => `Per order, ${column}`,
  theTotalOfOrders: (total: string, orders: string, perOrder: string) =>
    `The total of ${total} ÷ ${orders} orders over the whole horizon = ${perOrder}.`,
  ofSales: (column: string) => `Of sales, ${column}`,
  theTotalOfSales: (total: string, sales: string, shareOfSales: string) => `The total of ${total} ÷ sales of ${sales} = ${shareOfSales}.`,
  whatIsLeftToYou: (column: string) => `What is left to you, ${column}`,
  sales: 'Sales',
  notRefunded: (percent: string) => ` × ${percent} not refunded`,
  withoutSalesTaxMargin: (netSales: string, margin: string, refunds: ReactNode) => (
    <>
      {netSales} without sales tax × {margin} margin{refunds}
    </>
  ),
  minusTheTotal: 'Minus the total',
};
