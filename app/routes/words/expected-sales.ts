// The words of this screen, in the order in which they stand there.

export const expectedSales = {
  aStreamAdded: 'a stream added',
  expectedSales: 'Expected sales',
  whatYouExpectToSell: 'What you expect to sell',
  twoFiguresAreEnough:
    'Two figures are enough: orders in a usual month, and what a customer pays on average. Everything else refines them.',
  somethingElseIsSold: 'Something else is sold too',
  theMonthsAsAChart: 'The months as a chart',
};
