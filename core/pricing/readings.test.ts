import { describe, expect, it } from 'vitest';
import { decimal } from '../amount/decimal';
import { forecastMonths } from '../forecast/forecast';
import { constant } from '../rules/expression/build';
import type { CountedOrders, Expression, RatedBand } from '../rules/expression/expression';
import { boundedReading } from './bounded-reading';
import { exactConstant } from './constant-values';
import { exactReading } from './exact-reading';

/** Ten orders of 12.00 (10.00 net), five more each month, a tenth refunded, four in ten from abroad; eight members of 5.00; 3 staff. */
const forecast = forecastMonths(
  {
    streams: [
      {
        id: 's',
        label: 's',
        kind: 'goods',
        orders: { start: '10', add: '5' },
        orderValue: '12',
        salesTax: '20',
        refunds: '10',
        cards: { domestic: '60', foreign: '40' },
      },
      { id: 'z', label: 'z', kind: 'subscription', subscribers: { start: '8', joins: '0', churn: '0' }, orderValue: '5' },
    ],
    drivers: { staff: '3' },
  },
  '2027-01',
  4,
);
const world = { forecast, rate: (currency: string) => decimal(currency === 'USD' ? '0.8' : '1') };
const all: CountedOrders = { key: 'all', counts: () => true, withoutRefunded: false };
const abroad: CountedOrders = { key: 'abroad', counts: (_, card) => card === 'foreign', withoutRefunded: false };
const kept: CountedOrders = { key: 'kept', counts: () => true, withoutRefunded: true };

const n = constant;
const orders = (of: CountedOrders = all, stream: number | null = null, value: 'gross' | 'net' | null = null): Expression => ({
  is: 'orders',
  of,
  stream,
  value,
});
/** 10, 15, 20, 25 */
const growing = orders(all, 0);
const band = (upTo: string | null, each: string, flat = '0', percent = '0'): RatedBand => ({
  upTo: upTo === null ? null : n(upTo),
  each: n(each),
  percent: { ...n(percent), isPercent: true },
  flat: n(flat),
});
const bands = [band('12', '2', '5'), band('20', '1', '3'), band('22', '0', '1', '50')];
const minus = (of: Expression, less: Expression): Expression => ({ is: 'difference', of, less });
const between = (from: string | null, until: string | null): Expression => ({ is: 'between', of: growing, from, until });
const due = (month: number, price: string, currency = 'EUR') => ({ month, price: n(price), currency });

const CASES: ReadonlyArray<readonly [name: string, expression: Expression, months: readonly number[]]> = [
  ['a figure', n('2.5'), [2.5, 2.5, 2.5, 2.5]],
  ['a percentage', { ...n('2.5'), isPercent: true }, [0.03, 0.03, 0.03, 0.03]],
  ['a rate', { is: 'rate', currency: 'USD' }, [0.8, 0.8, 0.8, 0.8]],
  ['all orders', orders(), [18, 23, 28, 33]],
  ['orders of one stream', growing, [10, 15, 20, 25]],
  ['orders of the other', orders(all, 1), [8, 8, 8, 8]],
  ['orders from abroad', orders(abroad), [4, 6, 8, 10]],
  ['orders that stay', orders(kept, 0), [9, 13.5, 18, 22.5]],
  ['what they bring', orders(all, 0, 'gross'), [120, 180, 240, 300]],
  ['what they bring without tax', orders(all, null, 'net'), [140, 190, 240, 290]],
  ['the value of an order', { is: 'order-value', stream: 0, value: 'gross' }, [12, 12, 12, 12]],
  ['its value without tax', { is: 'order-value', stream: 0, value: 'net' }, [10, 10, 10, 10]],
  ['a quantity', { is: 'quantity', id: 'staff', streams: null }, [3, 3, 3, 3]],
  ['a quantity that nobody states', { is: 'quantity', id: 'ghosts', streams: null }, [0, 0, 0, 0]],
  ['subscribers of a stream', { is: 'quantity', id: 'subscribers', streams: [1] }, [8, 8, 8, 8]],
  ['subscribers of streams that have some or none', { is: 'quantity', id: 'subscribers', streams: [0, 1] }, [8, 8, 8, 8]],
  ['subscribers of a stream that has none', { is: 'quantity', id: 'subscribers', streams: [0] }, [0, 0, 0, 0]],
  ['a sum', { is: 'sum', of: [growing, n('1'), growing] }, [21, 31, 41, 51]],
  ['a sum of figures', { is: 'sum', of: [n('1'), n('2')] }, [3, 3, 3, 3]],
  ['a difference', minus(growing, n('30')), [-20, -15, -10, -5]],
  ['a product', { is: 'product', of: growing, times: growing }, [100, 225, 400, 625]],
  ['a product with nothing', { is: 'product', of: n('0'), times: growing }, [0, 0, 0, 0]],
  ['a quotient', { is: 'quotient', of: growing, by: { is: 'rate', currency: 'USD' } }, [12.5, 18.75, 25, 31.25]],
  ['a quotient by what changes', { is: 'quotient', of: n('300'), by: growing }, [30, 20, 15, 12]],
  ['a proportion', { is: 'proportion', of: growing, part: n('3'), whole: orders() }, [1.67, 1.96, 2.14, 2.27]],
  ['a proportion of nothing', { is: 'proportion', of: growing, part: n('3'), whole: n('0') }, [0, 0, 0, 0]],
  ['at least', { is: 'at-least', of: growing, bound: n('16') }, [16, 16, 20, 25]],
  ['at most', { is: 'at-most', of: growing, bound: n('16') }, [10, 15, 16, 16]],
  ['packages', { is: 'packages', of: growing, size: n('10') }, [1, 2, 2, 3]],
  ['graduated bands', { is: 'bands', of: growing, how: 'graduated', bands }, [25, 35, 40, 43.5]],
  ['graduated bands of nothing', { is: 'bands', of: n('0'), how: 'graduated', bands }, [0, 0, 0, 0]],
  ['volume bands', { is: 'bands', of: growing, how: 'volume', bands }, [25, 18, 23, 13.5]],
  ['volume bands of nothing', { is: 'bands', of: n('0'), how: 'volume', bands }, [5, 5, 5, 5]],
  ['volume bands without an end', { is: 'bands', of: growing, how: 'volume', bands: [band('15', '2'), band(null, '1')] }, [20, 30, 20, 25]],
  ['a running sum', { is: 'so-far', of: growing }, [10, 25, 45, 70]],
  ['an increase', { is: 'increase', of: growing }, [10, 5, 5, 5]],
  ['the last two months', { is: 'last-months', of: growing, months: 2 }, [10, 25, 35, 45]],
  ['the last twelve months', { is: 'last-months', of: growing, months: 12 }, [10, 25, 45, 70]],
  ['from a month on', between('2027-02', null), [0, 15, 20, 25]],
  ['until a month', between(null, '2027-02'), [10, 15, 0, 0]],
  ['between two months', between('2027-02', '2027-03'), [0, 15, 20, 0]],
  ['always', between(null, null), [10, 15, 20, 25]],
  ['a balance used up', { is: 'used-up', credit: n('6'), bills: growing }, [0, 6, 6, 6]],
  ['a balance larger than the bills', { is: 'used-up', credit: n('30'), bills: growing }, [0, 15, 20, 25]],
  ['what was rounded before', { is: 'product', of: { is: 'rounded', of: n('0.333'), currency: 'EUR' }, times: n('100') }, [33, 33, 33, 33]],
  ['payments that fall due', { is: 'payments', due: [due(1, '9.995'), due(1, '2'), due(3, '7')] }, [0, 12, 0, 7]],
];

