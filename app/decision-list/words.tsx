import type { ReactNode } from 'react';
// The words of this place, screen by screen, in the order in which they stand there.

export const askQuestion = {
  orBeginWithAQuestion: 'Or begin with a question',
  of30CoursesAYear: '30 courses a year at 60: which plan?',
  beginWithIt: 'Begin with it',
};

export const decisionRow = {
  untitledDecision: 'Untitled decision',
  exportWhatIsStored: 'export what is stored',
  export: 'export',
  duplicateName: (name: string) => `Duplicate ${name}`,
  duplicate: 'duplicate',
  theSameVendorsAndNeeds: 'The same vendors and needs, with sales of its own',
  useAgainWithNewSales: (name: string) => `Use ${name} again with new sales`,
  useAgainWithNew: 'use again with new sales',
  unarchive: 'unarchive',
  archive: 'archive',
  deleteName: (name: string) => `Delete ${name}`,
  delete: 'delete',
  changed: (changedOn: string) => `changed ${changedOn}`,
  thisDecisionCantBeRead: 'This decision can’t be read any more. Everything else is as it was.',
  tooLargeToBeWorked: (changed: string) => `too large to be worked out here · ${changed}`,
  workingItOut: (changed: string) => `working it out … · ${changed}`,
};

export const importFile = {
  import: 'Import',
  openADecisionFile: 'Open a decision file: choose it, or drop it here',
  isOver5Mb: (file: string) => `${file} is over 5 MB, too large for a decision file. Nothing was imported.`,
  lookingAt: (file: ReactNode) => <>Looking at {file} …</>,
  oneThingIs: 'one thing is',
  thingsAre: (problems: number) => `${problems} things are`,
  wasNotImportedWrong: (name: string, oneThingIs: string) => `${name} was not imported: ${oneThingIs} wrong with it`,
  where: 'Where',
  theFile: 'the file',
  found: 'Found',
  useInstead: 'Use instead',
  andMoreTheCommand: (problems: number) => `And ${problems} more; the command line lists all.`,
  untitledDecision: 'Untitled decision',
  nothingYet: 'nothing yet',
  none: 'none',
  order: 'order',
  orders: 'orders',
  withPast: (number: string, orders: string) => ` With ${number} past ${orders}.`,
  monthsFromInSells: ({
    months,
    start,
    currency,
    streams,
    sheets,
    orders,
  }: {
    months: number;
    start: string;
    currency: string;
    streams: string;
    sheets: string;
    orders: ReactNode;
  }) => (
    <>
      {months} months from {start}, in {currency}. Sells {streams}. Price sheets: {sheets}.{orders}
    </>
  ),
  atLeast: (total: string) => `at least ${total}`,
  cannotBeChosenAsItIs: 'cannot be chosen as it is',
  theFilesOwnQuestions: (questions: string) =>
    `The file’s own questions (${questions}) are not kept: the application answers them for every decision.`,
};
