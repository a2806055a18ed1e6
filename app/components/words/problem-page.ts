// The words of this screen, in the order in which they stand there.

export const problemPage = {
  backToYourDecisions: 'Back to your decisions',
};
