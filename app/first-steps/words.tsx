import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const emptyPlace = {
  pasteAPricingPage: 'paste a pricing page',
  enterPricesByHand: 'enter prices by hand',
  itTakesOnePrice: (pastePricingPage: ReactNode, enterPricesBy: ReactNode) => (
    <>
      It takes one price to begin with: {pastePricingPage}, or {enterPricesBy}.
    </>
  ),
  forExample: 'For example',
  howThisIsWorked: 'How this is worked out',
};
