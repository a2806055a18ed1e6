import type { ReactNode } from 'react';
// The words of this place, screen by screen, in the order in which they stand there.

export const assumptionSections = {
  monthsFromAllAmounts: (months: number, start: string, currency: string) => `${months} months from ${start}, all amounts in ${currency}.`,
  paymentsCountInEqual: 'Payments count in equal parts over the months they pay for.',
  paymentsCountInTheMonth: 'Payments count in the month they are paid.',
  anHourOfTheOwners: (money: string) => `An hour of the owner’s is worth ${money}.`,
  ofTaxOnWhat: (percent: string) => `${percent} of tax on what is quoted without it.`,
  whatItRestsOn: 'What it rests on',
  expectedSales: 'Expected sales',
  stream: 'Stream',
  ordersAMonth: 'Orders a month',
  orderValue: 'Order value',
  refunds: 'Refunds',
  margin: 'Margin',
  cards: 'Cards',
  subscribersJoinLeave: (start: string, joins: string, churn: string) => `${start} subscribers, ${joins} join, ${churn} leave`,
  per: (ratio: string, per: string) => `${ratio} per ${per}`,
  itMustHave: (level: string) => `It must have: ${level}.`,
  niceToHave: (level: string) => `Nice to have: ${level}.`,
  growing: 'growing',
  shrinking: 'shrinking',
  aMonth: (shrinking: string, percent: string) => `${shrinking} ${percent} a month`,
  aMonthValue: (value: string, number: string) => `${value}${number} a month`,
  bySeason: 'by season',
  month: 'month',
  months: 'months',
  setByHand: (set: number, months: string) => `${set} ${months} set by hand`,
  aGuess: 'a guess',
  sources: 'Sources',
  priceSheet: 'Price sheet',
  plans: 'Plans',
  where: 'Where',
  seen: 'Seen',
  howSure: 'How sure',
  notNoted: 'not noted',
  earnsIfOneBuys: ' (earns if one buys)',
  notDated: 'not dated',
};

export const reportDocument = {
  venalis: (i: ReactNode) => <>Venalis{i}</>,
};
