// The words of this screen, in the order in which they stand there.

export const scaleBand = {
  noCandidateCanBeChosen: 'No candidate can be chosen here',
  here: (candidate: string, name: string, isBest: string) => `${candidate} ${name} ${isBest} here`,
  nobody: 'nobody',
  hereButIsOutgrown: (candidate: string, name: string, wouldBeBetter: string) =>
    `${candidate} ${name} ${wouldBeBetter} here, but is outgrown`,
  hereSomethingOnItsPrice: (candidate: string, name: string, mayBeBetter: string) =>
    `${candidate} ${name} ${mayBeBetter} here: something on its price sheet is not known`,
};
