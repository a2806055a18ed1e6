// The words of this screen, in the order in which they stand there.

export const afterwards = {
  afterwards: 'Afterwards',
  allMonthsTo: (month: string) => `All months to ${month}`,
  whereTheFiguresCome: 'Where the figures come from',
  fromAFile: 'From a file',
  howItIsExplained: 'How it is explained',
  theVerdict: (parts: string) => `the verdict: ${parts}`,
  theCheapestUntilAVerdict: (name: string) => `${name}, the cheapest, until a verdict is given`,
  forFirstWhatOther: (name: string) =>
    `For ${name}. First what other orders cost at the prices of the sheet, then what dearer or cheaper orders cost, then what was charged beside the sheet, then surprises. Your own hours are left out.`,
  aBillThatIsNotEntered:
    'A bill that is not entered is taken to be what the sheet says. Fees by sales: sales fees, card fees, usage. Each month is priced as if all months had gone like it.',
  realMonthsFromAFile: 'real months from a file',
  csvWithAColumn: 'CSV with a column “month” and any of orders, sales, fees, plan, other',
  monthWas: 'month was',
  monthsWere: 'months were',
  read: (months: number, monthsWere: string) => `${months} ${monthsWere} read.`,
  addThem: 'Add them',
  added: 'Added.',
};
