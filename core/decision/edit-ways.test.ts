import { expect, it } from 'vitest';
import { smallDecision } from '../tests/small-decision';
import { decisionSchema } from './decision-schema';
import { withMove, withNewWay, withoutLastMove, withoutWay, withStay } from './edit-ways';

const stays = (decision: ReturnType<typeof smallDecision>, at = 0) =>
  decision.whatIf?.ways?.[at]?.stays.map(({ candidate, from }) => `${candidate} ${from}`);

it('a way is put together stay by stay, can be kept, and goes again', () => {
  const one = withNewWay(smallDecision({ start: '2027-12' }), 'w', 'A', 'B');
  expect(stays(one)).toEqual(['A 2027-12', 'B 2028-01']);
  const two = withNewWay(withMove(withStay(one, 'w', 1, { from: '2028-03' }), 'w', 'C'), 'v', 'B', 'C');
  expect([stays(two), stays(two, 1)]).toEqual([
    ['A 2027-12', 'B 2028-03', 'C 2028-04'],
    ['B 2027-12', 'C 2028-01'],
  ]);
  expect(decisionSchema.safeParse(two).error?.issues).toBeUndefined();
  expect(stays(withStay(two, 'v', 0, { candidate: 'D' }), 1)).toEqual(['D 2027-12', 'C 2028-01']);
  const fewer = withoutLastMove(two, 'w');
  expect(stays(fewer)).toEqual(['A 2027-12', 'B 2028-03']);
  expect(stays(withoutLastMove(fewer, 'w'))).toEqual(['A 2027-12', 'B 2028-03']);
  expect(withoutWay(two, 'w').whatIf?.ways?.map(({ id }) => id)).toEqual(['v']);
});
