// The words of this screen, in the order in which they stand there.

export const dataExport = {
  venalisEverything: (at: string) => `venalis everything ${at}`,
};
