import { useMemo } from 'react';
import { fitTable, type FitTable } from '#core/fit/criteria';
import { type Fit, fits, unbeaten } from '#core/fit/fit';
import { turningWeights, type TurningWeight } from '#core/fit/turning-weights';
import { usableRows } from '#core/fit/usable-rows';
import { useLevel, useWorkbench } from '../workbench/workbench-context';

/** A candidate with what it costs and how it fits. */
export interface Weighed extends Fit {
  /** Decimal in base currency; null where it cannot be priced. */
  readonly total: string;
  /** Whether the total rests on a price that is not known. */
  readonly atLeast: boolean;
  readonly isUsable: boolean;
  /** Whether no other candidate that can be chosen is as cheap and fits as well. */
  readonly isUnbeaten: boolean;
}

/** Fit of all candidates, best first, those that cannot be chosen last. */
export interface FitPicture {
  readonly table: FitTable;
  readonly weighed: readonly Weighed[];
  readonly turning: readonly TurningWeight[];
}

/** How every candidate fits, at the level of sales that is being looked at. */
export function useFit(): FitPicture {
  const { state } = useWorkbench();
  const { priced } = useLevel();
  const { workbench } = state;
  return useMemo(() => {
    const { pricing, result } = priced.priced;
    const table = fitTable(workbench, pricing.file);
    const priceOf = new Map(result.candidates.map((one) => [one.id, one]));
    const all = fits(table).flatMap((fit) => {
      const one = priceOf.get(fit.candidate);
      return one ? [{ ...fit, total: one.total, atLeast: one.unknown.length > 0, isUsable: one.usable }] : [];
    });
    const best = new Set(
      unbeaten(
        all
          .filter(({ isUsable, atLeast }) => isUsable && !atLeast)
          .map(({ candidate, total, fit }) => ({ candidate, cost: Number(total), fit })),
      ),
    );
    const weighed = all
      .map((one) => ({ ...one, isUnbeaten: best.has(one.candidate) }))
      .sort((a, b) => Number(b.isUsable) - Number(a.isUsable) || b.fit - a.fit);
    return { table, weighed, turning: turningWeights(usableRows(table, { result })) };
  }, [workbench, priced]);
}
