// The words of this screen, in the order in which they stand there.

export const tableFile = {
  thereIsNoSuch: 'There is no such table',
};
