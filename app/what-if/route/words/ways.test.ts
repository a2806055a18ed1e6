import { describe, expect, it } from 'vitest';
import { kiteDecision } from '#core/tests/kite-decision';
import { routePlanner } from '#core/what-if/route-plan';
import { writerFor } from '../../../locale/writer';
import { ownWaySentence } from './own-way';
import { nearestSentence, routeSentence } from './route';

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

  it('says what comes nearest where staying is best, and what moving would have to cost', () => {
    const nearest = (money: string, by: 'cost' | 'keep' = 'cost') => {
      const found = routePlanner(growing).plan({ ...moving(money), by }).nearest;
      return found && nearestSentence(found, by, nameOf, write);
    };
    // Moving for nothing saves 30.00 against Birch throughout.
    expect(nearest('500')).toBe(
      'The nearest is to begin with Alder and move to Birch in April 2027: that costs 470 more than staying. It would pay if the move cost less than 30.',
    );
    expect(nearest('0')).toBeNull();
    expect(nearest('500', 'keep')).toContain('that leaves you 470 less than staying');
  });

  it('says where a move would not pay for nothing either', () => {
    const steady = routePlanner(kiteDecision()).plan(moving('0'));
    expect(steady.nearest && nearestSentence(steady.nearest, 'cost', nameOf, write)).toBe(
      // A month with Alder is 60, with Birch 40.
      'The nearest is to begin with Alder and move to Birch in February 2027: that costs 20 more than staying. It would not pay even if moving cost nothing.',
    );
  });

  it('is nothing where there is no way', () => {
    expect(routeSentence(routePlanner({ ...growing, needs: [{ feature: 'x', level: 'must' }] }).plan(moving('0')), nameOf, write)).toBe('');
  });
});

describe('a way of one’s own', () => {
  const way = {
    id: 'w',
    stays: [
      { candidate: 'A', from: '2027-01', months: 3 },
      { candidate: 'B', from: '2027-04', months: 9 },
    ],
    total: '540.00',
    kept: null,
    obstacle: null,
  };
  const says = (more: object) => ownWaySentence({ ...way, worse: '60.00', ...more }, nameOf, write);

  it('says what it costs against the best throughout', () => {
    expect(says({})).toBe('Begin with Alder, move to Birch in April 2027: 540 in all, 60 more than the best throughout.');
    expect(says({ worse: '-60.00' })).toContain('60 less than the best throughout');
    expect(says({ worse: '0.00' })).toContain('the same as the best throughout');
    expect(says({ worse: null })).toContain('; nobody can be used throughout.');
    expect(says({ kept: '5460.00' })).toContain('5,460 is kept, 540 paid, 60 less left than with the best throughout');
    expect(says({ kept: '5460.00', worse: '-1.00' })).toContain('1 more left than with the best throughout');
  });

  it('says what to do where it cannot be priced', () => {
    expect(says({ total: null, obstacle: { kind: 'months' } })).toBe(
      'Each move has to come after the one before, and within the months you plan for.',
    );
    expect(says({ total: null, obstacle: { kind: 'gone' } })).toContain('choose another');
    expect(says({ stays: [] })).toBe('');
  });
});
