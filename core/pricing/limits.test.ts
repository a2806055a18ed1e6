import { describe, expect, it } from 'vitest';
import { decimal } from '../amount/decimal';
import { onePlan, type OnePlan, withPlan } from '../tests/one-plan';
import type { Candidate } from '../decision-file/candidate-schema';
import { exceededLimits, limitedQuantities } from './limits';

const exceeded = (made: OnePlan, more: Partial<Candidate> = {}, scale = '1') =>
  exceededLimits(onePlan(made), withPlan(more), decimal(scale)).map(({ month, limit }) => `${month} ${limit}`);
const growing: OnePlan['file'] = {
  forecast: { streams: [{ id: 's', label: 's', kind: 'goods', orders: { start: '10', add: '5' }, orderValue: '10' }] },
};

describe('limits of a plan', () => {
  it('are exceeded above them, month by month, in the order of their names', () => {
    expect(exceeded({ plan: { limits: { sales: '149', orders: '15' } }, file: growing })).toEqual(['1 sales', '2 orders', '2 sales']);
    expect(exceeded({ plan: { limits: { orders: '20', ghosts: '0' } }, file: growing })).toEqual([]);
    expect(exceeded({ plan: { limits: { orders: '20' } }, file: growing }, {}, '1.01')).toEqual(['2 orders']);
  });

  it('of sales are in the plan’s currency', () => {
    const made = (most: string): OnePlan => ({ plan: { currency: 'USD', limits: { sales: most } }, file: { rates: { USD: '0.8' } } });
    // 100 euros are 125 dollars.
    expect(exceeded(made('125'))).toEqual([]);
    expect(exceeded(made('124.99'))).toHaveLength(3);
    expect(limitedQuantities(onePlan(made('125')), withPlan())[0]?.quantities[0]?.toFixed()).toBe('125');
  });

  it('are raised by add-ons as often as one has them, of their own name only', () => {
    const addons = [{ id: 'x', label: 'X', currency: 'EUR', raises: { orders: '2', staff: '9' } }];
    const made = { plan: { limits: { orders: '6' } }, addons };
    expect(exceeded(made, { addons: [{ addon: 'x' }] })).toHaveLength(3);
    expect(exceeded(made, { addons: [{ addon: 'x', count: 2 }] })).toEqual([]);
    expect(limitedQuantities(onePlan(made), withPlan({ addons: [{ addon: 'x', count: 2 }] }))[0]?.most.toFixed()).toBe('10');
  });

  it('over a year add up the months so far, and no add-on raises them', () => {
    const addons = [{ id: 'x', label: 'X', currency: 'EUR', raises: { orders: '100' } }];
    const made = { plan: { yearlyLimits: { orders: '20' } }, addons };
    expect(exceeded(made, { addons: [{ addon: 'x' }] })).toEqual(['2 orders/year']);
  });

  it('count the streams that the plan handles', () => {
    const file: OnePlan['file'] = {
      forecast: {
        streams: [
          { id: 's', label: 's', kind: 'goods', orders: '10', orderValue: '10' },
          { id: 'z', label: 'z', kind: 'goods', orders: '7', orderValue: '10' },
        ],
      },
    };
    const made = { plan: { limits: { orders: '9' } }, file };
    expect(exceeded(made, { plans: [{ plan: 'p', term: 't', streams: ['z'] }] })).toEqual([]);
    expect(exceeded(made, { plans: [{ plan: 'p', term: 't', streams: ['s'] }] })).toHaveLength(3);
  });
});

describe('limits of a charge', () => {
  const bands = (each: string | null): OnePlan['plan'] => ({
    charges: [{ id: 'c', label: 'c', how: 'graduated', bands: [{ upTo: '9', each }] }],
  });

  it('are its last band’s end, unless its price is not known', () => {
    expect(exceeded({ plan: bands('1') })).toEqual(['0 c', '1 c', '2 c']);
    expect(exceeded({ plan: bands(null) })).toEqual([]);
    expect(limitedQuantities(onePlan({ plan: bands('1') }), withPlan())).toMatchObject([{ limit: 'c', quantity: 'orders' }]);
  });
});
