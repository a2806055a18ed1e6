// The words of this screen, in the order in which they stand there.

export const pageFiles = {
  isOver10Mb: (large: string) => `${large} is over 10 MB, and nothing was read of it. Copy the part with the prices and paste it instead.`,
};
