import { expect, it } from 'vitest';
import { constant, figure, NOTHING, product, quotient, sumOf, difference, beyond } from './build';
import type { Expression } from './expression';
import { partsOf, runsOverMonths } from './parts';

const [a, b, c] = ['1', '2', '3'].map(constant) as [Expression, Expression, Expression];
const running: Expression = { is: 'so-far', of: a };
const parts: ReadonlyArray<readonly [Expression, readonly Expression[]]> = [
  [{ is: 'sum', of: [a, b, c] }, [a, b, c]],
  [{ is: 'difference', of: a, less: b }, [a, b]],
  [{ is: 'product', of: a, times: b }, [a, b]],
  [{ is: 'quotient', of: a, by: b }, [a, b]],
  [{ is: 'proportion', of: a, part: b, whole: c }, [a, b, c]],
  [{ is: 'at-least', of: a, bound: b }, [a, b]],
  [{ is: 'at-most', of: a, bound: b }, [a, b]],
  [{ is: 'packages', of: a, size: b }, [a, b]],
  [{ is: 'bands', how: 'volume', of: a, bands: [] }, [a]],
  [{ is: 'increase', of: a }, [a]],
  [{ is: 'last-months', of: a, months: 3 }, [a]],
  [{ is: 'between', of: a, from: null, until: null }, [a]],
  [{ is: 'rounded', of: a, currency: 'EUR' }, [a]],
  [{ is: 'used-up', credit: a, bills: b }, [a, b]],
  [{ is: 'quantity', id: 'q', streams: null }, []],
];

it('names what an expression is made of', () => {
  for (const [whole, expected] of parts) expect(partsOf(whole)).toEqual(expected);
});

it('runs over months where it, or something in it, depends on those before', () => {
  const runs = (one: Expression) => runsOverMonths(one);
  expect([running, { is: 'increase', of: a } as const, { is: 'used-up', credit: a, bills: b } as const].every(runs)).toBe(true);
  expect(runs({ is: 'last-months', of: a, months: 3 })).toBe(false);
  expect(runs({ is: 'sum', of: [a, running] })).toBe(true);
  expect(runs({ is: 'sum', of: [a, b] })).toBe(false);
  for (const [whole] of parts.filter(([, { length }]) => length === 1)) {
    if (!('of' in whole) || whole.is === 'sum') continue;
    expect(runs({ ...whole, of: running } as Expression)).toBe(true);
  }
});

it('leaves out what is nothing for good, but not a figure that may be changed', () => {
  const stated = figure('0', { part: 'p', line: 'charge', id: 'c', field: 'each' });
  expect(sumOf(NOTHING, a)).toBe(a);
  expect(sumOf(NOTHING)).toBe(NOTHING);
  expect(sumOf(a, stated)).toEqual({ is: 'sum', of: [a, stated] });
  expect(product(a, NOTHING)).toBe(NOTHING);
  expect(product(NOTHING, a)).toBe(NOTHING);
  expect(product(a, stated)).toEqual({ is: 'product', of: a, times: stated });
  expect(quotient(NOTHING, a)).toBe(NOTHING);
  expect(quotient(stated, a)).toEqual({ is: 'quotient', of: stated, by: a });
  expect(difference(a, NOTHING)).toBe(a);
  expect(beyond(a, NOTHING)).toBe(a);
  expect(beyond(a, b)).toEqual({ is: 'at-least', of: { is: 'difference', of: a, less: b }, bound: NOTHING });
});
