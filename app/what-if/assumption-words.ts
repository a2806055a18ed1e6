import type { Assumption } from '#core/what-if/assumption';
import { valueAt } from '#core/what-if/assumption';
import type { Writer } from '../locale/writer';

/** What an assumption is at a change of it, in words: "118 a month (+23%)", "+1.5 points", "32 an hour". */
export function changeWords(assumption: Pick<Assumption, 'kind' | 'unit' | 'now'>, change: number, write: Writer): string {
  const { kind, unit, now } = assumption;
  const plus = change > 0 ? '+' : '';
  const value = valueAt(assumption, change);
  const written = value === null ? null : write.number(value, kind === 'rate' ? 4 : 2);
  if (unit === 'strength') return `${write.percent(change.toFixed(1), 0)} as strong`;
  if (unit === 'amount') return written ?? '';
  if (unit === 'percent') {
    const changed = `${plus}${write.percent(change.toFixed(2), 1)}`;
    return now === null || written === null ? changed : `${written}${UNIT_WORDS[kind] ?? ''} (${changed})`;
  }
  const points = `${plus}${write.number(change.toFixed(2), 1)} points`;
  return value === null ? points : `${write.percent(value, 2)} (${points})`;
}

const UNIT_WORDS: Partial<Record<Assumption['kind'], string>> = { orders: ' a month' };

/** What it is now, in words. */
export function nowWords(assumption: Assumption, write: Writer): string {
  const { kind, unit, now } = assumption;
  if (kind === 'price') return 'not known';
  if (now === null) return 'as it is';
  if (unit === 'points' || unit === 'strength') return write.percent(now, 2);
  return `${write.number(now, kind === 'rate' ? 4 : 2)}${UNIT_WORDS[kind] ?? ''}`;
}

/** In what the ends of its range are typed. */
export function rangeUnit({ unit }: Assumption, currency: string): string {
  return { percent: '% more or less', points: 'points more or less', strength: '% as strong', amount: currency }[unit];
}
