// The words of this place, screen by screen, in the order in which they stand there.

export const belonging = {
  orders: (number: number, written: string) => `${written} ${number === 1 ? 'order' : 'orders'}`,
  leftOut: 'left out',
  aStreamWithoutAName: 'a stream without a name',
  whatTheyAreTaken: 'What they are taken for',
  soldWithoutSayingWhere: 'Sold without saying where',
  takenFor: (soldWithoutSaying: string, many: string) => `${soldWithoutSaying}: ${many}, taken for`,
  whatPastOrdersAreTaken: 'what past orders are taken for',
  cardsAreDomesticIn: 'Cards are domestic in',
  whereCardsAreDomestic: 'where cards are domestic',
  it: 'it',
  them: 'them',
  countedOnceThoughSeveral: (them: string, doubled: string) => `Counted once, though several files have ${them}: ${doubled}.`,
  is: 'is',
  are: 'are',
  inLeftOutEnter: (many: string, currency: string, are: string) =>
    `${many} in ${currency} ${are} left out: enter the exchange rate under Basics.`,
};

export const courseChart = {
  oneMonth: 'month',
  severalMonths: 'months',
  ordersThatWerePlaced: 'orders that were placed',
  pastMonthsBeforeTheExpected: 'Past months before the expected ones',
  ordersOfPastMonths: 'Orders of past months and of expected ones; the figures stand in the table',
  theSameInFigures: 'The same in figures',
  ordersByMonth: 'Orders by month',
  month: 'Month',
  placed: 'Placed',
  expected: 'Expected',
  has: 'has',
  have: 'have',
  thatYouExpectedBeen: (open: number, months: string, have: string) => `${open} ${months} that you expected ${have} been.`,
  realFromPastOrders: (months: string) => `real ${months} from past orders`,
  it: 'it',
  them: 'them',
  useInAfterwards: (them: string) => `Use ${them} in Afterwards`,
};

export const estimatesTable = {
  fromPastOrders: (estimatedWords: string) => `${estimatedWords} from past orders`,
  whatTheySayAbout: 'What they say about the orders to come',
  besideWhatYouTyped: 'Beside what you typed; use what you believe.',
  estimatesFor: (name: string) => `Estimates for ${name}`,
  figure: 'Figure',
  typed: 'Typed',
  pastOrders: 'Past orders',
  howSure: 'How sure',
  useIt: 'Use it',
  useFor: (estimate: string, estimatedWords: string, name: string) => `Use ${estimate} for ${estimatedWords}, ${name}`,
  use: 'Use',
};

export const exportReview = {
  whatWasFoundIn: (name: string) => `What was found in ${name}`,
  whichComesFirstTheDay: 'Which comes first, the day or the month?',
  everyDateInCould: (name: string, example: string) => `Every date in ${name} could be read both ways, such as “${example}”.`,
  theDayComesFirst: 'The day comes first',
  theMonthComesFirst: 'The month comes first',
  keepTheseOrders: 'Keep these orders',
  discard: 'Discard',
  row: 'row',
  rows: 'rows',
  couldNotBeRead: (number: string, rows: string) => `${number} ${rows} could not be read`,
  line: (line: number, why: string) => `Line ${line}: ${why}`,
  theseAreTheFirst: (first: number) => `These are the first ${first}.`,
  columnsOfTheFile: 'Columns of the file',
  column: 'Column',
  withoutAName: 'without a name',
  isTakenFor: 'Is taken for',
  thisColumn: 'this column',
  whatIsTakenFor: (column: string) => `What ${column} is taken for`,
  suchAs: 'Such as',
  comma: 'comma',
  point: 'point',
  theMonthBeforeTheDay: ', the month before the day',
  writtenInAmountsWithADecimal: (encodingWords: string, point: string, theMonthBefore: string) =>
    `Written in ${encodingWords}, amounts with a decimal ${point}${theMonthBefore}. Columns that are not used are not kept.`,
};

export const orderFiles = {
  filesOfPastOrders: 'Files of past orders',
  file: 'File',
  orders: 'Orders',
  from: 'From',
  to: 'To',
  delete: 'Delete',
  deleteAndItsOrders: (file: string) => `Delete ${file} and its orders`,
  deleteButton: 'delete',
  ordersOfAnotherTime: 'Orders of another time',
  ordersThatYourShop: 'Orders that your shop exports, as CSV; or drop the files here',
  reading: 'Reading',
  keeping: 'Keeping',
  stop: 'Stop',
  then: 'Then',
  thenOneAfterTheOther: 'Then, one after the other:',
  andMore: (waiting: number) => ` and ${waiting} more`,
  theFileIsRead:
    'The file is read in your browser. Kept are, for each order, its day, what was paid and given back, currency, country, means of payment, place of selling, and a number made from the order number by which it is known again. Names, mail addresses and streets are never kept.',
};

export const spreadOfPast = {
  cautiousAndHopeful: 'Cautious and hopeful',
  yourCautiousAndHopeful: 'Your cautious and hopeful sales differ by that, and chance takes months to lie apart like this.',
  cautiousAndHopefulSales: 'cautious and hopeful sales',
  useThem: 'Use them',
};

export const usePastOrders = {
  thisFileIsLarger: 'This file is larger than 500 MB. Export your orders by the year, and drop one year after the other.',
  thisFileCouldNotBeWorked:
    'This file could not be worked on to its end; your browser may be short of memory. Open this page again, and drop a part of it.',
  nothingWasKeptTry: (why: string) => `Nothing was kept: ${why}. Try again.`,
  nothingWasDeletedAsVenalis: 'Nothing was deleted, as Venalis can’t be reached. Try again.',
};

export const wouldHaveCost = {
  whatTheyWouldHave: 'What they would have cost',
  everySingleOrderWas: ({
    month,
    lastMonth,
    sales,
    replay,
    without,
    empty,
  }: {
    month: string;
    lastMonth: string;
    sales: string;
    replay: string;
    without: string;
    empty: string;
  }) =>
    `Every single order was charged as each plan charges it, from ${month} to ${lastMonth}: ${sales} paid by customers. ${replay} ${without} ${empty}`,
  whatPastOrdersWould: 'What past orders would have cost',
  candidate: 'Candidate',
  noCandidateYet: 'no candidate yet',
  wouldHaveCost: (currency: string) => `Would have cost, ${currency}`,
  moreThanTheCheapest: 'More than the cheapest',
  feesOnSingleOrders: 'Fees on single orders',
  open: 'Open',
  ordersOnWhichAndDiffer: (first: string, second: string) => `Orders on which ${first} and ${second} differ most`,
  ordersOnWhichTheFirst: 'Orders on which the first two differ most',
  month: 'Month',
  soldAs: 'Sold as',
  order: (currency: string) => `Order, ${currency}`,
  takesMoreOrLess: (first: string) => `${first} takes more or less`,
  monthByMonth: 'Month by month',
  whatEachMonthWould: 'What each month would have cost',
  outgrownIn: (month: string, limit: string) => `outgrown in ${month}: ${limit}`,
  doesNotOffer: (missing: string) => `does not offer ${missing}`,
  cannotBeChosen: 'cannot be chosen',
  pricesNotEnteredAtLeast: 'prices not entered: at least',
};
