import { expect, it } from 'vitest';
import { kiteDecision } from '#core/tests/kite-decision';
import { assumptionsOf } from '#core/what-if/assumption';
import { type PairBreakEven, pairBreakEvens } from '#core/what-if/break-evens';
import { coursesOf } from '#core/comparison/course';
import { priceDecision } from '#core/comparison/decision-result';
import { courseEvents, courseSentence } from '../line-up/course-words';
import { writerFor } from '../locale/writer';
import { changeWords, nowWords } from './assumption-words';
import { pairSentence } from './break-even-words';

const write = writerFor('en-GB');
const nameOf = (id: string) => ({ A: 'Alder', B: 'Birch' })[id] ?? id;
const sentence = (pair: PairBreakEven | undefined) => (pair ? pairSentence(pair, nameOf, '50', '20000', write) : '');

it('a pair’s verdict is a sentence, with the month that reaches it', () => {
  const growing = kiteDecision({
    forecast: { streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders: { start: '20', add: '5' }, orderValue: '10' }] },
  });
  expect(sentence(pairBreakEvens(growing)[0])).toBe(
    'Alder is cheaper below 500 a month (50 orders, 5 % more than expected), Birch above. Your sales reach that in July 2027 at this growth.',
  );
  const [pair] = pairBreakEvens(kiteDecision());
  expect(sentence(pair)).toContain('(50 orders, 50 % less than expected)');
});

it('always, never and the same are said as such', () => {
  expect(sentence({ a: 'A', b: 'B', points: [], now: 'B' })).toBe(
    'Birch is always cheaper: Alder never pays, at any level of sales between 50 and 20,000 a month.',
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
    'They change places 3 times. Nearest to your forecast, Alder takes over from 1,200 a month (120 orders, 20 % more than expected). No month of this forecast reaches that.',
  );
});

it('assumptions and their changes are written in their own units', () => {
  const all = assumptionsOf(
    kiteDecision({ candidates: [{ id: 'A', label: 'A', plans: [{ plan: 'pa', term: 'm' }], hours: { monthly: '1' } }] }),
  );
  const words = all.map((assumption) => [assumption.key, nowWords(assumption, write), changeWords(assumption, 25, write)]);
  expect(words).toEqual([
    ['orders:kites', '100 a month', '125 a month (+25 %)'],
    ['order-value:kites', '10', '12.5 (+25 %)'],
    ['growth:kites', '0 %', '25 % (+25 points)'],
    ['refunds:kites', '0 %', '25 % (+25 points)'],
    ['hour-value', '20', '25'],
  ]);
});

it('the cost so far is told in a sentence, its marks one by one', () => {
  const courses = coursesOf(
    priceDecision(
      kiteDecision({
        candidates: [
          { id: 'A', label: 'Alder', plans: [{ plan: 'pa', term: 'y' }] },
          { id: 'B', label: 'Birch', plans: [{ plan: 'pb', term: 'm' }] },
        ],
        forecast: { streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders: '20', orderValue: '10' }] },
      }),
    ),
    ['A', 'B'],
  );
  expect(courseSentence(courses, nameOf, write)).toBe(
    'Alder has cost least by the end; it has been ahead of all others since May 2027, when it passed Birch.',
  );
  expect(courseEvents(courses, nameOf, write)).toEqual(['Alder has cost less than Birch from May 2027.']);
});
