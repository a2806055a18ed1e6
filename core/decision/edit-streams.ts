import { decimal, sum } from '../amount/decimal';
import type { Month } from '../calendar/month';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Series, Stream } from '../decision-file/forecast-schema';
import type { Differences, Versions } from '../forecast/versions-schema';
import type { Decision } from './decision-schema';
import { monthsSet, shaped, withForecast, withSeries, withStreamMonthSet } from './edit-forecast';

/**
 * The first month in which a stream is sold: those before it are set to nothing by hand.
 *
 * @param months - the months of the horizon
 * @returns null where nothing is sold in any of them
 */
export function firstMonthSold(stream: Stream, months: readonly Month[]): Month | null {
  const set = monthsSet(stream);
  return months.find((month) => set[month] === undefined || !decimal(set[month]).isZero()) ?? null;
}

/** The stream sold from a month on: nothing in the months before; from it on as they were, but for nothing set by hand before. */
export function withFirstMonth(stream: Stream, first: Month, months: readonly Month[]): Stream {
  const former = firstMonthSold(stream, months);
  return months.reduce((changed, month) => {
    if (month < first) return withStreamMonthSet(changed, month, '0');
    return former === null || month < former ? withStreamMonthSet(changed, month, null) : changed;
  }, stream);
}

/** A part of what is sold that goes through one channel. */
export interface ChannelShare {
  readonly channel: string;
  /** Percent of the orders; decimal. */
  readonly percent: string;
}

/** Places of orders that a share is kept with; more are dust. */
const PLACES = 10;

/**
 * The decision with a stream split by where it is sold: each channel gets its share of the orders as a stream of its own,
 * everything else of it stays alike; what is left over stays where it was.
 *
 * @param newId - ids for the streams that are added
 * @example withChannelShares(decision, 'kites', [{ channel: 'marketplace', percent: '15' }], newId)
 */
export function withChannelShares(decision: Decision, id: string, shares: readonly ChannelShare[], newId: () => string): Decision {
  const taken = shares.filter(({ percent }) => decimal(percent).gt(0));
  const rest = decimal(100).minus(sum(taken.map(({ percent }) => decimal(percent))));
  const stream = decision.forecast.streams.find((one) => one.id === id);
  if (!stream?.orders || taken.length === 0 || rest.lt(0)) return decision;
  // Where nothing is left over, the first channel takes the stream over: what names it elsewhere stays valid.
  const all = rest.isZero() ? taken : [{ channel: stream.channel, percent: rest.toFixed() }, ...taken];
  const parts = all.map(({ channel, percent }, index): Stream => {
    const part = { ...stream, orders: shareOf(stream.orders ?? '0', percent), ...(channel === undefined ? {} : { channel }) };
    return index === 0 ? part : { ...part, id: newId() };
  });
  const added = parts.slice(1).map((part) => part.id);
  const changed = withForecast(decision, (forecast) => ({
    ...forecast,
    streams: forecast.streams.flatMap((one) => (one.id === id ? parts : [one])),
  }));
  const beside = (streams: readonly string[]) => streams.flatMap((one) => (one === id ? [one, ...added] : [one]));
  return {
    ...changed,
    candidates: decision.candidates.map((candidate) => withStreamsOf(candidate, beside)),
    ...(decision.versions ? { versions: versionsBeside(decision.versions, id, added) } : {}),
  };
}

/** A candidate whose plans and lift name other streams. */
function withStreamsOf(candidate: Candidate, named: (streams: readonly string[]) => string[]): Candidate {
  const { plans, lift } = candidate;
  return {
    ...candidate,
    plans: plans.map((plan) => (plan.streams ? { ...plan, streams: named(plan.streams) } : plan)),
    ...(typeof lift === 'object' ? { lift: { ...lift, streams: named(lift.streams) } } : {}),
  };
}

/** Cautious and hopeful differences of a stream, for those that were split off too. */
function versionsBeside({ cautious, hopeful }: Versions, id: string, added: readonly string[]): Versions {
  const beside = (differences: Differences): Differences => {
    const own = differences.streams?.[id];
    if (!own) return differences;
    return { ...differences, streams: { ...differences.streams, ...Object.fromEntries(added.map((one) => [one, own])) } };
  };
  return { ...(cautious ? { cautious: beside(cautious) } : {}), ...(hopeful ? { hopeful: beside(hopeful) } : {}) };
}

/** So many percent of a series. */
function shareOf(series: Series, percent: string): Series {
  const part = (amount: string) => decimal(amount).times(percent).div(100).toDecimalPlaces(PLACES).toFixed();
  const { start, add, set } = shaped(series);
  return withSeries(series, {
    start: part(start),
    ...(add === undefined ? {} : { add: part(add) }),
    ...(set === undefined ? {} : { set: Object.fromEntries(Object.entries(set).map(([month, orders]) => [month, part(orders)])) }),
  });
}
