import { decimal } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import { workbenchInVersion, type Workbench } from '../decision/workbench';
import { comesTo, chosenThere } from '../verdict/comes-to';
import { proposedChoice } from '../verdict/give';
import { choiceOf, type Since, since } from '../verdict/since';
import type { Choice, VerdictPart } from '../decision/verdict-schema';

/** What a change of prices or rates does to a decision. */
export interface EffectOnDecision {
  /** What was chosen, or without a verdict is cheapest, by name. */
  readonly parts: readonly VerdictPart[];
  readonly isVerdict: boolean;
  /** The decision's, of all amounts here. */
  readonly currency: string;
  /** The choice before and after the change. */
  readonly since: Since;
}

/**
 * What a change does to a decision's newest verdict, or without one to its cheapest candidate: how much dearer the
 * choice becomes, and its lead before and after.
 *
 * @returns null where nothing is chosen and nobody can be
 */
export function effectOnDecision(before: Workbench, after: Workbench): EffectOnDecision | null {
  const verdict = before.decision.verdicts?.at(-1);
  const version = verdict?.version ?? 'expected';
  const then = comesTo(workbenchInVersion(before, version));
  const choice: Choice | null = verdict ? choiceOf(verdict, before.decision.forecast.streams) : proposedChoice(then.priced);
  if (!choice) return null;
  const now = comesTo(workbenchInVersion(after, version));
  const [chosenThen, chosenAfter] = [chosenThere(then, choice), chosenThere(now, choice)];
  const parts = verdict?.parts ?? chosenThen?.parts ?? [];
  const asOfNow = {
    kind: choice.kind,
    parts: [...parts],
    currency: then.priced.pricing.file.currency,
    months: then.priced.pricing.file.months,
    total: chosenThen?.total ?? null,
    runnerUp: chosenThen?.runnerUp ?? null,
  };
  return {
    parts,
    isVerdict: verdict !== undefined,
    currency: asOfNow.currency,
    since: since(asOfNow, chosenAfter, now.priced.pricing.file),
  };
}

/** By how much every candidate's total changes, those that change at all, the most first; base currency. */
export function changedTotals(before: Workbench, after: Workbench): Array<{ readonly label: string; readonly difference: string }> {
  const [then, now] = [before, after].map((workbench) => comesTo(workbench));
  if (!then || !now) return [];
  const { currency } = now.priced.pricing.file;
  return now.lineUp.columns
    .flatMap(({ id, label, result }) => {
      const former = then.priced.result.candidates.find((one) => one.id === id);
      const difference = former ? decimal(result.total).minus(former.total) : null;
      return difference && !difference.isZero() ? [{ label, difference: moneyText(difference, currency) }] : [];
    })
    .sort((a, b) => decimal(b.difference).abs().cmp(decimal(a.difference).abs()));
}
