import type { ChanceSettings } from '../decision/chance-schema';
import type { DecisionFile } from '../decision-file/schema';
import { foreignKind } from '../forecast/foreign-kind';
import { differencesOf } from '../forecast/versions';
import type { Versions } from '../forecast/versions-schema';

/** What can come out otherwise. */
export type UncertainKind =
  'level' | 'own-level' | 'growth' | 'season' | 'order-value' | 'refunds' | 'churn' | 'foreign-cards' | 'rate' | 'rises' | 'scatter';

/** Something assumed that may come out otherwise: one time in ten further below, and one in ten further above. */
export interface Uncertain {
  /** Unique in the decision: its kind, and what it is about behind a colon. */
  readonly key: string;
  readonly kind: UncertainKind;
  /** Id of the stream, currency or vendor it is about; null for all. */
  readonly of: string | null;
  readonly label: string;
  readonly unit: 'percent' | 'points';
  /** Below and above, both above zero; 0 where it is certain. */
  readonly low: number;
  readonly high: number;
  /** Whether the person said how uncertain it is. */
  readonly isStated: boolean;
}

/** How uncertain things are as long as nobody says otherwise; docs/chance.md says why. */
const USUAL: Readonly<Record<Exclude<UncertainKind, 'level'>, number>> = {
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
};
const LEAST_FACTOR = 0.001;

/**
 * Everything that may come out otherwise, with how far: cautious and hopeful sales are one in ten either way, all else as it
 * usually is or as the person says.
 */
export function uncertainsOf(file: DecisionFile, versions: Versions | undefined, settings: ChanceSettings = {}): Uncertain[] {
  const { streams } = file.forecast;
  const stated = settings.spreads ?? {};
  const one = (kind: Exclude<UncertainKind, 'level'>, of: string | null, label: string, unit: Uncertain['unit']): Uncertain => {
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
  if (file.candidates.length > 0 && file.months > 12) list.push(one('rises', null, 'Prices of vendors, over a year', 'percent'));
  return list;
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
 * @example factorAt({ low: 25, high: 25 }, 1.2816) // 1.25
 */
export function factorAt({ low, high }: Pick<Uncertain, 'low' | 'high'>, drawn: number): number {
  const end = drawn < 0 ? Math.max(LEAST_FACTOR, 1 - Math.min(low, 100) / 100) : 1 + high / 100;
  return Math.max(LEAST_FACTOR, end ** (Math.abs(drawn) / ONE_IN_TEN));
}

/** How many percentage points are added at a standard normal draw, a fraction. */
export function pointsAt({ low, high }: Pick<Uncertain, 'low' | 'high'>, drawn: number): number {
  return ((drawn / ONE_IN_TEN) * (drawn < 0 ? low : high)) / 100;
}
