import { type Decimal, decimal, fixed, sum, ZERO } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import { type ComparedBy, comparedBy } from '../decision-file/compared-by';
import { BUCKETS, type Bucket } from '../pricing/ledger-line';
import { distinctLabels } from '../wording/distinct-labels';
import { bestCandidate, leadOver, scoreOf } from './best';
import type { CandidateResult } from './candidate-result';
import type { PricedDecision } from './decision-result';
import { runnerUpOf, vendorsOf } from './vendors';

/** A candidate as compared; amounts are decimals in base currency. */
export interface LineUpColumn {
  readonly id: string;
  readonly label: string;
  readonly result: CandidateResult;
  /** Total minus the baseline's total; null for the baseline itself and where there is none. */
  readonly difference: string | null;
  /** What it keeps minus what the baseline keeps; null likewise. */
  readonly keptDifference: string | null;
  /** Totals of the horizon's years, twelve months each, the last one perhaps shorter. */
  readonly years: readonly string[];
  /** By how many percent each year after the first differs from the one before, whole years only; else null. */
  readonly yearChange: ReadonlyArray<string | null>;
  /** Whether something is not known, so that the total is a lower bound. */
  readonly atLeast: boolean;
}

/** The candidates side by side. */
export interface LineUp {
  /** By what the decision compares by. */
  readonly by: ComparedBy;
  /** The best first, usable ones without unknowns before all others. */
  readonly columns: readonly LineUpColumn[];
  /** The best usable candidate without unknowns. */
  readonly leader: LineUpColumn | null;
  /** The next of that kind of another vendor, and by how much the leader is better. */
  readonly runnerUp: { readonly column: LineUpColumn; readonly margin: string } | null;
  /** Buckets in which any candidate has something, in the order in which they are shown. */
  readonly buckets: readonly Bucket[];
}

/**
 * Sets the candidates of a priced decision side by side.
 *
 * @param baseline - id of the candidate that differences are against; default the best
 */
export function lineUp(priced: PricedDecision, baseline?: string): LineUp {
  const { pricing, result, candidates } = priced;
  const { currency } = pricing.file;
  const by = comparedBy(pricing.file);
  const best = bestCandidate(priced);
  const text = (amount: Decimal) => moneyText(amount, currency);
  const against = result.candidates.find(({ id }) => id === (baseline ?? best));
  const labels = distinctLabels(pricing.file);
  const columns = candidates.map<LineUpColumn>(({ candidate, result: one }) => {
    const years = yearTotals(one.monthly);
    return {
      id: one.id,
      label: labels.get(candidate.id) ?? candidate.label,
      result: one,
      difference: against && against.id !== one.id ? text(decimal(one.total).minus(against.total)) : null,
      keptDifference: against && against.id !== one.id ? text(decimal(one.keep).minus(against.keep)) : null,
      years: years.map(({ total }) => text(total)),
      yearChange: years.slice(1).map((year, index) => changeInPercent(years[index], year)),
      atLeast: one.unknown.length > 0,
    };
  });
  const sorted = [...columns].sort((a, b) => standing(a) - standing(b) || scoreOf(a.result, by).cmp(scoreOf(b.result, by)));
  const inRun = sorted.filter((column) => standing(column) === 0);
  const leader = columns.find(({ id }) => id === best) ?? null;
  const second = leader ? runnerUpOf([leader, ...inRun.filter((column) => column !== leader)], vendorsOf(pricing.file)) : undefined;
  return {
    by,
    columns: sorted,
    leader,
    runnerUp: leader && second ? { column: second, margin: leadOver(leader.result, second.result, by, currency) } : null,
    buckets: BUCKETS.filter((bucket) => columns.some((column) => column.result.buckets[bucket] !== undefined)),
  };
}

/** 0: can be chosen; 1: its total is a lower bound; 2: not usable. */
function standing({ result, atLeast }: LineUpColumn): number {
  if (!result.usable) return 2;
  return atLeast ? 1 : 0;
}

interface Year {
  total: Decimal;
  whole: boolean;
}

function yearTotals(monthly: readonly string[]): Year[] {
  const count = Math.ceil(monthly.length / 12);
  return Array.from({ length: count }, (_, year) => {
    const months = monthly.slice(year * 12, year * 12 + 12);
    return { total: sum(months.map(decimal)), whole: months.length === 12 };
  });
}

function changeInPercent(before: Year | undefined, year: Year): string | null {
  if (!before || !year.whole || before.total.lte(ZERO)) return null;
  return fixed(year.total.minus(before.total).div(before.total).times(100), 4);
}
