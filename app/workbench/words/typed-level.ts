// The words of this screen, in the order in which they stand there.

export const typedLevel = {
  salesAMonth: 'sales a month',
  trySalesAMonth: 'Try sales a month',
  aMonthEnterTries: 'a month; Enter tries it',
};
