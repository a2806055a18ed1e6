import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const sheetsHome = {
  priceSheets: 'Price sheets',
  whatVendorsCharge: 'What vendors charge',
  expectToSell: 'expect to sell',
  need: 'need',
  ofEveryVendorThePlan: (expectToSell: ReactNode, need: ReactNode) => (
    <>
      Of every vendor the plan that is best for what you {expectToSell} and {need}, the one that takes least of an order first. Choose a
      vendor to see its whole sheet.
    </>
  ),
};
