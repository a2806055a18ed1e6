import { describe, expect, it } from 'vitest';
import { readPhrase } from '#core/price-phrase/read-phrase';
import { daysBetween } from '#core/calendar/day';
import { ageWords } from './age-words';
import { copiedCells, isTyping, movedTo, within } from '../components/grid-keys';
import { type AnsweredClause, notUnderstood, openQuestion, statedBy, statedWords } from './phrase-reading';

const press = (key: string, more: { ctrlKey?: boolean; metaKey?: boolean; altKey?: boolean } = {}) => ({
  key,
  ctrlKey: false,
  metaKey: false,
  altKey: false,
  ...more,
});
const middle = { row: 20, column: 3 };

describe('keys on the grid of a price sheet', () => {
  it.each([
    ['ArrowUp', {}, { row: 19, column: 3 }],
    ['ArrowRight', {}, { row: 20, column: 4 }],
    ['ArrowDown', { ctrlKey: true }, { row: 59, column: 3 }],
    ['ArrowLeft', { metaKey: true }, { row: 20, column: 0 }],
    ['Home', {}, { row: 20, column: 0 }],
    ['End', {}, { row: 20, column: 11 }],
    ['Home', { ctrlKey: true }, { row: 0, column: 0 }],
    ['End', { ctrlKey: true }, { row: 59, column: 11 }],
    ['PageUp', {}, { row: 10, column: 3 }],
    ['PageDown', {}, { row: 30, column: 3 }],
  ])('%s %j leads from the middle to %j', (key, more, to) => {
    expect(movedTo(press(key, more), middle, 60, 12)).toEqual(to);
  });

  it('stay on the grid at its edges, and leave other keys alone', () => {
    expect(movedTo(press('ArrowUp'), { row: 0, column: 0 }, 60, 12)).toEqual({ row: 0, column: 0 });
    expect(movedTo(press('PageDown'), { row: 58, column: 0 }, 60, 12)).toEqual({ row: 59, column: 0 });
    expect(movedTo(press('Tab'), middle, 60, 12)).toBeNull();
    expect(within({ row: 99, column: -3 }, 60, 12)).toEqual({ row: 59, column: 0 });
  });

  it('a character begins a figure, the space bar and shortcuts do not', () => {
    expect(['2', '?', '€', 'n'].map((key) => isTyping(press(key)))).toEqual([true, true, true, true]);
    expect([press(' '), press('Enter'), press('z', { ctrlKey: true }), press('1', { altKey: true })].map(isTyping)).toEqual([
      false,
      false,
      false,
      false,
    ]);
  });

  it('a copied stretch has rows by line and columns by tab', () => {
    expect(copiedCells('27\t54\r\n258\t516\r\n')).toEqual([
      ['27', '54'],
      ['258', '516'],
    ]);
    expect(copiedCells('27')).toEqual([['27']]);
  });
});

describe('what was read of a phrase', () => {
  const clauses = readPhrase('27/mo, 30, loved by sellers');
  const answered = (answer: number | null): AnsweredClause[] =>
    clauses.map((clause) => ({ clause, answer: clause.kind === 'asked' ? answer : null }));

  it('has a question until it is answered, and states only what is beyond doubt until then', () => {
    expect(openQuestion(answered(null))).toBe(1);
    expect(openQuestion(answered(2))).toBe(-1);
    expect(statedBy(answered(null))).toMatchObject([{ term: { months: 1, price: '27' } }]);
    expect(statedBy(answered(1))).toMatchObject([{ term: { months: 1 } }, { term: { months: 12, price: '30' } }]);
  });

  it('keeps the page’s words with what they state, and what is not understood apart', () => {
    expect(statedWords(answered(0)).map(({ words }) => words)).toEqual(['27/mo', '30']);
    expect(notUnderstood(answered(0))).toEqual(['loved by sellers']);
  });
});

describe('the age of a price sheet', () => {
  it.each([
    ['2026-11-25', 'today'],
    ['2026-11-24', 'yesterday'],
    ['2026-11-13', '12 days ago'],
    ['2026-11-03', '3 weeks ago'],
    ['2026-03-20', '8 months ago'],
  ])('%s is %s', (day, words) => {
    expect(ageWords(day, '2026-11-25')).toBe(words);
  });

  it('counts days over months and years', () => {
    expect(daysBetween('2026-02-28', '2026-03-01')).toBe(1);
    expect(daysBetween('2025-11-25', '2026-11-25')).toBe(365);
  });
});
