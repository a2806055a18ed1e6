import { expect, it } from 'vitest';
import { kiteDecision } from '../tests/kite-decision';
import { takenBy } from './taken-by-offers';

const [alder, birch] = kiteDecision().offers;
if (!alder || !birch) throw new Error('two offers are expected');

it('is what an offer states: hours, extras and lift; of several the hours of all and no lift', () => {
  const theme = { label: 'Theme', amount: '7', months: 0 };
  const taking = { ...alder, hours: { setup: '2' }, extras: [theme], lift: '4' };
  expect(takenBy([taking])).toEqual({ hours: { setup: '2', monthly: '0' }, extras: [theme], lift: '4' });
  expect(takenBy([taking, { ...birch, hours: { setup: '1', monthly: '0.5' } }])).toEqual({
    hours: { setup: '3', monthly: '0.5' },
    extras: [theme],
  });
  expect(takenBy([birch])).toEqual({});
  expect(takenBy([])).toEqual({});
});
