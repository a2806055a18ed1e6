import { decimal } from '../amount/decimal';
import type { Band } from '../decision-file/price-sheet-schema';
import { count, money, type Money, noun, percent, period } from './amount-rules';
import { first, longest, made, many, meaning, optional, type Rule, sequence, sign, word, words } from './grammar';
import type { ChargeDraft } from './charge-draft';
import { quantityOf } from './vocabulary';

/** Tiers as a phrase gives them; `ask` where it does not say whether each part has its own price. */
export interface Tiers {
  readonly quantity: string;
  /** The words for the quantity, for the charge's name. */
  readonly words: string;
  readonly bands: Band[];
  readonly how: 'graduated' | 'volume' | 'ask';
  readonly currency?: string;
}

const part: Rule<Partial<Band>> = first<Partial<Band>>(
  made(sequence(percent), ([{ percent: rate }]) => ({ percent: rate })),
  made(sequence(money, word('each')), ([{ amount }]) => ({ each: amount })),
  made(sequence(money, word('flat')), ([{ amount }]) => ({ flat: amount })),
);
const parts = first<Partial<Band>>(
  made(word('nothing'), () => ({})),
  made(many(part, sign('+')), (all) => (all.length === 0 ? null : (Object.assign({}, ...all) as Partial<Band>))),
);
const edge: Rule<string | null> = first<string | null>(
  made(sequence(words('up to'), count), ([, upTo]) => upTo),
  meaning(word('beyond'), null),
);

/** "each part of subscribers at its own price: 2.10 each up to 120; 0.95 each beyond". */
const written: Rule<Tiers> = made(
  sequence(
    first<{ words: string; how: 'graduated' | 'volume' }>(
      made(sequence(words('each part of'), noun, words('at its own price', 'at its own rate')), ([, words]) => ({
        words,
        how: 'graduated',
      })),
      made(sequence(word('all'), noun, words('at the price reached', 'at the rate reached')), ([, words]) => ({ words, how: 'volume' })),
    ),
    sign(':'),
    many(sequence(parts, edge), first<unknown>(sign(';'), sign(','))),
  ),
  ([{ words, how }, , found]) =>
    found.length === 0 ? null : { quantity: quantityOf(words, []), words, how, bands: found.map(([rate, upTo]) => ({ upTo, ...rate })) },
);

type Rate = { readonly money?: Money; readonly percent?: string | null };
const rate: Rule<Rate> = first<Rate>(
  percent,
  made(money, (amount) => ({ money: amount })),
);
const per = words('per', '/', 'each', 'a', 'an', 'for each', 'for every', 'of', 'on');
const between = optional(first<unknown>(sequence(sign(',', ';'), word('then', 'and')), sign(',', ';'), word('then', 'and')));
const beyond = optional(words('each', 'above that', 'beyond that', 'above', 'beyond', 'after that', 'thereafter'));
const next = optional(
  first<unknown>(
    words('then', 'above that', 'beyond that', 'above', 'beyond', 'after that', 'thereafter'),
    sequence(word('then'), optional(word('only'))),
  ),
);
const eachOf = optional(first<unknown>(word('each'), sequence(per, noun)));

function bandOf({ money: amount, percent: share }: Rate, upTo: string | null): Band {
  return share === undefined ? { upTo, each: amount?.amount ?? null } : { upTo, percent: share };
}

const currencyOf = ({ money: amount }: Rate) => (amount?.currency ? { currency: amount.currency } : {});

/** "2.10 per subscriber up to 120, 1.45 up to 600, then 0.95". */
const upToEach: Rule<Tiers> = made(
  sequence(
    sequence(rate, per, noun, words('up to', 'for up to'), count, optional(noun)),
    many(sequence(between, rate, eachOf, words('up to', 'for up to'), count, optional(noun))),
    optional(sequence(between, next, rate, eachOf, beyond)),
  ),
  ([[base, , words, , upTo], more, last]) => {
    if (more.length === 0 && !last) return null;
    const bands = [bandOf(base, upTo), ...more.map(([, each, , , top]) => bandOf(each, top)), ...(last ? [bandOf(last[2], null)] : [])];
    return { quantity: quantityOf(words, []), words, bands, how: 'ask', ...currencyOf(base) };
  },
);

