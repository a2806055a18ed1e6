// The words of this screen, in the order in which they stand there.

export const sheet = {
  priceSheet: 'Price sheet',
  thisPriceSheetIsNotPart: 'This price sheet is not part of the decision',
  itMayHaveBeen: 'It may have been removed. Choose another at the left; undo brings back one that was just removed.',
};
