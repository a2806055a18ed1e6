import { count, isEnd, money, noun, period, whole } from './amount-rules';
import { first, longest, made, optional, type Rule, sequence, sign, word, words } from './grammar';
import { asks, inCurrency, type Reading, states, stating } from './reading';
import type { Statement } from './statement';
import { isUsualQuantity, quantityOf, SALES_WORDS } from './vocabulary';
import { capital } from '../wording/capital';

const UP_TO = words(
  'up to',
  'max',
  'max .',
  'maximum',
  'maximum of',
  'at most',
  'limited to',
  'no more than',
  'not more than',
  'for up to',
  'includes up to',
  'as many as',
);
const UNLIMITED = words('unlimited', 'no limit on', 'no limit of', 'any number of', 'unmetered', 'as many');

/** The quantity a limit is on; amounts of sales are money. */
const counted = first<{ most: string; words: string; currency?: string }>(
  made(sequence(count, optional(word('of')), noun), ([most, , words]) => ({ most, words })),
  made(sequence(money, optional(words('of', 'in')), words(...SALES_WORDS)), ([limit, , words]) =>
    limit.amount === null ? null : { most: limit.amount, words, ...inCurrency(limit) },
  ),
);

const YEAR = 12;

function limitOf(words: string, most: string | true | null, currency?: string): Extract<Statement, { kind: 'limit' }> {
  return { kind: 'limit', quantity: quantityOf(words, []), most, ...(currency ? { currency } : {}) };
}

const atMost: Rule<Reading> = made(sequence(UP_TO, counted, optional(period)), ([, { most, words, currency }, months]) => {
  const statement = limitOf(words, most, currency);
  if (months === undefined || months === 1) return states(statement);
  if (months === YEAR) return states({ ...statement, yearly: true });
  const monthly = Number(most) / months;
  return asks(`Limits hold for a month; the page says ${most} in ${months} months.`, [
    `${monthly.toFixed(2)} a month`,
    limitOf(words, monthly.toFixed(2), currency),
  ]);
});

/** "2 seats": a usual quantity with nothing else said. */
const plainCount: Rule<Reading> = (tokens, at) => {
  const match = sequence(counted, optional(period))(tokens, at);
  const next = match && tokens[match.next];
  if (!match || !isUsualQuantity(match.value[0].words) || (!isEnd(tokens, match.next) && next !== undefined)) return null;
  const [{ most, words, currency }] = match.value;
  return { value: states(limitOf(words, most, currency)), next: match.next };
};

/** "220 orders included" without a word on what comes then. */
const includedOnly: Rule<Reading> = whole(
  made(
    sequence(optional(words('up to')), counted, optional(period), words('included', 'free', 'are included', 'are free')),
    ([, { most, words }]) => {
      const quantity = quantityOf(words, []);
      const on = quantity === 'orders' ? {} : { on: quantity };
      const label = quantity === 'orders' ? 'Orders beyond the allowance' : capital(words);
      const charge: Statement = {
        kind: 'charge',
        charge: { label, bucket: quantity === 'orders' ? 'transaction' : 'usage', how: 'per-unit', ...on, each: null, free: most },
      };
      return asks(
        `What happens beyond ${most} ${words}?`,
        ['the plan ends there', limitOf(words, most)],
        ['more is charged, but not known how much', charge],
      );
    },
  ),
);

const unlimited: Rule<Reading> = first<Reading>(
  stating(sequence(UNLIMITED, noun), ([, words]) => limitOf(words, true)),
  stating(sequence(noun, optional(sign(':')), words('unlimited', 'no limit', 'without limit')), ([words]) => limitOf(words, true)),
);
const limitNotKnown: Rule<Reading> = stating(
  sequence(words('limit of', 'limit on'), noun, words('not known', '?', 'not stated')),
  ([, words]) => limitOf(words, null),
);

/** How far a plan goes: limits on what it counts. */
export const limitRule: Rule<Reading> = longest<Reading>(atMost, includedOnly, unlimited, limitNotKnown, plainCount);
