import { readTypedNumber } from '../amount/typed-number';
import { readTypedRate, type TypedRate } from '../amount/typed-rate';
import type { Stream } from '../decision-file/forecast-schema';

/** What a question is about besides sales. */
export type AskedAbout = 'dearer-plan' | 'moving' | 'paying-ahead' | 'investment';

/** What a question typed as a sentence says; null for each thing it does not say. */
export interface ReadQuestion {
  /** What is sold, beginning with a capital. */
  readonly label: string | null;
  readonly kind: Stream['kind'] | null;
  /** Orders or subscribers by the month. */
  readonly pace: Extract<TypedRate, { ok: true }> | null;
  /** What one costs. */
  readonly price: string | null;
  /** Of subscriptions: every how many months it is paid. */
  readonly every: number | null;
  readonly currency: string | null;
  readonly asks: AskedAbout | null;
}

const AMOUNT = String.raw`\d+(?:[.,’' ]\d+)*`;
const MONEY = String.raw`(?:[€£$]\s*)?${AMOUNT}(?:\s*(?:[€£$]|eur|euros?|gbp|pounds?|usd|dollars?))?`;
const PERIOD = String.raw`(?:an?|per|each|every|\/)\s*(?:days?|weeks?|months?|quarters?|years?)|daily|weekly|monthly|yearly`;
/** “30 courses a year”, “between 5 and 60 kites a month”, “200 members”. */
const PACE = new RegExp(
  String.raw`(?<![\d€£$.,–-])(?:between\s+)?(${AMOUNT}(?:\s*(?:to|and|–|-)\s*${AMOUNT})?)\s+((?:[a-z][a-z’'-]*\s+){0,3}?)(${PERIOD})(?![a-z])`,
  'i',
);
const HAVING = new RegExp(
  String.raw`(?<![\d€£$.,–-])(${AMOUNT})\s+((?:[a-z][a-z’'-]*\s+){0,2}?(?:members|subscribers|subscriptions|memberships))\b`,
  'i',
);
const PRICE = new RegExp(
  String.raw`\b(?:at|for|worth|costing|cost|costs|priced at)\s+(?:about\s+)?(${MONEY})\s*(?:each\b)?\s*(${PERIOD})?`,
  'i',
);
const EACH = new RegExp(String.raw`(${MONEY})\s*(?:each|apiece)\b`, 'i');

const KINDS: ReadonlyArray<readonly [kind: Stream['kind'], words: RegExp]> = [
  ['subscription', /\b(members?|memberships?|subscribers?|subscriptions?)\b/i],
  ['digital', /\b(courses?|downloads?|e-?books?|patterns?|videos?|lessons?|templates?|tickets?)\b/i],
  ['service', /\b(sessions?|consultations?|hours|bookings?|workshops?|repairs?|appointments?)\b/i],
];
const CURRENCIES: ReadonlyArray<readonly [code: string, words: RegExp]> = [
  ['EUR', /€|\beur(os?)?\b/i],
  ['GBP', /£|\bgbp\b|\bpounds?\b/i],
  ['USD', /\$|\busd\b|\bdollars?\b/i],
];
const ASKED: ReadonlyArray<readonly [about: AskedAbout, words: RegExp]> = [
  ['moving', /\bwhen\b.*\b(move|switch|change|go up)\b/i],
  ['paying-ahead', /\b(pay|paying|paid|billed)\b.*\b(ahead|yearly|by the year|annually|a year at once)\b/i],
  ['investment', /\b(designer|custom|rebuild|investment|agency)\b/i],
  ['dearer-plan', /\b(dearer|bigger|larger|higher|next|better) (plan|one|tier)\b|\bupgrad|\bworth it\b/i],
];
/** Words that stand between a count and its period and do not say what is sold. */
const NOT_SOLD = /^(orders?|sales|pieces|of|about|or|so|them|a|in)$/i;
const MONTHS_OF_A_YEAR = 12;
/** What the fields of expected sales take as well; what is beyond it is not filled in. */
const FIELD_BOUNDS = { least: 0, most: 1_000_000_000 };

/**
 * Reads what a question says of sales.
 *
 * @example readQuestion('30 courses a year at 60, is the dearer plan worth it?')
 * // { label: 'Courses', kind: 'digital', pace: { value: '2.5', … }, price: '60', asks: 'dearer-plan', … }
 */
export function readQuestion(text: string): ReadQuestion {
  const having = HAVING.exec(text);
  const paced = having ? null : PACE.exec(text);
  const sold =
    (having ?? paced)?.[2]
      ?.trim()
      .split(/\s+/)
      .filter((word) => word !== '' && !NOT_SOLD.test(word)) ?? [];
  const label = sold.length > 0 ? capital(sold.join(' ')) : null;
  const kind = label === null ? null : (KINDS.find(([, words]) => words.test(label))?.[0] ?? 'goods');
  const typed = having ? plain(having[1]) : pacedText(paced);
  const rate = typed === null ? null : readTypedRate(typed, { ...FIELD_BOUNDS, wanted: 'a number' });
  const rest = paced ? text.replace(paced[0], ' ') : text;
  const priced = PRICE.exec(rest) ?? EACH.exec(rest);
  const price = priced ? readTypedNumber(plain(priced[1]).replaceAll(/[^\d.,]/g, ''), { ...FIELD_BOUNDS, wanted: 'an amount' }) : null;
  const paidEvery = /year/i.test(priced?.[2] ?? '') ? MONTHS_OF_A_YEAR : 1;
  return {
    label,
    kind,
    pace: rate?.ok ? rate : null,
    price: price?.ok ? price.value : null,
    every: kind === 'subscription' && priced ? paidEvery : null,
    currency: CURRENCIES.find(([, words]) => words.test(text))?.[0] ?? null,
    asks: ASKED.find(([, words]) => words.test(text))?.[0] ?? null,
  };
}

function pacedText(paced: RegExpExecArray | null): string | null {
  return paced ? `${plain(paced[1])} ${paced[3]}` : null;
}

/** Figures without their groups of thousands: three digits behind a mark are none of a cent. */
function plain(figures = ''): string {
  return figures.replaceAll(/(?<=\d)[.,’' ](?=\d{3}(?!\d))/g, '');
}

function capital(words: string): string {
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
}
