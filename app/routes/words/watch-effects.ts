// The words of this screen, in the order in which they stand there.

export const watchEffects = {
  onlyChangesToAsk: 'Only changes to ask about are sent here.',
};
