// The words of this screen, in the order in which they stand there.

export const standingCells = {
  months: (months: number) => `${months} months`,
  price: 'price',
  prices: 'prices',
  notKnown: (unknown: number, prices: string) => `${unknown} ${prices} not known`,
  cardFeesNotEntered: 'card fees not entered',
  noCardFeeEntered: 'no card fee entered: is that right?',
  noCardFeeFor: (names: string) => `no card fee for ${names}`,
};
