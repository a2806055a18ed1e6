import type { Decision } from '../decision/decision-schema';
import type { DecisionFile } from '../decision-file/schema';
import type { LineUpColumn } from './line-up';
import { vendorsOf } from './vendors';

/** The columns that stand beside each other, and those that are folded away beneath them. */
export interface FoldedLineUp {
  readonly shown: readonly LineUpColumn[];
  readonly folded: readonly LineUpColumn[];
}

/** What decides about the columns besides what they come to. */
type FoldedBy = Pick<Decision, 'followed' | 'lineUp'> & {
  /** A candidate that is being put together: it stays in view. */
  readonly edited?: string | undefined;
};

/**
 * Every vendor with the best of its plans: of the candidates that came by themselves, a plan each, the best one of a vendor
 * stands in the line-up; the others are folded, and so is whatever cannot be chosen, unless somebody opened or pinned them
 * or set the others against them. Of a single vendor all plans are shown: then it is between them that one chooses.
 *
 * @param columns - the best first, those that cannot be chosen last
 */
export function foldLineUp(
  columns: readonly LineUpColumn[],
  file: Pick<DecisionFile, 'offers' | 'candidates'>,
  { followed = [], lineUp: { opened = [], pinned = [], baseline } = {}, edited }: FoldedBy,
): FoldedLineUp {
  const vendors = vendorsOf(file);
  const wanted = new Set([...opened, ...pinned, ...[baseline, edited].flatMap((id) => id ?? [])]);
  const byThemselves = new Set(
    followed.flatMap(({ candidate, plan, pinned: isKept }) => (plan === undefined || isKept ? [] : [candidate])),
  );
  if (new Set(vendors.values()).size < 2) return { shown: columns, folded: [] };
  const seen = new Set<string | undefined>();
  const isShown = (column: LineUpColumn) => {
    if (wanted.has(column.id)) return true;
    if (!column.result.usable) return false;
    if (!byThemselves.has(column.id)) return true;
    const vendor = vendors.get(column.id);
    const isFirst = !seen.has(vendor);
    seen.add(vendor);
    return isFirst;
  };
  const shown = columns.filter(isShown);
  // Where nothing at all can be chosen, nothing is hidden: the reasons are the answer.
  return shown.length === 0 ? { shown: columns, folded: [] } : { shown, folded: columns.filter((column) => !shown.includes(column)) };
}

/** A decision in which a candidate stands beside the best of its vendor, or is folded away again. */
export function withOpened(decision: Decision, id: string, isOpen: boolean): Decision {
  const opened = (decision.lineUp?.opened ?? []).filter((one) => one !== id);
  return { ...decision, lineUp: { ...decision.lineUp, opened: isOpen ? [...opened, id] : opened } };
}
