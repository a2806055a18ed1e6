// The words of this screen, in the order in which they stand there.

export const watch = {
  priceWatchVenalis: 'Price watch · Venalis',
  thisCannotBeRead: 'This cannot be read',
  thatPriceSheetIsNotWatched: 'That price sheet is not watched any more',
  priceWatch: 'Price watch',
};
