// The words of this screen, in the order in which they stand there.

export const lineUpTable = {
  candidatesSideBySide: 'Candidates side by side',
  differencesAreTo: (baseline: string) => `Differences are to ${baseline}.`,
  whatItCosts: 'What it costs',
};
