import { describe, expect, it } from 'vitest';
import { kiteDecision } from '#core/tests/kite-decision';
import { routePlanner } from '#core/what-if/route-plan';
import { writerFor } from '../../locale/writer';
import { routeSentence } from './words';

const write = writerFor('en-GB');
const nameOf = (id: string | null) => (id === null ? 'nobody' : ({ A: 'Alder', B: 'Birch' }[id] ?? id));

describe('the route’s sentence', () => {
  const growing = kiteDecision({
    forecast: { streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders: { start: '10', add: '15' }, orderValue: '10' }] },
  });
  const moving = (money: string) => ({ within: { hours: '0', money }, between: { hours: '0', money }, moves: 2 });

  it('says with whom to begin and when to move, and what that saves', () => {
    // Alder throughout is cheaper than Birch throughout? A: 12 × 10 + 5 % of 11,100 = 675; B: 360 + 111 = 471; the way: 30 + 37.5 + 270 + 103.5.
    expect(routeSentence(routePlanner(growing).plan(moving('0')), nameOf, write)).toBe(
      'Begin with Alder, move to Birch in April 2027: 441 in all, 30 less than Birch throughout.',
    );
  });

  it('says that moving does not pay', () => {
    expect(routeSentence(routePlanner(growing).plan(moving('500')), nameOf, write)).toBe(
      'Moving does not pay: stay with Birch throughout, 471 in all.',
    );
  });

  it('is nothing where there is no way', () => {
    expect(routeSentence(routePlanner({ ...growing, needs: [{ feature: 'x', level: 'must' }] }).plan(moving('0')), nameOf, write)).toBe('');
  });
});
