import { describe, expect, it } from 'vitest';
import type { Chosen } from './give';
import { choiceOf, since, type ThenChosen } from './since';

const against = (margin: string) => ({ candidate: 'A', label: 'Alder', total: '720.00', margin });
const then: ThenChosen = { currency: 'EUR', months: 12, total: '480.00', runnerUp: against('240.00') };
const now: Chosen = {
  parts: [{ candidate: 'B', label: 'Birch' }],
  total: '500.00',
  keep: '5500.00',
  atLeast: false,
  usable: true,
  runnerUp: against('220.00'),
};
const MEASURE = { currency: 'EUR', months: 12 };
const standing = (chosen: Partial<Chosen> | null, verdict: Partial<ThenChosen> = {}) =>
  since({ ...then, ...verdict }, chosen && { ...now, ...chosen }, MEASURE).standing;

describe('a verdict against what its choice comes to now', () => {
  it('tells how much dearer it is, and what it was set against then and is now', () => {
    expect(since(then, now, MEASURE)).toEqual({
      standing: 'holds',
      dearer: '20.00',
      then: against('240.00'),
      now: against('220.00'),
      isOtherMeasure: false,
    });
    expect(since(then, { ...now, total: '470.50' }, MEASURE).dearer).toBe('-9.50');
  });

  it('is gone without its candidate or its total, which leaves nothing to compare', () => {
    expect(since(then, null, MEASURE)).toMatchObject({ standing: 'gone', dearer: null, now: null, isOtherMeasure: false });
    expect(since(then, { ...now, total: null }, MEASURE)).toMatchObject({ standing: 'gone', dearer: null });
    expect(since({ ...then, total: null }, now, MEASURE)).toMatchObject({ standing: 'holds', dearer: null });
  });

  it('cannot be used where it is outgrown, or rests on a price not known', () => {
    expect(standing({ usable: false })).toBe('unusable');
    expect(standing({ atLeast: true })).toBe('unusable');
  });

  it('holds up to the point where another is as good', () => {
    expect(standing({ runnerUp: against('0.00') })).toBe('holds');
    expect(standing({ runnerUp: null })).toBe('holds');
    expect(standing({ runnerUp: against('-0.01') })).toBe('overtaken');
  });

  it('given against a better one it holds while it is no further behind than then', () => {
    const behind = (margin: string) => standing({ runnerUp: against(margin) }, { runnerUp: against('-240.00') });
    expect([behind('-239.00'), behind('-240.00'), behind('-241.00')]).toEqual(['holds', 'holds', 'overtaken']);
    expect(standing({ runnerUp: against('-1.00') }, { runnerUp: null })).toBe('overtaken');
    expect(standing({ runnerUp: against('-1.00') }, { runnerUp: against('0.00') })).toBe('overtaken');
  });

  it.each([
    ['another currency', { currency: 'USD', months: 12 }, {}],
    ['another time', { currency: 'EUR', months: 24 }, {}],
    ['what is left instead of what it costs', MEASURE, { comparedBy: 'keep' as const }],
  ])('is not set against figures in %s', (_what, measure, chosen) => {
    expect(since(then, { ...now, ...chosen }, measure)).toMatchObject({ isOtherMeasure: true, dearer: null });
  });
});

describe('the choice a verdict was given for', () => {
  const streams = [
    { id: 'k', label: 'Kites' },
    { id: 'c', label: '' },
    { id: 'w', label: 'Workshops' },
  ];
  const parts = [
    { candidate: 'A', label: 'Alder', streams: ['Workshops'] },
    { candidate: 'B', label: 'Birch', streams: ['Kites', 'c'] },
  ];

  it('of one candidate is that candidate with its reason', () => {
    expect(choiceOf({ kind: 'candidate', parts: [{ candidate: 'B', label: 'Birch' }], reason: 'so' }, streams)).toEqual({
      kind: 'candidate',
      candidates: ['B'],
      reason: 'so',
    });
  });

  it('of two together has what the second takes, by name or, without one, by id', () => {
    expect(choiceOf({ kind: 'together', parts, reason: '' }, streams)).toEqual({
      kind: 'together',
      candidates: ['A', 'B'],
      streams: ['k', 'c'],
      reason: '',
    });
    const untold = parts.map(({ candidate, label }) => ({ candidate, label }));
    expect(choiceOf({ kind: 'together', parts: untold, reason: '' }, [...streams, { id: 'x', label: 'Stall' }]).streams).toEqual([]);
  });

  it('of a way names nobody: the way is looked for anew', () => {
    expect(choiceOf({ kind: 'route', parts, reason: '' }, streams)).toEqual({ kind: 'route', candidates: [], reason: '' });
  });
});
