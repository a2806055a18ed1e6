// The words of this screen, in the order in which they stand there.

export const comparedByChoice = {
  costsLeast: 'costs least',
  leavesYouMost: 'leaves you most',
  whatDecides: 'what decides',
};
