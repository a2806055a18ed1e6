import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { decimal, sum } from '../amount/decimal';
import { readDecisionFile } from '../decision-file/read';
import { ledgerOf } from './ledger';
import { exceededLimits } from './limits';
import { unmetMusts } from './needs';
import { streamsWithoutPaymentFee } from './no-payment-fee';
import { preparePricing } from './pricing';

const folder = new URL('../cases/', import.meta.url);
const load = (name: string): unknown => JSON.parse(readFileSync(new URL(name, folder), 'utf8'));
const cases = readdirSync(folder).filter((name) => /^\d\d-.*\.json$/.test(name) && !name.endsWith('.result.json'));

interface Expected {
  months: string[];
  candidates: Array<{
    id: string;
    buckets: Record<string, string>;
    monthly: string[];
    outgrown: { month: string; limit: string } | null;
    missing: string[];
    unclear: string[];
    unknown: string[];
    noPaymentFee: string[];
  }>;
}

/** What a candidate's ledger, limits and needs come to, summed here once more. */
function pricedAnew(name: string) {
  const file = readDecisionFile(load(name));
  const pricing = preparePricing(file);
  const { months } = pricing.forecastAt(decimal('1'));
  return file.candidates.map((candidate) => {
    const { lines, unknown } = ledgerOf(pricing, candidate);
    const of = (wanted: (line: (typeof lines)[number]) => boolean) => sum(lines.filter(wanted).map(({ amount }) => amount));
    const buckets = [...new Set(lines.map(({ bucket }) => bucket))]
      .sort()
      .map((bucket) => [bucket, of((line) => line.bucket === bucket)] as const);
    const [exceeded] = exceededLimits(pricing, candidate);
    const { missing, unclear } = unmetMusts(pricing, candidate);
    return {
      id: candidate.id,
      buckets: Object.fromEntries(buckets.filter(([, amount]) => !amount.isZero()).map(([bucket, amount]) => [bucket, amount.toNumber()])),
      monthly: months.map((_, month) => of((line) => line.month === month).toNumber()),
      outgrown: exceeded ? { month: months[exceeded.month], limit: exceeded.limit } : null,
      missing: [...missing],
      unclear: [...unclear],
      unknown: [...unknown],
      noPaymentFee: streamsWithoutPaymentFee(pricing, candidate),
    };
  });
}

describe.each(cases)('%s', (name) => {
  it('is priced to the cent, line by line', () => {
    const { candidates } = load(name.replace('.json', '.result.json')) as Expected;
    const expected = candidates.map(({ id, buckets, monthly, outgrown, missing, unclear, unknown, noPaymentFee }) => ({
      id,
      buckets: Object.fromEntries(Object.entries(buckets).map(([bucket, amount]) => [bucket, Number(amount)])),
      monthly: monthly.map(Number),
      outgrown,
      missing,
      unclear,
      unknown,
      noPaymentFee,
    }));
    expect(pricedAnew(name)).toEqual(expected);
  });
});
