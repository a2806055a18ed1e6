// The words of this place, screen by screen, in the order in which they stand there.

export const actualsChart = {
  whatMonthsCostExpected: 'What months cost, expected and real; the figures stand in the table',
};

export const actualsTable = {
  feesBySales: 'Fees by sales',
  plansOther: 'Plans, other',
  of: (what: string, month: string) => `${what} of ${month}`,
  expectedOrdersSalesOfCost: ({ orders, sales, cost, why }: { orders: string; sales: string; cost: string; why: string }) =>
    `expected ${orders} orders, sales of ${sales}, cost ${cost}${why}`,
  month: 'Month',
  aNumberOfOrders: 'a number of orders',
  anAmountIn: (currency: string) => `an amount in ${currency}`,
  againstForecast: 'Against forecast',
};

export const payouts = {
  whatWasChargedForPayments: 'What was charged for payments',
  listOfPaymentsOfYourProcessor: 'List of payments of your processor or bank, as CSV with gross, fee and net',
  pastOrders: 'Past orders',
  besideTheCardFees: 'Beside the card fees of',
  whatWasChargedBeside: 'What was charged beside what the sheet says',
  paidBy: 'Paid by',
  allTogether: 'all together',
  payments: 'Payments',
  paid: (currency: string) => `Paid, ${currency}`,
  charged: 'Charged',
  byTheSheet: 'By the sheet',
  chargedPercent: 'Charged, %',
  byTheSheetPercent: 'By the sheet, %',
  realFeesFromAList: 'real fees from a list of payments',
  thatMonth: 'that month',
  theseMonths: 'these months',
  theyStandAboveAsTheReal: (theseMonths: string) => `They stand above as the real fees of ${theseMonths}.`,
  month: 'month',
  months: 'months',
  useAsTheFees: (charged: number, months: string) => `Use as the fees of ${charged} ${months}`,
  salesFeesAndUsage: 'Sales fees and usage, if your plan has any, are billed elsewhere: add them by hand.',
  thisListCouldNotBeWorked:
    'This list could not be worked on to its end; your browser may be short of memory. Open this page again, and drop a part of it.',
};
