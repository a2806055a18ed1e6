import { addMonths, type Month } from '../calendar/month';
import type { Decision } from './decision-schema';
import type { OwnWay } from './what-if-schema';

type Stay = OwnWay['stays'][number];

/** The decision with a new way: with one candidate first, with another from the second month on. */
export function withNewWay(decision: Decision, id: string, first: string, then: string): Decision {
  const { start } = decision;
  const stays = [
    { candidate: first, from: start },
    { candidate: then, from: addMonths(start, 1) },
  ];
  return withWays(decision, (ways) => [...ways, { id, stays }]);
}

/** The decision without a way. */
export function withoutWay(decision: Decision, id: string): Decision {
  return withWays(decision, (ways) => ways.filter((way) => way.id !== id));
}

/** The decision with one stay of a way changed; the others keep to their months. */
export function withStay(decision: Decision, id: string, index: number, change: Partial<Stay>): Decision {
  return withStays(decision, id, (stays) => stays.map((stay, at) => (at === index ? { ...stay, ...change } : stay)));
}

/** The decision with one more move at the end of a way, a month after the last. */
export function withMove(decision: Decision, id: string, candidate: string): Decision {
  return withStays(decision, id, (stays) => {
    const last: Month = stays.at(-1)?.from ?? decision.start;
    return [...stays, { candidate, from: addMonths(last, 1) }];
  });
}

/** The decision without the last move of a way; one move always stays. */
export function withoutLastMove(decision: Decision, id: string): Decision {
  return withStays(decision, id, (stays) => (stays.length > 2 ? stays.slice(0, -1) : stays));
}

function withStays(decision: Decision, id: string, change: (stays: Stay[]) => Stay[]): Decision {
  return withWays(decision, (ways) => ways.map((way) => (way.id === id ? { ...way, stays: change(way.stays) } : way)));
}

function withWays(decision: Decision, change: (ways: readonly OwnWay[]) => OwnWay[]): Decision {
  return { ...decision, whatIf: { ...decision.whatIf, ways: change(decision.whatIf?.ways ?? []) } };
}
