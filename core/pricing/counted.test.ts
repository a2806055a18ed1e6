import { describe, expect, it } from 'vitest';
import { ONE } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Charge } from '../decision-file/price-sheet-schema';
import { onePlan, withPlan } from '../tests/one-plan';
import type { Expression } from '../rules/expression/expression';
import { countedFor, handledQuantity } from './counted';
import type { ChargeOwner } from './processing';

const drivers = { staff: '3', contacts: '200' };
/** Ten orders of 12.00 (10.00 net) on the own site, four in ten from abroad, and eight members who pay 5.00 at the club. */
const pricingOf = (more: object = {}) =>
  onePlan({
    file: {
      rates: { USD: '0.8' },
      forecast: {
        streams: [
          {
            id: 's',
            label: 'Kites',
            kind: 'goods',
            orders: '10',
            orderValue: '12',
            salesTax: '20',
            refunds: '10',
            cards: { domestic: '60', foreign: '40' },
          },
          {
            id: 'z',
            label: 'Club',
            kind: 'subscription',
            channel: 'club',
            subscribers: { start: '8', joins: '0', churn: '0' },
            orderValue: '5',
          },
        ],
        drivers: { ...drivers, ...more },
      },
    },
  });
const plan: ChargeOwner = { kind: 'plan', id: 'p', currency: 'EUR', taxExcluded: false, streams: null, takesPayments: true };
const charge = (more: object = {}): Charge => ({ id: 'c', label: 'c', how: 'per-order', percent: '1', ...more });

function counting(more: object = {}, owner: Partial<ChargeOwner> = {}, candidate: Partial<Candidate> = {}, pricing = pricingOf()) {
  const found = countedFor(pricing.file, withPlan(candidate), charge(more), { ...plan, ...owner });
  const reading = pricing.readingAt(ONE);
  const value = (one: Expression) => reading.of(one)[0]?.toNumber();
  return { ...found, value, quantity: value(found.counted.quantity) };
}

describe('what a charge counts', () => {
  it('is orders unless it says otherwise: sales, subscribers or a driver', () => {
    expect(counting().quantity).toBe(18);
    expect(counting({ on: 'orders' }).quantity).toBe(18);
    expect(counting({ on: 'sales' }).quantity).toBe(160);
    expect(counting({ on: 'subscribers' }).quantity).toBe(8);
    expect(counting({ on: 'staff' }).quantity).toBe(3);
  });

  it('is sales in the vendor’s currency, with or without the tax they contain', () => {
    expect(counting({ on: 'sales' }, { currency: 'USD' }).quantity).toBe(200);
    expect(counting({ on: 'sales', of: 'net' }).quantity).toBe(140);
    expect(counting({ on: 'sales', of: 'gross' }).quantity).toBe(160);
  });

  it('leaves out refunded orders where the fee is given back, of a fee per order alone', () => {
    expect(counting({ refund: 'returned' }).quantity).toBe(17);
    expect(counting({ refund: 'kept' }).quantity).toBe(18);
    expect(counting({ how: 'per-unit', each: '1', refund: 'returned' }).quantity).toBe(18);
  });

  it('is narrowed to cards, channels and the streams its plan handles', () => {
    expect(counting({ only: { cards: ['foreign'] } }).quantity).toBe(4);
    expect(counting({ only: { cards: ['wallet'] } }).quantity).toBe(0);
    expect(counting({ only: { channels: ['own-site'] } }).quantity).toBe(10);
    expect(counting({ only: { channels: ['club'] } }).quantity).toBe(8);
    expect(counting({}, { streams: new Set(['z']) }).quantity).toBe(8);
    expect(
      counting({}, { kind: 'processor', id: 'tally' }, { payments: [{ use: 'tally', cards: ['foreign'] }, { use: 'own' }] }).quantity,
    ).toBe(4);
  });

  it('names its streams, with the value of an order of each', () => {
    const { counted, value } = counting({ of: 'net' });
    expect(counted.streams.map(({ label, orders, sizes }) => [label, value(orders), sizes.map((size) => value(size.value))])).toEqual([
      ['Kites', 10, [10]],
      ['Club', 8, [5]],
    ]);
    expect(counting({ only: { kinds: ['goods'] } }).counted.streams.map(({ label }) => label)).toEqual(['Kites']);
    expect(counting({ only: { channels: ['stall'] } }).counted.streams).toEqual([]);
    expect(counting({}, { currency: 'USD' }).counted.streams[0]?.sizes[0]).toMatchObject({ share: null });
  });

  it('tells sizes of orders apart, whose average is the order value', () => {
    const [stream] = pricingOf().file.forecast.streams;
    const sized = onePlan({
      file: {
        forecast: {
          streams: [
            {
              ...stream,
              id: 's',
              label: 'Kites',
              kind: 'goods',
              orders: '10',
              orderValue: '12',
              salesTax: '0',
              orderSizes: [
                { share: '75', times: '1' },
                { share: '25', times: '3' },
              ],
            },
          ],
        },
      },
    });
    const { counted, value } = counting({}, {}, {}, sized);
    // Three quarters at 12 ÷ 1.5 = 8, a quarter at 24.
    expect(counted.streams[0]?.sizes.map((size) => [size.share, value(size.value)])).toEqual([
      ['75', 8],
      ['25', 24],
    ]);
  });

  it('has the same key where it counts alike, and another where it does not', () => {
    const keys = [
      counting(),
      counting({ only: { cards: ['foreign'] } }),
      counting({ only: { kinds: ['goods'] } }),
      counting({ refund: 'returned' }),
      counting({}, { streams: new Set(['z', 's']) }),
      counting({}, { streams: new Set(['z']) }),
      counting({}, {}, { payments: [{ use: 'tally', cards: ['wallet'] }, { use: 'own' }] }),
    ].map(({ key }) => key);
    expect(new Set(keys.slice(0, 6)).size).toBe(6);
    expect(counting({}, { streams: new Set(['s', 'z']) }).key).toBe(keys[4]);
    expect(counting({ label: 'another', percent: '9' }).key).toBe(keys[0]);
  });
});

