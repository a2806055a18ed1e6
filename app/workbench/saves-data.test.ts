import { expect, it } from 'vitest';
import { savesData } from './saves-data';

it('loads no more than is needed only where a browser says so', () => {
  expect(savesData({ connection: { saveData: true } })).toBe(true);
  for (const browser of [{}, { connection: {} }, { connection: { saveData: false } }]) expect(savesData(browser)).toBe(false);
});
