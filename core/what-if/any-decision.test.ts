import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readDecisionFile } from '../decision-file/read';
import type { DecisionFile } from '../decision-file/schema';
import { arranged } from '../comparison/arrangement';
import { coursesOf } from '../comparison/course';
import { priceDecision } from '../comparison/decision-result';
import { levelsOf } from '../comparison/levels';
import { lineUp } from '../comparison/line-up';
import { setAgainst } from '../comparison/pairwise';
import { salesScale } from '../comparison/sales-scale';
import { kiteDecision } from '../tests/kite-decision';
import { randomDecision } from '../tests/random-decision';
import { richDecision } from '../tests/rich-decision';
import { answerWhatIf, type WhatIfQuestion } from '../questions/answer';
import { assumptionsOf } from './assumption';
import { cheapestMap } from './map';
import { USUAL_MOVING } from '../route/moving-costs';
import { readOrNull } from '../tests/read-or-null';

/** Every question but the map, as the screens ask them first. */
function questions(file: DecisionFile): WhatIfQuestion[] {
  const varied = assumptionsOf(file).map((assumption) => ({ assumption, low: assumption.usual[0], high: assumption.usual[1] }));
  const [first] = file.candidates;
  return [
    { kind: 'break-even' },
    { kind: 'turns', varied },
    { kind: 'route', moving: USUAL_MOVING },
    { kind: 'paying' },
    { kind: 'offers', off: [] },
    { kind: 'scenarios', scenarios: [{ id: 's', name: 's', changes: [{ key: 'orders', value: '-100' }] }] },
    ...(first
      ? [
          {
            kind: 'investment' as const,
            investment: {
              instead: first.id,
              on: first.id,
              build: '100',
              photographs: '0',
              texts: '0',
              upkeep: '0',
              hours: { setup: '0', monthly: '0' },
              lift: { cautious: '-5', expected: '10', hopeful: '20' },
            },
          },
        ]
      : []),
  ];
}

/** No figure anywhere in an answer is none. */
function isSound(value: unknown): boolean {
  if (typeof value === 'number') return !Number.isNaN(value);
  if (typeof value === 'string') return !/NaN|Infinity|undefined/.test(value);
  if (Array.isArray(value)) return value.every(isSound);
  return typeof value !== 'object' || value === null || Object.values(value).every(isSound);
}

function expectSound(file: DecisionFile): void {
  for (const question of questions(file)) expect(isSound(answerWhatIf(file, question)), question.kind).toBe(true);
  const priced = priceDecision(file);
  const { columns, leader } = lineUp(priced);
  expect(isSound(arranged(columns, { baseline: columns[0]?.id ?? 'none' }, leader, file.currency))).toBe(true);
  expect(
    isSound(
      coursesOf(
        priced,
        columns.map(({ id }) => id),
      ),
    ),
  ).toBe(true);
  expect(isSound(salesScale(priced.pricing))).toBe(true);
  for (const scale of [0.1, 10]) expect(isSound(levelsOf(file).at(scale).result)).toBe(true);
  const [a, b] = columns;
  if (a && b) expect(isSound(setAgainst(priced, a.id, b.id))).toBe(true);
}

/** How long a random decision takes depends on it; beside the other tests on a busy machine, many times as long as alone. */
const PATIENCE = 240_000;

describe('whatever a decision is like, every answer is sound', () => {
  it(
    'for decisions that use nearly everything the format has',
    () => {
      fc.assert(
        fc.property(richDecision, (made) => {
          const file = readOrNull(made);
          if (file) expectSound(file);
        }),
        { numRuns: 25 },
      );
    },
    PATIENCE,
  );

  it(
    'for decisions with every kind of charge',
    () => {
      fc.assert(
        fc.property(randomDecision, (made) => {
          const file = readOrNull(made);
          if (file) expectSound(file);
        }),
        { numRuns: 25 },
      );
    },
    PATIENCE,
  );

  it.each<[string, Partial<DecisionFile>]>([
    ['nothing is sold', { forecast: { streams: [] } }],
    ['orders are nothing', { forecast: { streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders: '0', orderValue: '10' }] } }],
    ['kites are given away', { forecast: { streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders: '10', orderValue: '0' }] } }],
    ['there is one candidate', { candidates: kiteDecision().candidates.slice(0, 1) }],
    ['there is no candidate', { candidates: [] }],
    ['no candidate can be chosen', { needs: [{ feature: 'x', level: 'must' }] }],
    ['all cost the same', { candidates: [0, 1, 2].map((at) => ({ id: `S${at}`, label: 'same', plans: [{ plan: 'pa', term: 'm' }] })) }],
    ['there is one month', { months: 1 }],
    ['there are three months', { months: 3 }],
    ['there are ten years', { months: 120 }],
    [
      'orders are enormous',
      { forecast: { streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders: '1000000000', orderValue: '1000' }] } },
    ],
    [
      'sales fall to nothing',
      { forecast: { streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders: { start: '100', add: '-20' }, orderValue: '10' }] } },
    ],
  ])('if %s', (_name, more) => {
    const file = readDecisionFile(kiteDecision(more));
    expectSound(file);
    const map = cheapestMap(
      file,
      { key: 'orders', low: -100, high: 100 },
      { key: 'order-value', low: -100, high: 100 },
      { columns: 9, rows: 7 },
    );
    expect([...map.winners].every((winner) => winner >= -1 && winner < file.candidates.length)).toBe(true);
  });

  it('if all cost the same, the first leads by nothing, and nothing turns that', () => {
    const file = kiteDecision({ candidates: ['S', 'T'].map((id) => ({ id, label: 'same', plans: [{ plan: 'pa', term: 'm' }] })) });
    const answer = answerWhatIf(file, {
      kind: 'turns',
      varied: assumptionsOf(file).map((assumption) => ({ assumption, low: assumption.usual[0], high: assumption.usual[1] })),
    });
    expect(answer).toMatchObject({ first: 'S', second: 'T', gap: '0.00' });
    expect(
      'turns' in (answer ?? {}) &&
        (answer as { turns: ReadonlyArray<{ below: unknown; above: unknown }> }).turns.every(
          ({ below, above }) => below === null && above === null,
        ),
    ).toBe(true);
  });
});
