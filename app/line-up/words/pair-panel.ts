// The words of this screen, in the order in which they stand there.

export const pairPanel = {
  setAgainstEachOther: 'Set against each other',
  thisOne: 'This one',
  andThatOne: 'and that one',
  oneOfThemIsNoLonger: 'One of them is no longer being compared.',
  andCostTheSame: (name: string, name2: string) => `${name} and ${name2} cost the same.`,
  more: 'more',
  less: 'less',
  costsThan: ({ name, price, less, name2 }: { name: string; price: string; less: string; name2: string }) =>
    `${name} costs ${price} ${less} than ${name2}.`,
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
