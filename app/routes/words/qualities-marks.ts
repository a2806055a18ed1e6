// The words of this screen, in the order in which they stand there.

export const qualitiesMarks = {
  whatCounts: 'What counts',
  beyondPriceMoney: 'Beyond price money?',
  eachHasAWeight: 'Each has a weight and a scale of its own. It changes no totals; it is weighed beside them, where you can see it.',
  moreThatUsuallyCounts: 'More that usually counts',
  quality: 'Quality',
  anyFigureOpens: 'Any figure opens',
  chooseAFigureToSay: 'Choose a figure to say it, or to see what it comes from; choose a quality to change its weight and scale.',
  theBarIsHow:
    'The bar is how far it goes on the scale: all of it is 100 points. What is not known counts as nothing, and the fit then says “at least”.',
};
