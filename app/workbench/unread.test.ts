import { describe, expect, it } from 'vitest';
import { takeApart } from '#core/decision/take-apart';
import { withDecision } from '#core/decision/workbench';
import { kiteDecision } from '#core/tests/kite-decision';
import { unreadStillThere } from './unread';

let next = 0;
const bench = takeApart(kiteDecision(), () => `sheet-${next++}`);
const unread = (key: string) => ({ [key]: { text: '12x', problem: 'not a number', label: 'the figure' } });
const withoutB = withDecision(bench, (one) => ({ ...one, candidates: one.candidates.filter(({ id }) => id !== 'B') }));

describe('texts that could not be read', () => {
  it('go with the row that they were typed in', () => {
    expect(unreadStillThere({ ...unread('candidate.B.setup'), ...unread('candidate.A.setup') }, bench, withoutB)).toEqual(
      unread('candidate.A.setup'),
    );
    const withoutSales = withDecision(bench, (one) => ({ ...one, forecast: { streams: [] } }));
    expect(unreadStillThere(unread('stream.kites.orders'), bench, withoutSales)).toEqual({});
  });

  it('stay while their row is there, and where nothing was taken away', () => {
    const kept = unread('candidate.B.setup');
    expect(unreadStillThere(kept, bench, bench)).toBe(kept);
    expect(unreadStillThere(kept, withoutB, bench)).toBe(kept);
    const odd = unread('moving between hours');
    expect(unreadStillThere(odd, bench, withoutB)).toEqual(odd);
  });
});
