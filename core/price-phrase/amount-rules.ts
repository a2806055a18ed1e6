import { decimal } from '../amount/decimal';
import { first, made, type Match, number, optional, type Rule, sequence, sign, type Tokens, word, words } from './grammar';
import type { NamedCurrency } from './statement';
import { tokensOf } from './tokens';
import { ADVERBS, AS_WRITTEN, monthsOf, PERIODS } from './vocabulary';

/** An amount of money; null where the phrase says that it is not known. */
export interface Money {
  readonly amount: string | null;
  readonly currency?: NamedCurrency;
}

const currency: Rule<string> = (tokens, at) => {
  const token = tokens[at];
  return token?.kind === 'currency' ? { value: token.code, next: at + 1 } : null;
};

/** "c", "ct", "cents" or "p" behind a number: a hundredth. A "p" with a point is the start of "p.a.". */
const hundredth: Rule<string> = (tokens, at) => {
  const match = first(word('c', 'ct', 'cts', 'cent', 'cents', 'p', 'pence'), sign('¢'))(tokens, at);
  const after = tokens[at + 1];
  return match?.value === 'p' && after?.kind === 'sign' && after.text === '.' ? null : match;
};

const figure = made(
  sequence(optional(currency), number, optional(hundredth), optional(currency)),
  ([before, { value }, cents, behind]): Money => {
    const named = before ?? behind;
    return { amount: cents ? hundredths(value) : value, ...(named ? { currency: named } : {}) };
  },
);

/** Cents as an amount: 25 is "0.25", half a cent "0.005". */
function hundredths(cents: string): string {
  const amount = decimal(cents).div(100);
  return amount.toFixed(Math.max(2, amount.decimalPlaces()));
}

/** That something is charged, but nobody knows how much. */
export const notKnown = words('?', 'not known', 'unknown', 'not stated', 'tbd');

/** An amount of money: "27", "€27", "27 EUR", "25c", "nothing", "?". */
export const money: Rule<Money> = first<Money>(
  (tokens, at) => {
    const match = figure(tokens, at);
    return match && !isPercentNext(tokens, match.next) ? match : null;
  },
  made(notKnown, () => ({ amount: null })),
  made(words('nothing', 'no charge', 'free of charge'), () => ({ amount: '0' })),
);

function isPercentNext(tokens: Tokens, at: number): boolean {
  return sign('%')(tokens, at) !== null || word('percent', 'pct')(tokens, at) !== null;
}

const percentSign = first(sign('%'), word('percent', 'pct'));

/** A percentage; null where it is not known: "2.7%", "2.7 percent", "?%". */
export const percent: Rule<{ percent: string | null }> = first<{ percent: string | null }>(
  made(sequence(number, percentSign), ([{ value }]) => ({ percent: value })),
  made(sequence(notKnown, percentSign), () => ({ percent: null })),
);

/** A count: of "1,000" the thousand is meant. */
export const count: Rule<string> = made(number, ({ value, whole }) => whole ?? value);

/** A count that must be whole, such as of days or payments. */
export const wholeCount: Rule<number> = made(count, (value) => (/^\d{1,6}$/.test(value) ? Number(value) : null));

const periodWord = made(words(...PERIODS), monthsOf);

/** A time: "2 months", "year", "half-year"; in months. */
export const duration: Rule<number> = made(sequence(optional(wholeCount), periodWord), ([times, months]) => (times ?? 1) * months);

const adverb = made(words(...ADVERBS), monthsOf);

/** How often, in months: "/mo", "per year", "a month", "every 2 years", "yearly", "p.a.". */
export const period: Rule<number> = first<number>(
  made(sequence(first(sign('/'), words('per', 'a', 'an', 'each', 'every', 'by the', 'for a', 'the')), duration), ([, months]) => months),
  adverb,
  made(words('p . a .', 'p . a', 'pa'), () => 12),
  made(words('p . m .', 'p . m', 'pm'), () => 1),
);

const PAID = [
  'billed',
  'paid',
  'payable',
  'charged',
  'invoiced',
  'if paid',
  'if billed',
  'when paid',
  'when billed',
  'if you pay',
  'when you pay',
  'paying',
  'with',
];
const AHEAD = words('ahead', 'up front', 'upfront', 'in advance', 'in one go', 'at once');
const BILLING = words('billing', 'payment', 'prepayment');

/** How payment falls due, in months: "billed yearly", "paid 2 years ahead", "paid by the year", "with annual billing". */
export const billed: Rule<number> = first<number>(
  made(
    sequence(
      words(...PAID),
      optional(AHEAD),
      first(
        adverb,
        period,
        made(sequence(words('for'), duration), ([, months]) => months),
        duration,
      ),
      optional(AHEAD),
      optional(BILLING),
    ),
    ([, , months]) => months,
  ),
  made(sequence(adverb, BILLING), ([months]) => months),
  made(sequence(duration, AHEAD), ([months]) => months),
);

/** A run of words that name something, such as "extra staff accounts"; ends at words that carry the phrase on. */
export const noun: Rule<string> = (tokens, at) => {
  const named: string[] = [];
  const start = tokens[at];
  if (start?.kind === 'quoted') return { value: `${AS_WRITTEN}${start.text}`, next: at + 1 };
  let next = at;
  for (; named.length < 4; next += 1) {
    const token = tokens[next];
    if (token?.kind !== 'word' || (isEndOfNoun(token.text, named.length) && !belongsTo(named.at(-1), token.text))) break;
    named.push(token.text);
  }
  return named.length === 0 ? null : { value: named.join(' '), next };
};

const ENDS = new Set(
  (
    'over a an the per each then up to at for or and included includes free with without if when by in on every is are extra additional further after beyond above ' +
    'through only as max maximum min minimum capped once no not unlimited yes billed paid charged monthly yearly annually any all next first plus until save ' +
    'setup from off tax but nothing flat'
  ).split(' '),
);

/** Whether a name can stand in a phrase without quotation marks: one word that does not carry the phrase on. */
export function isPlainName(name: string): boolean {
  const [token, ...others] = tokensOf(name);
  return (
    token?.kind === 'word' && others.length === 0 && token.text === name && /^[a-z]{2,}$/.test(name) && !ENDS.has(name) && name !== 'of'
  );
}

function isEndOfNoun(text: string, position: number): boolean {
  if (text === 'of') return position === 0;
  return ENDS.has(text);
}

/** "plug-in" and "add-on" are one word each. */
function belongsTo(before: string | undefined, text: string): boolean {
  return (before === 'plug' && text === 'in') || (before === 'add' && text === 'on');
}

/** Rules may look ahead: whether a clause can end here. */
export function isEnd(tokens: Tokens, at: number): boolean {
  const token = tokens[at];
  return (
    token === undefined ||
    token.kind === 'line' ||
    (token.kind === 'sign' && [',', ';', '.', ')'].includes(token.text)) ||
    (token.kind === 'word' && ['or', 'and', 'then', 'but'].includes(token.text))
  );
}

/** A rule that holds only where a clause can end behind it. */
export function whole<Value>(rule: Rule<Value>): Rule<Value> {
  return (tokens, at): Match<Value> | null => {
    const match = rule(tokens, at);
    return match && isEnd(tokens, match.next) ? match : null;
  };
}
