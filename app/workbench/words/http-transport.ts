// The words of this screen, in the order in which they stand there.

export const httpTransport = {
  theServerAnsweredTrying: (status: number) => `the server answered ${status}; trying again`,
  itIsMoreThan: 'it is more than 5 MB',
  theServerAnswered: (status: number) => `the server answered ${status}`,
  venalisCantBeReached: 'Venalis can’t be reached; trying again',
};
