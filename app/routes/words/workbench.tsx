import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const workbench = {
  notFound: 'Not found',
  decision: 'Decision',
  venalis: (name: string) => `${name} · Venalis`,
  venalisAllDecisions: 'Venalis, all decisions',
  venalisI: (i: ReactNode) => <>Venalis{i}</>,
  untitledDecision: 'Untitled decision',
  places: 'Places',
};
