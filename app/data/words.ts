// The words of this screen, in the order in which they stand there.

export const importEverything = {
  importSuchAFile: 'Import such a file',
  reading: (file: string) => `Reading ${file} …`,
  wasNotImportedAndNothing: (file: string) => `${file} was not imported, and nothing was changed:`,
  theFileIsOver: 'The file is over 200 MB, too large to import.',
  venalisCouldNotRead: 'Venalis could not read it in time. Try again.',
  venalisCantBeReached: 'Venalis can’t be reached. Check that it is running, then choose the file again.',
};
