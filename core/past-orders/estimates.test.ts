import { describe, expect, it } from 'vitest';
import type { Stream } from '../decision-file/forecast-schema';
import { pastOrdersOf } from '../replay/past-orders';
import { type Estimated, estimates, withEstimate } from './estimates';

const stream: Stream = {
  id: 'kites',
  label: 'Kites',
  kind: 'goods',
  orders: { start: '50', growth: '1' },
  orderValue: '40',
  refunds: '1',
  cards: { domestic: '70', international: '30' },
};

/** So many orders every month of 2025: every tenth refunded, every fourth from abroad, of 10, 20, 30, 40 and 50. */
function orders(monthly: number, months = 12) {
  const all = Array.from({ length: monthly * months }, (_, at) => ({
    date: `2025-${String(1 + (at % months)).padStart(2, '0')}-15`,
    value: String(10 + 10 * (Math.floor(at / months) % 5)),
    stream: 0,
    card: Math.floor(at / months) % 4 === 0 ? 'international' : 'domestic',
    refunded: Math.floor(at / months) % 10 === 0,
  }));
  const found = pastOrdersOf(all);
  if (!found) throw new Error('orders are expected');
  return found;
}

const find = (of: Estimated, past = orders(100)) => estimates(past, [stream], '2026-01').find((one) => one.of === of);

describe('what past orders say about those to come', () => {
  it('stands beside what is typed, with what it rests on', () => {
    expect(find('orders')).toEqual({ stream: 'kites', of: 'orders', typed: ['50'], past: ['100'], give: '4.7', orders: 1_200, months: 12 });
    expect(find('order-value')).toMatchObject({ typed: ['40'], past: ['30.00'], give: '0.67' });
    expect(find('order-sizes')).toMatchObject({ typed: ['1'], past: ['0.33', '0.67', '1.00', '1.33', '1.67'] });
    expect(find('refunds')).toMatchObject({ typed: ['1'], past: ['10.0'], give: '1.4' });
    expect(find('cards')).toMatchObject({ typed: ['70', '30'], past: ['75.0', '25.0'], give: '2.1' });
    expect(find('season')?.past).toEqual(new Array(12).fill('1.00'));
    expect(find('growth')).toBeUndefined();
  });

  it('says nothing with too few orders, nor of subscriptions; a month says no season', () => {
    expect(estimates(orders(4, 1), [stream], '2026-01')).toEqual([]);
    expect(estimates(orders(100), [{ ...stream, kind: 'subscription' }], '2026-01')).toEqual([]);
    expect(find('season', orders(9, 1))).toBeUndefined();
  });

  it('is taken over into its figure alone', () => {
    const taken = (of: Estimated) => withEstimate(stream, find(of) ?? { of, past: ['2.5'] });
    expect(taken('orders')).toEqual({ ...stream, orders: { start: '100', growth: '1' } });
    expect(taken('growth').orders).toEqual({ start: '50', growth: '2.5' });
    expect(taken('order-value')).toEqual({ ...stream, orderValue: '30.00' });
    expect(taken('order-sizes').orderSizes?.slice(0, 2)).toEqual([
      { share: '20', times: '0.33' },
      { share: '20', times: '0.67' },
    ]);
    expect(taken('refunds')).toEqual({ ...stream, refunds: '10.0' });
    expect(taken('cards')).toEqual({ ...stream, cards: { domestic: '75.0', international: '25.0' } });
    expect(taken('season').orders).toMatchObject({ start: '50', growth: '1', season: new Array(12).fill('1.00') });
  });
});
