import { minorDigits } from '../amount/currencies';
import { ONE } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Bucket } from '../pricing/ledger-line';
import { candidateCharges } from '../pricing/candidate-charges';
import { isChargeNotKnown } from '../pricing/charge-amount';
import { findTerm, paymentSchedule, type ScheduledPayment } from '../pricing/payment-schedule';
import type { Pricing } from '../pricing/pricing';
import { processingOf } from '../pricing/processing';
import { partName, sourceName } from '../pricing/source-name';
import type { AssumptionPlaces } from './assumptions-sheet';
import { type Cell, formula, newSheet, type SheetInProgress, text } from './cells';
import { chargeFormulas, type ChargeContext, lifted, stepped } from './charge-formulas';
import type { PricePlaces } from './prices-sheet';
import { monthColumn, type SalesPlaces } from './sales-sheet';

export const LEDGER = 'Ledger';
export const WORKINGS = 'Workings';

/** Rounding to the minor unit; ten places first, so that dust below does not decide a half. */
const DUST_PLACES = 10;
const rounded = (expression: string, digits: number) => `ROUND(ROUND(${expression},${DUST_PLACES}),${digits})`;

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
    candidateRows({ pricing, candidate, months, assumed, sales, prices, ledger, workings }),
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
}

function candidateRows(filling: Filling): CandidateRows {
  const { pricing, candidate, months, assumed, sales, prices, ledger, workings } = filling;
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
  for (const payments of bySource(paymentSchedule(pricing, candidate))) {
    const [payment] = payments;
    if (!payment) continue;
    const { bucket, currency, taxExcluded } = payment;
    const price = paidPrice(filling, payments);
    line(sourceName(pricing, candidate, payment.source), bucket, currency, taxExcluded, (month) => {
      const parts = payments.flatMap((one, ordinal) => partOf(pricing, one, price(ordinal), month));
      return parts.length === 0 ? null : parts.map((part) => inBase(part, currency)).join('+');
    });
  }
  const processing = processingOf(candidate);
  // Streams and their cards are the same at every level of sales.
  const { streams } = pricing.forecastAt(ONE);
  const context: ChargeContext = { candidate, processing, streams, assumed, sales, prices };
  const charges = candidateCharges(pricing, candidate, processing).filter(({ charge }) => !isChargeNotKnown(charge));
  const limits = planLimitRows(filling, context);
  for (const one of charges) {
    const { charge, owner } = one;
    const { quantity, amount } = chargeFormulas(context, one);
    const name = `${partName(pricing, owner.kind, owner.id)}, ${charge.label || charge.id}`;
    const working = (what: string, at: (month: number) => string) =>
      workings.add(
        text(candidate.id),
        text(`${name}: ${what}`),
        null,
        text(owner.currency),
        null,
        null,
        ...months.map((_, month) => formula(at(month))),
      );
    const counted = quantity ? working('counted', quantity) : 0;
    const q = (month: number) => `${WORKINGS}!${monthColumn(month)}${counted}`;
    const own = workings.rows.length + 1;
    const capped = (month: number, plain: string) => {
      if (charge.totalCap == null) return plain;
      const cap = prices.at(`charge ${owner.id} ${charge.id}`, 'totalCap');
      return month === 0 ? `MIN(${plain},${cap})` : `MIN(${plain},${cap}-SUM(${monthColumn(0)}${own}:${monthColumn(month - 1)}${own}))`;
    };
    const row = working('comes to', (month) => capped(month, amount(month, q(month))));
    line(name, charge.credit ? 'credit' : (charge.bucket ?? 'transaction'), owner.currency, owner.taxExcluded, (month) =>
      inBase(`${charge.credit ? '-' : ''}${WORKINGS}!${monthColumn(month)}${row}`, owner.currency),
    );
    const last = 'bands' in charge ? charge.bands.length - 1 : -1;
    if ('bands' in charge && charge.bands[last]?.upTo != null)
      limits.push(
        working(
          'over the last band',
          (month) => `IF(${stepped(q(month))}>${prices.at(`band ${owner.id} ${charge.id} ${last}`, 'upTo')},1,0)`,
        ),
      );
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

/** What the n-th payment costs, rounded in its currency, as a formula on the price (decision file §3). */
function paidPrice({ pricing, candidate, prices }: Filling, payments: readonly ScheduledPayment[]): (ordinal: number) => string {
  const source = payments[0]?.source;
  const digits = minorDigits(payments[0]?.currency ?? pricing.file.currency);
  if (source?.kind === 'joining-fee') return () => rounded(prices.at(`once ${source.plan} ${source.index}`, 'price'), digits);
  if (source?.kind === 'extra') return () => rounded(prices.at(`extra ${candidate.id} ${source.index}`, 'price'), digits);
  if (source?.kind !== 'term') return () => '0';
  const terms = source.owner === 'plan' ? pricing.plan(source.id).plan.terms : (pricing.addon(source.id).terms ?? []);
  const { intro } = findTerm(terms, source.term);
  const count = source.owner === 'addon' ? (candidate.addons?.find(({ addon }) => addon === source.id)?.count ?? 1) : 1;
  const at = (column: Parameters<PricePlaces['at']>[1]) => prices.at(`term ${source.id} ${source.term}`, column);
  return (ordinal) => {
    const isIntroductory = intro !== undefined && ordinal < intro.periods;
    const price = !isIntroductory ? at('price') : 'off' in intro ? `${at('price')}*(1-${at('percent')}/100)` : at('intro');
    return rounded(`${price}*${count}`, digits);
  };
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

/** For each limit of a plan, a row that says in which months it is exceeded (decision file §6). */
function planLimitRows({ pricing, candidate, months, sales, prices, assumed, workings }: Filling, context: ChargeContext): number[] {
  return candidate.plans.flatMap(({ plan: id }) => {
    const { plan } = pricing.plan(id);
    return Object.keys(plan.limits ?? {}).flatMap((name) => {
      const raises = (candidate.addons ?? []).flatMap(({ addon, count }) =>
        Object.hasOwn(pricing.addon(addon).raises ?? {}, name) ? [`${prices.at(`limit ${addon} ${name}`, 'most')}*${count ?? 1}`] : [],
      );
      const most = [prices.at(`limit ${id} ${name}`, 'most'), ...raises].join('+');
      const rate = name === 'sales' ? assumed.rate(plan.currency) : null;
      if (sales.quantity(name, 0) === null) return [];
      const quantity = (month: number) => `${lifted(context, name, sales.quantity(name, month) ?? '0')}${rate === null ? '' : `/${rate}`}`;
      return [
        workings.add(
          text(candidate.id),
          text(`${plan.label || id}: over the limit of ${name.replaceAll('-', ' ')}`),
          null,
          null,
          null,
          null,
          ...months.map((_, month) => formula(`IF(${stepped(quantity(month))}>${most},1,0)`, 'whole')),
        ),
      ];
    });
  });
}
