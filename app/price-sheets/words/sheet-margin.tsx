import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const sheetMargin = {
  notKnown: 'not known',
  noLimit: 'no limit',
  notOffered: 'not offered',
  questionsAndEvidence: 'Questions and evidence',
  aQuestionSettled: 'a question settled',
  evidence: 'Evidence',
  thisPlan: 'This plan',
  sayMoreAboutIt: 'Say more about it',
  theEvidence: 'the evidence',
  space: 'Space',
  goesThrough: (space: ReactNode, row: string) => (
    <>
      {space} goes through {row}.
    </>
  ),
  forTheWholeSheet: 'For the whole sheet',
  aFee: 'a fee',
  aCandidateAdded: 'a candidate added',
  compareThisPlan: 'Compare this plan',
};
