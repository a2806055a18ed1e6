import type { ReactNode } from 'react';
import type { InvestmentJudged } from '#core/what-if/investment';
import type { Writer } from '../../locale/writer';

/** "It pays if it brings 14.2% more online orders. At the expected 20% it has paid for itself in May 2028 and leaves 2,310 more over 36 months." */
export function investmentSentence({ outcomes, requiredLift }: InvestmentJudged, months: number, write: Writer): string {
  const expected = outcomes.find(({ version }) => version === 'expected');
  if (!expected) return '';
  const from = (lift: string) =>
    Number(lift) === 0 ? 'It pays even without a single order more.' : `It pays if it brings ${write.percent(lift, 2)} more online orders.`;
  const needs = requiredLift === null ? 'It does not pay within this time, even with ten times the orders.' : from(requiredLift);
  const kept = Number(expected.keptMore);
  const outcome = `At the ${write.percent(expected.lift)} that you expect it leaves you ${write.amount(expected.keptMore.replace('-', ''))} ${kept < 0 ? 'less' : 'more'} over ${months} months`;
  return `${needs} ${outcome}${expected.payback && kept >= 0 ? `, and has paid for itself in ${write.month(expected.payback)}` : ''}.`;
}

export const investmentChart = {
  whatIsKeptMore: 'What is kept more, added up month by month; the figures stand in the table below',
  monthByMonth: 'Month by month',
  upTo: 'Up to',
};

export const investmentForm = {
  photographs: 'Photographs',
  texts: 'Texts',
  cautious: 'Cautious',
  expected: 'Expected',
  hopeful: 'Hopeful',
  anAmountIn: (currency: string) => `an amount in ${currency}`,
  hours: 'hours',
  percentMoreOrders: 'percent more orders',
  theInvestment: 'The investment',
  doingItYourselfWith: 'Doing it yourself with',
  theBuildStandsOn: 'The build stands on',
  designerOrBuildOnce: 'Designer or build, once',
  lookingAfterItAMonth: 'Looking after it, a month',
  yourHoursAtFirst: 'Your hours at first',
  andAMonth: 'and a month',
  moreOnlineOrders: 'More online orders',
  foundOnline: 'Found online',
  orders: 'Orders',
  foundOnlineStream: (stream: string) => `${stream}, found online`,
  aPercentageFrom0: 'a percentage from 0 to 100',
  inPlaceOfTheHours: (name: string) =>
    `In place of the hours that ${name} takes now. Only orders of people who find you online grow with the site, wherever they buy in the end.`,
};

export const screen = {
  cautious: 'Cautious',
  expected: 'Expected',
  hopeful: 'Hopeful',
  theBiggerInvestment: 'the bigger investment',
  biggerInvestment: 'Bigger investment',
  wouldADesignerOrACustom: 'Would a designer, or a custom build, pay for itself?',
  expectedSales: 'Expected sales',
  thatDependsOnTheOrders: (expectedSales: ReactNode) => (
    <>That depends on the orders it brings. Nothing is sold in this decision yet: enter what you expect under {expectedSales}.</>
  ),
  forExampleForADesigner: (build: string, photographs: string, texts: string) =>
    `For example: ${build} for a designer, ${photographs} for photographs and ${texts} for texts. Type what you were offered at the right.`,
  oneOfTheTwo: 'One of the two candidates is no longer being compared, or has no price yet: choose another at the right.',
  againstItNeedsMore: (name: string, requiredLift: string, requiredOrders: string) =>
    `Against ${name}, it needs ${requiredLift} more of them: ${requiredOrders} orders a month more, on average.`,
  percentOfYourOrders: (onlineShare: string, requiredLift: ReactNode) => (
    <>
      {onlineShare}% of your orders come from people who find you online and can grow with the site. {requiredLift}
    </>
  ),
  theInvestment: 'The investment',
  moreOnlineOrdersExpected: (expected: string) => `${expected} more online orders`,
  marginOnMoreOrders: 'Margin on more orders',
  plansAndFeesThose: 'Plans and fees, those on more orders included',
  buildPhotographsTexts: 'Build, photographs, texts',
  lookingAfterIt: 'Looking after it',
  yourOwnHours: 'Your own hours',
  moreOnlineOrders: 'More online orders',
  whatYouKeepMore: 'What you keep more',
  paidForItselfIn: 'Paid for itself in',
  notInThisTime: 'not in this time',
  afterThreeYears: 'After three years',
  againstDoingItYourself: (months: number) => `Against doing it yourself, ${months} months`,
};
