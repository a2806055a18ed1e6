import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const changes = {
  whatHasChanged: 'What has changed',
  nowWas: (to: string, toTotal: string, fromTotal: string) => `${to}: now ${toTotal}, was ${fromTotal}`,
  nowWasTo: ({ to, toTotal, from, fromTotal }: { to: ReactNode; toTotal: string; from: string; fromTotal: string }) => (
    <>
      now {to}, {toTotal}; was {from}, {fromTotal}
    </>
  ),
  since: ({ candidate, change, difference, day }: { candidate: ReactNode; change: ReactNode; difference: string; day: string }) => (
    <>
      {candidate} {change} ({difference} since {day})
    </>
  ),
  aChangedProposal: 'a changed proposal',
  gotIt: 'Got it',
  aCandidatePinned: 'a candidate pinned',
  keepItAsItWas: 'keep it as it was',
  nothingCanBeProposed: (candidate: ReactNode, made: string) => (
    <>
      {candidate} nothing can be proposed for its vendor any more; it stays {made}.
    </>
  ),
};
