import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { RefusedFileError } from '../fields/problems';
import { readDecisionFile } from './read';

const text = readFileSync(new URL('../cases/13-larkfell.json', import.meta.url), 'utf8');

/** The example in a version, with one value replaced; `path` is written as problems write it. */
function changed(version: 1 | 2, path: string, value: unknown): unknown {
  const document = { ...(JSON.parse(text) as Record<string, unknown>), version };
  const keys = path.split(/[.[\]]+/).filter(Boolean);
  const last = keys.pop() ?? '';
  const parent = keys.reduce((at: Record<string, unknown>, key) => at[key] as Record<string, unknown>, document);
  parent[last] = value;
  return document;
}

function problemsOf(document: unknown): Array<[path: string, wanted: string]> {
  try {
    readDecisionFile(document);
    return [];
  } catch (error) {
    if (error instanceof RefusedFileError) return error.problems.map(({ path, wanted }) => [path, wanted]);
    throw error;
  }
}

const TERM = 'offers[0].plans[0].terms[0]';
const CHARGE = 'offers[0].plans[0].charges[0]';

/** What version 2 brought: where it stands, and a value that is right there. */
const NEW: ReadonlyArray<[path: string, value: unknown]> = [
  ['forecast.streams[0].orderSizes', [{ share: '100', times: '2' }]],
  ['needs', [{ feature: 'gift-cards', level: 'want', from: '2027-04' }]],
  ['offers[0].hours', { setup: '3' }],
  ['offers[0].extras', [{ label: 'theme', amount: '60', months: 0 }]],
  ['offers[0].lift', '4'],
  ['offers[0].plans[0].yearlyLimits', { orders: '5000' }],
  [`${TERM}.changes`, [{ from: '2027-05', price: '33' }]],
  [`${TERM}.renewal`, { months: 1, price: null }],
  [`${CHARGE}.from`, '2027-03'],
  [`${CHARGE}.until`, '2027-09'],
  ['candidates[0].plans[0].extraMonths', 3],
  ['candidates[0].plans[0].takesPayments', false],
  ['propose', { ways: { within: '0' } }],
];

describe('a file of version 2', () => {
  it.each(NEW)('may have %s', (path, value) => {
    expect(problemsOf(changed(2, path, value))).toEqual([]);
  });

  it.each(NEW)('and one of version 1 may not: %s', (path, value) => {
    const place = { propose: 'propose.ways', needs: 'needs[0].from' }[path] ?? path;
    expect(problemsOf(changed(1, path, value))).toEqual([[place, 'use "version": 2 for a file that has this']]);
  });

  it('of version 1 may not have a kind of charge or a lift that came later', () => {
    const packs = { id: 'packs', label: 'Packs', how: 'prepaid', size: '100', each: '9' };
    expect(problemsOf(changed(1, CHARGE, packs)).map(([path]) => path)).toEqual([`${CHARGE}.how`]);
    expect(problemsOf(changed(2, CHARGE, packs))).toEqual([]);
    const lift = { percent: '5', streams: [] };
    expect(problemsOf(changed(1, 'candidates[0].lift', lift)).map(([path]) => path)).toEqual(['candidates[0].lift.percent']);
  });
});

describe('what cannot be so in it is refused with its place and what is wanted', () => {
  const streams = (JSON.parse(text) as { forecast: { streams: Array<{ id: string }> } }).forecast.streams.map(({ id }) => id);
  const [first = '', second = ''] = streams;

  it.each<[what: string, path: string, value: unknown, at: string, wanted: string]>([
    [
      'changes of price out of order',
      `${TERM}.changes`,
      [
        { from: '2027-05', price: '3' },
        { from: '2027-05', price: '4' },
      ],
      `${TERM}.changes[1].from`,
      'use a month after 2027-05: changes in order',
    ],
    [
      'a change whose price is not known',
      `${TERM}.changes`,
      [{ from: '2027-05', price: null }],
      `${TERM}.changes[0].price`,
      'use a decimal such as "29.00"',
    ],
    [
      'a charge that ends before it begins',
      CHARGE,
      { id: 'x', label: 'x', how: 'per-order', each: '1', from: '2027-05', until: '2027-04' },
      `${CHARGE}.from`,
      'use a month not after until',
    ],
    [
      'a credit against a plan that is no credit',
      CHARGE,
      { id: 'x', label: 'x', how: 'per-order', each: '1', against: 'plan' },
      `${CHARGE}.against`,
      'only a credit (credit: true) can be used up by the plan’s payments',
    ],
    [
      'a credit against a plan on a processor',
      'processors[0].charges[0]',
      { id: 'x', label: 'x', how: 'per-order', each: '1', credit: true, against: 'plan' },
      'processors[0].charges[0].against',
      'only a plan’s own charge can be used up by its payments',
    ],
    [
      'sizes of orders that do not make 100',
      'forecast.streams[0].orderSizes',
      [
        { share: '60', times: '1' },
        { share: '39', times: '2' },
      ],
      'forecast.streams[0].orderSizes',
      'use shares that add up to 100',
    ],
    [
      'a stream that is not there',
      'candidates[0].plans[0].streams',
      [...streams, 'nobody'],
      `candidates[0].plans[0].streams[${streams.length}]`,
      'use the id of a stream in this file',
    ],
    [
      'a stream that no plan handles',
      'candidates[0].plans[0].streams',
      streams.filter((id) => id !== second),
      'candidates[0].plans',
      `use a plan that handles the stream ${second}`,
    ],
    [
      'a million months on top',
      'candidates[0].plans[0].extraMonths',
      1_000_000,
      'candidates[0].plans[0].extraMonths',
      'use a whole number from 0 to 1200',
    ],
    [
      'a lift of a stream that is not there',
      'offers[0].lift',
      { percent: '5', streams: [first, 'nobody'] },
      'offers[0].lift.streams[1]',
      'use the id of a stream in this file',
    ],
  ])('%s', (_what, path, value, at, wanted) => {
    expect(problemsOf(changed(2, path, value))).toEqual([[at, wanted]]);
  });

  it('what is paid once and for good is neither renewed nor changes its price', () => {
    const once = { id: 'once', months: 0, price: '90', changes: [{ from: '2027-05', price: '95' }], renewal: { months: 12, price: '10' } };
    expect(problemsOf(changed(2, 'offers[4].plans[0].terms', [once])).map(([path]) => path)).toEqual(
      expect.arrayContaining(['offers[4].plans[0].terms[0].changes', 'offers[4].plans[0].terms[0].renewal']),
    );
  });
});
