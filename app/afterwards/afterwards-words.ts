import type { AgainstForecast, MonthAgainst } from '#core/afterwards/against-forecast';
import type { MoveAdvice } from '#core/afterwards/move-now';
import type { Actuals } from '#core/decision/actuals-schema';
import type { Writer } from '../locale/writer';

const REASONS: ReadonlyArray<readonly [keyof MonthAgainst['why'], more: string, less: string]> = [
  ['volume', 'because you had more orders', 'because you had fewer orders'],
  ['orderValue', 'since orders were dearer', 'since orders were cheaper'],
  ['feeRates', 'since fees were higher than the price sheet says', 'since fees were lower than the price sheet says'],
  [
    'fixedCosts',
    'since plans and other costs were dearer than the price sheet says',
    'since plans and other costs were cheaper than the price sheet says',
  ],
  ['surprises', 'for what nobody expected', 'for what nobody expected'],
];

/** "+64 since fees were higher than the price sheet says", what is nothing left out, the largest first. */
export function reasonsWords(why: Readonly<Record<keyof MonthAgainst['why'], string | null>>, write: Writer): string[] {
  return REASONS.map(([reason, more, less]) => ({ amount: why[reason], more, less }))
    .filter(({ amount }) => amount !== null && Math.abs(Number(amount)) >= 0.005)
    .sort((a, b) => Math.abs(Number(b.amount)) - Math.abs(Number(a.amount)))
    .map(({ amount, more, less }) => `${write.difference(amount ?? '0')} ${Number(amount) > 0 ? more : less}`);
}

/** "So far it cost 214 more than expected: +120 because you had more orders, …" */
export function soFarSentence({ months, difference, expected, why }: AgainstForecast, write: Writer): string {
  const counted = months.filter((month) => month.difference !== null).length;
  if (counted === 0) return 'Enter what months really brought and cost, and see where it differs from what was expected, and why.';
  const over = `Over ${counted} ${counted === 1 ? 'month' : 'months'}`;
  if (Math.abs(Number(difference)) < 0.005) return `${over} it cost what was expected, ${write.amount(expected)}.`;
  return `${over} it cost ${write.amount(difference.replace('-', ''))} ${Number(difference) > 0 ? 'more' : 'less'} than the ${write.amount(expected)} expected: ${reasonsWords(why, write).join(', ')}.`;
}

/**
 * "Enter what months really brought and cost. For example: 97 orders in January 2027 instead of 121 would have cost 31
 * less, because you had fewer orders."
 */
export function exampleSentence(example: Actuals, against: AgainstForecast | null, write: Writer): string {
  const ask = 'Enter what each month really brought and cost: you’ll see where it differs from what you expected, and why.';
  const [month, real] = Object.entries(example)[0] ?? [];
  const found = against?.months.find((one) => one.month === month);
  if (month === undefined || real?.orders === undefined || !found || found.difference === null) return ask;
  const less = write.amount(found.difference.replace('-', ''));
  const cost = Number(found.difference) > 0 ? `${less} more` : `${less} less`;
  return `${ask} For example, ${write.number(real.orders, 0)} orders in ${write.month(month)} instead of ${write.number(found.expected.orders, 0)} would have cost you ${cost} in fees.`;
}

/** "Orders go at 83% of the forecast. Stay with Marlpit Grow." */
export function adviceSentence(
  { orders, orderValue, seen, current, canStay, move }: MoveAdvice,
  nameOf: (id: string | null) => string,
  write: Writer,
): string {
  const percent = (factor: string) => `${write.percent((Number(factor) * 100).toFixed(0), 0)}`;
  const values = Math.abs(Number(orderValue) - 1) < 0.005 ? '' : `, order values at ${percent(orderValue)}`;
  const level = `Over the last ${seen === 1 ? 'month' : `${seen} months`} orders went at ${percent(orders)} of what was expected${values}. If they go on so,`;
  if (move && move.saves === null)
    return `${level} ${nameOf(current)} will be outgrown: move to ${nameOf(move.candidate)} in ${write.month(move.month)}.`;
  if (move)
    return `${level} move to ${nameOf(move.candidate)} in ${write.month(move.month)}: that saves ${write.amount(move.saves ?? '0')} over the rest of the time, what moving takes included.`;
  return canStay
    ? `${level} stay with ${nameOf(current)}: no switch saves more than it costs.`
    : `${level} ${nameOf(current)} will be outgrown, and there is no other that can be used to the end.`;
}