/** "2.00 per subscriber for the first 100, 1.50 for the next 400, then 1.00". */
const firstAndNext: Rule<Tiers> = made(
  sequence(
    sequence(rate, eachOf, optional(period), words('for the first', 'for your first', 'on the first', 'the first'), count, optional(noun)),
    many(sequence(between, rate, eachOf, words('for the next', 'on the next', 'the next'), count, optional(noun))),
    optional(
      sequence(
        between,
        next,
        rate,
        eachOf,
        optional(words('for all further', 'for every further', 'for each further', 'beyond that', 'above that', 'after that')),
        optional(noun),
      ),
    ),
  ),
  ([[base, unit, , , width, after], more, last]) => {
    if (more.length === 0 && !last) return null;
    const named = after ?? nounIn(unit) ?? more.map((one) => one[5] ?? nounIn(one[2])).find((one) => one !== undefined);
    if (named === undefined) return null;
    let top = decimal(width);
    const bands = [bandOf(base, top.toFixed())];
    for (const [, each, , , wide] of more) {
      top = top.plus(wide);
      bands.push(bandOf(each, top.toFixed()));
    }
    if (last) bands.push(bandOf(last[2], null));
    return { quantity: quantityOf(named, []), words: named, bands, how: 'graduated', ...currencyOf(base) };
  },
);

function nounIn(unit: unknown): string | undefined {
  return Array.isArray(unit) && typeof unit[1] === 'string' ? unit[1] : undefined;
}

/** "2.10 per subscriber for the first 120, 1.45 up to 600, 0.95 after". */
const firstThenUpTo: Rule<Tiers> = made(
  sequence(
    sequence(rate, per, noun, words('for the first', 'for your first', 'on the first'), count),
    many(sequence(between, rate, eachOf, words('up to', 'for up to'), count, optional(noun))),
    optional(
      sequence(between, next, rate, eachOf, words('after', 'after that', 'beyond', 'beyond that', 'above', 'above that', 'thereafter')),
    ),
  ),
  ([[base, , words, , upTo], more, last]) => {
    if (more.length === 0 && !last) return null;
    const bands = [bandOf(base, upTo), ...more.map(([, each, , , top]) => bandOf(each, top)), ...(last ? [bandOf(last[2], null)] : [])];
    return { quantity: quantityOf(words, []), words, bands, how: 'graduated', ...currencyOf(base) };
  },
);

const flat = made(
  sequence(money, optional(period), words('up to', 'for up to', 'for'), count, optional(noun), optional(period)),
  ([price, , , top, words]) => ({ price, top, words }),
);
const flatBefore = made(
  sequence(optional(words('up to')), count, optional(noun), sign(':'), money, optional(period)),
  ([, top, words, , price]) => ({ price, top, words }),
);

/** "60 up to 4,000 contacts; 130 up to 9,000", "2,500 orders: 700; 8,000: 1,150": a price for each step. */
const steps: Rule<Tiers> = made(
  sequence(longest(many(flat, between), many(flatBefore, between)), optional(sequence(between, next, money, optional(period), beyond))),
  ([found, last]) => {
    const words = found.find((one) => one.words !== undefined)?.words;
    if (found.length < 2 || words === undefined) return null;
    const bands: Band[] = [
      ...found.map(({ price, top }) => ({ upTo: top, flat: price.amount })),
      ...(last ? [{ upTo: null, flat: last[2].amount }] : []),
    ];
    const currency = found[0]?.price.currency;
    return { quantity: quantityOf(words, []), words, bands, how: 'volume', ...(currency ? { currency } : {}) };
  },
);

/** Prices that change with the quantity. */
export const tiersRule: Rule<Tiers> = longest<Tiers>(written, upToEach, firstAndNext, firstThenUpTo, steps);

/** A charge made of tiers. */
export function tiersDraft({ quantity, bands }: Tiers, how: 'graduated' | 'volume'): ChargeDraft {
  return { how, on: quantity, bands };
}
