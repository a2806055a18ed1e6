import type { ChanceSettings } from '../decision/chance-schema';
import type { Decision } from '../decision/decision-schema';
import type { DecisionFile } from '../decision-file/schema';
import { foreignKind } from '../forecast/foreign-kind';
import { differencesOf } from '../forecast/versions';
import type { Versions } from '../forecast/versions-schema';
import { openPrices } from '../what-if/open-prices';
import { openAnswers } from './open-answers';

/** What can come out otherwise. */
export type UncertainKind =
  | 'level'
  | 'own-level'
  | 'growth'
  | 'season'
  | 'order-value'
  | 'refunds'
  | 'churn'
  | 'foreign-cards'
  | 'rate'
  | 'rises'
  | 'scatter'
  | 'price'
  | 'answer';

/**
 * Something that may come out otherwise than assumed, by its unit:
 * - `percent`, `points`: one time in ten further below than `low`, and one in ten further above than `high`
 * - `amount`: a price that nobody knows, anything between `low` and `high`, as likely everywhere
 * - `likely`: an answer that nobody knows, yes in so many of a hundred futures (`low`, the same as `high`)
 */
export interface Uncertain {
  /** Unique in the decision: its kind, and what it is about behind a colon. */
  readonly key: string;
  readonly kind: UncertainKind;
  /** Id of the stream, currency, vendor, price or answer it is about; null for all. */
  readonly of: string | null;
  readonly label: string;
  readonly unit: 'percent' | 'points' | 'amount' | 'likely';
  /** Never below zero; of what is in percent or points 0 where it is certain. */
  readonly low: number;
  readonly high: number;
  /** Whether the person said how uncertain it is. */
  readonly isStated: boolean;
}

/** How uncertain things are as long as nobody says otherwise; docs/chance.md says why. */
const USUAL: Readonly<Record<Exclude<UncertainKind, 'level' | 'price'>, number>> = {
  'own-level': 10,
  growth: 0.5,
  season: 25,
  'order-value': 8,
  refunds: 1.5,
  churn: 1,
  'foreign-cards': 5,
  rate: 6,
  rises: 10,
  scatter: 100,
  answer: 50,
};
const LEAST_FACTOR = 0.001;

/** What the person says of how uncertain things are. */
export interface UncertainStated {
  readonly versions?: Versions | undefined;
  readonly settings?: ChanceSettings | undefined;
  /** Ranges of prices that are not known, by the key of the assumption. */
  readonly ranges?: Readonly<Record<string, readonly [low: string, high: string]>> | undefined;
}

/** What a decision says of how uncertain things are. */
export function uncertainStated({ versions, chance, whatIf }: Pick<Decision, 'versions' | 'chance' | 'whatIf'>): UncertainStated {
  return { versions, settings: chance, ranges: whatIf?.ranges };
}

/**
 * Everything that may come out otherwise, with how far: cautious and hopeful sales are one in ten either way, all else as it
 * usually is or as the person says.
 */
export function uncertainsOf(file: DecisionFile, { versions, settings, ranges }: UncertainStated = {}): Uncertain[] {
  const { streams } = file.forecast;
  const stated = settings?.spreads ?? {};
  const one = (kind: Exclude<UncertainKind, 'level' | 'price'>, of: string | null, label: string, unit: Uncertain['unit']): Uncertain => {
    const key = of === null ? kind : `${kind}:${of}`;
    const spread = Number(stated[key] ?? USUAL[kind]);
    return { key, kind, of, label, unit, low: spread, high: spread, isStated: stated[key] !== undefined };
  };
  const list: Uncertain[] = [];
  if (streams.length > 0) {
    list.push(levelOf(versions, stated['level']));
    list.push(one('growth', null, 'Growth a month', 'points'));
    list.push(one('order-value', null, 'Order value', 'percent'));
    list.push(one('scatter', null, 'Chance from month to month', 'percent'));
  }
  if (streams.some(({ orders, subscribers }) => hasSeason(subscribers?.joins ?? orders)))
    list.push(one('season', null, 'Strength of the season', 'percent'));
  for (const { id, label, subscribers } of streams) {
    const name = label || 'sales';
    if (streams.length > 1) list.push(one('own-level', id, `${name} alone`, 'percent'));
    list.push(one('refunds', id, `Refunds, ${name}`, 'points'));
    if (subscribers) list.push(one('churn', id, `Churn, ${name}`, 'points'));
  }
  if (foreignKind(file) !== null) list.push(one('foreign-cards', null, 'Cards from abroad', 'points'));
  for (const currency of Object.keys(file.rates ?? {}))
    list.push(one('rate', currency, `${file.currency} for one ${currency}, over a year`, 'percent'));
  if (file.months > 12)
    for (const { id, name } of vendorsIn(file)) list.push(one('rises', id, `Prices of ${name}, over a year`, 'percent'));
  for (const { id, label, usual } of openPrices(file)) {
    const key = `price:${id}`;
    const [low, high] = ranges?.[key]?.map(Number) ?? usual;
    list.push({ key, kind: 'price', of: id, label, unit: 'amount', low: low ?? 0, high: high ?? 0, isStated: ranges?.[key] !== undefined });
  }
  for (const { id, label } of openAnswers(file)) {
    const { low, ...answer } = one('answer', id, label, 'likely');
    list.push({ ...answer, low: Math.min(low, 100), high: Math.min(low, 100) });
  }
  return list;
}

