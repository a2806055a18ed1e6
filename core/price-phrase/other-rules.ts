import { count, money, type Money, noun, notKnown, whole } from './amount-rules';
import { first, longest, made, number, optional, type Rule, sequence, sign, word, words } from './grammar';
import { inCurrency, type Reading, states, stating } from './reading';
import type { Statement } from './statement';
import { isoDate, writtenDate } from './date-rules';
import { nameOf } from './vocabulary';

const JOINING = words(
  'setup fee',
  'set up fee',
  'setup',
  'set up',
  'joining fee',
  'to join',
  'on joining',
  'activation fee',
  'activation',
  'sign up fee',
  'one time setup fee',
  'one time set up fee',
  'one time setup',
  'one time fee',
  'installation fee',
  'to set up',
  'paid on joining',
);

function joiningOf({ amount, currency }: Money, label: string): Statement | null {
  return amount === null ? null : { kind: 'joining', label, amount, ...inCurrency(currency ? { currency } : {}) };
}

const quoted: Rule<string> = (tokens, at) => {
  const token = tokens[at];
  return token?.kind === 'quoted' ? { value: token.text, next: at + 1 } : null;
};

const joining: Rule<Reading> = first<Reading>(
  stating(sequence(money, words('on joining for'), quoted), ([price, , label]) => joiningOf(price, label)),
  stating(
    sequence(money, optional(sign(',')), optional(words('for', 'as')), optional(word('the', 'a')), JOINING, optional(word('once'))),
    ([price, , , , words]) => joiningOf(price, labelOf(words)),
  ),
  stating(sequence(JOINING, optional(first<unknown>(sign(':'), words('of', 'is', 'costs'))), money), ([words, , price]) =>
    joiningOf(price, labelOf(words)),
  ),
  stating(sequence(word('no'), JOINING), ([, words]) => joiningOf({ amount: '0' }, labelOf(words))),
);

function labelOf(words: string): string {
  return /fee/.test(words) && !/one time/.test(words) ? words.charAt(0).toUpperCase() + words.slice(1) : 'Joining fee';
}

const YES = words('yes', 'included', '✓', '✔', 'available', 'true');
const NO = words('no', 'not included', 'not offered', '✗', '✕', '✘', 'not available', 'false', 'none');
const value: Rule<{ value: boolean | string | null }> = first<{ value: boolean | string | null }>(
  made(YES, () => ({ value: true })),
  made(NO, () => ({ value: false })),
  made(notKnown, () => ({ value: null })),
  made(words('unlimited', 'no limit'), () => ({ value: true })),
  made(count, (found) => ({ value: found })),
);

/** "gift cards: yes", "languages: 3", "no gift cards", "with abandoned baskets". */
const feature: Rule<Reading> = first<Reading>(
  stating(sequence(noun, sign(':'), whole(value)), ([words, , { value: found }]) => ({
    kind: 'feature',
    feature: nameOf(words),
    value: found,
  })),
  stating(sequence(word('no', 'without'), optional(word('own')), whole(noun)), ([, , words]) => ({
    kind: 'feature',
    feature: nameOf(words),
    value: false,
  })),
  stating(sequence(words('with', 'includes', 'including'), whole(noun)), ([, words]) => ({
    kind: 'feature',
    feature: nameOf(words),
    value: true,
  })),
  stating(whole(sequence(noun, words('included', 'available'))), ([words]) => ({ kind: 'feature', feature: nameOf(words), value: true })),
);

const uptime: Rule<Reading> = stating(
  sequence(number, sign('%'), first(words('uptime', 'availability', 'uptime promise', 'uptime guarantee'))),
  ([{ value: found }]) => ({ kind: 'feature', feature: 'uptime', value: found }),
);

const tax: Rule<Reading> = first<Reading>(
  stating(
    words(
      'prices exclude vat',
      'prices exclude tax',
      'vat not included',
      'tax not included',
      'plus tax',
      'plus vat',
      'excl . tax',
      'excl . vat',
      'excl vat',
      'excl tax',
      'excluding tax',
      'excluding vat',
      'all prices plus tax',
      'all prices plus vat',
      'all prices excl . vat',
      'before tax',
      '+ vat',
      'prices without tax',
    ),
    () => ({ kind: 'tax', excluded: true }),
  ),
  stating(
    words(
      'prices include vat',
      'prices include tax',
      'vat included',
      'sales tax included',
      'tax included',
      'incl . tax',
      'incl . vat',
      'incl vat',
      'including tax',
      'including vat',
      'prices with tax',
    ),
    () => ({ kind: 'tax', excluded: false }),
  ),
);

const offer: Rule<Reading> = first<Reading>(
  stating(
    sequence(
      words('until', 'offer until', 'offer ends', 'offer ends on', 'valid until', 'ends', 'ends on', 'only until', 'till', 'by'),
      first(isoDate, writtenDate),
    ),
    ([, until]) => ({ kind: 'offer', until }),
  ),
  stating(words('for new customers', 'new customers only', 'for new customers only', 'for first time customers'), () => ({
    kind: 'offer',
    forWhom: 'new customers',
  })),
  made(
    sequence(words('for the first', 'only for the first', 'first'), count, words('buyers', 'customers', 'orders only', 'members only')),
    ([, times, who]) => states({ kind: 'offer', forWhom: `the first ${times} ${who}` }),
  ),
);

/** What else a page states: joining fees, features, uptime, tax, until when an offer holds. */
export const otherRule: Rule<Reading> = longest<Reading>(joining, uptime, tax, feature, offer);
