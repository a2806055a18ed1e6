import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const courseChart = {
  costSoFarMonth: 'Cost so far, month by month',
  whatCandidatesHaveCost: 'What candidates have cost so far, month by month; the figures stand in the table below',
  theFirstCandidatesAreDrawn: (mostLines: number) => `The first ${mostLines} candidates are drawn, as they stand above.`,
  aTriangleMarksARenewal: (drawn: ReactNode) => (
    <>
      A triangle marks a renewal at another price, a dash a month in which a plan is outgrown, a ring a month in which one has cost less
      than another from then on. {drawn}
    </>
  ),
  theSameInFigures: 'The same in figures',
  upTo: 'Up to',
};
