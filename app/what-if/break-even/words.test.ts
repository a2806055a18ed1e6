import { expect, it } from 'vitest';
import { kiteDecision } from '#core/tests/kite-decision';
import { type PairBreakEven, pairBreakEvens } from '#core/what-if/break-evens';
import { writerFor } from '../../locale/writer';
import { pairSentence, unitWords } from './words';

const write = writerFor('en-GB');
const nameOf = (id: string) => ({ A: 'Alder', B: 'Birch' })[id] ?? id;
const sentence = (pair: PairBreakEven | undefined) => (pair ? pairSentence(pair, nameOf, '50', '20000', write) : '');

it('a pair’s verdict is a sentence, with the month that reaches it', () => {
  const growing = kiteDecision({
    forecast: { streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders: { start: '20', add: '5' }, orderValue: '10' }] },
  });
  expect(sentence(pairBreakEvens(growing)[0])).toBe(
    'Alder is cheaper below 500 a month (50 orders, 5% more than expected), Birch above. Your sales reach that in July 2027 at this growth.',
  );
  const [pair] = pairBreakEvens(kiteDecision());
  expect(sentence(pair)).toContain('(50 orders, 50% less than expected)');
});

it('always, never and the same are said as such', () => {
  expect(sentence({ a: 'A', b: 'B', points: [], now: 'B' })).toBe(
    'Birch is always cheaper: Alder is never cheaper, at any level of sales between 50 and 20,000 a month.',
  );
  expect(sentence({ a: 'A', b: 'B', points: [], now: null })).toBe(
    'Alder and Birch always cost the same, at every level of sales between 50 and 20,000 a month.',
  );
});

it('several break-evens are counted, and the nearest is told', () => {
  const point = (scale: number, above: string) => ({
    scale,
    monthlySales: String(1000 * scale),
    monthlyOrders: String(100 * scale),
    below: above === 'A' ? 'B' : 'A',
    above,
    reached: null,
  });
  expect(sentence({ a: 'A', b: 'B', now: 'A', points: [point(0.2, 'B'), point(1.2, 'A'), point(6, 'B')] })).toBe(
    'They change places 3 times. Nearest to your forecast, Alder takes over from 1,200 a month (120 orders, 20% more than expected). No month of this forecast reaches that.',
  );
});

it('a level is told in units that say what they count', () => {
  const words = (unit: Parameters<typeof unitWords>[0]['unit']) => unitWords({ unit, label: 'Video club' }, 'EUR');
  expect([words('sales'), words('orders'), words('stream'), words('members')]).toEqual([
    'sales, EUR',
    'orders, all',
    'Video club',
    'Video club, members',
  ]);
});
