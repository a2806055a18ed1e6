import { expect, it } from 'vitest';
import { plainText } from './chart-option';

it('a name in a chart’s box stays text', () => {
  expect(plainText('<b>Kites & Co</b>')).toBe('&lt;b>Kites &amp; Co&lt;/b>');
});
