import { nearestPoint } from '#core/what-if/break-evens';
import type { StepUp } from '#core/what-if/steps-up';
import { featureWords } from '#core/wording/need-words';
import type { Writer } from '../../locale/writer';

/** So many added features are named, needed ones always. */
const NAMED = 3;

/** "Marlpit: Grow instead of Start costs 912 more, saves 1,122 in fees: 210 less in all." */
export function stepSentence({ vendor, from, to, plan, fees, total }: StepUp, write: Writer): string {
  const amount = (decimal: string) => write.whole(decimal.replace('-', ''));
  const costs = Number(plan) < 0 ? `costs ${amount(plan)} less` : `costs ${amount(plan)} more`;
  const inFees = feesWords(fees, amount);
  const inAll = Number(total) === 0 ? 'the same in all' : `${amount(total)} ${Number(total) < 0 ? 'less' : 'more'} in all`;
  return `${vendor}: ${to.plan} instead of ${from.plan} ${costs}${inFees}: ${inAll}.`;
}

function feesWords(fees: string, amount: (decimal: string) => string): string {
  if (Number(fees) === 0) return '';
  return Number(fees) < 0 ? ` and saves ${amount(fees)} in fees` : ` and ${amount(fees)} more in fees`;
}

/** What the higher plan adds: "gift cards, two languages and 4 more". */
export function addsWords({ adds, needed }: Pick<StepUp, 'adds' | 'needed'>): string {
  if (adds.length === 0) return '';
  const named = adds.slice(0, Math.max(NAMED, needed)).map(featureWords);
  const left = adds.length - named.length;
  return left === 0 ? named.join(', ') : `${named.join(', ')} and ${left} more`;
}

/** Limits that are raised: "staff 1 to 5, products 100 to no limit". */
export function raisesWords({ raises }: Pick<StepUp, 'raises'>, write: Writer): string {
  return raises
    .map(({ quantity, from, to }) => `${featureWords(quantity)} ${write.number(from)} to ${to === null ? 'no limit' : write.number(to)}`)
    .join(', ');
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
  return `from ${write.whole(point.monthlySales)} a month on${point.scale <= 1 ? '' : when}`;
}

/** How many steps there are, and how many of them cost less in all. */
export function stepsSentence(steps: readonly StepUp[]): string {
  const paying = steps.filter(({ from, to, total }) => from.usable && to.usable && Number(total) < 0).length;
  if (steps.length === 1) return `The one step to a dearer plan ${paying === 1 ? 'pays' : 'does not pay'} for itself at your sales.`;
  if (paying === 0) return `None of the ${steps.length} steps to a dearer plan pays for itself at your sales.`;
  const which = paying === steps.length ? `All ${paying}` : `${paying} of ${steps.length}`;
  return `${which} steps to a dearer plan ${paying === 1 ? 'pays for itself' : 'pay for themselves'} at your sales.`;
}
