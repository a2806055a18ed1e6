/**
 * Level, growth and season of monthly counts, each robust against single odd months:
 *
 * - Growth is the median of the growth between the same calendar months of two years (Theil 1950, Sen 1968, taken at the
 *   distance of a season as in the seasonal Kendall test, Hirsch, Slack and Smith 1982). With a year or less there is none.
 * - The season is, for each calendar month, what its count is of the level without growth, as in classical decomposition
 *   (Persons 1919), pulled towards flat by the share of its scatter that chance alone explains (James and Stein 1961,
 *   Efron and Morris 1975): counts scatter by their square root. With less than two years it is pulled further.
 */
export interface Seasonal {
  /** Orders of an average month, at the last month counted. */
  readonly level: number;
  /** Its standard error, as a fraction of it. */
  readonly levelError: number;
  /** Fraction a month; null where a year or less is there. */
  readonly growth: number | null;
  /** How many pairs of months it rests on. */
  readonly growthPairs: number;
  /** Twelve factors, January first; 1 is an average month. Null with less than twelve months. */
  readonly season: readonly number[] | null;
  /** How far the season was pulled towards flat: 0 not at all, 1 to flat. */
  readonly pulled: number;
}

const YEAR = 12;
const MONTHS_OF_FULL_TRUST = 24;

/**
 * @param counts - by month, without gaps; whole months only
 * @param firstMonth - calendar month of the first, January 0
 */
export function seasonalOf(counts: readonly number[], firstMonth: number): Seasonal {
  const rates = counts.slice(YEAR).flatMap((count, at) => {
    const before = counts[at] ?? 0;
    return count > 0 && before > 0 ? [Math.log(count / before) / YEAR] : [];
  });
  const growth = rates.length === 0 ? null : median(rates);
  const last = counts.length - 1;
  const grown = counts.map((count, at) => count * Math.exp((growth ?? 0) * (last - at)));
  const { season, pulled } = counts.length >= YEAR ? seasonIn(grown, counts, firstMonth) : { season: null, pulled: 1 };
  const withoutSeason = grown.flatMap((count, at) => {
    const factor = season?.[(firstMonth + at) % YEAR] ?? 1;
    return factor > 0 ? [count / factor] : [];
  });
  const level = season ? meanOf(lastYear(grown)) : median(withoutSeason);
  const all = counts.reduce((sum, count) => sum + count, 0);
  const scatter = deviation(withoutSeason) / Math.max(level, Number.MIN_VALUE) / Math.sqrt(Math.max(1, withoutSeason.length));
  return {
    level,
    levelError: Math.max(all > 0 ? 1 / Math.sqrt(all) : 1, withoutSeason.length > 2 ? scatter : 0),
    growth: growth === null ? null : Math.exp(growth) - 1,
    growthPairs: rates.length,
    season,
    pulled,
  };
}

function seasonIn(grown: readonly number[], counts: readonly number[], firstMonth: number) {
  const level = meanOf(lastYear(grown));
  if (level === 0) return { season: null, pulled: 1 };
  const months = Array.from({ length: YEAR }, (_, month) => {
    const at = grown.flatMap((_count, index) => ((firstMonth + index) % YEAR === month ? [index] : []));
    return {
      factor: meanOf(at.map((index) => (grown[index] ?? 0) / level)),
      seen: at.reduce((sum, index) => sum + (counts[index] ?? 0), 0),
    };
  });
  const total = months.reduce((sum, { factor }) => sum + factor, 0);
  const scatter = meanOf(months.map(({ factor }) => (factor - 1) ** 2));
  // A month without orders scatters as one with a single order would.
  const chance = meanOf(months.map(({ factor, seen }) => Math.max(factor, 1 / level) ** 2 / Math.max(1, seen)));
  const byChance = scatter > 0 ? Math.min(1, chance / scatter) : 1;
  const years = Math.min(1, counts.length / MONTHS_OF_FULL_TRUST);
  const pulled = 1 - (1 - byChance) * (0.7 + 0.3 * years);
  const season = months.map(({ factor }) => 1 + ((factor * YEAR) / total - 1) * (1 - pulled));
  return { season, pulled };
}

const lastYear = (counts: readonly number[]) => counts.slice(-YEAR);

export function meanOf(values: readonly number[]): number {
  return values.length === 0 ? 0 : values.reduce((sum, value) => sum + value, 0) / values.length;
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? (sorted[half] ?? 0) : ((sorted[half - 1] ?? 0) + (sorted[half] ?? 0)) / 2;
}

export function deviation(values: readonly number[]): number {
  const mean = meanOf(values);
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / Math.max(1, values.length - 1));
}
