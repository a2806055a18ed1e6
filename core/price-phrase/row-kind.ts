import type { StatedCharge } from './statement';
import { type Bucket, CHARGE_HEADINGS, isUsualQuantity, quantityOf, slugOf } from './vocabulary';

/** What a row of a price sheet states, so that a cell may hold a bare figure. */
export type RowKind =
  /** `nth`: of several terms of one length, counted from 0. */
  | { readonly kind: 'term'; readonly months: number; readonly nth?: number }
  | {
      readonly kind: 'charge';
      readonly label: string;
      readonly bucket: Bucket;
      readonly how?: StatedCharge['how'];
      readonly on?: string;
      readonly only?: NonNullable<StatedCharge['only']>;
    }
  | { readonly kind: 'limit'; readonly quantity: string }
  | { readonly kind: 'feature'; readonly feature: string }
  | { readonly kind: 'joining' }
  | { readonly kind: 'trial' }
  | { readonly kind: 'refund' }
  | { readonly kind: 'saving' };

const TERM_HEADINGS: ReadonlyArray<readonly [RegExp, number]> = [
  [/life ?time|once|for good|one ?time (price|payment|purchase)|buy/, 0],
  [/half[ -]?year|6 months|six months/, 6],
  [/quarter/, 3],
  [/36 months|3[ -]years|three years/, 36],
  [/24 months|2[ -]years|two years/, 24],
  [/year|annual|12 months/, 12],
  [/month|^price$|^fee$|^base (fee|price)$/, 1],
];

/**
 * What the heading of a row on a pricing page means.
 *
 * @returns null if it is none of the usual ones
 * @example headingOf('Monthly price') // { kind: 'term', months: 1 }
 * @example headingOf('Staff accounts') // { kind: 'limit', quantity: 'staff' }
 */
export function headingOf(heading: string, known: readonly string[] = []): RowKind | null {
  const words = heading
    .trim()
    .toLowerCase()
    .replace(/[-–—]/g, ' ')
    .replace(/[:*()]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  if (words === '') return null;
  if (/set ?up|joining|activation|sign ?up fee/.test(words)) return { kind: 'joining' };
  if (/trial/.test(words)) return { kind: 'trial' };
  if (/money back|refund (window|period|within)|refunds? days/.test(words)) return { kind: 'refund' };
  if (/^(you )?sav(e|es|ing)/.test(words)) return { kind: 'saving' };
  const bare = words
    .replace(/^(max|maximum|number of|included|limit of|limit on|up to|monthly) /, '')
    .replace(/ (included|limit|a month|per month|at most|max)$/, '');
  const isQuantity = isUsualQuantity(bare) || known.includes(slugOf(bare));
  if (isQuantity && !(bare === 'sales' && words === 'sales')) return { kind: 'limit', quantity: quantityOf(bare, known) };
  const charge =
    /\bfees?\b|in person|\b(till|stall)\b|processor|provider|with \w+ pay\b|gateway|payments?\b|commission|cards?\b|share/.test(words)
      ? CHARGE_HEADINGS.find((one) => one.words.test(words))
      : undefined;
  if (charge && !/gift card/.test(words))
    return { kind: 'charge', label: heading.trim(), bucket: charge.bucket, ...(charge.only ? { only: charge.only } : {}) };
  const term =
    /price|billed|billing|paid|monthly|yearly|annual|quarter|life ?time|per (month|year)|by the|a (month|year)|fee$|for good|once|half year/.test(
      words,
    )
      ? TERM_HEADINGS.find(([pattern]) => pattern.test(words))
      : undefined;
  return term ? { kind: 'term', months: term[1] } : null;
}
