import { decimal, ONE, sum } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Allowance, Band, Charge } from '../decision-file/price-sheet-schema';
import { type CandidateCharge, candidateCharges } from '../pricing/candidate-charges';
import { isChargeNotKnown } from '../pricing/charge-amount';
import { unitRate } from '../pricing/charge-quantity';
import { unknownPrices } from '../pricing/ledger';
import { unmetMusts } from '../pricing/needs';
import { paymentSchedule } from '../pricing/payment-schedule';
import { liftScale, type Pricing } from '../pricing/pricing';
import { countsCard, processingOf } from '../pricing/processing';
import type { CompiledBand } from './compiled-candidate';

/** What stays of a candidate whatever is sold: read once, so that thousands of levels can be looked at. */
export interface PreparedCandidate {
  readonly id: string;
  readonly candidate: Candidate;
  /** Its lift as a factor on the scale (decision file §5). */
  readonly lift: number;
  readonly payments: readonly PreparedPayment[];
  readonly hours: { readonly setup: number; readonly monthly: number };
  readonly charges: readonly PreparedCharge[];
  readonly limits: readonly PreparedLimit[];
  /** Whether every must is met and every price known. */
  readonly canBeChosen: boolean;
}

/** A payment that falls due whatever is sold; see `ScheduledPayment`. */
export interface PreparedPayment {
  readonly month: number;
  readonly covers: number;
  readonly charged: number;
  readonly currency: string;
  readonly taxExcluded: boolean;
}

/** A charge as a candidate has it; candidates that have one exactly alike share it. */
export interface PreparedCharge {
  readonly charge: Charge;
  readonly currency: string;
  readonly taxExcluded: boolean;
  /** Whether a stream's orders with a kind of card are counted (decision file §4, `only`). */
  counts(stream: number, channel: string, card: string): boolean;
  readonly percent: number;
  readonly each: number;
  readonly least: number;
  readonly most: number;
  readonly free: PreparedAllowance | null;
  /** Per unit, for kinds that have one rate. */
  readonly rate: number;
  readonly size: number;
  readonly bands: readonly CompiledBand[];
  readonly monthlyMin: number | null;
  readonly monthlyCap: number | null;
  readonly totalCap: number | null;
}

/** So much is free a month: `ratio` of a quantity, or `ratio` itself where there is none. */
export interface PreparedAllowance {
  readonly per: string | null;
  readonly ratio: number;
}

/** The most a candidate allows in a month: of a quantity, or of what a charge counts. */
export interface PreparedLimit {
  readonly quantity: string;
  readonly charge: PreparedCharge | null;
  /** Currency in which `sales` are limited. */
  readonly currency: string;
  readonly most: number;
}

/** Reads every candidate of a decision once. */
export function prepareCandidates(pricing: Pricing): PreparedCandidate[] {
  const shared = new Map<string, PreparedCharge>();
  return pricing.file.candidates.map((candidate) => prepareCandidate(pricing, candidate, shared));
}

/**
 * Reads one candidate.
 *
 * @param shared - charges read before, by what they are and what they count; those that are alike are taken from there
 */
export function prepareCandidate(pricing: Pricing, candidate: Candidate, shared = new Map<string, PreparedCharge>()): PreparedCandidate {
  const known = candidateCharges(pricing, candidate).filter(({ charge }) => !isChargeNotKnown(charge));
  const charges = known.map((one) => prepareCharge(pricing, candidate, one, shared));
  const { missing, unclear } = unmetMusts(pricing, candidate);
  return {
    id: candidate.id,
    candidate,
    lift: liftScale(candidate).toNumber(),
    payments: paymentSchedule(pricing, candidate).map(({ month, covers, charged, currency, taxExcluded }) => ({
      month,
      covers,
      charged: charged.toNumber(),
      currency,
      taxExcluded,
    })),
    hours: { setup: Number(candidate.hours?.setup ?? '0'), monthly: Number(candidate.hours?.monthly ?? '0') },
    charges,
    limits: [...planLimits(pricing, candidate), ...charges.flatMap(chargeLimit)],
    canBeChosen: missing.length === 0 && unclear.length === 0 && unknownPrices(pricing, candidate).length === 0,
  };
}

