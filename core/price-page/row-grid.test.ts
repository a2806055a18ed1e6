import { describe, expect, it } from 'vitest';
import { readPricePage } from './read-price-page';

const page = (...lines: string[]) => lines.join('\n');
const termsOf = (text: string) =>
  readPricePage(text).plans.map(({ name, facts }) => [
    name,
    facts.flatMap(({ statement }) => (statement.kind === 'term' ? [statement.term] : [])),
  ]);

describe('a table a cell a line, with a plan in each row', () => {
  const rows = ['Pebble', '1', '20 GB', '€4.20', 'Cobble', '2', '60 GB', '€11.50'];
  const expected = [
    ['Pebble', [{ months: 1, price: '4.20' }]],
    ['Cobble', [{ months: 1, price: '11.50' }]],
  ];

  it('is read by its headings, with a heading over the names or none', () => {
    expect(termsOf(page('Clouds', 'Name', 'vCPU', 'Disk', 'Monthly', ...rows))).toEqual(expected);
    expect(termsOf(page('Clouds', 'vCPU', 'Disk', 'Monthly', ...rows))).toEqual(expected);
  });

  it('is none where no heading is of a price, or a row has too few cells', () => {
    expect(
      termsOf(page('Clouds', 'Name', 'vCPU', 'Disk', 'Traffic', 'Pebble', '1', '20 GB', '1 TB', 'Cobble', '2', '60 GB', '2 TB')),
    ).toEqual([]);
    expect(termsOf(page('Clouds', 'Name', 'vCPU', 'Disk', 'Monthly', 'Pebble', '1', '20 GB', 'Cobble', '2', '60 GB'))).toEqual([]);
  });
});
