import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const verdictHome = {
  theReason: 'the reason',
  aVerdictGiven: 'a verdict given',
  verdict: 'Verdict',
  provisionalAnswerTheOpen: 'Provisional: answer the open questions first.',
  underWhichConditions: 'Under which conditions',
  whatWouldChangeIt: 'What would change it',
  nothingThatWasLooked: 'Nothing that was looked at turns it, over the ranges stated.',
  bestForWhomInYourOwn: 'Best for whom, in your own words',
  whyInYourOwn: 'Why? In your own words, for whoever asks in a year.',
  giveThisVerdict: 'Give this verdict',
  itIsDatedAndStays: (today: string) => `It is dated ${today} and stays as it is; a newer one can follow.`,
  whatItRestsOn: 'What it rests on',
  forNowFindOut: 'For now. Find out next',
  stillOpen: 'Still open',
  fit: 'fit',
  theStandsBesideTheCost: (fit: ReactNode) => <>The {fit} stands beside the cost and is not mixed into it.</>,
  verdictOf: (day: string) => `Verdict of ${day}.`,
  salesAMonthOrders: ({
    version,
    sales,
    orders,
    months,
    start,
  }: {
    version: string;
    sales: string;
    orders: string;
    months: number;
    start: string;
  }) => `${version} sales: ${sales} a month, ${orders} orders, over ${months} months from ${start}.`,
  seen: (seen: string) => `seen ${seen}`,
  notDated: 'not dated',
  givenVerdicts: 'Given verdicts',
  aVerdictWithdrawn: 'a verdict withdrawn',
  whatChangedSince: (day: string) => `What changed since ${day}`,
};
