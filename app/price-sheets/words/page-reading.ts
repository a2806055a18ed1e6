// The words of this screen, in the order in which they stand there.

export const pageReading = {
  add: 'Add ↵',
  aQuestionIsOpen: 'a question is open: ↑ ↓ and Enter answer it',
};
