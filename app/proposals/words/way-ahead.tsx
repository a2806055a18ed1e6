import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

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
