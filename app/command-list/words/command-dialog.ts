// The words of this screen, in the order in which they stand there.

export const commandDialog = {
  typeWhatYouWant: 'Type what you want to do (Alt + 0)',
  do: 'do',
  whatCanBeDone: 'What can be done',
};
