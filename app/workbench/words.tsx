import type { ReactNode } from 'react';
// The words of this place, screen by screen, in the order in which they stand there.

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
  andTheSame: ({ name, name2, cost, over, amount }: { name: ReactNode; name2: string; cost: string; over: string; amount: string }) => (
    <>
      {name} and {name2} {cost} the same {over}: {amount}.
    </>
  ),
  than: ({ name, leads, over, margin, name2 }: { name: ReactNode; leads: string; over: string; margin: string; name2: string }) => (
    <>
      {name} {leads}
      {over}, {margin} than {name2}.
    </>
  ),
  leavesYouMoreThough: (other: string, apart: string, apart2: string) =>
    `${other} leaves you ${apart} more, though it costs ${apart2} more`,
  costsLessButLeaves: (other: string, apart: string, apart2: string) => `${other} costs ${apart} less, but leaves you ${apart2} less`,
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
  is: (id: string, candidate: string) => `${id} ${candidate} is`,
  candidatesAre: (others: number) => `${others} candidates are`,
  notPriced: (who: string, reason: string) => `${who} not priced: ${reason}.`,
};

export const comparedByChoice = {
  costsLeast: 'costs least',
  leavesYouMost: 'leaves you most',
  whatDecides: 'what decides',
};

export const draftStorage = {
  typedButNotSaved: 'Typed, but not saved yet.',
};

export const furtherSentences = {
  aMove: 'a move',
  lessThanThroughoutWithout: ({
    wayWords,
    total,
    over,
    less,
    leader,
    move,
  }: {
    wayWords: string;
    total: string;
    over: string;
    less: string;
    leader: string;
    move: ReactNode;
  }) => (
    <>
      {wayWords}: {total} {over}, {less} less than {leader} throughout. Without {move},
    </>
  ),
  couldBeChosen: 'could be chosen',
  amongTheColumns: (wordsText: string) => `${wordsText} among the columns`,
  putItBeside: 'Put it beside',
  couldBeChosenNow: 'could be chosen now',
  setAsideIn: ({ month, reason, back, couldBeChosen }: { month: string; reason: string; back: string; couldBeChosen: string }) =>
    `Set aside in ${month}${reason}: ${back} ${couldBeChosen}.`,
};

export const httpTransport = {
  theServerAnsweredTrying: (status: number) => `the server answered ${status}; trying again`,
  itIsMoreThan: 'it is more than 5 MB',
  theServerAnswered: (status: number) => `the server answered ${status}`,
  venalisCantBeReached: 'Venalis can’t be reached; trying again',
};

export const leftDrafts = {
  onAt: (day: string, keptAt: string) => ` on ${day} at ${keptAt}`,
  anotherWindowClosedWithChanges: (when: string) => `Another window closed${when} with changes that were not saved`,
  theLast: (anotherWindowClosed: ReactNode, name: string) => (
    <>
      {anotherWindowClosed} (the last: {name}).
    </>
  ),
  somethingTypedWasNever: (when: string) => `Something typed${when} was never saved, and can’t be used as it is any more.`,
  showIt: (somethingTypedWas: ReactNode) => <>{somethingTypedWas} Show it</>,
  useTheseChanges: 'Use these changes',
  discard: 'Discard',
};

export const levelField = {
  typeAnotherLevel: 'Type another level',
  aMonthTried: 'a month, tried;',
  backTo: (sales: string) => `back to ${sales}`,
  salesAMonthOnAverage: 'sales a month, on average',
  salesAMonth: (version: string) => `sales a month, ${version}`,
};

export const placeRegistry = {
  expectedSales: 'Expected sales',
  whatYouExpect: 'What you expect',
  pastOrders: 'Past orders',
  whatYouNeed: 'What you need',
  whatEachPlanOffers: 'What each plan offers',
  beyondPrice: 'Beyond price',
  trialDiary: 'Trial diary',
  pageSpeed: 'Page speed',
  priceSheets: 'Price sheets',
  sideBySide: 'Side by side',
  fitAndCost: 'Fit and cost',
  whatIf: 'What if',
  reportAndFiles: 'Report and files',
};

