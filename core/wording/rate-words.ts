import type { Charge } from '../decision-file/price-sheet-schema';
import { amountWords, type WriteNumber } from './charges/charge-words';
import { wordsOf } from './charges/words';
import { channelWords } from './channel-words';
import { paidWithAny } from './paid-with';

export type { WriteNumber };

/**
 * A charge's rate the way a price sheet states it.
 *
 * @param write - writes a decimal in the person's locale
 * @example rateWords(cardFee, String) // '1.7% + 0.25'
 */
export function rateWords(charge: Charge, write: WriteNumber): string {
  const { monthlyMin, monthlyCap, totalCap, from, until } = charge;
  const words = wordsOf(charge);
  const parts = [words.rate(write), ...words.bounds(write)];
  if (monthlyMin !== undefined) parts.push(`at least ${amountWords(monthlyMin, write)} a month`);
  if (monthlyCap !== undefined) parts.push(`at most ${amountWords(monthlyCap, write)} a month`);
  if (totalCap !== undefined) parts.push(`at most ${amountWords(totalCap, write)} in all`);
  if (charge.against !== undefined) parts.push('only to pay for the plan');
  if (from !== undefined) parts.push(`from ${from}`);
  if (until !== undefined) parts.push(`until ${until}`);
  return parts.join(', ');
}

/** What a charge counts, in words: "of each order", "of sales", "each subscriber". */
export function countedWords(charge: Charge): string {
  if (charge.how === 'per-order') return 'per order';
  const on = charge.on ?? 'orders';
  if (on === 'sales') return 'of sales';
  return `on ${on.replaceAll('-', ' ')}`;
}

/** Which orders a charge is narrowed to, in words; empty if it counts all. */
export function narrowedWords({ only }: Charge): string {
  if (!only) return '';
  const { cards, channels, kinds, streams, payments } = only;
  const parts: string[] = [];
  if (cards) parts.push(paidWithAny(cards));
  if (channels) parts.push(channels.map(channelWords).join(' or '));
  if (kinds) parts.push(`${list(kinds)} only`);
  if (streams) parts.push(`${list(streams)} only`);
  if (payments) parts.push(payments === 'own' ? 'with the platform’s own payments' : 'with an outside processor');
  return parts.join(', ');
}

function list(names: readonly string[]): string {
  return names.map((name) => name.replaceAll('-', ' ')).join(' and ');
}
