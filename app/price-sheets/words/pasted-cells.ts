// The words of this screen, in the order in which they stand there.

export const pastedCells = {
  thisWasPastedAndIsNot: 'This was pasted and is not understood here.',
  thisWasPastedInTheColumn: (foreign: string, currency: string) => `This was pasted in ${foreign}; the column is in ${currency}.`,
};
