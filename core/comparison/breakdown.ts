import { type Decimal, sum, ZERO } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import type { Month } from '../calendar/month';
import type { Bucket, LedgerLine, LineSource } from '../pricing/ledger-line';
import type { PricedDecision } from './decision-result';

/** One source of a figure: a price sheet's line, an extra, own time or tax. */
export interface BreakdownPart {
  readonly source: LineSource;
  /** Base currency. */
  readonly total: string;
  /** Currency the vendor charges in. */
  readonly currency: string;
  /** Total in that currency. */
  readonly charged: string;
  readonly bucket: Bucket;
  /** How many of the months have an amount. */
  readonly months: number;
}

/** What a figure of the line-up is made of. */
export interface Breakdown {
  readonly total: string;
  /** The largest first. */
  readonly parts: readonly BreakdownPart[];
  readonly byMonth: ReadonlyArray<{ readonly month: Month; readonly amount: string }>;
  /** The month with the largest amount, and what each part is in it. */
  readonly dearest: { readonly month: Month; readonly amount: string; readonly index: number } | null;
}

/** Which lines of a ledger a figure adds up. */
export interface BreakdownScope {
  /** Only this bucket; all of them by default. */
  bucket?: Bucket | undefined;
  /** Only this year of the horizon, 0 for the first. */
  year?: number | undefined;
}

/**
 * Takes a figure of the line-up apart into its sources and months, from the ledger it was added up from.
 *
 * @returns null if there is no such candidate
 */
export function breakdownOf(
  { pricing, candidates, result }: PricedDecision,
  candidateId: string,
  { bucket, year }: BreakdownScope = {},
): Breakdown | null {
  const priced = candidates.find((one) => one.result.id === candidateId);
  if (!priced) return null;
  const inScope = (line: LedgerLine) =>
    (bucket === undefined || line.bucket === bucket) && (year === undefined || Math.floor(line.month / 12) === year);
  const lines = priced.ledger.lines.filter(inScope);
  const text = (amount: Decimal) => moneyText(amount, pricing.file.currency);
  const months = result.months.map((month, index) => ({ month, index, lines: lines.filter((line) => line.month === index) }));
  const byMonth = months
    .filter(({ index }) => year === undefined || Math.floor(index / 12) === year)
    .map(({ month, index, lines: here }) => ({ month, index, amount: sum(here.map((line) => line.amount)) }));
  const dearest = [...byMonth].sort((a, b) => b.amount.cmp(a.amount) || a.index - b.index)[0];
  return {
    total: text(sum(lines.map((line) => line.amount))),
    parts: partsOf(lines, text),
    byMonth: byMonth.map(({ month, amount }) => ({ month, amount: text(amount) })),
    dearest: dearest && dearest.amount.gt(ZERO) ? { ...dearest, amount: text(dearest.amount) } : null,
  };
}

function partsOf(lines: readonly LedgerLine[], text: (amount: Decimal) => string): BreakdownPart[] {
  const groups = new Map<string, LedgerLine[]>();
  for (const line of lines) {
    const key = JSON.stringify(line.source);
    groups.set(key, [...(groups.get(key) ?? []), line]);
  }
  return [...groups.values()]
    .flatMap((group) => {
      const [first] = group;
      if (!first) return [];
      const total = sum(group.map((line) => line.amount));
      const charged = moneyText(sum(group.map((line) => line.charged)), first.currency);
      const months = new Set(group.filter((line) => !line.amount.isZero()).map((line) => line.month)).size;
      return [
        { total, part: { source: first.source, total: text(total), currency: first.currency, charged, bucket: first.bucket, months } },
      ];
    })
    .sort((a, b) => b.total.cmp(a.total))
    .map(({ part }) => part);
}
