import type { Decision } from '#core/decision/decision-schema';
import type { GivenVerdict } from '#core/decision/verdict-schema';
import type { UsedSheet, Workbench } from '#core/decision/workbench';

/** Verdicts with the revisions that the server fixed them with. */
export function withVerdictsFixed(decision: Decision, { verdicts: fixed = [] }: Decision): Decision {
  const isFixed = ({ id, madeFrom }: GivenVerdict) => madeFrom !== undefined || fixed.every((one) => one.id !== id);
  if (!decision.verdicts || decision.verdicts.every(isFixed)) return decision;
  return {
    ...decision,
    verdicts: decision.verdicts.map((verdict) => (isFixed(verdict) ? verdict : (fixed.find(({ id }) => id === verdict.id) ?? verdict))),
  };
}

/** The sheets whose content differs; one that comes in as it is kept already is used, not changed. */
export function touchedSheets(before: Workbench, after: Workbench): Set<string> {
  const former = new Map(before.sheets.map((used) => [used.id, used]));
  const isTouched = ({ id, revision, sheet }: UsedSheet) => {
    const used = former.get(id);
    return used ? used.sheet !== sheet && used.revision === revision : revision === 0;
  };
  return new Set(after.sheets.filter(isTouched).map(({ id }) => id));
}

/** Whether a change takes up another kept revision of a sheet that is used already. */
export function isTakenUp(before: Workbench, id: string, revision: number): boolean {
  const used = before.sheets.find((one) => one.id === id);
  return used !== undefined && used.revision !== revision;
}
