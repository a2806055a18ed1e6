import { describe, expect, it } from 'vitest';
import { foundText, pathText, problemsOf } from './problems';
import { decisionFileSchema } from '../decision-file/schema';
import { structureProblems } from './structure';

const nested = (levels: number): unknown => Array.from({ length: levels }).reduce<unknown>((inner) => [inner], 'core');

describe('structureProblems', () => {
  it('finds nothing wrong with ordinary nesting and every kind of value', () => {
    expect(structureProblems({ a: [1, 'two', null, true, { b: [] }], c: nested(20) })).toEqual([]);
    expect(structureProblems(null)).toEqual([]);
  });

  it('names what is nested too deep, without following it down', () => {
    expect(structureProblems(nested(200_000))).toHaveLength(1);
    expect(
      structureProblems({ a: nested(40), b: nested(40) })
        .map(({ path }) => path[0])
        .sort(),
    ).toEqual(['a', 'b']);
  });

  it('names keys that would change an object’s nature, wherever they stand', () => {
    const document: unknown = JSON.parse('{"offers":[{"__proto__":{}},{"plans":{"__proto__":1}}]}');
    expect(
      structureProblems(document)
        .map(({ path }) => path)
        .sort(),
    ).toEqual(['offers[0].__proto__', 'offers[1].plans.__proto__']);
  });
});

describe('problems', () => {
  it('are written as they stand in the document', () => {
    expect(pathText(['offers', 1, 'plans', 0, 'charges', 2, 'bands', 1, 'upTo'])).toBe('offers[1].plans[0].charges[2].bands[1].upTo');
    expect(pathText([])).toBe('');
  });

  it.each<[unknown, string]>([
    [undefined, 'nothing'],
    [[1, 2], 'a list of 2'],
    [{}, 'an object'],
    ['x', '"x"'],
    [NaN, 'NaN'],
    ['y'.repeat(90), `"${'y'.repeat(56)}…`],
  ])('say what was found: %j', (value, text) => {
    expect(foundText({ at: value }, ['at'])).toBe(text);
  });

  it('speak of the shape that comes closest', () => {
    const wrong = { forecast: { streams: [{ id: 's', label: 's', kind: 'goods', orderValue: { start: 'many' } }] } };
    const { error } = decisionFileSchema.safeParse(wrong);
    const found = problemsOf(wrong, error?.issues ?? []).find(({ path }) => path.startsWith('forecast'));
    expect(found).toEqual({ path: 'forecast.streams[0].orderValue.start', found: '"many"', wanted: 'use a decimal such as "29.00"' });
  });
});
