// The words of this screen, in the order in which they stand there.

export const readActuals = {
  onlyTextsToBeRead: 'Only texts to be read are sent here.',
};
