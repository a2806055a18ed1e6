// The words of this screen, in the order in which they stand there.

export const reportFile = {
  thereIsNoReport: 'There is no report of that kind',
};
