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
