import { decimal, fixed, fraction, ONE, withoutDivisionResidue } from '../amount/decimal';
import { minorDigits, moneyText, roundMoney } from '../amount/currencies';
import { minorText, type MinorUnits, roundedProduct } from '../amount/minor-units';
import { BUCKETS, type Bucket } from '../pricing/ledger-line';
import { type Ledger, ledgerOf } from '../pricing/ledger';
import { forecastWith, preparePricing, type Pricing } from '../pricing/pricing';
import type { DecisionFile } from '../decision-file/schema';
import { forecastTotals, type PricedCandidate, priceCandidate } from './candidate-result';
import { bestOf, type DecisionResult, type PricedDecision } from './decision-result';
import { type LevelCharges, levelCharges } from './level-charges';
import { firstExceeded, type LevelLimit, levelLimits } from './level-limits';

/** A decision at any level of sales; every level is, to the cent, what `priceDecision` gives. */
export interface Levels {
  /** @param scale - multiplies expected orders and subscribers; at most 15 digits, so that it is what it says */
  at(scale: number): PricedDecision;
}

/** What a candidate costs whatever is sold, and what is worked out anew at each level. */
interface LevelCandidate {
  readonly atForecast: PricedCandidate;
  /** By bucket and month, base currency. */
  readonly fixed: ReadonlyMap<Bucket, readonly MinorUnits[]>;
  readonly fixedTaxed: readonly MinorUnits[];
  readonly limits: readonly LevelLimit[];
}

/**
 * Prepares a decision for being priced at one level after the other, quickly enough to follow a finger.
 *
 * Lines are worked out in floating point first; wherever that cannot tell for certain to which cent a line rounds,
 * or on which side of an edge a quantity is, exact arithmetic decides. Sums are of whole minor units.
 */
export function levelsOf(file: DecisionFile): Levels {
  const pricing = preparePricing(file);
  const charges = levelCharges(pricing);
  const candidates = file.candidates.map((candidate) => levelCandidate(pricing, priceCandidate(pricing, candidate)));
  return { at: (scale) => pricedAt(pricing, candidates, charges, scale) };
}

function levelCandidate(pricing: Pricing, atForecast: PricedCandidate): LevelCandidate {
  const { months, currency } = pricing.file;
  const factor = 10 ** minorDigits(currency);
  const fixed = new Map<Bucket, MinorUnits[]>();
  const fixedTaxed = new Array<MinorUnits>(months).fill(0);
  for (const { bucket, source, month, amount, taxExcluded } of atForecast.ledger.lines) {
    if (source.kind === 'charge' || source.kind === 'tax') continue;
    const units = amount.times(factor).toNumber();
    const amounts = fixed.get(bucket) ?? new Array<MinorUnits>(months).fill(0);
    fixed.set(bucket, amounts);
    amounts[month] = (amounts[month] ?? 0) + units;
    if (taxExcluded) fixedTaxed[month] = (fixedTaxed[month] ?? 0) + units;
  }
  return { atForecast, fixed, fixedTaxed, limits: levelLimits(pricing, atForecast.candidate) };
}

function pricedAt(pricing: Pricing, candidates: readonly LevelCandidate[], charges: LevelCharges, scale: number): PricedDecision {
  const { file } = pricing;
  const forecast = pricing.forecastAt(ONE);
  const linesOf = charges.at(scale);
  const priced = candidates.map((one, index) => candidateAt(pricing, one, linesOf(index), scale));
  const results = priced.map(({ result }) => result);
  const result: DecisionResult = {
    format: 'venalis.result',
    version: 1,
    months: [...forecast.months],
    // What a division left behind (orders every three months) may not decide a half.
    orders: forecast.orders.map((orders) => withoutDivisionResidue(orders.times(scale)).toFixed(4)),
    sales: forecast.sales.map((sales) => moneyText(roundMoney(withoutDivisionResidue(sales.times(scale)), file.currency), file.currency)),
    candidates: results,
    cheapest: bestOf(results, (a, b) => decimal(a.total).lt(b.total)),
    mostKept: bestOf(results, (a, b) => decimal(a.keep).gt(b.keep)),
  };
  return { pricing, candidates: priced, result };
}

type ChargeLines = ReturnType<ReturnType<LevelCharges['at']>>;

function candidateAt(
  pricing: Pricing,
  { atForecast, fixed: fixedLines, fixedTaxed, limits }: LevelCandidate,
  charges: ChargeLines,
  scale: number,
): PricedCandidate {
  const { months, currency, feeTax = '0' } = pricing.file;
  const { candidate, result: before } = atForecast;
  const digits = minorDigits(currency);
  const monthly = new Array<MinorUnits>(months).fill(0);
  const totals = new Map<Bucket, MinorUnits>();
  const taxed = [...fixedTaxed];
  const add = (bucket: Bucket, amounts: ArrayLike<MinorUnits>) => {
    let total = totals.get(bucket) ?? 0;
    for (let month = 0; month < months; month++) {
      const amount = amounts[month] ?? 0;
      total += amount;
      monthly[month] = (monthly[month] ?? 0) + amount;
    }
    totals.set(bucket, total);
  };
  for (const [bucket, amounts] of fixedLines) add(bucket, amounts);
  for (const { bucket, taxExcluded, lines } of charges) {
    add(bucket, lines);
    if (taxExcluded) for (let month = 0; month < months; month++) taxed[month] = (taxed[month] ?? 0) + (lines[month] ?? 0);
  }
  const rate = fraction(feeTax);
  const factor = { exact: rate, number: rate.toNumber() };
  if (!rate.isZero())
    add(
      'tax',
      taxed.map((units) => roundedProduct(units, factor)),
    );
  const total = monthly.reduce((sum, units) => sum + units, 0);
  const { orders, sales, kept } = forecastTotals(forecastWith(pricing, candidate));
  const exactTotal = decimal(minorText(total, digits));
  const outgrown = firstExceeded(pricing, candidate, limits, scale);
  let ledger: Ledger | undefined;
  const shown = BUCKETS.filter((bucket) => (totals.get(bucket) ?? 0) !== 0).sort();
  return {
    candidate,
    result: {
      ...before,
      total: minorText(total, digits),
      buckets: Object.fromEntries(shown.map((bucket) => [bucket, minorText(totals.get(bucket) ?? 0, digits)])),
      monthly: monthly.map((units) => minorText(units, digits)),
      perOrder: orders.isZero() ? null : fixed(exactTotal.div(orders.times(scale)), 4),
      shareOfSales: sales.isZero() ? null : fixed(exactTotal.div(sales.times(scale)).times(100), 4),
      keep: moneyText(roundMoney(withoutDivisionResidue(kept.times(scale)), currency).minus(exactTotal), currency),
      outgrown,
      usable: before.missing.length === 0 && before.unclear.length === 0 && outgrown === null,
    },
    // Only asked for when a figure is opened; the same one is given again.
    get ledger() {
      return (ledger ??= ledgerOf(pricing, candidate, decimal(scale)));
    },
  };
}
