import { describe, expect, it } from 'vitest';
import type { Condition, Threshold } from '../decision/conditions-schema';
import type { GivenVerdict } from '../decision/verdict-schema';
import { givenVerdict } from '../tests/given-verdict';
import { compareVerdicts } from './compare-verdicts';

const total = (candidate: string, label: string, amount: string) => ({ candidate, label, total: amount, atLeast: false, usable: true });
const given = (more: Partial<GivenVerdict> = {}) =>
  givenVerdict({
    parts: [{ candidate: 'A', label: 'Alder' }],
    reason: 'so',
    runnerUp: { candidate: 'B', label: 'Birch', total: '720.00', margin: '240.00' },
    totals: [total('A', 'Alder', '480.00'), total('B', 'Birch', '720.00')],
    ...more,
  });
const differences = (before: Partial<GivenVerdict>, after: Partial<GivenVerdict>) => compareVerdicts(given(before), given(after));
const NOTHING = {
  isOtherChoice: false,
  isOtherReason: false,
  isOtherMeasure: false,
  version: null,
  sales: null,
  margin: null,
  totals: [],
  sheets: [],
  chance: null,
  conditions: [],
  settled: [],
  newlyOpen: [],
  thresholds: [null, null],
};

describe('two verdicts on one decision', () => {
  it('that are alike differ in nothing', () => {
    expect(differences({}, { id: 'w', on: '2027-01-01' })).toEqual(NOTHING);
  });

  it('tell another choice: who, from when, for how long, with which streams', () => {
    const part = { candidate: 'A', label: 'Alder' };
    const segment = { candidate: 'A', from: '2027-01', months: 6 };
    for (const parts of [
      [{ ...part, candidate: 'B' }],
      [{ ...part, segment }],
      [{ ...part, streams: ['Kites'] }],
      [part, { ...part, candidate: 'B' }],
    ])
      expect(differences({}, { parts })).toEqual({ ...NOTHING, isOtherChoice: true });
    expect(differences({ parts: [{ ...part, segment }] }, { parts: [{ ...part, segment: { ...segment, months: 7 } }] }).isOtherChoice).toBe(
      true,
    );
    expect(differences({}, { kind: 'route' }).isOtherChoice).toBe(true);
    // Another name of the same is no other choice.
    expect(differences({}, { parts: [{ ...part, label: 'Alder Plus' }] })).toEqual(NOTHING);
  });

  it('tell another reason, version, level of sales and margin', () => {
    expect(differences({}, { reason: 'because' })).toEqual({ ...NOTHING, isOtherReason: true });
    expect(differences({}, { version: 'hopeful' })).toEqual({ ...NOTHING, version: ['expected', 'hopeful'] });
    expect(differences({}, { monthlySales: '1200.00' })).toEqual({ ...NOTHING, sales: ['1000.00', '1200.00'] });
    const runnerUp = { candidate: 'B', label: 'Birch', total: '720.00', margin: '100.00' };
    expect(differences({}, { runnerUp })).toEqual({ ...NOTHING, margin: ['240.00', '100.00'] });
    expect(differences({}, { runnerUp: undefined })).toEqual({ ...NOTHING, margin: ['240.00', null] });
    expect(differences({ runnerUp: undefined }, { runnerUp: undefined })).toEqual(NOTHING);
  });

  it('set totals against each other, those that differ or stand in one of them only', () => {
    const totals = [total('A', 'Alder now', '500.50'), total('C', 'Cherry', '900.00')];
    expect(differences({}, { totals }).totals).toEqual([
      { candidate: 'A', label: 'Alder now', before: '480.00', after: '500.50', difference: '20.50' },
      { candidate: 'C', label: 'Cherry', before: null, after: '900.00', difference: null },
      { candidate: 'B', label: 'Birch', before: '720.00', after: null, difference: null },
    ]);
  });

  it.each<Partial<GivenVerdict>>([{ currency: 'USD' }, { months: 24 }])('do not subtract totals in another measure: %j', (measure) => {
    const { isOtherMeasure, totals } = differences({}, measure);
    expect(isOtherMeasure).toBe(true);
    expect(totals.map(({ before, after, difference }) => [before, after, difference])).toEqual([
      ['480.00', '480.00', null],
      ['720.00', '720.00', null],
    ]);
  });

  it('tell price sheets that are newer, added or gone', () => {
    const sheet = (id: string, seen?: string, label = id) => ({ id, label, ...(seen === undefined ? {} : { seen }) });
    const madeFrom = (revision: number) => ({ revision: 1, sheets: { same: 1, edited: revision } });
    const before = {
      sheets: [sheet('same', '2026-11-01'), sheet('seen', '2026-10-01'), sheet('edited'), sheet('gone', '2026-09-01')],
      madeFrom: madeFrom(1),
    };
    const after = {
      sheets: [sheet('same', '2026-11-01'), sheet('seen', '2026-12-01', 'Seen again'), sheet('edited'), sheet('added')],
      madeFrom: madeFrom(2),
    };
    expect(differences(before, after).sheets).toEqual([
      { label: 'Seen again', before: '2026-10-01', after: '2026-12-01', change: 'newer' },
      { label: 'edited', before: null, after: null, change: 'newer' },
      { label: 'gone', before: '2026-09-01', after: null, change: 'gone' },
      { label: 'added', before: null, after: null, change: 'added' },
    ]);
  });

  it('tell what is settled, what is newly open, and the nearest threshold of both', () => {
    const threshold = {
      key: 'orders',
      label: 'Orders',
      kind: 'orders',
      unit: 'percent',
      now: null,
      at: '5',
      asIs: '0',
      winner: 'B',
    } as Threshold;
    expect(differences({ unknown: ['a', 'b'], thresholds: [threshold] }, { unknown: ['b', 'c'] })).toEqual({
      ...NOTHING,
      settled: ['a'],
      newlyOpen: ['c'],
      thresholds: [threshold, null],
    });
    expect(differences({}, { thresholds: [threshold] }).thresholds).toEqual([null, threshold]);
  });
});

