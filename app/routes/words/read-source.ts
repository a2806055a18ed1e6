// The words of this screen, in the order in which they stand there.

export const readSource = {
  onlyTextsToBeRead: 'Only texts to be read are sent here.',
};
