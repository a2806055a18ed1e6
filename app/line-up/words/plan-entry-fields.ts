// The words of this screen, in the order in which they stand there.

export const planEntryFields = {
  itHandles: 'It handles',
  everythingThatIsSold: 'everything that is sold',
  itTakesThePayments: 'It takes the payments',
  monthsOnTopOfTheFirst: 'Months on top of the first payment',
  months: 'months',
  aNumberOfMonths: 'a number of months',
  aBalanceThatBecomes: 'a balance that becomes months, a bonus for joining',
  monthsOnTop: 'Months on top',
};
