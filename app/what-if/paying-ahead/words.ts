import type { PayingAhead, PayingOption } from '#core/what-if/paying-ahead';
import { termWords } from '#core/wording/term-words';
import type { Writer } from '../../locale/writer';

/** "Paid by the year, Marlpit Grow costs 252 less over 36 months; leave in the first months and up to 560 is lost; it pays from month 11 on." */
export function payingSentence({ options }: PayingAhead, name: string, months: number, write: Writer): string {
  const [shortest, ...others] = options;
  const best = others.reduce<PayingOption | null>(
    (most, one) => (most === null || Number(one.saving) > Number(most.saving) ? one : most),
    null,
  );
  if (!shortest || !best) return '';
  if (Number(best.saving) <= 0)
    return `Paying ahead saves nothing for ${name} over ${months} months: ${termWords(shortest.months)} costs least.`;
  const loss = best.worst
    ? ` Leave after ${best.worst.months} ${best.worst.months === 1 ? 'month' : 'months'} and ${write.amount(best.worst.loss)} is lost;`
    : '';
  const safe = (month: number) => (month <= 1 ? ' it never loses anything.' : ` from month ${month} on nothing is lost any more.`);
  const pays = best.breakEven === null ? ' it is never safe within this time.' : safe(best.breakEven);
  return `Paid ${termWords(best.months)}, ${name} costs ${write.amount(best.saving)} less over ${months} months.${loss}${pays}`;
}

export const leavingChart = {
  lost: (amount: string) => `lost ${amount}`,
  saved: (amount: string) => `saved ${amount}`,
  leftAfterMonths: (index: number) => `left after ${index} months`,
  leftAfterSoMany: 'left after so many months',
  paid: (months: string) => `paid ${months}`,
  ifYouLeaveEarly: 'If you leave early',
  aboveTheLineSo: 'Above the line so much is lost against paying for the shortest time, below it so much is saved.',
  whatPayingAheadHas: 'What paying ahead has cost more or less, by the month of leaving; the figures stand in the table below',
};

export const screen = {
  soManyMonths: (number: number) => `${number} ${number === 1 ? 'month' : 'months'}`,
  payingAhead: 'Paying ahead',
  everyPlanHereIsPaid: 'Every plan here is paid in one way only',
  onceAPriceSheet:
    'Once a price sheet has a plan both by the month and by the year, you see here what paying ahead saves, and what it risks.',
  planOf: 'Plan of',
  theOthersAreSet: 'the others are set against this',
  paid: 'Paid',
  asCompared: 'as compared',
  overMonths: (months: number) => `Over ${months} months`,
  saves: 'Saves',
  extraPaidUpFront: 'Extra paid up front',
  mostYouCouldLose: 'Most you could lose by leaving early',
  aheadFrom: 'Ahead from',
  anotherWayOfPaying: 'another way of paying',
  compareItToo: 'compare it too',
  monthByMonth: 'Month by month',
  ifYouLeaveAfter: 'If you leave after',
  paidMonths: (months: string) => `paid ${months}`,
  howItIsWorked: 'How it is worked out',
  theSamePlanWithEverything: (start: string) =>
    `The same plan with everything beside it, joined in ${start}, paid in each of its ways. What is paid ahead and not used when one leaves is lost, unless the price sheet says the vendor gives it back.`,
  extraPaidUpFrontHow:
    'Extra paid up front: how much more has been paid at the worst moment than with the shortest term. Ahead from: whenever one leaves from then on, nothing has been lost by paying ahead.',
  month: 'month',
  months: 'months',
  after: (loss: string, months: number, monthsWord: string) => `${loss} after ${months} ${monthsWord}`,
  neverInThisTime: 'never in this time',
  theFirstMonth: 'the first month',
  monthMonth: (month: string, breakEven: number) => `${month}, month ${breakEven}`,
};
