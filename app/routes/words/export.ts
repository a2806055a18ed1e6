// The words of this screen, in the order in which they stand there.

export const exportWords = {
  notFound: 'Not found',
};
