import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimal } from '../amount/decimal';
import type { Addon } from '../decision-file/price-sheet-schema';
import { type AddonSearch, cheapestAddons, cheapestFew, costWithTax, type UsefulAddon } from './cheapest-addons';
import type { AddonChoice, PartCost } from './part-costs';

const MONTHS = 2;
const soldAs = (id: string): Addon => ({ id, label: id, currency: 'EUR' });
const cost: fc.Arbitrary<PartCost> = fc
  .record({ units: fc.array(fc.integer({ min: -6, max: 25 }), { minLength: MONTHS, maxLength: MONTHS }), isTaxed: fc.boolean() })
  .map(({ units, isTaxed }) => {
    const total = units.reduce((sum, one) => sum + one, 0);
    return { total, taxed: isTaxed ? units : null, hasCredit: total < 0 };
  });
const useful = (id: string): fc.Arbitrary<UsefulAddon> =>
  fc
    .record({
      counts: fc.array(fc.record({ count: fc.integer({ min: 1, max: 3 }), cost }), { minLength: 1, maxLength: 3 }),
      meets: fc.subarray([0, 1]),
      raises: fc.constantFrom('0', '1', '1.5'),
    })
    .map(({ counts, meets, raises }) => ({
      choices: counts.map(({ count, cost: costs }) => ({ addon: soldAs(id), term: undefined, count, cost: costs })),
      meets,
      raises: new Map([['staff', decimal(raises)]]),
    }));
const search: fc.Arbitrary<AddonSearch> = fc
  .record({
    base: cost,
    addons: fc.tuple(useful('a'), useful('b'), useful('c')),
    unmet: fc.subarray([0, 1]),
    short: fc.constantFrom('0', '1', '3'),
    taxRate: fc.constantFrom(0, 0.2),
    atMost: fc.constantFrom(Infinity, 30),
  })
  .map(({ unmet, short, ...rest }) => ({
    ...rest,
    wanted: { unmet, short: new Map(short === '0' ? [] : [['staff', decimal(short)]]) },
  }));

/** What costs come to with tax, rounded by the month, half away from zero. */
function plainTotal(costs: readonly PartCost[], taxRate: number): number {
  const months = Array.from({ length: MONTHS }, (_, month) => costs.reduce((sum, { taxed }) => sum + (taxed?.[month] ?? 0), 0));
  const tax = months.reduce((sum, units) => sum + Math.sign(units) * Math.round(Math.abs(units) * taxRate), 0);
  return costs.reduce((sum, { total }) => sum + total, 0) + tax;
}

/** Every choice of add-ons that covers what is wanted, the best first. */
function triedOut({ base, addons, wanted, taxRate, atMost }: AddonSearch) {
  const all = addons.reduce<AddonChoice[][]>(
    (ways, { choices }) => ways.flatMap((way) => [way, ...choices.map((choice) => [...way, choice])]),
    [[]],
  );
  const of = (choice: AddonChoice) => addons.find(({ choices }) => choices.includes(choice));
  const covers = (way: readonly AddonChoice[]) =>
    wanted.unmet.every((position) => way.some((choice) => of(choice)?.meets.includes(position))) &&
    [...wanted.short].every(
      ([name, lacking]) =>
        way.reduce((sum, choice) => sum + Number(of(choice)?.raises.get(name) ?? 0) * choice.count, 0) >= Number(lacking),
    );
  return all
    .filter(covers)
    .map((way) => ({
      total: plainTotal([base, ...way.map((choice) => choice.cost)], taxRate),
      size: way.length,
      counts: way.reduce((sum, { count }) => sum + count, 0),
    }))
    .filter(({ total }) => total <= atMost)
    .sort((a, b) => a.total - b.total || a.size - b.size || a.counts - b.counts);
}

describe('the cheapest add-ons', () => {
  it('are those of all that were tried out one by one; of equal totals the fewer, then the smaller', () => {
    fc.assert(
      fc.property(search, (asked) => {
        const found = cheapestAddons(asked);
        const [best] = triedOut(asked);
        const counts = found?.choices.reduce((sum, { count }) => sum + count, 0);
        expect(found && { total: found.total, size: found.choices.length, counts }).toEqual(best ?? null);
      }),
      { numRuns: 300 },
    );
  });

  it('the few cheapest are the first few of all', () => {
    fc.assert(
      fc.property(search, fc.integer({ min: 1, max: 4 }), (asked, few) => {
        expect(cheapestFew(asked, few).map(({ total }) => total)).toEqual(
          triedOut(asked)
            .slice(0, few)
            .map(({ total }) => total),
        );
      }),
      { numRuns: 200 },
    );
  });

  const none: AddonSearch = {
    base: { total: 100, taxed: null, hasCredit: false },
    addons: [],
    wanted: { unmet: [], short: new Map() },
    taxRate: 0.2,
    atMost: Infinity,
  };
  const one = (total: number, more: Partial<UsefulAddon> = {}): UsefulAddon => ({
    choices: [{ addon: soldAs('x'), term: undefined, count: 1, cost: { total, taxed: null, hasCredit: total < 0 } }],
    meets: [],
    raises: new Map(),
    ...more,
  });

  it('are none where nothing is lacking, and one that pays for itself', () => {
    expect(cheapestAddons(none)).toEqual({ total: 100, choices: [] });
    expect(cheapestAddons({ ...none, addons: [one(0), one(7)] })).toEqual({ total: 100, choices: [] });
    expect(cheapestAddons({ ...none, addons: [one(7), one(-3)] })?.total).toBe(97);
  });

  it('are nothing where something cannot be covered, or only for more than is asked', () => {
    expect(cheapestAddons({ ...none, wanted: { unmet: [0], short: new Map() } })).toBeNull();
    expect(cheapestAddons({ ...none, addons: [one(5, { meets: [1] })], wanted: { unmet: [0, 1], short: new Map() } })).toBeNull();
    expect(cheapestAddons({ ...none, atMost: 99 })).toBeNull();
    expect(cheapestAddons({ ...none, atMost: 100 })?.total).toBe(100);
  });

  it('raise a limit by exactly what is lacking', () => {
    const third = decimal('1').div(3);
    const wanted = { unmet: [], short: new Map([['staff', third.times(2)]]) };
    const raising = (by: string) => one(5, { raises: new Map([['staff', decimal(by)]]) });
    expect(cheapestAddons({ ...none, wanted, addons: [raising('0.6')] })).toBeNull();
    expect(cheapestAddons({ ...none, wanted, addons: [raising('0.67')] })?.total).toBe(105);
    expect(cheapestAddons({ ...none, wanted, addons: [raising('0.6'), raising('0.1')] })?.total).toBe(110);
  });
});

it('tax is rounded by the month, half away from zero', () => {
  const taxed = (...units: number[]) =>
    costWithTax({ total: units.reduce((sum, one) => sum + one, 0), taxed: units, hasCredit: false }, 0.5);
  expect([taxed(1, 1), taxed(-1, -1), taxed(3, -1), taxed(2)]).toEqual([4, -4, 3, 3]);
  expect(costWithTax({ total: 9, taxed: null, hasCredit: false }, 0.5)).toBe(9);
  expect(costWithTax({ total: 9, taxed: [9], hasCredit: false }, 0)).toBe(9);
});