/** Vendors of the plans that candidates begin with, each once. */
function vendorsIn({ offers, candidates }: DecisionFile): Array<{ readonly id: string; readonly name: string }> {
  const used = new Set(candidates.map(({ plans }) => plans[0]?.plan));
  return offers
    .filter(({ plans }) => plans.some(({ id }) => used.has(id)))
    .map(({ id, label, vendor }) => ({ id, name: label || vendor || 'one vendor' }));
}

/** Whether it comes out alike in every future. */
export function isCertain({ unit, low, high }: Pick<Uncertain, 'unit' | 'low' | 'high'>): boolean {
  if (unit === 'amount') return low === high;
  return unit === 'likely' ? low === 0 || low === 100 : low === 0 && high === 0;
}

/** Whether it is drawn evenly between 0 and 1; all else is a standard normal number. */
export function isDrawnEvenly({ unit }: Pick<Uncertain, 'unit'>): boolean {
  return unit === 'amount' || unit === 'likely';
}

/** What a price that nobody knows is at an even draw. */
export function amountAt({ low, high }: Pick<Uncertain, 'low' | 'high'>, even: number): number {
  return low + (high - low) * even;
}

/** Whether an answer that nobody knows is yes at an even draw. */
export function isYesAt({ low }: Pick<Uncertain, 'low'>, even: number): boolean {
  return even * 100 < low;
}

function levelOf(versions: Versions | undefined, stated: string | undefined): Uncertain {
  const percent = (version: 'cautious' | 'hopeful') => Number(differencesOf(versions, version).orders ?? '0') / 100;
  const own = stated === undefined ? null : Number(stated);
  return {
    key: 'level',
    kind: 'level',
    of: null,
    label: 'Orders of all streams',
    unit: 'percent',
    low: own ?? Math.max(0, -percent('cautious') * 100),
    high: own ?? Math.max(0, percent('hopeful') * 100),
    isStated: own !== null,
  };
}

function hasSeason(series: unknown): boolean {
  return typeof series === 'object' && series !== null && 'season' in series && series.season !== undefined;
}

/** One in ten lies beyond so many standard deviations, on either side. */
const ONE_IN_TEN = 1.2815515655446004;

/**
 * What something is multiplied by at a standard normal draw: even in logarithms, so that twice and half are as likely.
 *
 * @example factorOf({ low: 25, high: 25 })(1.2816) // 1.25
 */
export function factorOf({ low, high }: Pick<Uncertain, 'low' | 'high'>): (drawn: number) => number {
  const below = Math.log(Math.max(LEAST_FACTOR, 1 - Math.min(low, 100) / 100)) / ONE_IN_TEN;
  const above = Math.log(1 + high / 100) / ONE_IN_TEN;
  if (below === 0 && above === 0) return () => 1;
  return (drawn) => Math.max(LEAST_FACTOR, Math.exp(drawn < 0 ? -drawn * below : drawn * above));
}

/** How many percentage points are added at a standard normal draw, a fraction. */
export function pointsAt({ low, high }: Pick<Uncertain, 'low' | 'high'>, drawn: number): number {
  return ((drawn / ONE_IN_TEN) * (drawn < 0 ? low : high)) / 100;
}
