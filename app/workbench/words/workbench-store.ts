// The words of this screen, in the order in which they stand there.

export const workbenchStore = {
  theVersionOfThisWindow: 'the version of this window',
  theVersionFromElsewhere: 'the version from elsewhere',
};
