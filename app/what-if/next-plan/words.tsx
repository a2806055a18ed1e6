import type { ReactNode } from 'react';
import type { ToClaim } from '#core/price-sheet/offer-ends';
import type { ComesWith } from '#core/what-if/comes-with';
import type { CreditPays } from '#core/what-if/credit-pays';
import { nearestPoint } from '#core/what-if/break-evens';
import type { StepUp } from '#core/what-if/steps-up';
import { featureWords } from '#core/wording/need-words';
import { listed } from '../../locale/listed';
import type { Writer } from '../../locale/writer';

/** So many added features are named, needed ones always. */
const NAMED = 3;

/** "Marlpit: Grow instead of Start costs 912 more and saves 1,122 in fees: 210 less in all." */
export function stepSentence({ vendor, from, to, plan, fees, others, total }: StepUp, write: Writer): string {
  const amount = (decimal: string) => write.amount(decimal.replace('-', ''));
  const costs = Number(plan) < 0 ? `costs ${amount(plan)} less` : `costs ${amount(plan)} more`;
  const inAll = Number(total) === 0 ? 'the same in all' : `${amount(total)} ${Number(total) < 0 ? 'less' : 'more'} in all`;
  return `${vendor}: ${to.plan} instead of ${from.plan} ${costs}${besidesWords({ fees, others }, amount)}: ${inAll}.`;
}

function besidesWords({ fees, others }: Pick<StepUp, 'fees' | 'others'>, amount: (decimal: string) => string): string {
  const parts = [
    { more: Number(fees), words: `${amount(fees)} in fees`, dearer: `${amount(fees)} more in fees` },
    { more: Number(others), words: `${amount(others)} on add-ons and the rest`, dearer: `${amount(others)} more for add-ons and the rest` },
  ].filter(({ more }) => more !== 0);
  const saved = parts.filter(({ more }) => more < 0).map(({ words }) => words);
  const dearer = parts.filter(({ more }) => more > 0).map((part) => part.dearer);
  return [...(saved.length > 0 ? [` and saves ${listed(saved)}`] : []), ...dearer.map((words) => ` and ${words}`)].join('');
}

/** What the higher plan adds: "gift cards, two languages and 4 more". */
export function addsWords({ adds, needed }: Pick<StepUp, 'adds' | 'needed'>): string {
  if (adds.length === 0) return '';
  const named = adds.slice(0, Math.max(NAMED, needed)).map(featureWords);
  const left = adds.length - named.length;
  return left === 0 ? named.join(', ') : `${named.join(', ')} and ${left} more`;
}

/** What the needed things that a step adds would cost singly: "bought singly, mailings would cost 312 (Postmoor Letters)". */
export function singlyWords({ singly }: Pick<StepUp, 'singly'>, write: Writer): string {
  if (singly === null) return '';
  const features = singly.parts.flatMap((part) => part.features).map(featureWords);
  return `bought singly, ${listed(features)} would cost ${write.amount(singly.total)} (${listed(singly.parts.map(({ name }) => name))})`;
}

/** Limits that are raised: "staff 1 to 5, at 5.00 a month each; products 100 to no limit, needed from May 2027 on". */
export function raisesWords({ raises }: Pick<StepUp, 'raises'>, write: Writer): string {
  return raises
    .map(({ quantity, from, to, perUnit, neededFrom }) => {
      const raised = `${featureWords(quantity)} ${write.number(from)} to ${to === null ? 'no limit' : write.number(to)}`;
      const each = perUnit === null ? '' : `, at ${write.number(perUnit)} a month for each one more`;
      return `${raised}${each}${neededFrom === null ? '' : `, needed from ${write.month(neededFrom)} on`}`;
    })
    .join('; ');
}

/** What a step costs more a month: "2.00 a month more at first, 20.00 from the renewal on". */
export function monthlyWords({ monthly: { now, renewal, currency } }: Pick<StepUp, 'monthly'>, write: Writer): string {
  const more = (amount: string) => `${write.money(amount.replace('-', ''), currency)} ${Number(amount) < 0 ? 'less' : 'more'}`;
  if (now === null && renewal === null) return '';
  if (now === renewal && now !== null) return `${more(now)} a month`;
  if (now === null) return `from the renewal on ${more(renewal ?? '0')} a month`;
  return `${more(now)} a month at first, ${renewal === null ? 'later not known' : `${more(renewal)} from the renewal on`}`;
}

/** From when on the higher plan is the better one. */
export function paysWords({ from, to, pair }: Pick<StepUp, 'from' | 'to' | 'pair'>, write: Writer): string {
  if (from.outgrown !== null) return `needed from ${write.month(from.outgrown)} on: ${from.plan} is outgrown`;
  if (!from.usable && to.usable) return `needed: ${from.plan} cannot be chosen`;
  if (!to.usable) return `${to.plan} cannot be chosen`;
  if (!pair) return '';
  const point = nearestPoint(pair.points.filter(({ above }) => above === to.candidate));
  if (!point) return pair.now === to.candidate ? 'at every level of sales' : 'at no level of sales';
  const when = point.reached ? `, reached in ${write.month(point.reached.month)}` : ', which this forecast does not reach';
  return `from ${write.amount(point.monthlySales)} a month on${point.scale <= 1 ? '' : when}`;
}

