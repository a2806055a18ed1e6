// The words of this screen, in the order in which they stand there.

export const tableMapping = {
  limitOf: (quantity: string) => `limit: ${quantity}`,
  featureNamed: (feature: string) => `feature: ${feature}`,
  cardFee: 'Card fee',
  cardsFromAbroad: 'Cards from abroad',
  salesFee: 'Sales fee',
  withAnOutsideProcessor: 'With an outside processor',
  plansStand: 'Plans stand',
  besideEachOther: 'beside each other',
  belowEachOther: 'below each other',
  theirNamesAreIn: 'Their names are in',
  noLine: 'no line',
  line: (index: number, line: string) => `line ${index}: ${line}`,
  thePlansNames: 'the plans’ names',
  whatMeans: (head: string) => `What “${head}” means`,
  leaveItOut: 'leave it out',
  asItIsWritten: 'as it is written',
};
