import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readPage } from './read-page';

const said = (text: string, plans: readonly string[] = []) =>
  readPage(text, plans).map(({ plan, clauses }) => [plan, clauses.map(({ text: words }) => words)]);

describe('a page of text', () => {
  it('names plans by a row, by heads, or not at all', () => {
    expect(said('Plans: Basic | Plus\n27/mo | 54/mo')).toEqual([
      ['Basic', ['27/mo']],
      ['Plus', ['54/mo']],
    ]);
    expect(said('Basic:\n27/mo\nPlus:\n54/mo\nSeats: 2 | 5').map(([plan]) => plan)).toEqual(['Basic', 'Plus']);
    expect(said('Seats: 2 | 5').map(([plan]) => plan)).toEqual(['Plan 1', 'Plan 2']);
    expect(said('27/mo')).toEqual([[null, ['27/mo']]]);
  });

  it('lines with bars after one that named none go to the same plans', () => {
    expect(said('Seats: 2 | 5\n27/mo | 54/mo').map(([plan, words]) => [plan, words?.length])).toEqual([
      ['Plan 1', 2],
      ['Plan 2', 2],
    ]);
  });

  it('lines with bars go to the plans begun so far where there are as many as cells, else to all in their order', () => {
    expect(said('Basic:\n27/mo\nPlus:\n54/mo\n3 seats | 5 seats')).toEqual([
      ['Basic', ['27/mo', '3 seats']],
      ['Plus', ['54/mo', '5 seats']],
    ]);
    expect(said('Plus:\n54/mo\n3 seats | 5 seats', ['Basic', 'Plus'])).toEqual([
      ['Plus', ['54/mo', '5 seats']],
      ['Basic', ['3 seats']],
    ]);
    expect(said('New:\n54/mo\n3 seats | 5 seats | 9 seats', ['Basic', 'Plus', ''])).toEqual([
      ['New', ['54/mo', '9 seats']],
      ['Basic', ['3 seats']],
      ['Plus', ['5 seats']],
    ]);
    expect(said('plus:\n54/mo\n3 seats | 5 seats | 9 seats', ['Basic', 'Plus'])).toEqual([
      ['Plus', ['54/mo', '5 seats']],
      ['Basic', ['3 seats']],
      ['Plan 3', ['9 seats']],
    ]);
    expect(said('3 seats | 5 seats', ['Basic', 'Plus'])).toEqual([
      ['Basic', ['3 seats']],
      ['Plus', ['5 seats']],
    ]);
  });

  it('bars at the ends of a line are decoration, empty cells between them are not', () => {
    const seats = [
      ['Basic', ['3 seats']],
      ['Plus', ['5 seats']],
    ];
    for (const line of ['| 3 seats | 5 seats |', '3 seats|5 seats', '   |3 seats   |   5 seats|  ', '3 seats | 5 seats |'])
      expect(said(line, ['Basic', 'Plus'])).toEqual(seats);
    expect(said('3 seats | | 5 seats', ['A', 'B', 'C'])).toEqual([
      ['A', ['3 seats']],
      ['B', []],
      ['C', ['5 seats']],
    ]);
    expect(said('Seats: | 5', ['A', 'B'])).toEqual([
      ['A', []],
      ['B', ['Seats: 5']],
    ]);
    expect(said('| Seats: 3 | 5 |', ['A', 'B'])).toEqual([
      ['A', ['Seats: 3']],
      ['B', ['Seats: 5']],
    ]);
  });

  it('says where in the text everything stands', () => {
    const text = 'Basic:\n27/mo\n | Seats:  3 |  5 seats |';
    for (const { clauses } of readPage(text, ['Basic', 'Plus']))
      for (const { from, to, text: words } of clauses) expect(words.endsWith(text.slice(from, to))).toBe(true);
    const [basic, plus] = readPage(text, ['Basic', 'Plus']);
    expect(basic?.clauses.map(({ from, to }) => text.slice(from, to))).toEqual(['27/mo', '3']);
    expect(plus?.clauses.map(({ from, to }) => text.slice(from, to))).toEqual(['5 seats']);
  });

  it('has nothing of no plan where it says nothing outside of plans', () => {
    expect(said('')).toEqual([]);
    expect(said('Basic:')).toEqual([['Basic', []]]);
    expect(said('3 staff\nBasic:\n27/mo')).toEqual([
      [null, ['3 staff']],
      ['Basic', ['27/mo']],
    ]);
  });

  it('whatever is typed, every clause is a stretch of the text', () => {
    const piece = fc.constantFrom(
      'Basic:',
      'Plus',
      '27/mo',
      '258 yearly',
      ' | ',
      '\n',
      'Seats: ',
      '2.7% + 25c',
      '–',
      '?',
      'Plans: ',
      'of sales',
      '€',
      '  ',
      ':',
      'lifetime 460',
      '"',
      '|',
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.array(piece, { maxLength: 14 }).map((pieces) => pieces.join('')),
          fc.string({ maxLength: 60 }),
        ),
        fc.subarray(['Basic', 'Plus', '']),
        (text, plans) => {
          for (const { plan, clauses } of readPage(text, plans)) {
            expect(plan === null || plan.length > 0).toBe(true);
            for (const { from, to } of clauses) {
              expect(from).toBeGreaterThanOrEqual(0);
              expect(to).toBeLessThanOrEqual(text.length);
              expect(from).toBeLessThanOrEqual(to);
            }
          }
        },
      ),
      { numRuns: 400 },
    );
  });
});
