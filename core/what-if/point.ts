import type { DecisionFile } from '../decision-file/schema';
import { preparePricing } from '../pricing/pricing';
import { type PricingAssumptions, statedAssumptions } from '../scales/pricing-assumptions';
import { type Evaluator, evaluator, type PointTotals } from '../scales/evaluate';
import { prepareCandidates } from '../scales/prepare';
import { foreignKind } from '../forecast/foreign-kind';
import { type Change, keyParts, withChange, withChanges } from './changes';
import { changedAssumptions } from './assumption-changes';

/** Looks at a decision under other assumptions, in floating point, thousands of times. */
export interface PointFinder {
  readonly ids: readonly string[];
  /** What everything comes to with changed assumptions; the arrays are used again at the next call. */
  at(changes: readonly Change[]): PointTotals;
}

/**
 * Prepares a decision for being looked at under other assumptions.
 *
 * Later changes of a list are worked out on top of the former ones; as long as the former stay the same list items,
 * only the later are worked out anew. So put first what changes least.
 */
export function pointFinder(file: DecisionFile): PointFinder {
  const foreign = foreignKind(file);
  const stated = at(file);
  let last: { readonly first: Change; readonly base: Base; readonly assumed: PricingAssumptions } | null = null;

  function at(changed: DecisionFile): Base {
    const pricing = preparePricing(changed);
    return { file: changed, evaluate: evaluator(pricing, prepareCandidates(pricing)), assumed: statedAssumptions(pricing.file) };
  }

  function based(change: Change): { base: Base; assumed: PricingAssumptions } {
    if (last?.first === change) return last;
    const found = changedBase(stated, change);
    last = { first: change, ...found };
    return found;
  }

  function changedBase(from: Base, change: Change): { base: Base; assumed: PricingAssumptions } {
    if (keyParts(change.key)[0] === 'price') {
      const base = at(withChanges(from.file, [change]));
      return { base, assumed: base.assumed };
    }
    const quick = changedAssumptions(from.assumed, change, foreign);
    const base = { ...from, file: withChange(from.file, change) };
    return quick ? { base, assumed: quick } : { base, assumed: statedAssumptions(base.file) };
  }

  return {
    ids: file.candidates.map(({ id }) => id),
    at([first, ...others]) {
      let { base, assumed } = first ? based(first) : { base: stated, assumed: stated.assumed };
      let scale = 1;
      for (const change of others) {
        // Orders of all streams are a scale, for which nothing has to be filled in anew.
        if (change.key === 'orders' && change === others.at(-1)) {
          scale = Math.max(0, 1 + Number(change.value) / 100);
          continue;
        }
        const quick = changedAssumptions(assumed, change, foreign);
        if (quick) assumed = quick;
        else ({ base, assumed } = changedBase({ ...base, assumed }, change));
      }
      if (filled.get(base.evaluate) !== assumed) base.evaluate.assume(assumed);
      filled.set(base.evaluate, assumed);
      return base.evaluate.at(scale);
    },
  };
}

interface Base {
  readonly file: DecisionFile;
  readonly evaluate: Evaluator;
  readonly assumed: PricingAssumptions;
}

/** The level that each evaluator took up last. */
const filled = new WeakMap<Evaluator, PricingAssumptions>();
