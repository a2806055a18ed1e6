import { minorDigits } from '../amount/currencies';
import { ONE } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Charge } from '../decision-file/price-sheet-schema';
import { candidateCharges } from '../pricing/candidate-charges';
import { bucketOf, type Bucket } from '../pricing/ledger-line';
import { limitRules } from '../pricing/limits';
import { FROM_THE_START, paymentSchedule, type ScheduledPayment } from '../pricing/payment-schedule';
import { isAgainstPlan, planCredits } from '../pricing/plan-credit';
import type { Pricing } from '../pricing/pricing';
import type { ChargeOwner } from '../pricing/processing';
import { partName, sourceName } from '../pricing/source-name';
import { isChargeNotKnown } from '../rules/charges/charge-rule';
import type { LimitRule } from '../rules/limits/limit-rule';
import type { AssumptionPlaces } from './assumptions-sheet';
import { type Cell, formula, newSheet, type SheetInProgress, text } from './cells';
import { FormulaReading, rounded, stepped } from './formula-reading';
import type { PricePlaces } from './prices-sheet';
import { monthColumn, type SalesPlaces } from './sales-sheet';

export const LEDGER = 'Ledger';
export const WORKINGS = 'Workings';

/** Rows of the ledger that belong to a candidate, and of the workings that say whether a limit is exceeded. */
export interface CandidateRows {
  readonly candidate: Candidate;
  readonly first: number;
  readonly last: number;
  readonly limits: readonly number[];
}

/** The ledger of every candidate, month by month, as formulas (decision file §5), and the workings behind it. */
export function ledgerSheets(
  pricing: Pricing,
  months: readonly string[],
  assumed: AssumptionPlaces,
  sales: SalesPlaces,
  prices: PricePlaces,
): { ledger: SheetInProgress; workings: SheetInProgress; rows: CandidateRows[] } {
  const ledger = newSheet(LEDGER);
  const workings = newSheet(WORKINGS);
  const heads = (first: string) => [
    text(first, 'head'),
    text('What', 'head'),
    text('Bucket', 'head'),
    text('Currency', 'head'),
    text('Tax', 'head'),
    text('Total', 'head'),
    ...months.map((month) => text(month, 'head')),
  ];
  ledger.add(text(`What each candidate costs, month by month, ${pricing.file.currency}`, 'title'));
  ledger.add(...heads('Candidate'));
  workings.add(text('Before rounding, in the vendor’s currency', 'title'));
  workings.add(...heads('Candidate'));
  const rows = pricing.file.candidates.map((candidate) =>
    candidateRows({ pricing, candidate, months, assumed, sales, prices, ledger, workings, named: { name: '', currency: '' } }),
  );
  return { ledger, workings, rows };
}

interface Filling {
  readonly pricing: Pricing;
  readonly candidate: Candidate;
  readonly months: readonly string[];
  readonly assumed: AssumptionPlaces;
  readonly sales: SalesPlaces;
  readonly prices: PricePlaces;
  readonly ledger: SheetInProgress;
  readonly workings: SheetInProgress;
  /** Whose rows of workings are being written. */
  readonly named: { name: string; currency: string };
}

function candidateRows(filling: Filling): CandidateRows {
  const { pricing, candidate, months, assumed, ledger } = filling;
  const base = pricing.file.currency;
  const first = ledger.rows.length + 1;
  /** An amount rounded in its currency, then converted and rounded in the base currency. */
  const inBase = (amount: string, currency: string) => {
    const rate = assumed.rate(currency);
    const own = rounded(amount, minorDigits(currency));
    return rate === null ? own : rounded(`${own}*${rate}`, minorDigits(base));
  };
  const line = (what: string, bucket: Bucket, currency: string, isTaxed: boolean, at: (month: number) => string | null) => {
    const row = ledger.rows.length + 1;
    const cells = months.map((_, month): Cell => {
      const written = at(month);
      return written === null ? null : formula(written, 'money');
    });
    ledger.add(
      text(candidate.id),
      text(what),
      text(bucket),
      text(currency),
      text(isTaxed ? 'taxed' : ''),
      formula(`SUM(${monthColumn(0)}${row}:${monthColumn(months.length - 1)}${row})`, 'money', true),
      ...cells,
    );
  };
  const reading = formulaReading(filling);
  const payments = paymentSchedule(pricing, candidate);
  for (const group of bySource(payments)) {
    const [payment] = group;
    if (!payment) continue;
    const { bucket, currency, taxExcluded } = payment;
    const paid = (one: ScheduledPayment) => rounded(reading.at(one.price, one.month), minorDigits(currency));
    line(sourceName(pricing, candidate, payment.source), bucket, currency, taxExcluded, (month) => {
      const parts = group.flatMap((one) => partOf(pricing, one, paid(one), month));
      return parts.length === 0 ? null : parts.map((part) => inBase(part, currency)).join('+');
    });
  }
  const charges = candidateCharges(pricing, candidate).filter(({ charge }) => !isChargeNotKnown(charge));
  const limits = limitRules(pricing, candidate).flatMap((limit) => limitRow(filling, reading, limit));
  for (const { charge, owner, rule } of charges.filter((one) => !isAgainstPlan(one))) {
    const name = chargeName(pricing, owner, charge);
    naming(filling, name, owner.currency);
    reading.row('counted', rule.parts.quantity);
    const row = reading.row('comes to', rule.amount);
    const sign = charge.credit ? '-' : '';
    line(name, bucketOf(charge), owner.currency, owner.taxExcluded, (month) =>
      inBase(`${sign}${reading.cell(row, month)}`, owner.currency),
    );
  }
  for (const { one, used, payments: paid } of planCredits(pricing, candidate, charges, FROM_THE_START)) {
    const { charge, owner } = one;
    const name = chargeName(pricing, owner, charge);
    naming(filling, name, owner.currency);
    const row = reading.row('credit used up', used);
    line(name, 'credit', owner.currency, owner.taxExcluded, (month) => {
      const parts = paid.flatMap((payment) => partOf(pricing, payment, `-${reading.cell(row, payment.month)}`, month));
      return parts.length === 0 ? null : parts.map((part) => inBase(part, owner.currency)).join('+');
    });
  }
  timeLine(filling, (what, at) => line(what, 'time', base, false, at));
  const last = ledger.rows.length;
  if (last >= first)
    line('Tax on fees', 'tax', base, false, (month) =>
      rounded(
        `SUMIF($E${first}:$E${last},"taxed",${monthColumn(month)}${first}:${monthColumn(month)}${last})*${assumed.feeTax}/100`,
        minorDigits(base),
      ),
    );
  return { candidate, first, last: ledger.rows.length, limits };
}

