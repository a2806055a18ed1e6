import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimal, sum } from '../amount/decimal';
import { priceDecision } from '../comparison/decision-result';
import type { DecisionFile } from '../decision-file/schema';
import { kiteDecision } from '../tests/kite-decision';
import { readOrNull } from '../tests/read-or-null';
import { richDecision } from '../tests/rich-decision';
import { USUAL_MOVING } from '../route/moving-costs';
import { actualsSchema, type Actuals } from '../decision/actuals-schema';
import { againstForecast } from './against-forecast';
import { moveNow } from './move-now';
import { readActuals } from './read-actuals';

const kites = kiteDecision();
const alder = [{ candidate: 'A', from: 0, months: 12 }];
const only = (actuals: Actuals, used = alder, file: DecisionFile = kites) => againstForecast(file, used, actuals).months[0];

describe('a month against its forecast, for Alder at 10 + 5 % of 100 orders of 10', () => {
  it('is explained by volume, order values, fees, plans and surprises, which add up', () => {
    // 120 orders of 11.00: 5 % of 200 more, then of 120 more. Fees should be 66, and were 70; the plan 10, and was 12.
    expect(only({ '2027-03': { orders: '120', sales: '1320', fees: '70', fixed: '12', surprises: '30' } })).toEqual({
      month: '2027-03',
      expected: { orders: '100.0', sales: '1000.00', cost: '60.00' },
      cost: '112.00',
      difference: '52.00',
      why: { volume: '10.00', orderValue: '6.00', feeRates: '4.00', fixedCosts: '2.00', surprises: '30.00' },
    });
  });

  it('without bills tells what it should have cost', () => {
    expect(only({ '2027-01': { orders: '50' } })).toMatchObject({
      cost: null,
      difference: '-25.00',
      why: { volume: '-25.00', orderValue: null, feeRates: null },
    });
  });

  it('with bills alone sets them against the forecast', () => {
    expect(only({ '2027-01': { fees: '45' } })).toMatchObject({
      cost: '55.00',
      difference: '-5.00',
      why: { volume: null, feeRates: '-5.00', fixedCosts: null },
    });
  });

  it('without sales in the forecast says nothing of volume', () => {
    const none = kiteDecision({ forecast: { streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders: '0', orderValue: '10' }] } });
    expect(only({ '2027-01': { orders: '5', sales: '50', fees: '2.50' } }, alder, none)).toMatchObject({
      difference: '2.50',
      why: { volume: null, orderValue: null, feeRates: '2.50' },
    });
  });

  it('months outside the horizon are left out, all others added up', () => {
    const { months, difference, expected, cost, why } = againstForecast(kites, alder, {
      '2026-12': { orders: '1' },
      '2027-02': { orders: '120' },
      '2027-01': { orders: '110', surprises: '5' },
    });
    expect(months.map(({ month }) => month)).toEqual(['2027-01', '2027-02']);
    expect({ difference, expected, cost, why }).toEqual({
      difference: '20.00',
      expected: '120.00',
      cost: '140.00',
      why: { volume: '15.00', orderValue: '0.00', feeRates: '0.00', fixedCosts: '0.00', surprises: '5.00' },
    });
  });

  it('follows a way: after a move the other candidate counts', () => {
    const way = [
      { candidate: 'A', from: 0, months: 2 },
      { candidate: 'B', from: 2, months: 10 },
    ];
    expect(only({ '2027-03': { orders: '100' } }, way)).toMatchObject({ expected: { cost: '40.00' } });
  });

  it('of two together each has its own streams', () => {
    const two = kiteDecision({
      forecast: {
        streams: [
          { id: 'kites', label: 'Kites', kind: 'goods', orders: '100', orderValue: '10' },
          { id: 'plans', label: 'Plans', kind: 'digital', orders: '20', orderValue: '10' },
        ],
      },
    });
    const both = [
      { candidate: 'A', from: 0, months: 12, streams: ['plans'] },
      { candidate: 'B', from: 0, months: 12, streams: ['kites'] },
    ];
    // Alder 10 + 5 % of 200, Birch 30 + 1 % of 1,000.
    expect(only({ '2027-01': { orders: '120' } }, both, two)).toMatchObject({ expected: { cost: '60.00' }, difference: '0.00' });
  });

  it('whatever decision and months, what is known adds up to the difference', () => {
    const figure = fc.option(
      fc.integer({ min: 0, max: 5000 }).map((cents) => (cents / 100).toFixed(2)),
      { nil: undefined },
    );
    const month = fc
      .record({ orders: figure, sales: figure, fees: figure, fixed: figure, surprises: figure })
      .map((one) => Object.fromEntries(Object.entries(one).filter(([, value]) => value !== undefined)));
    fc.assert(
      fc.property(richDecision, month, (made, actual) => {
        const file = readOrNull(made);
        const [first] = file?.candidates ?? [];
        if (!file || !first) return;
        const actuals = actualsSchema.parse({ [file.start]: actual });
        const used = [{ candidate: first.id, from: 0, months: file.months }];
        const [told] = againstForecast(file, used, actuals).months;
        if (!told?.difference) return;
        const parts = Object.values(told.why).flatMap((part) => (part === null ? [] : [decimal(part)]));
        // Each part is rounded for itself.
        expect(sum(parts).minus(told.difference).abs().lte('0.03')).toBe(true);
        const own = priceDecision(file).result.candidates.find(({ id }) => id === first.id);
        const hours = decimal(first.hours?.setup ?? '0')
          .plus(first.hours?.monthly ?? '0')
          .times(file.hourValue ?? '0');
        expect(
          decimal(told.expected.cost)
            .minus(decimal(own?.monthly[0] ?? '0').minus(hours))
            .abs()
            .lte('0.02'),
        ).toBe(true);
        expect(JSON.stringify(moveNow(file, used, actuals, USUAL_MOVING))).not.toMatch(/NaN|Infinity/);
      }),
      { numRuns: 80 },
    );
  }, 60_000);
});

