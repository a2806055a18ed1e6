import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import { kiteDecision } from '../tests/kite-decision';
import { againstForecast } from './against-forecast';
import { exampleMonth } from './example-month';

const kites = kiteDecision();
const [stream] = kites.forecast.streams;
const withOrders = (orders: string) =>
  priceDecision(kiteDecision({ forecast: { streams: [{ ...stream, orders } as typeof stream & object] } }));

describe('an example of a month that went otherwise', () => {
  it('has a fifth fewer orders, each worth what was expected', () => {
    const example = exampleMonth(priceDecision(kites));
    expect(example).toEqual({ '2027-01': { orders: '80', sales: '800.00' } });
    // 20 orders of 10.00 at 5 % less.
    expect(againstForecast(kites, [{ candidate: 'A', from: 0, months: 12 }], example).months[0]?.difference).toBe('-10.00');
  });

  it('has whole orders, worth as much each', () => {
    expect(exampleMonth(withOrders('3'))).toEqual({ '2027-01': { orders: '2', sales: '20.00' } });
  });

  it('is none where no order is expected in a month', () => {
    expect(exampleMonth(withOrders('0'))).toEqual({});
    expect(exampleMonth(withOrders('0.5'))).toEqual({});
  });
});
