// The words of this screen, in the order in which they stand there.

export const figureButton = {
  howItCameAbout: (label: string) => `${label}: how it came about`,
};
