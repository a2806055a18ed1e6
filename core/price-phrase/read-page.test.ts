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
