// The words of this screen, in the order in which they stand there.

export const listPage = {
  venalisAllDecisions: 'Venalis, all decisions',
};