describe('the conditions of two verdicts', () => {
  const told = (before: Condition[], after: Condition[]) =>
    differences({ conditions: before }, { conditions: after }).conditions.map(({ before: then, after: now }) => [
      then?.winner,
      now?.winner,
    ]);

  it.each<[string, Condition]>([
    ['need', { kind: 'need', label: 'video', only: false, winner: 'A' }],
    ['without', { kind: 'without', label: 'video', winner: 'A' }],
    ['paid', { kind: 'paid', months: 12, winner: 'A' }],
    ['version', { kind: 'version', version: 'cautious', winner: 'A' }],
    ['first-year', { kind: 'first-year', winner: 'A' }],
  ])('differ where the answer does: %s', (_kind, condition) => {
    expect(told([condition], [condition])).toEqual([]);
    expect(told([condition], [{ ...condition, winner: 'B' }])).toEqual([['A', 'B']]);
    expect(told([condition], [])).toEqual([['A', undefined]]);
    expect(told([], [condition])).toEqual([[undefined, 'A']]);
  });

  it('are told apart by what they are about', () => {
    const need = (label: string): Condition => ({ kind: 'need', label, only: false, winner: 'A' });
    expect(told([need('video')], [need('stock')])).toEqual([
      ['A', undefined],
      [undefined, 'A'],
    ]);
    expect(told([need('video')], [{ kind: 'without', label: 'video', winner: 'A' }])).toHaveLength(2);
    expect(told([{ kind: 'paid', months: 1, winner: 'A' }], [{ kind: 'paid', months: 12, winner: 'A' }])).toHaveLength(2);
    expect(
      told([{ kind: 'version', version: 'cautious', winner: 'A' }], [{ kind: 'version', version: 'hopeful', winner: 'A' }]),
    ).toHaveLength(2);
  });

  it('of levels of sales differ where their bounds do', () => {
    const sales = (from: string | null, to: string | null, winner: string | null = 'A'): Condition => ({
      kind: 'sales',
      from: from === null ? null : { sales: from, orders: '1' },
      to: to === null ? null : { sales: to, orders: '2' },
      isForecast: true,
      winner,
    });
    expect(told([sales('10', '20')], [sales('10', '20')])).toEqual([]);
    expect(told([sales('10', '20')], [sales('11', '20')])).toEqual([['A', 'A']]);
    expect(told([sales('10', '20')], [sales('10', null)])).toEqual([['A', 'A']]);
    expect(told([sales(null, '20')], [sales(null, '20', 'B')])).toEqual([
      ['A', undefined],
      [undefined, 'B'],
    ]);
    expect(told([sales(null, '20', null)], [sales(null, '20', null)])).toEqual([]);
  });
});
