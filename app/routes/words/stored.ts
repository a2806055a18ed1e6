// The words of this screen, in the order in which they stand there.

export const stored = {
  revision: (id: string, revision: number) => `${id} revision ${revision}`,
  notFound: 'Not found',
  damaged: (id: string) => `${id} damaged`,
};
