// The words of this screen, in the order in which they stand there.

export const useCells = {
  aMonth: (perMonth: string, saved: string) => `${perMonth} a month${saved}`,
  savesNothing: ', saves nothing',
  savesPercent: (percent: string) => `, saves ${percent}%`,
  percentDearer: (percent: number) => `, ${percent}% dearer`,
};
