import { expect, it } from 'vitest';
import type { GivenVerdict } from '../decision/verdict-schema';
import { verdictName } from './verdict-name';

const verdict = (kind: GivenVerdict['kind'], ...labels: string[]) =>
  ({ kind, parts: labels.map((label) => ({ candidate: label, label })) }) as unknown as GivenVerdict;

it('a verdict goes by the newest: one by its name, two with each other, a way in its order', () => {
  expect(verdictName(undefined)).toBeNull();
  expect(verdictName([])).toBeNull();
  expect(verdictName([verdict('candidate', 'Birch'), verdict('candidate', 'Alder')])).toBe('Alder');
  expect(verdictName([verdict('together', 'Birch', 'Alder')])).toBe('Birch with Alder');
  expect(verdictName([verdict('route', 'Birch', 'Alder')])).toBe('Birch, then Alder');
});
