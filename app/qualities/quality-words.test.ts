import { expect, it } from 'vitest';
import type { Quality } from '#core/decision/quality-schema';
import { writerFor } from '../locale/writer';
import { SOURCES, standingWords } from './quality-words';

const words = (source: Quality['source'], figure: number, locale = 'en-GB') =>
  standingWords({ id: 'q', label: 'q', weight: '1', worst: '0', best: '1', source }, { figure, points: 50 }, writerFor(locale));

it('a vendor’s figure stands in its own unit, as the locale writes it', () => {
  expect(words('mark', 3.5)).toBe('3.5');
  expect(words('trial', 8.333)).toBe('8.3');
  expect(words('reviews', 85.6)).toBe('86');
  expect(words('uptime', 8.76)).toBe('8 h 46 min');
  expect(words('speed', 1.64)).toBe('1.6 s');
  expect(words('speed', 1.64, 'de-DE')).toBe('1,6 s');
  expect(words('support', 60)).toBe('60 h');
  expect(words('support', 168)).toBe('always');
  expect(new Set(SOURCES.map(({ value }) => value)).size).toBe(6);
});