function bySource(payments: readonly ScheduledPayment[]): ScheduledPayment[][] {
  const groups = new Map<string, ScheduledPayment[]>();
  for (const payment of payments) {
    const key = JSON.stringify(payment.source);
    groups.set(key, [...(groups.get(key) ?? []), payment]);
  }
  return [...groups.values()];
}

/** What of a payment counts in a month: all of it when it is paid, or its part where payments are spread (decision file §3). */
function partOf({ file }: Pricing, { month: paid, covers, currency }: ScheduledPayment, price: string, month: number): string[] {
  if (file.basis !== 'spread') return paid === month ? [price] : [];
  const length = covers === 0 ? file.months - paid : covers;
  const part = month - paid;
  if (part < 0 || part >= length) return [];
  const digits = minorDigits(currency);
  return [`(${rounded(`${price}*${part + 1}/${length}`, digits)}-${rounded(`${price}*${part}/${length}`, digits)})`];
}

function timeLine({ candidate, assumed, pricing }: Filling, add: (what: string, at: (month: number) => string) => void): void {
  const cells = assumed.candidate.get(candidate.id);
  if (!cells) return;
  const digits = minorDigits(pricing.file.currency);
  add('Own hours', (month) => rounded(`${month === 0 ? `(${cells.setup}+${cells.monthly})` : cells.monthly}*${assumed.hourValue}`, digits));
}

/** For each limit, a row that says in which months it is exceeded (decision file §6). */
function limitRow(filling: Filling, reading: FormulaReading, { limit, quantity, counted, most }: LimitRule): number[] {
  const { candidate, months, workings, sales } = filling;
  if (sales.quantity(quantity, 0) === null) return [];
  naming(filling, `limit of ${limit.replaceAll('-', ' ')}`, '');
  const over = (month: number) => formula(`IF(${stepped(reading.at(counted, month))}>${reading.at(most, month)},1,0)`, 'whole');
  reading.at(counted, 0);
  const what = `over the limit of ${limit.replaceAll('-', ' ').replace('/year', ' a year')}`;
  return [workings.add(text(candidate.id), text(what), null, null, null, null, ...months.map((_, month) => over(month)))];
}

function chargeName(pricing: Pricing, owner: ChargeOwner, charge: Charge): string {
  return `${partName(pricing, owner.kind, owner.id)}, ${charge.label || charge.id}`;
}

/** Whose rows of workings come next. */
function naming(filling: Filling, name: string, currency: string): void {
  filling.named.name = name;
  filling.named.currency = currency;
}

function formulaReading(filling: Filling): FormulaReading {
  const { pricing, candidate, months, assumed, sales, prices, workings, named } = filling;
  return new FormulaReading({
    candidate,
    // Streams and their cards are the same at every level of sales.
    streams: pricing.forecastAt(ONE).streams,
    months,
    assumed,
    sales,
    prices,
    workings: WORKINGS,
    working(what, at) {
      const own = workings.rows.length + 1;
      const cells = months.map((_, month) => formula(at(month, own)));
      return workings.add(text(candidate.id), text(`${named.name}: ${what}`), null, text(named.currency), null, null, ...cells);
    },
  });
}
