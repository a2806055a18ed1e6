import { decimal } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import type { PricedDecision } from '../comparison/decision-result';
import type { LineUp } from '../comparison/line-up';
import { BUCKETS } from '../pricing/ledger-line';
import { sourceName } from '../pricing/source-name';
import type { CsvCell } from './csv-text';

/** The line-up as a table: a row for each candidate, figures as plain decimals. */
export function lineUpTable({ columns }: LineUp, currency: string): CsvCell[][] {
  const years = Math.max(1, ...columns.map((column) => column.years.length));
  const head = [
    'candidate',
    'name',
    'currency',
    'total',
    'at_least',
    'usable',
    'difference',
    'left_to_you',
    'per_order',
    'percent_of_sales',
    ...Array.from({ length: years }, (_, year) => `year_${year + 1}`),
    ...BUCKETS,
    'outgrown_in',
    'outgrown_by',
    'missing',
    'not_known',
  ];
  const rows = columns.map(({ id, label, result: one, difference, atLeast, years: yearly }): CsvCell[] => [
    id,
    { typed: label },
    currency,
    one.total,
    yesNo(atLeast),
    yesNo(one.usable),
    difference ?? '',
    one.keep,
    one.perOrder ?? '',
    one.shareOfSales ?? '',
    ...Array.from({ length: years }, (_, year) => yearly[year] ?? ''),
    ...BUCKETS.map((bucket) => one.buckets[bucket] ?? moneyText(decimal('0'), currency)),
    one.outgrown?.month ?? '',
    one.outgrown?.limit ?? '',
    [...one.missing, ...one.unclear].join(' '),
    one.unknown.join(' '),
  ]);
  return [head, ...rows];
}

const yesNo = (value: boolean) => (value ? 'yes' : 'no');

/** Every line of every candidate's ledger as a table; the lines of a month and source stand together. */
export function ledgerTable({ pricing, candidates, result }: PricedDecision): CsvCell[][] {
  const head = ['candidate', 'name', 'month', 'bucket', 'what', 'vendor_currency', 'charged', 'currency', 'amount', 'tax_excluded'];
  const rows = candidates.flatMap(({ candidate, ledger }) =>
    [...ledger.lines]
      .sort((a, b) => a.month - b.month || BUCKETS.indexOf(a.bucket) - BUCKETS.indexOf(b.bucket))
      .map(({ month, bucket, source, currency, charged, amount, taxExcluded }): CsvCell[] => [
        candidate.id,
        { typed: candidate.label },
        result.months[month] ?? '',
        bucket,
        { typed: sourceName(pricing, candidate, source) },
        currency,
        moneyText(charged, currency),
        pricing.file.currency,
        moneyText(amount, pricing.file.currency),
        yesNo(taxExcluded),
      ]),
  );
  return [head, ...rows];
}
