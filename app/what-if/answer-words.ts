import type { Assumption } from '#core/what-if/assumption';
import type { InvestmentJudged } from '#core/what-if/investment';
import { type CheapestMap, fieldsOf, type MapAxis } from '#core/what-if/map';
import type { OffersLookedAt, Lead } from '#core/what-if/offers';
import type { PayingAhead, PayingOption } from '#core/what-if/paying-ahead';
import type { RoutePlan } from '#core/what-if/route-plan';
import type { ScenarioOutcome } from '#core/what-if/scenarios';
import { termWords } from '#core/wording/term-words';
import type { TurningPoint, TurnsIt } from '#core/what-if/turns-it';
import type { Scenario } from '#core/decision/what-if-schema';
import type { Writer } from '../locale/writer';
import { changeWords } from './assumption-words';

/** What is expected, as a scenario to compare others with. */
export const AS_IT_IS: Scenario = { id: 'as-it-is', name: 'As it is', changes: [] };

/** Both axes of a map, with what they are about. */
export interface MapAxes {
  x: { assumption: Assumption; axis: MapAxis };
  y: { assumption: Assumption; axis: MapAxis };
}

/** "Marlpit Grow is cheapest on 68 % of the map, Wharfside Trade on 32 %; your forecast lies in the field of Marlpit Grow." */
export function mapSentence(map: CheapestMap, { x, y }: MapAxes, nameOf: (id: string | null) => string): string {
  const fields = fieldsOf(map);
  const place = ({ assumption, axis }: MapAxes['x'], count: number) =>
    Math.round(((assumption.asIs - axis.low) / (axis.high - axis.low)) * (count - 1));
  const [column, row] = [place(x, map.columns), place(y, map.rows)];
  const isOn = column >= 0 && column < map.columns && row >= 0 && row < map.rows;
  const here = isOn ? (map.ids[map.winners[row * map.columns + column] ?? -1] ?? null) : null;
  const [only] = fields;
  if (fields.length === 1 && only)
    return only.candidate === null
      ? 'Nobody can be chosen anywhere on this map.'
      : `${nameOf(only.candidate)} is cheapest everywhere on this map.`;
  const shares = fields
    .slice(0, 4)
    .map(({ candidate, share }, index) =>
      index === 0
        ? `${nameOf(candidate)} ${candidate === null ? 'can be chosen on' : 'is cheapest on'} ${percent(share)} of the map`
        : `${nameOf(candidate)} on ${percent(share)}`,
    );
  return `${shares.join(', ').replace('nobody can be chosen on', 'Nobody can be chosen on')}. ${isOn ? `Your forecast lies in the field of ${nameOf(here)}.` : 'Your forecast lies outside this map.'}`;
}

function percent(share: number): string {
  return share < 0.005 ? 'less than 1 %' : `${Math.round(share * 100)} %`;
}

/** "Begin with Brindle Shop and move to Marlpit Grow in April 2028: 6,800 over 36 months, 249 less than Marlpit Grow throughout." */
export function routeSentence(
  { segments, total, kept, single, saving }: RoutePlan,
  nameOf: (id: string | null) => string,
  write: Writer,
): string {
  const [first, ...later] = segments;
  if (!first || total === null) return '';
  const costs = kept === null ? `${write.whole(total)} in all` : `${write.whole(kept)} is kept, ${write.whole(total)} paid`;
  if (later.length === 0) return `Moving does not pay: stay with ${nameOf(first.candidate)} throughout, ${costs}.`;
  const moves = later.map(({ candidate, from }) => `move to ${nameOf(candidate)} in ${write.month(from)}`).join(', then ');
  const gain =
    single && saving !== null
      ? `, ${write.whole(saving)} ${kept === null ? 'less' : 'better'} than ${nameOf(single.candidate)} throughout`
      : '; no single candidate can be used throughout';
  return `Begin with ${nameOf(first.candidate)}, ${moves}: ${costs}${gain}.`;
}

/** "Marlpit Grow is ahead of Wharfside Trade by 205. It turns with “Orders, all streams”: from +17.1 % Wharfside Trade is cheapest." */
export function turnsSentence(
  { first, second, gap, turns }: TurnsIt,
  find: (key: string) => Assumption | undefined,
  nameOf: (id: string | null) => string,
  write: Writer,
): string {
  const ahead =
    second !== null && gap !== null
      ? `${nameOf(first)} is ahead of ${nameOf(second)} by ${write.whole(gap)}.`
      : `${nameOf(first)} is the only one that can be chosen.`;
  const turning = turns.flatMap((turn) => {
    const assumption = find(turn.key);
    const points = [turn.below, turn.above].flatMap((point) => (point ? [point] : []));
    return assumption ? points.map((point) => ({ assumption, point })) : [];
  });
  const [strongest] = turning;
  if (!strongest) return `${ahead} Nothing turns that, over the ranges stated.`;
  const others = new Set(turning.map(({ assumption }) => assumption.key)).size - 1;
  return `${ahead} It turns with “${strongest.assumption.label}”: ${turningWords(strongest.assumption, strongest.point, nameOf, write)}${others > 0 ? `; ${others} more ${others === 1 ? 'assumption does' : 'assumptions do'} within their ranges` : ''}.`;
}

