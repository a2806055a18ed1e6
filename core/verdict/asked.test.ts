import { describe, expect, it } from 'vitest';
import { assembleToPrice } from '../assembly/assemble-to-price';
import { withDecision } from '../decision/workbench';
import { USUAL_MOVING } from '../route/moving-costs';
import { kiteDecision } from '../tests/kite-decision';
import { workbenchOf } from '../tests/workbench-of';
import { verdictAsked } from './asked';

const workbench = workbenchOf(kiteDecision());
const { file } = assembleToPrice(workbench);

describe('what a verdict is worked out from', () => {
  it('are the other versions of the sales, a quarter less and more', () => {
    const others = verdictAsked(workbench, file, 'expected', false).others;
    expect(others.map(({ version, file: other }) => [version, other.forecast.streams[0]?.orders])).toEqual([
      ['cautious', '75'],
      ['hopeful', '125'],
    ]);
    expect(verdictAsked(workbench, file, 'hopeful', false).others.map(({ version }) => version)).toEqual(['cautious', 'expected']);
  });

  it('are the assumptions over their usual ranges, or over those that were stated', () => {
    const rangeOf = (key: string, asked = workbench) =>
      verdictAsked(asked, file, 'expected', false).varied.flatMap(({ assumption, low, high }) =>
        assumption.key === key ? [[low, high]] : [],
      );
    expect(rangeOf('orders:kites')).toEqual([[-40, 60]]);
    const stated = withDecision(workbench, (one) => ({ ...one, whatIf: { ranges: { 'orders:kites': ['-5', '5'] } } }));
    expect(rangeOf('orders:kites', stated)).toEqual([[-5, 5]]);
    expect(rangeOf('order-value:kites', stated)).toEqual([[-25, 25]]);
    expect(
      rangeOf(
        'orders:kites',
        withDecision(workbench, (one) => ({ ...one, whatIf: {} })),
      ),
    ).toEqual([[-40, 60]]);
  });

  it('are what moving takes, where a way is asked for', () => {
    const moving = { ...USUAL_MOVING, moves: 3 };
    const movingOf = (asked: typeof workbench, isWayAsked: boolean) => verdictAsked(asked, file, 'expected', isWayAsked).moving;
    const stated = withDecision(workbench, (one) => ({ ...one, whatIf: { moving } }));
    expect(movingOf(workbench, true)).toEqual(USUAL_MOVING);
    expect(movingOf(stated, true)).toEqual(moving);
    expect(movingOf(stated, false)).toBeNull();
  });

  it('are the names of what is needed', () => {
    const names = (needs?: Array<{ feature: string; level: 'must'; label: string }>) =>
      verdictAsked(
        withDecision(workbench, ({ needs: _none, ...one }) => ({ ...one, ...(needs ? { needs } : {}) })),
        file,
        'expected',
        false,
      ).names;
    expect(names([{ feature: 'one-stock', level: 'must', label: 'one stock' }])).toEqual({ 'one-stock': 'one stock' });
    expect(names()).toEqual({});
  });
});
