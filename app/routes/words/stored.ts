// The words of this screen, in the order in which they stand there.

export const stored = {
  revision: (decision: string, revision: number) => `${decision} revision ${revision}`,
  notFound: 'Not found',
  damaged: (decision: string) => `${decision} damaged`,
};
