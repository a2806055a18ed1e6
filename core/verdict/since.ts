import { decimal } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import type { Chosen } from './give';
import type { Choice, GivenVerdict } from '../decision/verdict-schema';

/**
 * How a verdict stands against what the same choice comes to now:
 * - `holds`: the choice is still better than every other that can be chosen (or worse by no more than then, if it was)
 * - `overtaken`: another one is better now, and was not then
 * - `gone`: what was chosen is no longer being compared
 * - `unusable`: it is outgrown now, lacks a must, or rests on a price that is not known
 */
export type VerdictStanding = 'holds' | 'overtaken' | 'gone' | 'unusable';

/** A verdict then and now; amounts in base currency. */
export interface Since {
  readonly standing: VerdictStanding;
  /** How much dearer the choice is now; less than nothing where it is cheaper; null where either is not known. */
  readonly dearer: string | null;
  readonly then: GivenVerdict['runnerUp'];
  readonly now: GivenVerdict['runnerUp'];
  /** In different currencies, over different times or by different things, so that they cannot be set against each other. */
  readonly isOtherMeasure: boolean;
}

/** What of a verdict is set against what its choice comes to now. */
export type ThenChosen = Pick<GivenVerdict, 'currency' | 'months' | 'total' | 'runnerUp' | 'comparedBy'>;

/** Sets a verdict against what its choice comes to now, see `chosenNow`. */
export function since(verdict: ThenChosen, now: Chosen | null, measure: { readonly currency: string; readonly months: number }): Since {
  const isOtherMeasure =
    measure.currency !== verdict.currency || measure.months !== verdict.months || (now !== null && now.comparedBy !== verdict.comparedBy);
  const dearer =
    isOtherMeasure || verdict.total === null || now?.total == null
      ? null
      : moneyText(decimal(now.total).minus(verdict.total), verdict.currency);
  return { standing: standingOf(verdict, now), dearer, then: verdict.runnerUp, now: now?.runnerUp ?? null, isOtherMeasure };
}

function standingOf(verdict: ThenChosen, now: Chosen | null): VerdictStanding {
  if (!now || now.total === null) return 'gone';
  if (!now.usable || now.atLeast) return 'unusable';
  const margin = now.runnerUp ? decimal(now.runnerUp.margin) : null;
  if (margin === null || margin.gte(0)) return 'holds';
  const then = verdict.runnerUp ? decimal(verdict.runnerUp.margin) : null;
  return then !== null && then.lt(0) && margin.gte(then) ? 'holds' : 'overtaken';
}

/** The choice that a verdict was given for, to be worked out anew. */
export function choiceOf(
  verdict: Pick<GivenVerdict, 'kind' | 'parts' | 'reason'>,
  streams: ReadonlyArray<{ readonly id: string; readonly label: string }>,
): Choice {
  const second = verdict.parts[1]?.streams ?? [];
  return {
    kind: verdict.kind,
    candidates: verdict.kind === 'route' ? [] : verdict.parts.map(({ candidate }) => candidate),
    ...(verdict.kind === 'together'
      ? { streams: streams.filter(({ id, label }) => second.includes(label || id)).map(({ id }) => id) }
      : {}),
    reason: verdict.reason,
  };
}
