// The words of this place, screen by screen, in the order in which they stand there.

export const requestThread = {
  somethingWasThrownThatIsNo: 'Something was thrown that is no error',
};

export const root = {
  venalis: 'Venalis',
  openForLookingOnly:
    'Open for looking only: the disk is full, or the data folder can’t be written to. Make room or check the folder, then start Venalis again.',
  thereIsNothingHere: 'There is nothing here',
  theAddressMayBeMistyped: 'The address may be mistyped, or the decision was removed.',
  thatDidNotWork: 'That did not work',
  venalisCantBeReached: 'Venalis can’t be reached',
  checkThatItIsStill: 'Check that it is still running, then reload the page. What you typed and was not saved yet is kept in this browser.',
  somethingWentWrongHere: 'Something went wrong here',
  whatWasSavedIsSafe: 'What was saved is safe. Reload the page; if it happens again, the log of the server says more.',
};
