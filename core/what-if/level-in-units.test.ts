import { describe, expect, it } from 'vitest';
import type { DecisionFile } from '../decision-file/schema';
import { preparePricing } from '../pricing/pricing';
import { kiteDecision } from '../tests/kite-decision';
import { levelInUnits } from './level-in-units';

const streams: DecisionFile['forecast']['streams'] = [
  { id: 'kites', label: 'Kites', kind: 'goods', orders: '100', orderValue: '10' },
  { id: 'club', label: '', kind: 'subscription', orderValue: '6', subscribers: { start: '30', joins: '0', churn: '0', every: 3 } },
];
const at = (scale: number, of = streams, months = 18) =>
  levelInUnits(preparePricing(kiteDecision({ months, forecast: { streams: of } })), scale).map(({ unit, label, month, year, whole }) => [
    unit,
    label,
    month,
    year,
    whole,
  ]);

describe('a level of sales', () => {
  it('is told in sales, orders, each stream and members, a month, a year and in all', () => {
    // Half of 100 kites, and 15 members who pay every three months.
    expect(at(0.5)).toEqual([
      ['sales', '', '530.00', '6360.00', '9540.00'],
      ['orders', '', '55.0000', '660.0000', '990.0000'],
      ['stream', 'Kites', '50.0000', '600.0000', '900.0000'],
      ['stream', 'club', '5.0000', '60.0000', '90.0000'],
      ['members', 'club', '15.0000', null, null],
    ]);
  });

  it('of one stream says its orders once', () => {
    expect(at(2, streams.slice(0, 1), 6)).toEqual([
      ['sales', '', '2000.00', '24000.00', '12000.00'],
      ['orders', '', '200.0000', '2400.0000', '1200.0000'],
    ]);
  });
});
