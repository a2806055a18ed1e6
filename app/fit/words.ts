// The words of this place, screen by screen, in the order in which they stand there.

export const fitChart = {
  fit: ({ letter, candidate, fit, total }: { letter: string; candidate: string; fit: number; total: string }) =>
    `${letter} ${candidate}: fit ${fit}, ${total}`,
  totalInDearerToTheRight: (currency: string) => `total in ${currency}, dearer to the right`,
  fitOf100: 'fit of 100',
  costAndFitOfEvery: 'Cost and fit of every candidate; the figures stand in the table below',
};

export const fitMakeUp = {
  makeUpOfTheFit: 'Make-up of the fit',
  atLeast: 'at least ',
  of100: (atLeast: string, fit: string) => `${atLeast}${fit} of 100`,
  eachCriterionAddsItsPoints: (all: string) =>
    `Each criterion adds its points × its weight ÷ ${all}, the sum of all weights. What is not known adds nothing.`,
  points: 'points',
  weight: 'weight',
  adds: 'adds',
  backToTheWeights: 'Back to the weights',
};

export const fitTable = {
  candidate: 'Candidate',
  fitOf100: 'Fit of 100',
  total: 'Total',
  atLeast: 'at least',
  howOftenItComes: 'How often it comes first',
  overAllWaysOfWeighing: 'Over all ways of weighing, how often it fits best',
  of100: (share: string) => `${share} of 100`,
  nothingBeatsItOnBoth: 'nothing beats it on both',
  fitOfWhatItIsMade: (candidate: string) => `Fit of ${candidate}: what it is made of`,
  lessThan1: 'less than 1',
  moreThan99: 'more than 99',
};

export const weights = {
  aWeight1To5: 'a weight, 1 to 5 as a rule',
  weights: 'Weights',
  whatCountsHowMuch: 'What counts how much',
  ofCount0Leaves: (counting: number, weights: number) =>
    `${counting} of ${weights} count; 0 leaves one out. Musts have no weight: they rule a plan out.`,
  weightOf: (label: string) => `Weight of ${label}`,
  theWeightOf: (label: string) => `the weight of ${label}`,
  weightOfNeed: (need: string) => `Weight of ${need}`,
  theWeightOfNeed: (need: string) => `the weight of ${need}`,
};
