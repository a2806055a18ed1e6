import { describe, expect, it } from 'vitest';
import { seasonalOf } from './seasonal';

const SEASON = [0.5, 0.6, 0.9, 1.1, 1.4, 1.5, 1.5, 1.5, 1, 0.8, 0.6, 0.6];
const counts = (months: number, level: number, growth: number, first = 0) =>
  Array.from({ length: months }, (_, at) => level * (1 + growth) ** at * (SEASON[(first + at) % 12] ?? 1));

describe('level, growth and season of counts', () => {
  it('are found again where nothing scatters', () => {
    const found = seasonalOf(counts(36, 2_000, 0.02), 0);
    expect(found.growth).toBeCloseTo(0.02, 10);
    expect(found.growthPairs).toBe(24);
    expect(found.level).toBeCloseTo(2_000 * 1.02 ** 35, 6);
    found.season?.forEach((factor, month) => expect(factor).toBeCloseTo(SEASON[month] ?? 0, 2));
    expect(found.pulled).toBeLessThan(0.01);
  });

  it('start in any month of the year', () => {
    const found = seasonalOf(counts(24, 5_000, 0, 9), 9);
    expect(found.season?.map((factor) => Number(factor.toFixed(1)))).toEqual(SEASON.map((factor) => Number(factor.toFixed(1))));
  });

  it('are not thrown by one odd month', () => {
    const odd = counts(36, 2_000, 0.02).map((count, at) => (at === 20 ? count * 10 : count));
    expect(seasonalOf(odd, 0).growth).toBeCloseTo(0.02, 3);
  });

  it('pull a season of few orders, or of one year, towards flat', () => {
    const [many, few, year] = [counts(24, 1_000, 0), counts(24, 3, 0), counts(12, 1_000, 0)].map((one) => seasonalOf(one, 0).pulled);
    expect(many).toBeLessThan(0.02);
    expect(few).toBeGreaterThan(0.1);
    expect(year).toBeCloseTo(0.15 + 0.85 * 0.0103, 2);
  });

  it('say nothing of growth with a year, of a season with less, and nothing where there is nothing', () => {
    expect(seasonalOf(counts(12, 100, 0), 0).growth).toBeNull();
    expect(seasonalOf([10, 14, 12], 0)).toMatchObject({ level: 12, growth: null, season: null });
    expect(seasonalOf([0, 0, 0], 0)).toMatchObject({ level: 0, levelError: 1 });
    expect(seasonalOf(new Array<number>(12).fill(0), 0)).toMatchObject({ level: 0, season: null });
  });
});
