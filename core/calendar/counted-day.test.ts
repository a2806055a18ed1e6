import { expect, it } from 'vitest';
import { countedDay, dayCounted } from './counted-day';

it.each([
  ['1970-01-01', 0],
  ['1970-02-01', 31],
  ['1969-12-31', -1],
  ['2000-02-29', 11_016],
  ['2026-11-28', 20_785],
])('%s is day %i', (day, count) => {
  expect([countedDay(day), dayCounted(count)]).toEqual([count, day]);
});
