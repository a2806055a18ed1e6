import type { ReactNode } from 'react';
// The words of this place, screen by screen, in the order in which they stand there.

export const changes = {
  whatHasChanged: 'What has changed',
  nowWas: (to: string, toTotal: string, fromTotal: string) => `${to}: now ${toTotal}, was ${fromTotal}`,
  nowWasTo: ({ to, toTotal, from, fromTotal }: { to: ReactNode; toTotal: string; from: string; fromTotal: string }) => (
    <>
      now {to}, {toTotal}; was {from}, {fromTotal}
    </>
  ),
  since: ({ candidateTag, value, difference, day }: { candidateTag: ReactNode; value: ReactNode; difference: string; day: string }) => (
    <>
      {candidateTag} {value} ({difference} since {day})
    </>
  ),
  aChangedProposal: 'a changed proposal',
  gotIt: 'Got it',
  aCandidatePinned: 'a candidate pinned',
  keepItAsItWas: 'keep it as it was',
  nothingCanBeProposed: (candidateTag: ReactNode, made: string) => (
    <>
      {candidateTag} nothing can be proposed for its vendor any more; it stays {made}.
    </>
  ),
};

export const putTogether = {
  putTogether: 'Put together',
  beingCompared: 'Being compared',
  itsVendorIsSet: 'its vendor is set aside',
  withoutAName: 'without a name',
  atLeast: 'at least ',
  copyCandidate: (candidate: string) => `Copy ${candidate}`,
  copied: (candidate: string) => `${candidate} copied`,
  copy: 'copy',
  pinnedStaysAsItIsWhatever: 'pinned: stays as it is whatever is proposed',
  followsWhatIsProposed: 'follows what is proposed',
  yourOwnHoursAreNotStated: 'your own hours are not stated for it; the others count theirs',
  couldGoTheRest: (superfluous: string) => `${superfluous} could go: the rest meets every need that it meets`,
  oneOfTheseCould: (superfluous: string) => `one of these could go, as the rest meets every need that it meets: ${superfluous}`,
  twiceInIt: (twice: string) => `twice in it: ${twice}`,
  aCandidate: 'a candidate',
  putTogetherByHand: 'Put together by hand',
  buildYourOwn: 'Build your own',
};

export const vendorBlock = {
  noneOfItsPlans: 'None of its plans does alone',
  setAside: (reason: string) => `Set aside${reason}.`,
  aPlan: 'A plan',
  least: 'least',
  atLeast: 'at least',
  aProposalUsed: 'a proposal used',
  takeIt: 'Take it',
  followsIt: 'follows it',
  isJustThis: 'is just this',
  candidateWhatItIsPut: (id: string, wordsText: string) => `Candidate ${id} ${wordsText}: what it is put together from`,
  itWaitsForTheExchange: (currency: string) => `It waits for the exchange rate of ${currency}`,
  itsPlansCountWhat: 'Its plans count what your sales do not state',
  itsPriceSheetHas: 'Its price sheet has no plan',
};

export const wayAhead = {
  beginOn: (madeWords: string) => `Begin on ${madeWords}`,
  moveToIn: (madeWords: string, from: string) => `move to ${madeWords}, in ${from}`,
  withoutAMove: 'without a move',
  withMovesTheFirst: (others: number, from: string) => `with ${others} moves, the first in ${from}`,
  begunOnMovedIn: (name: string, from: string) => `begun on ${name}, moved in ${from}`,
  withAMoveToIn: (name: string, from: string) => `with a move to ${name} in ${from}`,
  whileNothingDoesWithout: ', while nothing does without a move',
  lessThanStaying: (saves: string) => `, ${saves} less than staying`,
  theMoveIsCounted: (within: string) => `; the move is counted at ${within}.`,
  inAll: ({ wayWords, total, whileNothingDoes, within }: { wayWords: string; total: string; whileNothingDoes: string; within: string }) =>
    `${wayWords} ${total} in all${whileNothingDoes}${within}`,
  fromOneVendorToAnother: 'From one vendor to another',
  lessThanAnyVendor: (saves: string) => `, ${saves} less than any vendor alone.`,
  inAllWayWords: (wayWords: ReactNode, total: string, saves: string) => (
    <>
      {wayWords} {total} in all{saves}
    </>
  ),
  changeWhatMovingCosts: 'change what moving costs',
  movingToAnotherVendor: (between: string, within: string, changeWhatMoving: ReactNode) => (
    <>
      Moving to another vendor is counted at {between}, to another plan of the same vendor at {within}; {changeWhatMoving}.
    </>
  ),
};
