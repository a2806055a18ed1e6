import { describe, expect, it } from 'vitest';
import type { ChanceAnswer } from '../chance/chance-answer';
import type { DecisionNeed } from '../decision/need-schema';
import { byWorth, worthOfQuestion } from './worth-of-question';

const uncertain = (kind: string, of: string | null, worth: string | null) => ({ kind, of, worth }) as ChanceAnswer['uncertain'][number];
const chance = {
  uncertain: [
    uncertain('level', null, '25.00'),
    uncertain('answer', 'grow blog', '12.00'),
    uncertain('answer', 'grow gives-books', '3.00'),
    uncertain('answer', 'grow takes-books', '7.00'),
    uncertain('answer', 'host+club without-adverts', '1.00'),
    uncertain('price', 'grow term y', '40.00'),
    uncertain('price', 'fee', '0.00'),
  ],
} as unknown as ChanceAnswer;
const need = (feature: string, more: Partial<DecisionNeed> = {}) =>
  ({ kind: 'need', need: { feature, kind: 'has', level: 'must', ...more } as DecisionNeed }) as const;
const NONE = { kind: 'none' } as const;
const price = (id: string) => ({ kind: 'price', id, label: id }) as const;

describe('what answering is worth', () => {
  it.each([
    ['a need', 'grow', need('blog'), '12.00'],
    ['both ways of a connection, the dearer', 'grow', need('books', { kind: 'connects', direction: 'both' }), '7.00'],
    ['one way of it', 'grow', need('books', { kind: 'connects', direction: 'to' }), '3.00'],
    ['being without something, of plans together', 'club', need('adverts', { without: true }), '1.00'],
    ['the price of a term', 'grow', price('grow'), '40.00'],
    ['a fee', 'grow', price('fee'), '0.00'],
    ['another plan', 'start', need('blog'), null],
    ['another fee', 'grow', price('charge'), null],
    ['another plan’s term', 'gro', price('gro'), null],
  ])('%s', (_, part, asks, worth) => {
    expect(worthOfQuestion({ part, asks, effect: NONE }, chance)).toBe(worth);
    expect(worthOfQuestion({ part, asks, effect: NONE }, null)).toBeNull();
  });

  it.each([
    ['half of what it would save, of a plan that is no candidate', { kind: 'cheapest', by: '521.30' }, '260.65'],
    ['not told where nothing can be used yet', { kind: 'cheapest', by: null }, null],
    ['not told where it makes it only fit better', { kind: 'fit' }, null],
  ] as const)('is %s', (_, effect, worth) => {
    expect(worthOfQuestion({ part: 'branch', asks: need('domain'), effect }, chance)).toBe(worth);
  });

  it('is what chance says of a candidate, whatever it would save', () => {
    expect(worthOfQuestion({ part: 'grow', asks: need('blog'), effect: { kind: 'cheapest', by: '900.00' } }, chance)).toBe('12.00');
  });

  it('puts what is worth most first, and leaves the others in their order', () => {
    const questions = [need('shop'), need('club'), need('blog')].map((asks) => ({ part: 'grow', asks, effect: NONE }));
    expect(byWorth(questions, chance).map(({ question: { asks }, worth }) => [asks.need.feature, worth])).toEqual([
      ['blog', '12.00'],
      ['shop', null],
      ['club', null],
    ]);
    expect(byWorth(questions, null).map(({ question }) => question)).toEqual(questions);
  });
});
