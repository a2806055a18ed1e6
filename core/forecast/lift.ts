import { Decimal, fraction, ONE } from '../amount/decimal';
import type { Lift } from '../decision-file/candidate-schema';

/**
 * The factor by which a candidate's lift multiplies a stream's orders and subscribers (decision file §5): 1 + lift/100
 * for the streams it is about, 1 for others.
 */
export function liftOf(lift: Lift | undefined, stream: string): Decimal {
  if (lift === undefined) return ONE;
  if (typeof lift === 'string') return ONE.plus(fraction(lift));
  return lift.streams.includes(stream) ? ONE.plus(fraction(lift.percent)) : ONE;
}

/** Whether two lifts are the same, as one text; empty for none. */
export function liftKey(lift: Lift | undefined): string {
  if (lift === undefined) return '';
  const [percent, streams] = typeof lift === 'string' ? [lift, '*'] : [lift.percent, [...lift.streams].sort().join(' ')];
  const isNone = new Decimal(percent).isZero() || streams === '';
  return isNone ? '' : `${new Decimal(percent).toFixed()} ${streams}`;
}

/** The percent of a lift; 0 without one. */
export function percentOf(lift: Lift | undefined): string {
  return typeof lift === 'object' ? lift.percent : (lift ?? '0');
}

/** A lift of another percent, of the same streams. */
export function withPercent(lift: Lift | undefined, percent: string): Lift {
  return typeof lift === 'object' ? { ...lift, percent } : percent;
}

/** A lift of the same percent of some streams; of all where none is named. */
export function withStreamsLifted(lift: Lift | undefined, streams: readonly string[]): Lift {
  const percent = percentOf(lift);
  return streams.length === 0 ? percent : { percent, streams: [...streams] };
}
