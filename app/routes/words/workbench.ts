// The words of this screen, in the order in which they stand there.

export const workbench = {
  notFound: 'Not found',
  decision: 'Decision',
  venalis: (name: string) => `${name} · Venalis`,
  venalisAllDecisions: 'Venalis, all decisions',
  untitledDecision: 'Untitled decision',
  places: 'Places',
};