describe('the figures of a charge', () => {
  const bands = [
    { upTo: '5', each: '2', percent: '1', flat: '3' },
    { upTo: null, each: null },
  ];
  it('say where they stand', () => {
    const { counted } = counting();
    const at = { part: 'p', line: 'charge', id: 'c', field: 'each' };
    expect(counted.figure('each', '2')).toEqual({ is: 'figure', value: '2', isPercent: false, at });
    expect(counted.figure('each', undefined, '7')).toMatchObject({ value: '7' });
    expect(counted.percentage('percent', '2.5')).toEqual({ is: 'figure', value: '2.5', isPercent: true, at: { ...at, field: 'percent' } });
  });

  it('of bands too', () => {
    const place = (index: number, field: string) => ({ part: 'p', line: 'band', id: `c ${index}`, field });
    expect(counting().counted.bands(bands)).toEqual([
      {
        upTo: { is: 'figure', value: '5', isPercent: false, at: place(0, 'upTo') },
        each: { is: 'figure', value: '2', isPercent: false, at: place(0, 'each') },
        percent: { is: 'figure', value: '1', isPercent: true, at: place(0, 'percent') },
        flat: { is: 'figure', value: '3', isPercent: false, at: place(0, 'flat') },
      },
      {
        upTo: null,
        each: { is: 'figure', value: '0', isPercent: false, at: place(1, 'each') },
        percent: { is: 'figure', value: '0', isPercent: true, at: place(1, 'percent') },
        flat: { is: 'figure', value: '0', isPercent: false, at: place(1, 'flat') },
      },
    ]);
  });

  it('and an allowance, fixed or growing with something', () => {
    const { counted, value } = counting();
    expect(value(counted.free(undefined))).toBe(0);
    expect(value(counted.free(null))).toBe(0);
    expect(counted.free('25')).toMatchObject({ value: '25', at: { line: 'charge', id: 'c', field: 'free' } });
    expect(value(counted.free({ per: 'contacts', ratio: '4' }))).toBe(800);
    expect(value(counted.free({ per: 'orders', ratio: '2' }))).toBe(36);
    expect(value(counted.free({ per: 'sales', ratio: '0.5' }))).toBe(80);
  });
});

describe('a quantity as a plan sees it', () => {
  const seen = (quantity: string, streams: readonly string[] | null, more: object = {}, currency = 'EUR') => {
    const pricing = pricingOf(more);
    const expression = handledQuantity(pricing.file, { streams: streams && new Set(streams) }, quantity, (sales) =>
      currency === 'EUR' ? sales : { is: 'quotient', of: sales, by: { is: 'rate', currency } },
    );
    return { expression, value: pricing.readingAt(ONE).of(expression)[0]?.toNumber() };
  };

  it('is of all streams, or of those it handles', () => {
    expect([seen('orders', null).value, seen('orders', ['z']).value, seen('orders', []).value]).toEqual([18, 8, 0]);
    expect([seen('sales', null).value, seen('sales', ['z']).value]).toEqual([160, 40]);
    expect(seen('sales', null, {}, 'USD').value).toBe(200);
    expect([seen('subscribers', null).value, seen('subscribers', ['z']).value, seen('subscribers', ['s']).value]).toEqual([8, 8, 0]);
  });

  it('is a driver as it is, whichever streams there are', () => {
    expect([seen('staff', null).value, seen('staff', ['z']).value]).toEqual([3, 3]);
    expect(seen('subscribers', ['s'], { subscribers: '70' }).value).toBe(70);
    expect(seen('ghosts', null).value).toBe(0);
  });

  it('counts all orders, refunded ones too, and the same ones under the same key', () => {
    const keyOf = (streams: readonly string[] | null) => {
      const { expression } = seen('orders', streams);
      return expression.is === 'orders' ? [expression.of.key, expression.of.withoutRefunded] : [];
    };
    expect(keyOf(['z', 's'])).toEqual(keyOf(['s', 'z']));
    expect(keyOf(['z'])).not.toEqual(keyOf(['s']));
    expect(keyOf(null)).toEqual(['all', false]);
  });
});
