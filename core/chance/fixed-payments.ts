import type { DecisionFile } from '../decision-file/schema';
import type { Joining } from '../pricing/payment-schedule';
import { preparePricing } from '../pricing/pricing';
import { type PreparedCandidate, prepareCandidates } from '../scales/prepare';
import { openPrices, withPrice } from '../what-if/open-prices';
import type { FutureWorld } from './future-world';

/** What a candidate pays whatever is sold, by month and currency, tax included; so many times a price that nobody knows. */
export interface Fixed {
  readonly currency: string;
  readonly months: Float64Array;
  /** The months in which anything is paid. */
  readonly at: Uint16Array;
  readonly times: Float64Array | null;
}

function fixed(currency: string, months: Float64Array, times: Float64Array | null = null): Fixed {
  return { currency, months, at: Uint16Array.from([...months.keys()].filter((month) => months[month] !== 0)), times };
}

/** What does not depend on sales comes to over all months, own hours left out. */
export function sumOfFixed(all: readonly Fixed[], { rates }: Pick<FutureWorld, 'rates'>, rise: Float64Array | undefined): number {
  let total = 0;
  for (const { currency, months, at, times } of all) {
    const inBase = rates.get(currency);
    let sum = 0;
    for (let place = 0; place < at.length; place++) {
      const month = at[place] ?? 0;
      sum += (months[month] ?? 0) * (inBase ? (inBase[month] ?? 1) : 1) * (rise ? (rise[month] ?? 1) : 1);
    }
    total += sum * (times?.[0] ?? 1);
  }
  return total;
}

/**
 * Writes what does not depend on sales, by month.
 *
 * @param rise - what prices are multiplied by, by month
 */
export function fillFixed(
  { hours, fixed }: { readonly hours: Float64Array; readonly fixed: readonly Fixed[] },
  { rates }: Pick<FutureWorld, 'rates'>,
  rise: Float64Array | undefined,
  into: Float64Array,
): void {
  into.set(hours);
  for (const { currency, months, times } of fixed) {
    const inBase = rates.get(currency);
    const so = times?.[0] ?? 1;
    for (let month = 0; month < into.length; month++)
      into[month] = (into[month] ?? 0) + (months[month] ?? 0) * so * (inBase?.[month] ?? 1) * (rise?.[month] ?? 1);
  }
}

/** What own hours are worth, by month. */
export function hoursOf({ months, hourValue }: DecisionFile, { hours }: PreparedCandidate): Float64Array {
  const worth = Number(hourValue ?? '0');
  const spent = new Float64Array(months).fill(hours.monthly * worth);
  spent[0] = (spent[0] ?? 0) + hours.setup * worth;
  return spent;
}

/**
 * Payments that fall due whatever is sold, in the basis of the file (decision file §3), tax included.
 *
 * @param isLeft - whether a candidate is left at the end of the months: then all that was paid counts, less what comes back (§9)
 */
export function fixedOf({ months, basis }: DecisionFile, { payments }: PreparedCandidate, tax: number, isLeft = false): Fixed[] {
  const byCurrency = new Map<string, Float64Array>();
  for (const { month, covers, prorated, charged, currency, taxExcluded } of payments) {
    const into = byCurrency.get(currency) ?? new Float64Array(months);
    byCurrency.set(currency, into);
    const comesBack = isLeft && prorated && covers > 0 ? Math.max(0, month + covers - months) / covers : 0;
    const amount = charged * (taxExcluded ? tax : 1) * (1 - comesBack);
    const covered = covers === 0 ? months - month : covers;
    const length = basis === 'spread' && !isLeft ? covered : 1;
    for (let part = month; part < Math.min(month + length, months); part++) into[part] = (into[part] ?? 0) + amount / length;
  }
  return [...byCurrency].map(([currency, all]) => fixed(currency, all));
}

/** A price by which is measured how often payments contain it. */
const TO_MEASURE_BY = 1000;

/**
 * What candidates pay for each unit of a term's price that nobody knows, by their places: what they pay at one price more
 * than without.
 *
 * @param without - the candidates with no such price
 * @param prices - by open price, what it is
 */
export function openTermPayments(
  asked: DecisionFile,
  without: readonly PreparedCandidate[],
  prices: ReadonlyMap<string, Float64Array>,
  tax: number,
  { joining, isLeft }: { readonly joining: Joining; readonly isLeft: boolean },
): Fixed[][] {
  const found: Fixed[][] = without.map(() => []);
  for (const { id, places } of openPrices(asked)) {
    if (places.every(({ line }) => line !== 'term')) continue;
    const measured = prepareCandidates(preparePricing(withPrice(asked, id, String(TO_MEASURE_BY))), joining);
    measured.forEach((one, place) => {
      const none = new Map(fixedOf(asked, without[place] ?? one, tax, isLeft).map(({ currency, months }) => [currency, months]));
      for (const { currency, months } of fixedOf(asked, one, tax, isLeft)) {
        const each = months.map((amount, month) => (amount - (none.get(currency)?.[month] ?? 0)) / TO_MEASURE_BY);
        if (each.some((amount) => amount > 0)) found[place]?.push(fixed(currency, each, prices.get(id) ?? null));
      }
    });
  }
  return found;
}
