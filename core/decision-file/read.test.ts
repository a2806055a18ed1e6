import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { RefusedFileError } from '../fields/problems';
import { readDecisionFile } from './read';

const text = readFileSync(new URL('../cases/13-larkfell.json', import.meta.url), 'utf8');

/** The example with one value replaced; `path` is written as problems write it. */
function changed(path: string, value: unknown): unknown {
  const document = JSON.parse(text) as Record<string, unknown>;
  const keys = path.split(/[.[\]]+/).filter(Boolean);
  const last = keys.pop() ?? '';
  const parent = keys.reduce((at: Record<string, unknown>, key) => at[key] as Record<string, unknown>, document);
  parent[last] = value;
  return document;
}

function problemsOf(document: unknown): string[] {
  try {
    readDecisionFile(document);
    return [];
  } catch (error) {
    if (error instanceof RefusedFileError) return error.problems.map(({ path }) => path);
    throw error;
  }
}

describe('readDecisionFile', () => {
  it('takes the example', () => {
    expect(problemsOf(JSON.parse(text))).toEqual([]);
  });

  it.each([
    ['months', 0],
    ['months', 500],
    ['currency', 'EURO'],
    ['currency', undefined],
    ['start', '2027-13'],
    ['forecast.streams[0].orderValue', '-1'],
    ['forecast.streams[0].refunds', '101'],
    ['forecast.streams[0].cards', { domestic: '60', international: '30' }],
    ['forecast.streams[2].orders', '5'],
    ['offers[0].plans[0].charges[0].percent', 'many'],
    ['offers[0].plans[0].terms[0].price', Infinity],
    ['offers[4].plans[0].currency', 'GBP'],
    ['candidates[0].plans[0].term', 'none'],
    ['candidates[1].addons[0].addon', 'brc'],
    ['candidates[2].payments', 'nobody'],
    ['surplus', 1],
  ])('refuses a wrong %s and names it', (path, value) => {
    expect(problemsOf(changed(path, value))).toEqual([path]);
  });

  it('takes counts as numbers and as decimal strings', () => {
    const asText = changed('months', '24');
    expect(readDecisionFile(asText)).toEqual(readDecisionFile(JSON.parse(text)));
    expect(problemsOf(changed('months', '24.5'))).toEqual(['months']);
    expect(problemsOf(changed('offers[1].plans[0].terms[0].intro.periods', '-2'))).toEqual(['offers[1].plans[0].terms[0].intro.periods']);
  });

  it('names every problem at once', () => {
    const document = changed('months', 500) as { name: unknown; candidates: Array<{ id: unknown }> };
    document.name = 7;
    expect(problemsOf(document)).toEqual(['name', 'months']);
  });

  it.each([['a text'], [null], [[]], [42]])('refuses %j', (document) => {
    expect(problemsOf(document)).not.toEqual([]);
  });
});

describe('quantities that are counted by each other', () => {
  const withDrivers = (drivers: object) => () =>
    readDecisionFile({
      format: 'venalis.decision',
      version: 1,
      name: 'q',
      currency: 'EUR',
      start: '2027-01',
      months: 12,
      forecast: { streams: [], drivers },
      offers: [],
      candidates: [],
    });

  it('must not go in a circle, nor over several steps', () => {
    expect(withDrivers({ emails: { per: 'contacts', ratio: '4' }, contacts: '900' })).not.toThrow();
    expect(withDrivers({ emails: { per: 'contacts', ratio: '4' }, contacts: { per: 'emails', ratio: '1' } })).toThrow(
      /forecast\.drivers\.emails\.per/,
    );
    expect(withDrivers({ emails: { per: 'emails', ratio: '4' } })).toThrow(/forecast\.drivers\.emails\.per/);
  });
});
