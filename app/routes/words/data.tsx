import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const data = {
  thisCannotBeRead: 'This cannot be read',
  yourDataVenalis: 'Your data · Venalis',
  kb: (size: string) => `${size} kB`,
  mb: (size: string) => `${size} MB`,
  yourData: 'Your data',
  everythingIsOnThisComputer: (folder: ReactNode, bytes: string, inAll: string) => (
    <>
      Everything is on this computer, in {folder}: {bytes}, and {inAll} of back-ups.
    </>
  ),
  exportAndImport: 'Export and import',
  exportEverything: 'Export everything',
  oneFileWithAll:
    'One file with all decisions, price sheets, the price watch, the history of prices and settings. Import it here or in another Venalis.',
  withEveryStepOfUndo: 'with every step of undo',
  backUps: 'Back-ups',
  madeByItselfOnEvery:
    'Made by itself on every day on which you use Venalis: the last seven are kept, and the first of each month for a year. Each is checked when it is made.',
  noneYet: 'None yet.',
  npmRunRestoreBack: (folder: string) => `npm run restore -- ${folder}/back-ups/NAME`,
  toGoBackToOne: (command: ReactNode) => <>To go back to one, end Venalis and enter {command}. What you have now is kept beside it.</>,
  deletedDecisions: 'Deleted decisions',
  none: 'None.',
  day: 'Day',
  beforeANewVersion: ', before a new version',
  file: 'File',
  size: 'Size',
  eachCanBeBrought: (daysKept: number) => `Each can be brought back for at least ${daysKept} days.`,
  untitledDecision: 'Untitled decision',
  deleted: (day: string) => `deleted ${day}`,
  bringBackName: (name: string) => `Bring back ${name}`,
  bringBack: 'Bring back',
  removeForGoodName: (name: string) => `Remove ${name} for good`,
  removeForGood: 'Remove for good',
};
