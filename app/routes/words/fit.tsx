import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const fit = {
  fitAndCost: 'Fit and cost',
  nothingIsWeighedYet: 'Nothing is weighed yet',
  wouldLike: 'would like',
  qualities: 'qualities',
  sayWhatYouAndWhich: (wouldLike: ReactNode, qualities: ReactNode) => (
    <>
      Say what you {wouldLike} and which {qualities} count, each with a weight above 0; you then see how well candidates fit, beside what
      they cost.
    </>
  ),
  chooseOneThatIsProposed: 'Choose one that is proposed',
  thereIsNoCandidate: (chooseOneThat: ReactNode) => <>There is no candidate with a price yet. {chooseOneThat}, or build your own.</>,
  weights: 'Weights',
  weightsAndMakeUp: 'Weights and make-up',
};