export function turningWords(
  assumption: Assumption,
  { at, winner }: TurningPoint,
  nameOf: (id: string | null) => string,
  write: Writer,
): string {
  const direction = at < assumption.asIs ? 'below' : 'from';
  return `${direction} ${changeWords(assumption, at, write)} ${winner === null ? 'nobody can be chosen' : `${nameOf(winner)} is cheapest`}`;
}

/** "Paid by the year, Marlpit Grow costs 252 less over 36 months; leave in the first months and up to 560 is lost; it pays from month 11 on." */
export function payingSentence({ options }: PayingAhead, name: string, months: number, write: Writer): string {
  const [shortest, ...others] = options;
  const best = others.reduce<PayingOption | null>(
    (most, one) => (most === null || Number(one.saving) > Number(most.saving) ? one : most),
    null,
  );
  if (!shortest || !best) return '';
  if (Number(best.saving) <= 0)
    return `Paying ahead saves nothing for ${name} over ${months} months: ${termWords(shortest.months)} costs least.`;
  const loss = best.worst
    ? ` Leave after ${best.worst.months} ${best.worst.months === 1 ? 'month' : 'months'} and ${write.whole(best.worst.loss)} is lost;`
    : '';
  const safe = (month: number) => (month <= 1 ? ' it never loses anything.' : ` from month ${month} on nothing is lost any more.`);
  const pays = best.breakEven === null ? ' it is never safe within this time.' : safe(best.breakEven);
  return `Paid ${termWords(best.months)}, ${name} costs ${write.whole(best.saving)} less over ${months} months.${loss}${pays}`;
}

export function offersSentence(
  { offers, withAll, withoutAll }: OffersLookedAt,
  nameOf: (id: string | null) => string,
  write: Writer,
): string {
  const resting = offers.filter(({ without }) => without?.first !== withAll?.first);
  const all = offers.length === 1 ? 'the one special offer' : `any one of the ${offers.length} special offers`;
  if (resting.length > 0)
    return `The decision does not survive without ${resting.map(({ label }) => label).join(' or ')}: then ${nameOf(resting[0]?.without?.first ?? null)} costs least.`;
  if (withoutAll?.first !== withAll?.first)
    return `${nameOf(withAll?.first ?? null)} stays cheapest without ${all}, but not without all of them: then ${nameOf(withoutAll?.first ?? null)} costs least.`;
  return `The decision survives: ${nameOf(withAll?.first ?? null)} costs least without ${all}${offers.length > 1 ? `, and without all of them${marginWords(withoutAll, nameOf, write)}` : ''}.`;
}

export function standingWords(standing: Lead | null, nameOf: (id: string | null) => string, write: Writer): string {
  return standing
    ? `${nameOf(standing.first)} costs least, ${write.whole(standing.total)}${marginWords(standing, nameOf, write)}.`
    : 'nobody can be chosen.';
}

export function marginWords(standing: Lead | null, nameOf: (id: string | null) => string, write: Writer): string {
  return standing?.margin == null ? '' : `, ${write.whole(standing.margin)} less than ${nameOf(standing.second)}`;
}

/** "It pays if it brings 14.2 % more online orders. At the expected 20 % it has paid for itself in May 2028 and leaves 2,310 more over 36 months." */
export function investmentSentence({ outcomes, requiredLift }: InvestmentJudged, months: number, write: Writer): string {
  const expected = outcomes.find(({ version }) => version === 'expected');
  if (!expected) return '';
  const from = (lift: string) =>
    Number(lift) === 0
      ? 'It pays even without a single order more.'
      : `It pays if it brings ${write.number(lift, 2)} % more online orders.`;
  const needs = requiredLift === null ? 'It does not pay within this time, even with ten times the orders.' : from(requiredLift);
  const kept = Number(expected.keptMore);
  const outcome = `At the ${write.number(expected.lift)} % that you expect it leaves you ${write.whole(expected.keptMore.replace('-', ''))} ${kept < 0 ? 'less' : 'more'} over ${months} months`;
  return `${needs} ${outcome}${expected.payback && kept >= 0 ? `, and has paid for itself in ${write.month(expected.payback)}` : ''}.`;
}

export function scenariosSentence(
  outcomes: readonly ScenarioOutcome[],
  scenarios: readonly Scenario[],
  nameOf: (id: string | null) => string,
): string {
  const now = outcomes.find(({ id }) => id === AS_IT_IS.id)?.standing?.first ?? null;
  const others = scenarios.filter(({ id }) => {
    const outcome = outcomes.find((one) => one.id === id);
    return outcome && (outcome.standing?.first ?? null) !== now;
  });
  if (others.length === 0) return `${nameOf(now)} ${now === null ? 'can be chosen' : 'costs least'} in every scenario.`;
  return `${nameOf(now)} costs least as it is; not in ${others.map(({ name }) => `“${name}”`).join(', ')}.`;
}
