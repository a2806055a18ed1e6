// The words of this screen, in the order in which they stand there.

export const pairPanel = {
  setAgainstEachOther: 'Set against each other',
  thisOne: 'This one',
  andThatOne: 'and that one',
  oneOfThemIsNoLonger: 'One of them is no longer being compared.',
  andCostTheSame: (name: string, other: string) => `${name} and ${other} cost the same.`,
  more: 'more',
  less: 'less',
  costsThan: ({ name, price, less, other }: { name: string; price: string; less: string; other: string }) =>
    `${name} costs ${price} ${less} than ${other}.`,
  inMoney: 'In money',
  nothingDiffers: 'Nothing differs.',
  differs: 'differs',
  inAnswers: 'In answers',
  bothSayTheSame: 'Both say the same to everything that is needed.',
  need: 'Need',
  must: 'must',
  first: 'First',
  second: 'Second',
  notEnough: ', not enough',
  notKnown: 'not known',
};
