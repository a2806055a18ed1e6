// The words of this screen, in the order in which they stand there.

export const draftStorage = {
  typedButNotSaved: 'Typed, but not saved yet.',
};
