import type { PricedDecision } from '../comparison/decision-result';
import type { FitTable } from './criteria';

/** The table without candidates that cannot be chosen: a must not met, or outgrown. */
export function usableRows({ criteria, rows }: FitTable, { result }: Pick<PricedDecision, 'result'>): FitTable {
  const usable = new Set(result.candidates.filter((one) => one.usable).map(({ id }) => id));
  return { criteria, rows: rows.filter(({ candidate }) => usable.has(candidate)) };
}