describe('whether to move now', () => {
  const moving = { ...USUAL_MOVING, between: { hours: '1', money: '10' } };
  const months = (count: number, orders: string, sales?: string): Actuals =>
    Object.fromEntries(Array.from({ length: count }, (_, index) => [`2027-0${index + 1}`, { orders, ...(sales ? { sales } : {}) }]));

  it('says to stay where moving costs more than it saves', () => {
    // With 52 orders Birch is cheaper by 0.80 a month; moving takes 30.
    expect(moveNow(kites, alder, months(3, '52'), moving)).toEqual({
      orders: '0.5200',
      orderValue: '1.0000',
      seen: 3,
      current: 'A',
      canStay: true,
      move: null,
    });
  });

  it('says when to move, and what that saves', () => {
    // With 100 orders Birch is cheaper by 20 in each of the nine months left; moving takes 30.
    expect(moveNow(kites, alder, months(3, '100'), moving)).toMatchObject({
      orders: '1.0000',
      move: { candidate: 'B', month: '2027-04', saves: '150.00' },
    });
  });

  it('goes by the last three months, order values included', () => {
    const actuals = {
      ...months(1, '10'),
      '2027-02': { orders: '100', sales: '2000' },
      '2027-03': { orders: '100', sales: '2000' },
      '2027-04': { orders: '100', sales: '2000' },
    };
    expect(moveNow(kites, alder, actuals, moving)).toMatchObject({
      orders: '1.0000',
      orderValue: '2.0000',
      seen: 3,
      move: { month: '2027-05', saves: '450.00' },
    });
  });

  it('says that one will be outgrown', () => {
    const limited = kiteDecision({
      offers: kites.offers.map((offer) =>
        offer.id === 'a' ? { ...offer, plans: offer.plans.map((plan) => ({ ...plan, limits: { orders: '110' } })) } : offer,
      ),
    });
    expect(moveNow(limited, alder, months(2, '150'), moving)).toMatchObject({ canStay: false });
  });

  it('has nothing to say before there are orders, after the horizon, or of two together', () => {
    expect(moveNow(kites, alder, {}, moving)).toBeNull();
    expect(moveNow(kites, alder, { '2027-12': { orders: '100' } }, moving)).toBeNull();
    expect(moveNow(kites, [{ candidate: 'A', from: 0, months: 12, streams: ['kites'] }], months(1, '100'), moving)).toBeNull();
  });
});

describe('real months from a file', () => {
  it('are read by the names of columns, in any order, with any separator', () => {
    expect(readActuals('Sales;Month;Orders;Fees\r\n1.234,50;2027-01;30;12,40\r\n;2027-02;28;')).toEqual({
      actuals: { '2027-01': { orders: '30', sales: '1234.5', fees: '12.4' }, '2027-02': { orders: '28' } },
      problems: [],
    });
  });

  it('lines of one month are added up; a list of orders counts its lines', () => {
    expect(readActuals('date,amount\n2027-01-03,10.00\n2027-01-20,€ 12.50\n2027-02-01,8').actuals).toEqual({
      '2027-01': { sales: '22.5', orders: '2' },
      '2027-02': { sales: '8', orders: '1' },
    });
    expect(readActuals('month,plan,other\n2027-01,10,\n2027-01,5,-3').actuals).toEqual({ '2027-01': { fixed: '15', surprises: '-3' } });
  });

  it.each([
    ['', /no table/],
    ['month\n2027-01', /at least one of/],
    ['when,orders\n2027-01,3', /Use a column “month”/],
    ['month,orders\nJanuary,3', /Line 2: “January” is not a month/],
    ['month,orders\n2027-01,many', /Line 2: “many” is not a number/],
    ['month,orders\n2027-01,-4', /Line 2: “-4” is out of range\. Enter a number for orders/],
    ['month,orders\n2027-01,1000000001', /Line 2: “1000000001” is out of range/],
    ['month,fees\n2027-01,-1000000001', /Line 2: “-1000000001” is out of range/],
    ['month,orders\n2027-13,4', /not a month/],
  ])('%j: says what is wrong', (text, problem) => {
    const { actuals, problems } = readActuals(text);
    expect(problems.join(' ')).toMatch(problem);
    expect(actualsSchema.safeParse(actuals).success).toBe(true);
  });

  it('of many problems the first are told', () => {
    const { problems } = readActuals(`month,orders\n${'x,1\n'.repeat(500)}`);
    expect(problems).toHaveLength(21);
    expect(problems.at(-1)).toBe('and 480 more.');
  });
});
