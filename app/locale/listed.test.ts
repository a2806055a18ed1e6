import { expect, it } from 'vitest';
import { anyOf, listed } from './listed';

it.each([
  [[], ''],
  [['a'], 'a'],
  [['a', 'b'], 'a and b'],
  [['a', 'b', 'c'], 'a, b and c'],
])('%j is said as “%s”', (items, words) => expect(listed(items)).toBe(words));

it('is said as a choice', () => expect([anyOf(['a']), anyOf(['a', 'b', 'c'])]).toEqual(['a', 'a, b or c']));