function prepareCharge(
  pricing: Pricing,
  candidate: Candidate,
  { charge, owner }: CandidateCharge,
  shared: Map<string, PreparedCharge>,
): PreparedCharge {
  const processing = processingOf(candidate);
  const { streams } = pricing.file.forecast;
  const known = streams.map(() => new Map<string, boolean>());
  const counts = (stream: number, channel: string, card: string) => {
    const found = known[stream]?.get(card);
    if (found !== undefined) return found;
    const counted = streams[stream];
    const isCounted = counted !== undefined && countsCard(charge, owner, processing, { stream: counted, channel }, card);
    known[stream]?.set(card, isCounted);
    return isCounted;
  };
  // Which orders are counted depends on who processes them; kinds of cards that come up later follow the same rules.
  const kinds = new Set([
    'domestic',
    'foreign',
    ...streams.flatMap(({ cards }) => Object.keys(cards ?? {})),
    ...cardsNamed(candidate, charge),
  ]);
  const counted = streams.map((stream, at) => [...kinds].filter((card) => counts(at, stream.channel ?? 'own-site', card)).join(' '));
  const key = [owner.kind, owner.id, charge.id, ...counted].join('|');
  const found = shared.get(key);
  if (found) return found;
  const bands = 'bands' in charge ? charge.bands.map(prepareBand) : [];
  const number = (value: string | null | undefined, otherwise: number) => (value == null ? otherwise : Number(value));
  const prepared: PreparedCharge = {
    charge,
    currency: owner.currency,
    taxExcluded: owner.taxExcluded,
    counts,
    percent: 'percent' in charge ? number(charge.percent, 0) / 100 : 0,
    each: 'each' in charge ? number(charge.each, 0) : 0,
    least: charge.how === 'per-order' ? number(charge.least, -Infinity) : -Infinity,
    most: charge.how === 'per-order' ? number(charge.most, Infinity) : Infinity,
    free: 'free' in charge ? prepareAllowance(charge.free) : null,
    rate: charge.how === 'per-unit' ? unitRate(charge).toNumber() : charge.how === 'package' ? number(charge.each, 0) : 0,
    size: charge.how === 'package' ? number(charge.size, 1) : 1,
    bands,
    monthlyMin: charge.monthlyMin == null ? null : Number(charge.monthlyMin),
    monthlyCap: charge.monthlyCap == null ? null : Number(charge.monthlyCap),
    totalCap: charge.totalCap == null ? null : Number(charge.totalCap),
  };
  shared.set(key, prepared);
  return prepared;
}

function cardsNamed({ payments }: Candidate, charge: Charge): string[] {
  const rules = typeof payments === 'object' ? payments : [];
  return [...rules.flatMap(({ cards = [] }) => cards), ...(charge.only?.cards ?? [])];
}

function prepareAllowance(free: Allowance | undefined): PreparedAllowance | null {
  if (free == null) return null;
  return typeof free === 'string' ? { per: null, ratio: Number(free) } : { per: free.per, ratio: Number(free.ratio ?? '0') };
}

function prepareBand(band: Band, index: number, all: readonly Band[]): CompiledBand {
  const isLast = index === all.length - 1;
  return {
    upTo: band.upTo === null || isLast ? Infinity : Number(band.upTo),
    rate: unitRate(band).toNumber(),
    flat: Number(band.flat ?? '0'),
  };
}

/** Plans' limits, moved by add-ons (decision file §6). */
function planLimits(pricing: Pricing, candidate: Candidate): PreparedLimit[] {
  const raised = (name: string) =>
    sum(
      (candidate.addons ?? []).map(({ addon, count }) => {
        const { raises } = pricing.addon(addon);
        return decimal(raises && Object.hasOwn(raises, name) ? (raises[name] ?? '0') : '0').times(count ?? ONE);
      }),
    );
  return candidate.plans.flatMap(({ plan: id }) => {
    const { plan } = pricing.plan(id);
    return Object.entries(plan.limits ?? {}).map(([quantity, most]) => ({
      quantity,
      charge: null,
      currency: plan.currency,
      most: decimal(most).plus(raised(quantity)).toNumber(),
    }));
  });
}

/** A last band with a number: the plan is not sold beyond it (decision file §4). */
function chargeLimit(prepared: PreparedCharge): PreparedLimit[] {
  const { charge } = prepared;
  const last = 'bands' in charge ? charge.bands.at(-1)?.upTo : null;
  return last == null ? [] : [{ quantity: charge.on ?? 'orders', charge: prepared, currency: prepared.currency, most: Number(last) }];
}
