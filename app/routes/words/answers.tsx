import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const answers = {
  whatPlansSayToIt: 'What plans say to it',
  nothingToAskYet: 'Nothing to ask yet',
  sayWhatIsNeeded: 'Say what is needed',
  enterThePriceSheet: 'Enter the price sheet of a vendor',
  andEveryPlansAnswer: (enterThePrice: ReactNode) => <>{enterThePrice}, and every plan’s answer has a place here.</>,
  enter: 'Enter',
  arrowKeysMoveAnswer: ({ yes, no, unknown, enter }: { yes: ReactNode; no: ReactNode; unknown: ReactNode; enter: ReactNode }) => (
    <>
      Arrow keys move; {yes} {no} {unknown} answer, the space bar goes through them, {enter} says more.
    </>
  ),
  answerAndWhatIsToFind: 'Answer and what is to find out',
};
