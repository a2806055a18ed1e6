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

describe('of equal totals', () => {
  const choice = (id: string, total: number, count = 1): AddonChoice => ({
    addon: soldAs(id),
    term: undefined,
    count,
    cost: { total, taxed: null, hasCredit: false },
  });
  const asked = (addons: UsefulAddon[], unmet: number[], short: Array<[string, string]> = []): AddonSearch => ({
    base: { total: 0, taxed: null, hasCredit: false },
    addons,
    wanted: { unmet, short: new Map(short.map(([name, lacking]) => [name, decimal(lacking)])) },
    taxRate: 0,
    atMost: Infinity,
  });
  const taken = (search_: AddonSearch, few = 1) =>
    cheapestFew(search_, few).map(({ total, choices }) => [total, ...choices.map(({ addon, count }) => `${addon.id}${count}`)]);

  it('the one with fewer add-ons comes first, whatever their order', () => {
    const addon = (id: string, total: number, meets: number[]): UsefulAddon => ({ choices: [choice(id, total)], meets, raises: new Map() });
    const all = [addon('a', 5, [0]), addon('b', 5, [1]), addon('c', 10, [0, 1])];
    expect(taken(asked(all, [0, 1]), 2)).toEqual([
      [10, 'c1'],
      [10, 'a1', 'b1'],
    ]);
    expect(taken(asked([...all].reverse(), [0, 1]))).toEqual([[10, 'c1']]);
    expect(taken(asked([...all].reverse(), [0, 1]), 2)).toEqual([
      [10, 'c1'],
      [10, 'b1', 'a1'],
    ]);
  });

  it('then the one with lower counts', () => {
    const seats = (...counts: number[]): UsefulAddon => ({
      choices: counts.map((count) => choice('s', 6, count)),
      meets: [],
      raises: new Map([['staff', decimal('1')]]),
    });
    for (const counts of [
      [1, 2, 3],
      [3, 2, 1],
      [2, 3, 1],
    ])
      expect(taken(asked([seats(...counts)], [], [['staff', '1']]), 2)).toEqual([
        [6, 's1'],
        [6, 's2'],
      ]);
  });

  it('what would be dearer with its tax is not taken for cheaper', () => {
    const taxed = { total: 9, taxed: [5, 4], hasCredit: false };
    const two: UsefulAddon = {
      choices: [{ addon: soldAs('x'), term: 'net', count: 1, cost: taxed }, choice('x', 10)],
      meets: [0],
      raises: new Map(),
    };
    // 9 and a fifth, rounded by the month: 1 + 1.
    expect(taken({ ...asked([two], [0]), taxRate: 0.2 }, 2)).toEqual([
      [10, 'x1'],
      [11, 'x1'],
    ]);
    expect(taken(asked([two], [0]), 2).map(([total]) => total)).toEqual([9, 10]);
  });
});
