import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const how = {
  howItIsWorked: 'How it is worked out · Venalis',
  howItIsWorkedOut: 'How it is worked out',
  aGuideOnOne: 'A guide on one page, to print',
  everyFigureInVenalis: (guideOnOne: ReactNode) => (
    <>
      Every figure in Venalis comes from the rules on this page, and every explanation beside a figure is read from the same rule. The
      examples are worked out as you open the page. {guideOnOne}
    </>
  ),
  rules: 'Rules',
};
