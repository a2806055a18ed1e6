// The words of this screen, in the order in which they stand there.

export const howLink = {
  howThisIsWorked: 'How this is worked out, in plain words',
};