/** How many steps there are whose two plans can both be chosen, and how many of them cost less in all. */
export function stepsSentence(steps: readonly StepUp[]): string {
  const open = steps.filter(({ from, to }) => from.usable && to.usable);
  const paying = open.filter(({ total }) => Number(total) < 0).length;
  if (open.length === 0) return 'No step to a dearer plan is a matter of price alone: one of its two plans cannot be chosen.';
  const among = open.length === steps.length ? '' : ' that you can choose';
  if (open.length === 1) return `The one step to a dearer plan${among} ${paying === 1 ? 'pays' : 'does not pay'} for itself at your sales.`;
  if (paying === 0) return `None of the ${open.length} steps to a dearer plan${among} pays for itself at your sales.`;
  const which = paying === open.length ? `All ${paying}` : `${paying} of ${open.length}`;
  return `${which} steps to a dearer plan${among} ${paying === 1 ? 'pays for itself' : 'pay for themselves'} at your sales.`;
}

/** What comes with plans, in a sentence; null where nobody on the sheets sells any of it singly. */
export function comesWithSentence(rows: readonly ComesWith[], write: Writer): string | null {
  const [most] = rows;
  if (!most) return null;
  const { vendor, plan, cost, singly } = most;
  if (singly === null) return 'Plans have things in them that cost extra elsewhere; you have asked for none of them.';
  const name = `${vendor} ${plan}`;
  const features = listed(singly.parts.flatMap((part) => part.features).map(featureWords));
  const costs = write.amount(cost);
  const against = Number(singly.total) < Number(cost) ? `where the plan costs ${costs}` : `more than the plan at ${costs}`;
  return `Most comes with ${name}: bought singly, ${features} would cost ${write.amount(singly.total)}, ${against}.`;
}

/** Parts that things would be bought in: "mailings from Postmoor Letters, 312". */
export function partsWords({ singly }: Pick<ComesWith, 'singly'>, write: Writer): string {
  return (singly?.parts ?? [])
    .map(({ name, features, total }) => `${listed(features.map(featureWords))}: ${name}, ${write.amount(total)}`)
    .join('; ');
}

/** Until when something has to be claimed: "moving service by 1 February 2027". */
export function claimWords(claims: readonly ToClaim[], write: Writer): string {
  return claims.map(({ what, until }) => `${what} by ${write.day(until)}`).join(', ');
}

/** From which sales on a credit pays for its plan. */
export function creditSentence({ vendor, plan, cost, earned, monthlySales }: CreditPays, write: Writer): string {
  const now = `${vendor} ${plan}: its credit comes to ${write.amount(earned)} at your sales, the plan to ${write.amount(cost)}`;
  if (monthlySales === null) return `${now}. At no level of sales does the credit pay for all of it.`;
  return `${now}. The credit pays for all of it from sales of ${write.amount(monthlySales)} a month on.`;
}

export const comesWithTable = {
  whatComesWithAPlan: 'What comes with a plan, and what it is worth to you',
  plan: 'Plan',
  costs: 'Costs',
  singly: 'Singly',
  youWouldBuy: 'You would buy',
  alsoInItNotAsked: 'Also in it, not asked for',
  toBeClaimed: 'To be claimed',
};

export const screen = {
  nextPlanUp: 'Next plan up',
  noVendorHasASecond: 'No vendor has a second plan here',
  priceSheet: 'price sheet',
  enterASecondPlan: (priceSheet: ReactNode) => (
    <>
      Enter a second plan on a vendor’s {priceSheet}, and you see here what the dearer one adds: fees saved, features, room to grow, and the
      sales from which it pays.
    </>
  ),
  howStepsAreCounted: 'How steps are counted',
  worthTheDearerPlan: 'Worth the dearer plan?',
  eachPlanStandsAtItsBest: (months: number) =>
    `Each plan stands at its best way of paying for you. What it costs more is set against the fees it saves over ${months} months; what it adds besides is yours to weigh.`,
  thingsYouNeedOrWould: 'Things you need or would like come first among what a plan adds.',
  whatAPlanHas: 'What a plan has in it',
  isWorthWhatYou:
    'is worth what you would pay for it elsewhere on your price sheets: an add-on, or a tool that sells nothing itself. What you have not asked for is worth nothing to you. A day by which it has to be claimed is kept beside the figure on the price sheet.',
  creditsThatGrowWithSales: 'Credits that grow with sales',
  step: 'Step',
  plan: 'Plan',
  fees: 'Fees',
  addOnsAndTheRest: 'Add-ons and the rest',
  inAll: 'In all',
  pays: 'Pays',
  adds: (adds: string) => `Adds ${adds}.`,
};
