// The words of this screen, in the order in which they stand there.

export const levelField = {
  typeAnotherLevel: 'Type another level',
  aMonthTried: 'a month, tried;',
  backTo: (sales: string) => `back to ${sales}`,
  salesAMonthOnAverage: 'sales a month, on average',
  salesAMonth: (version: string) => `sales a month, ${version}`,
};
