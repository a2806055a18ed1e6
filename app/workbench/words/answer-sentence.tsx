import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const answerSentence = {
  overMonths: (months: number) => `over ${months} months`,
  considerOneAgain: 'Consider one again',
  addAnother: 'add another',
  everyVendorIsSet: (considerOneAgain: ReactNode, addAnother: ReactNode) => (
    <>
      Every vendor is set aside. {considerOneAgain}, or {addAnother}.
    </>
  ),
  enterWhatTwoPlans: 'Enter what two plans cost',
  nothingToCompareYet: (enterWhatTwo: ReactNode) => <>Nothing to compare yet. {enterWhatTwo}, and the answer appears here.</>,
  comesTo: (name: ReactNode, total: string, over: string) => (
    <>
      {name} comes to {total}
      {over}.
    </>
  ),
  leaveYou: 'leave you',
  cost: 'cost',
  andTheSame: ({
    name,
    runnerUp,
    cost,
    over,
    amount,
  }: {
    name: ReactNode;
    runnerUp: string;
    cost: string;
    over: string;
    amount: string;
  }) => (
    <>
      {name} and {runnerUp} {cost} the same {over}: {amount}.
    </>
  ),
  than: ({ name, leads, over, margin, runnerUp }: { name: ReactNode; leads: string; over: string; margin: string; runnerUp: string }) => (
    <>
      {name} {leads}
      {over}, {margin} than {runnerUp}.
    </>
  ),
  leavesYouMoreThough: (other: string, left: string, cost: string) => `${other} leaves you ${left} more, though it costs ${cost} more`,
  costsLessButLeaves: (other: string, cost: string, left: string) => `${other} costs ${cost} less, but leaves you ${left} less`,
  asLongAsItBrings: (turns: string) => `, as long as it brings at least ${turns} more sales`,
  whatDecides: 'what decides',
  whatIsLeft: 'what is left',
  compareBy: (cost: string) => `Compare by ${cost}`,
  withASecondCandidate: 'With a second candidate there is something to compare.',
  noOtherCandidateCan: 'No other candidate can be chosen as it is.',
  itsLimitIsNotKnown: (leader: string, quantity: string) => `${leader} may be outgrown: its limit of ${quantity} is not known.`,
  itsCardFeesAreNotEntered: 'its card fees are not entered',
  somethingOnItsPrice: 'something on its price sheet is not known',
  atLeastBut: ({ label, mayBeBetter, total, lacks }: { label: string; mayBeBetter: string; total: string; lacks: string }) =>
    `${label} ${mayBeBetter}: at least ${total}, but ${lacks}.`,
  needs: 'needs',
  noCandidateCanBeChosenTwo: (needs: ReactNode) => <>No candidate can be chosen: two of the {needs} contradict each other.</>,
  findOut: 'Find out',
  noCandidateCanBeChosenNone: (shared: string, findOut: ReactNode, needs: ReactNode) => (
    <>
      No candidate can be chosen: none is known to have “{shared}”. {findOut}, or change the {needs}.
    </>
  ),
  noCandidateCanBeChosen: 'No candidate can be chosen as it is: each is outgrown, lacks something or rests on a price that is not known.',
  aboveAMonthNoCandidate: (level: string) => `Above ${level} a month no candidate can be chosen.`,
  aboveAMonthDoes: (level: string, label: string) => `Above ${level} a month ${label} does.`,
  lessThanOne: (by: string) => `less than one ${by}`,
  cannotBeReadTheFigures: (text: string, label: string) => `“${text}” cannot be read: the figures rest on the last good value of ${label}.`,
  comesToAtLeast: (label: string, total: string) => `${label} comes to at least ${total}: its card fees are not entered.`,
  atLeastButSomething: (label: string, mayBeBetter: string, total: string) =>
    `${label} ${mayBeBetter}: at least ${total}, but something on its price sheet is not known.`,
  is: (letter: string, candidate: string) => `${letter} ${candidate} is`,
  candidatesAre: (others: number) => `${others} candidates are`,
  notPriced: (who: string, reason: string) => `${who} not priced: ${reason}.`,
};
