import { describe, expect, it } from 'vitest';
import type { DecisionFile } from '../decision-file/schema';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Term } from '../rules/terms/term';
import { onePlan, withPlan } from '../tests/one-plan';
import { runThroughCost, segmentDues, taxOn } from './segment-dues';

interface Made {
  readonly term?: Partial<Term>;
  readonly file?: Partial<DecisionFile>;
  readonly candidate?: Partial<Candidate>;
  readonly taxExcluded?: boolean;
}

/** A plan at 120 a year, 7 on joining, 10 % and 1 of each of ten orders of 10.00 a month, over a year. */
function pricingOf({ term = {}, file = {}, taxExcluded = false }: Made) {
  return onePlan({
    plan: {
      taxExcluded,
      terms: [{ id: 't', months: 12, price: '120', ...term }],
      once: [{ label: 'Joining', amount: '7' }],
      charges: [
        { id: 'c', label: 'c', how: 'per-order', percent: '10' },
        { id: 'x', label: 'x', how: 'per-order', each: '1' },
      ],
    },
    file: { months: 12, ...file },
  });
}

/** What is due in each month joined in one, and what leaving in another adds; only the charge of 10 % counts. */
function duesOf(made: Made, from: number, { moved = false, left = 12 } = {}) {
  const pricing = pricingOf(made);
  const candidate = withPlan(made.candidate);
  const joined = segmentDues(pricing, candidate, { paid: candidate, counts: ({ charge }) => charge.id === 'c' }).joinedIn(from, moved);
  const dues = joined.dues();
  // What is added up at once is what the months come to one by one.
  for (const [index] of dues.entries()) {
    const sum = (of: 'all' | 'taxExcluded') => dues.slice(0, index + 1).reduce((before, due) => before + due[of], 0);
    const to = from + index + 1;
    expect([joined.sumTo(to, 'all'), joined.sumTo(to, 'taxExcluded')]).toEqual([sum('all'), sum('taxExcluded')]);
  }
  return { all: dues.map(({ all }) => all), taxed: dues.map(({ taxExcluded }) => taxExcluded), leaving: joined.leaving(left) };
}

describe('what is due on a candidate joined in a month', () => {
  it('is its term, what is paid on joining, and the charges that count', () => {
    expect(duesOf({}, 10).all).toEqual([12_000 + 700 + 1000, 1000]);
    expect(duesOf({}, 10, { moved: true }).all).toEqual([12_000 + 1000, 1000]);
    expect(duesOf({ term: { months: 1, price: '9' } }, 9).all).toEqual([900 + 700 + 1000, 1900, 1900]);
  });

  it('is own time besides, setting up only where one comes from outside', () => {
    const made = { candidate: { hours: { setup: '2', monthly: '1' } }, file: { hourValue: '5' } };
    expect(duesOf(made, 10).all).toEqual([12_000 + 700 + 1000 + 1500, 1500]);
    expect(duesOf(made, 10, { moved: true }).all).toEqual([12_000 + 1000 + 500, 1500]);
  });

  it('is taxed where it is quoted without tax', () => {
    expect(duesOf({ taxExcluded: true }, 11).taxed).toEqual([12_000 + 700 + 1000]);
    expect(duesOf({}, 11).taxed).toEqual([0]);
    expect(taxOn(pricingOf({ file: { feeTax: '19' } }))(1050)).toBe(200);
    expect(taxOn(pricingOf({}))(1050)).toBe(0);
  });
});

describe('leaving before the end', () => {
  it('brings back what is not used where the term is prorated, and nothing else', () => {
    expect(duesOf({ term: { prorated: true } }, 0, { left: 4 }).leaving).toEqual({ all: -8000, taxExcluded: 0 });
    expect(duesOf({ term: { prorated: true }, taxExcluded: true }, 0, { left: 4 }).leaving).toEqual({ all: -8000, taxExcluded: -8000 });
    expect(duesOf({}, 0, { left: 4 }).leaving).toEqual({ all: 0, taxExcluded: 0 });
    expect(duesOf({ term: { prorated: true, months: 1 } }, 0, { left: 4 }).leaving.all).toBe(0);
    expect(duesOf({ term: { prorated: true, months: 0 } }, 0, { left: 4 }).leaving.all).toBe(0);
    // What was paid in May for a year, left in July: ten of twelve months.
    expect(duesOf({ term: { prorated: true } }, 4, { left: 6 }).leaving.all).toBe(-10_000);
  });

  it('counts all parts past it at once where payments are spread, past the horizon too, unless they come back', () => {
    const spread = { basis: 'spread' as const };
    // 10 of the term and 10 of the fee; 7 on joining over the eight months that are left.
    expect(duesOf({ file: spread }, 4).all.slice(0, 2)).toEqual([1000 + 1000 + 88, 1000 + 1000 + 87]);
    expect(duesOf({ file: spread }, 4, { left: 6 }).leaving.all).toBe(10_000 + 525);
    expect(duesOf({ file: spread, term: { prorated: true } }, 4, { left: 6 }).leaving.all).toBe(525);
    expect(duesOf({ file: spread, term: { months: 2 } }, 4, { left: 6 }).leaving.all).toBe(525);
  });

  it('adds nothing at the end of the horizon', () => {
    expect(duesOf({ term: { prorated: true } }, 4).leaving).toEqual({ all: 0, taxExcluded: 0 });
  });
});

describe('what runs through', () => {
  it('is paid from joining to leaving, with tax lines of its own', () => {
    const made = { taxExcluded: true, file: { feeTax: '10' } };
    expect(runThroughCost(pricingOf(made), withPlan())).toBe(12_000 + 700 + 1270);
    const monthly = { term: { months: 1, price: '9.95' } };
    expect(runThroughCost(pricingOf({ ...made, ...monthly }), withPlan(), 2, 5)).toBe(1695 + 170 + 2 * (995 + 100));
    expect(runThroughCost(pricingOf({ term: { prorated: true } }), withPlan(), 0, 6)).toBe(6000 + 700);
  });
});
