// The words of this screen, in the order in which they stand there.

export const save = {
  thereIsNoRevision: (revision: number, sheet: string) => `there is no revision ${revision} of the price sheet ${sheet}`,
  thisDecisionDoesNotExist: 'this decision does not exist any more',
  onlyChangesAreSent: 'Only changes are sent here.',
};
