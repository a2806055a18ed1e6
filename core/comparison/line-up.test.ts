import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readDecisionFile } from '../decision-file/read';
import type { DecisionFile } from '../decision-file/schema';
import { averageMonth } from './average-sales';
import { breakdownOf } from './breakdown';
import { priceDecision } from './decision-result';
import { forecastTable } from './forecast-table';
import { lineUp } from './line-up';

function load(name: string, change: (file: DecisionFile) => DecisionFile = (file) => file) {
  const document: unknown = JSON.parse(readFileSync(new URL(`../cases/${name}`, import.meta.url), 'utf8'));
  return priceDecision(change(readDecisionFile(document)));
}

const larkfell = load('13-larkfell.json');

describe('lineUp', () => {
  it('puts those that can be chosen first, by total, with differences to the cheapest', () => {
    const { columns, leader, runnerUp } = lineUp(larkfell);
    expect(columns.map(({ id, difference }) => [id, difference])).toEqual([
      ['A', null],
      ['E', '107.03'],
      ['D', '1739.35'],
      ['B', '2713.64'],
      ['C', '412.69'],
    ]);
    expect(leader?.id).toBe('A');
    expect(runnerUp).toMatchObject({ margin: '107.03', column: { id: 'E' } });
  });

  it('gives the years of the horizon and how they change', () => {
    const column = lineUp(larkfell).columns.find(({ id }) => id === 'C');
    // The figures of the product's sketch.
    expect(column?.years.map((year) => Math.round(Number(year)))).toEqual([3761, 3367]);
    expect(column?.yearChange.map((percent) => Math.round(Number(percent)))).toEqual([-10]);
  });

  it('takes differences against another baseline', () => {
    expect(lineUp(larkfell, 'E').columns.map(({ id, difference }) => [id, difference])).toContainEqual(['A', '-107.03']);
  });

  it('never lets a candidate with a gap lead, and says at least', () => {
    const gap = load('13-larkfell.json', (file) => ({
      ...file,
      offers: file.offers.map((offer) =>
        offer.id === 'marlpit'
          ? { ...offer, plans: offer.plans.map((plan) => ({ ...plan, terms: plan.terms.map((term) => ({ ...term, price: null })) })) }
          : offer,
      ),
    }));
    const { leader, columns } = lineUp(gap);
    expect(leader?.id).toBe('E');
    expect(columns.find(({ id }) => id === 'A')?.atLeast).toBe(true);
  });

  it('tells candidates of the same name apart by how they are paid', () => {
    const named = load('13-larkfell.json', (file) => ({
      ...file,
      candidates: [...file.candidates, { id: 'F', label: 'Marlpit Grow', plans: [{ plan: 'mp', term: 'm' }] }],
    }));
    expect(lineUp(named).columns.map(({ label }) => label)).toEqual(
      expect.arrayContaining(['Marlpit Grow, by the year', 'Marlpit Grow, by the month']),
    );
  });

  it('has nothing to say about nothing', () => {
    expect(lineUp(load('13-larkfell.json', (file) => ({ ...file, candidates: [] })))).toEqual({
      by: 'cost',
      columns: [],
      leader: null,
      runnerUp: null,
      buckets: [],
    });
  });
});

describe('breakdownOf', () => {
  it('takes a bucket apart into its charges and finds the dearest month', () => {
    const breakdown = breakdownOf(larkfell, 'A', { bucket: 'payment' });
    expect(breakdown?.total).toBe('4387.16');
    expect(breakdown?.parts.map(({ source, months }) => [source.kind === 'charge' && source.charge, months])).toEqual([
      ['mp1', 24],
      ['mp2', 24],
    ]);
    expect(breakdown?.dearest?.month).toBe('2028-07');
  });

  it('keeps to a year', () => {
    const second = breakdownOf(larkfell, 'C', { year: 1 });
    expect(second?.total).toBe(lineUp(larkfell).columns.find(({ id }) => id === 'C')?.years[1]);
    expect(second?.byMonth).toHaveLength(12);
  });

  it('knows no candidate that is not there', () => {
    expect(breakdownOf(larkfell, 'Z')).toBeNull();
  });
});

describe('expected sales for reading', () => {
  it('averages to what the sketch of the product shows', () => {
    expect(averageMonth(larkfell.pricing.file, larkfell.result)).toMatchObject({ sales: expect.stringMatching(/^6428\.\d\d$/) as string });
  });

  it('gives every month with its share of the best', () => {
    const table = forecastTable(larkfell.pricing);
    expect(table).toHaveLength(24);
    expect(Math.max(...table.map(({ ofBest }) => ofBest))).toBe(1);
    expect(Object.keys(larkfell.pricing.file.forecast.drivers ?? {})).toHaveLength(table[0]?.quantities.length ?? -1);
    expect(table[0]).toMatchObject({ month: '2027-01', orders: ['52.8', '22', '15'], allOrders: '89.8' });
  });
});
