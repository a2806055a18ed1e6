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
  moreRows: (rowsLeftOut: number) => `${rowsLeftOut} more rows`,
  moreColumns: (columnsLeftOut: number) => `${columnsLeftOut} more columns`,
  onlyTheFirstRows: ({
    table,
    table2,
    rowsLeftOut,
    columnsLeftOut,
  }: {
    table: number;
    table2: number;
    rowsLeftOut: ReactNode;
    columnsLeftOut: ReactNode;
  }) => (
    <>
      Only the first {table} rows and {table2} columns are shown: {rowsLeftOut} {columnsLeftOut} are left out. A price sheet has no more.
    </>
  ),
  whatWasRead: 'What was read',
  nothingInItReads: 'Nothing in it reads as a price. Say above what its lines mean.',
};