describe('an expression in exact decimals', () => {
  const { of, rounded, joinedIn } = exactReading(world);
  it.each(CASES)('%s', (_name, expression, months) => {
    expect(of(expression).map((amount) => amount.toDecimalPlaces(2).toNumber())).toEqual(months);
    expect(rounded(expression, 'EUR').map((amount) => amount.decimal.toNumber())).toEqual(months);
  });

  it('begins with the month in which somebody joins, where it runs over months', () => {
    const later = joinedIn(2);
    const numbers = (expression: Expression) => later.of(expression).map((amount) => amount.toNumber());
    expect(numbers({ is: 'so-far', of: growing })).toEqual([0, 0, 20, 45]);
    expect(numbers({ is: 'increase', of: { is: 'so-far', of: growing } })).toEqual([0, 0, 20, 25]);
    expect(numbers({ is: 'used-up', credit: n('6'), bills: growing })).toEqual([0, 0, 0, 6]);
    expect(numbers(growing)).toEqual([10, 15, 20, 25]);
    expect(later.rounded({ is: 'so-far', of: growing }, 'EUR').map((amount) => amount.decimal.toNumber())).toEqual([0, 0, 20, 45]);
    expect(joinedIn(0).of(growing)).toBe(of(growing));
  });
});

describe('the same in floating point with its bounds', () => {
  const { rounded } = boundedReading(world);
  /** What stands on an edge, or on a half, may be left to exact decimals; everything else has to be said. */
  const MAY_BE_OPEN = ['a percentage', 'packages', 'graduated bands', 'volume bands', 'a balance used up', 'payments that fall due'];

  it.each(CASES)('%s', (name, expression, months) => {
    const cents = [...rounded(expression, 'EUR')];
    const said = cents.map((units, month) =>
      Number.isNaN(units) && MAY_BE_OPEN.some((one) => name.startsWith(one)) ? months[month] : units / 100,
    );
    expect(said).toEqual(months);
  });
});

describe('a constant', () => {
  it('is what its figures come to', () => {
    expect(exactConstant({ is: 'sum', of: [n('1.5'), { is: 'product', of: n('2'), times: n('3') }] }).toFixed()).toBe('7.5');
    expect(exactConstant(minus({ is: 'quotient', of: n('9'), by: n('4') }, { ...n('25'), isPercent: true })).toFixed()).toBe('2');
  });

  it('is none where it differs by the month, or rests on something that does', () => {
    expect(() => exactConstant(growing)).toThrow('differs from month to month');
    expect(() => exactConstant({ is: 'sum', of: [n('1'), growing] })).toThrow('differs from month to month');
    expect(() => exactConstant({ is: 'sum', of: [growing, n('1')] })).toThrow('differs from month to month');
    expect(() => exactConstant({ is: 'product', of: n('1'), times: growing })).toThrow('differs from month to month');
  });
});
