import { expect, it } from 'vitest';
import { kiteDecision } from '#core/tests/kite-decision';
import { assumptionsOf } from '#core/what-if/assumption';
import { writerFor } from '../locale/writer';
import { changeWords, nowWords } from './assumption-words';

const write = writerFor('en-GB');

it('assumptions and their changes are written in their own units', () => {
  const all = assumptionsOf(
    kiteDecision({ candidates: [{ id: 'A', label: 'A', plans: [{ plan: 'pa', term: 'm' }], hours: { monthly: '1' } }] }),
  );
  const words = all.map((assumption) => [assumption.key, nowWords(assumption, write), changeWords(assumption, 25, write)]);
  expect(words).toEqual([
    ['orders:kites', '100 a month', '125 a month (+25%)'],
    ['order-value:kites', '10', '12.5 (+25%)'],
    ['growth:kites', '0%', '25% (+25 points)'],
    ['refunds:kites', '0%', '25% (+25 points)'],
    ['hour-value', '20', '25'],
  ]);
});