export const places = {
  exchangeRateMissing: 'exchange rate missing',
  monthsIn: (months: number, currency: string) => `${months} months, ${currency}`,
  nothingYet: 'nothing yet',
  noneYet: 'none yet',
  streams: (number: number) => `${number} ${number === 1 ? 'stream' : 'streams'}`,
  needs: (number: number) => `${number} ${number === 1 ? 'need' : 'needs'}`,
  qualities: (number: number) => `${number} ${number === 1 ? 'quality' : 'qualities'}`,
  toFindOut: (number: number) => ` · ${number} to find out`,
  sheets: (number: number) => `${number} ${number === 1 ? 'sheet' : 'sheets'}`,
  gaps: (number: number) => ` · ${number} ${number === 1 ? 'gap' : 'gaps'}`,
  nothingToChooseYet: 'nothing to choose yet',
  leads: (label: string, total: string) => `${label}: ${total}`,
  open: 'open',
  aMonth: (streams: string, sales: string) => `${streams} · ${sales} a month`,
  breakEvensMapRoute: 'break-evens, map, route',
  scenariosKept: (number: number) => `${number} ${number === 1 ? 'scenario kept' : 'scenarios kept'}`,
};

export const salesScale = {
  theSalesScaleAppears: 'The sales scale appears once you have a priced plan and some sales.',
  yourForecast: 'your forecast',
  salesAMonth: 'Sales a month',
  arrowKeysAndPage: 'Arrow keys and Page up or down try another level, digits type one, Escape goes back to your forecast.',
  aMonth: (sales: string) => `${sales} a month`,
  noCandidateCanBeChosen: (level: string) => `${level}: no candidate can be chosen`,
  than: (margin: string, by: string, name: string) => `, ${margin} ${by} than ${name}`,
};

export const savedSign = {
  saving: 'saving …',
  notSavedChangedElsewhere: 'not saved: changed elsewhere',
  notSaved: (why: string) => `not saved: ${why}`,
  tryAgain: 'try again',
  saved: (savedAt: string) => `saved ${savedAt}`,
  thisPriceSheetWas: 'This price sheet was changed from another decision',
  thisDecisionWasChanged: 'This decision was changed elsewhere',
  at: (at: string, undo: string) => ` at ${at}${undo}`,
  whatYouTypedHere: (thisDecisionWas: ReactNode, value: ReactNode) => (
    <>
      {thisDecisionWas}
      {value}. What you typed here is still here, and not saved yet.
    </>
  ),
  keepMyVersion: 'Keep my version',
  takeTheOtherVersion: 'Take the other version',
  eitherWayUndoBrings: 'Either way, undo brings back the one you did not take.',
};

export const scaleBand = {
  noCandidateCanBeChosen: 'No candidate can be chosen here',
  here: (candidate: string, name: string, isBest: string) => `${candidate} ${name} ${isBest} here`,
  nobody: 'nobody',
  hereButIsOutgrown: (candidate: string, name: string, wouldBeBetter: string) =>
    `${candidate} ${name} ${wouldBeBetter} here, but is outgrown`,
  hereSomethingOnItsPrice: (candidate: string, name: string, mayBeBetter: string) =>
    `${candidate} ${name} ${mayBeBetter} here: something on its price sheet is not known`,
};

export const shortcuts = {
  undoUndo: (undo: string) => `Undo: ${undo}`,
  nothingToUndo: 'Nothing to undo',
  undo: 'undo',
  redoRedo: (redo: string) => `Redo: ${redo}`,
  nothingToRedo: 'Nothing to redo',
  redo: 'redo',
  keys: 'Keys',
};

export const standingStrip = {
  theAnswerSoFar: 'The answer so far',
};

export const typedLevel = {
  salesAMonth: 'sales a month',
  trySalesAMonth: 'Try sales a month',
  aMonthEnterTries: 'a month; Enter tries it',
};

export const useEdits = {
  aPriceSheetAdded: 'a price sheet added',
  removed: (label: string) => `${label} removed`,
};

export const versionSwitch = {
  expectedSalesWhichVersion: 'Expected sales: which version',
};

export const workbenchContext = {
  noDecisionIsOpenHere: 'No decision is open here',
};

export const workbenchStore = {
  theVersionOfThisWindow: 'the version of this window',
  theVersionFromElsewhere: 'the version from elsewhere',
};
