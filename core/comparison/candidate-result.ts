import { decimal, type Decimal, fixed, ONE, sum } from '../amount/decimal';
import { minorDigits, moneyText, roundLine, roundMoney } from '../amount/currencies';
import { MinorSum } from '../amount/minor-amount';
import type { Candidate } from '../decision-file/candidate-schema';
import type { MonthlyForecast } from '../forecast/forecast';
import { type Ledger, ledgerOf } from '../pricing/ledger';
import type { Bucket } from '../pricing/ledger-line';
import { exceededLimits } from '../pricing/limits';
import { keptMonths } from '../pricing/kept-months';
import { unmetMusts } from '../pricing/needs';
import { streamsWithoutPaymentFee } from '../pricing/no-payment-fee';
import { forecastWith, type Pricing } from '../pricing/pricing';

/** What the computation says of one candidate (decision file §7); amounts in base currency. */
export interface CandidateResult {
  id: string;
  total: string;
  /** Totals by bucket, without those that add up to 0. */
  buckets: Partial<Record<Bucket, string>>;
  monthly: string[];
  /** Total ÷ orders, 4 places; null without orders. */
  perOrder: string | null;
  /** Total in percent of sales, 4 places; null without orders. */
  shareOfSales: string | null;
  /** What is left of net sales after goods, refunds and the total. */
  keep: string;
  /** Paid for months past the horizon. */
  prepaid: string;
  outgrown: { month: string; limit: string } | null;
  missing: string[];
  unclear: string[];
  unknown: string[];
  noPaymentFee: string[];
  usable: boolean;
}

/** Whether a candidate can be chosen as it is: usable in every month, and nothing that it costs is unknown. */
export function canBeChosen({ usable, unknown }: Pick<CandidateResult, 'usable' | 'unknown'>): boolean {
  return usable && unknown.length === 0;
}

/** A candidate's ledger together with its result; the result is derived from the ledger alone. */
export interface PricedCandidate {
  readonly candidate: Candidate;
  readonly ledger: Ledger;
  readonly result: CandidateResult;
}

/**
 * Prices a candidate over the whole horizon.
 *
 * @param scale - multiplies expected orders and subscribers, default 1
 */
export function priceCandidate(pricing: Pricing, candidate: Candidate, scale: Decimal = ONE): PricedCandidate {
  const ledger = ledgerOf(pricing, candidate, scale);
  const forecast = forecastWith(pricing, candidate, scale);
  const { currency } = pricing.file;
  const money = (amount: Decimal) => moneyText(amount, currency);
  const sums = ledgerSums(ledger, pricing.file.months, minorDigits(currency));
  const total = sums.total.decimal;
  const { orders, sales, kept } = forecastTotals(forecast);
  const outgrown = exceededLimits(pricing, candidate, scale)[0];
  const { missing, unclear } = unmetMusts(pricing, candidate);
  const result: CandidateResult = {
    id: candidate.id,
    total: sums.total.text,
    buckets: Object.fromEntries(sums.buckets.map(([bucket, amount]) => [bucket, amount.text])),
    monthly: sums.monthly.map(({ text }) => text),
    perOrder: orders.isZero() ? null : fixed(total.div(orders), 4),
    shareOfSales: sales.isZero() ? null : fixed(total.div(sales).times(100), 4),
    keep: money(roundLine(kept, currency).minus(total)),
    prepaid: money(prepaid(pricing, ledger)),
    outgrown: outgrown ? { month: forecast.months[outgrown.month] ?? '', limit: outgrown.limit } : null,
    missing: [...missing],
    unclear: [...unclear],
    unknown: [...ledger.unknown],
    noPaymentFee: streamsWithoutPaymentFee(pricing, candidate),
    usable: missing.length === 0 && unclear.length === 0 && outgrown === undefined,
  };
  return { candidate, ledger, result };
}

/** What a ledger adds up to: in all, by bucket without those that come to nothing, and by month. */
function ledgerSums({ lines }: Ledger, months: number, digits: number) {
  const total = new MinorSum(digits);
  const byBucket = new Map<Bucket, MinorSum>();
  const monthly = Array.from({ length: months }, () => new MinorSum(digits));
  for (const { bucket, month, inBase } of lines) {
    const ofBucket = byBucket.get(bucket) ?? new MinorSum(digits);
    byBucket.set(bucket, ofBucket);
    ofBucket.add(inBase);
    monthly[month]?.add(inBase);
    total.add(inBase);
  }
  const buckets = [...byBucket].filter(([, amount]) => !amount.isZero).sort(([a], [b]) => (a < b ? -1 : 1));
  return { total, buckets, monthly };
}

/** What a forecast comes to over the whole horizon. */
export interface ForecastTotals {
  readonly orders: Decimal;
  readonly sales: Decimal;
  /** What is left of net sales before the candidate's costs, not rounded. */
  readonly kept: Decimal;
}

/** Candidates without a lift of their own share a forecast; its totals are kept with it. */
const totalsOf = new WeakMap<MonthlyForecast, ForecastTotals>();

/** Orders, sales and what is left of them before costs, over the whole horizon, in base currency. */
export function forecastTotals(forecast: MonthlyForecast): ForecastTotals {
  const found = totalsOf.get(forecast);
  if (found) return found;
  const totals = { orders: sum(forecast.orders), sales: sum(forecast.sales), kept: sum(keptMonths(forecast)) };
  totalsOf.set(forecast, totals);
  return totals;
}

/** Of all payments for terms and extras, the part for months past the horizon (decision file §7, `prepaid`). */
function prepaid(pricing: Pricing, ledger: Ledger): Decimal {
  const { months: horizon, currency } = pricing.file;
  const parts = ledger.payments
    .filter(({ covers, month }) => covers > 0 && month + covers > horizon)
    .map(({ charged, covers, month, currency: paidIn }) =>
      charged
        .times(decimal(month + covers - horizon))
        .div(covers)
        .times(pricing.rate(paidIn)),
    );
  return roundMoney(sum(parts), currency);
}
