import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const leftDrafts = {
  onAt: (day: string, keptAt: string) => ` on ${day} at ${keptAt}`,
  anotherWindowClosedWithChanges: (when: string) => `Another window closed${when} with changes that were not saved`,
  theLast: (anotherWindowClosed: ReactNode, name: string) => (
    <>
      {anotherWindowClosed} (the last: {name}).
    </>
  ),
  somethingTypedWasNever: (when: string) => `Something typed${when} was never saved, and can’t be used as it is any more.`,
  showIt: (somethingTypedWas: ReactNode) => <>{somethingTypedWas} Show it</>,
  useTheseChanges: 'Use these changes',
  discard: 'Discard',
};
