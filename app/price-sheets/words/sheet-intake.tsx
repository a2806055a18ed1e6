import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const sheetIntake = {
  pasteOrImport: 'Paste or import',
  orDropSavedPages: 'Or drop saved pages here, or choose them: web pages, CSV, the JSON of a sheet',
  reading: (name: ReactNode) => <>Reading {name} …</>,
  morePage: 'more page',
  afterThisOne: (waiting: string) => `${waiting} after this one`,
  cantBeRead: (name: string) => `${name} can’t be read.`,
  aVendorWithoutAName: 'a vendor without a name',
  seen: (seen: string) => `, seen ${seen}`,
  holdsThePriceSheet: (name: string, read: ReactNode, seen: ReactNode) => (
    <>
      {name} holds the price sheet of {read}
      {seen}.
    </>
  ),
  addAsASeparate: 'Add as a separate sheet',
  discard: 'discard',
  moreRows: (rowsLeftOut: number) => `${rowsLeftOut} more ${rowsLeftOut === 1 ? 'row' : 'rows'}`,
  moreColumns: (columnsLeftOut: number) => `${columnsLeftOut} more ${columnsLeftOut === 1 ? 'column' : 'columns'}`,
  leftOut: (rows: number, columns: number, leftOut: string) =>
    `Only the first ${rows} rows and ${columns} columns are shown; ${leftOut} did not fit. A price sheet has no more.`,
  whatWasRead: 'What was read',
  nothingInItReads: 'Nothing in it reads as a price. Say above what its lines mean.',
};
