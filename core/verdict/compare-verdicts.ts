import { decimal } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import type { Condition, Threshold } from '../decision/conditions-schema';
import type { GivenVerdict } from '../decision/verdict-schema';

/** A candidate's total in both verdicts; null where it stood in one of them only. */
export interface TotalBoth {
  readonly candidate: string;
  readonly label: string;
  readonly before: string | null;
  readonly after: string | null;
  /** After minus before; null where either is missing or they are not in the same measure. */
  readonly difference: string | null;
}

/** What differs between two verdicts on one decision. */
export interface VerdictDifference {
  /** Another choice. */
  readonly isOtherChoice: boolean;
  readonly isOtherReason: boolean;
  /** In another currency or over another time: then totals are not set against each other. */
  readonly isOtherMeasure: boolean;
  readonly version: readonly [before: GivenVerdict['version'], after: GivenVerdict['version']] | null;
  /** Average monthly sales, where they differ. */
  readonly sales: readonly [before: string, after: string] | null;
  readonly margin: readonly [before: string | null, after: string | null] | null;
  /** How often the choice comes first by chance, fractions, where that differs and the choice is the same. */
  readonly chance: readonly [before: number, after: number] | null;
  /** Totals that differ. */
  readonly totals: readonly TotalBoth[];
  /** Price sheets that were used in another revision, seen on another day, or in one of them only. */
  readonly sheets: ReadonlyArray<{
    readonly label: string;
    readonly before: string | null;
    readonly after: string | null;
    readonly change: 'newer' | 'added' | 'gone';
  }>;
  /** Conditions whose answer differs, by what they say. */
  readonly conditions: ReadonlyArray<{ readonly before: Condition | null; readonly after: Condition | null }>;
  /** What was open then and is not any more, and the other way round. */
  readonly settled: readonly string[];
  readonly newlyOpen: readonly string[];
  readonly thresholds: readonly [before: Threshold | null, after: Threshold | null];
}

/** What differs between an earlier verdict and a later one. */
export function compareVerdicts(before: GivenVerdict, after: GivenVerdict): VerdictDifference {
  const isOtherMeasure = before.currency !== after.currency || before.months !== after.months;
  const marginOf = (verdict: GivenVerdict) => verdict.runnerUp?.margin ?? null;
  return {
    isOtherChoice: JSON.stringify(chosenIn(before)) !== JSON.stringify(chosenIn(after)),
    isOtherReason: before.reason !== after.reason,
    isOtherMeasure,
    version: before.version === after.version ? null : [before.version, after.version],
    sales: before.monthlySales === after.monthlySales ? null : [before.monthlySales, after.monthlySales],
    margin: marginOf(before) === marginOf(after) ? null : [marginOf(before), marginOf(after)],
    chance: chanceOf(before, after),
    totals: totalsOf(before, after, isOtherMeasure),
    sheets: sheetsOf(before, after),
    conditions: conditionsOf(before, after),
    settled: before.unknown.filter((label) => !after.unknown.includes(label)),
    newlyOpen: after.unknown.filter((label) => !before.unknown.includes(label)),
    thresholds: [before.thresholds[0] ?? null, after.thresholds[0] ?? null],
  };
}

function chosenIn({ kind, parts }: GivenVerdict) {
  return [kind, parts.map(({ candidate, segment, streams }) => [candidate, segment?.from, segment?.months, streams])];
}

function chanceOf(before: GivenVerdict, after: GivenVerdict): VerdictDifference['chance'] {
  const [then, now] = [before, after].map(({ chance }) => chance && Number(chance.first));
  const isSameChoice = JSON.stringify(chosenIn(before)) === JSON.stringify(chosenIn(after));
  return isSameChoice && then !== undefined && now !== undefined && Math.abs(then - now) >= LEAST_MOVED ? [then, now] : null;
}

function totalsOf(before: GivenVerdict, after: GivenVerdict, isOtherMeasure: boolean): TotalBoth[] {
  const ids = [...new Set([...after.totals, ...before.totals].map(({ candidate }) => candidate))];
  return ids.flatMap((candidate): TotalBoth[] => {
    const [then, now] = [before, after].map(({ totals }) => totals.find((one) => one.candidate === candidate));
    if (then && now && then.total === now.total && !isOtherMeasure) return [];
    const difference = then && now && !isOtherMeasure ? moneyText(decimal(now.total).minus(then.total), after.currency) : null;
    return [
      { candidate, label: now?.label ?? then?.label ?? candidate, before: then?.total ?? null, after: now?.total ?? null, difference },
    ];
  });
}

function sheetsOf(before: GivenVerdict, after: GivenVerdict): VerdictDifference['sheets'] {
  const revisionOf = (verdict: GivenVerdict, id: string) => verdict.madeFrom?.sheets[id];
  const ids = [...new Set([...before.sheets, ...after.sheets].map(({ id }) => id))];
  return ids.flatMap((id): Array<VerdictDifference['sheets'][number]> => {
    const [then, now] = [before, after].map(({ sheets }) => sheets.find((sheet) => sheet.id === id));
    const label = now?.label ?? then?.label ?? id;
    if (!then || !now) return [{ label, before: then?.seen ?? null, after: now?.seen ?? null, change: then ? 'gone' : 'added' }];
    const isSame = then.seen === now.seen && revisionOf(before, id) === revisionOf(after, id);
    return isSame ? [] : [{ label, before: then.seen ?? null, after: now.seen ?? null, change: 'newer' }];
  });
}

/** What a condition is about, whatever the answer is; levels of sales are compared as a whole. */
function subjectOf(condition: Condition): string {
  switch (condition.kind) {
    case 'need':
    case 'without':
      return `${condition.kind} ${condition.label}`;
    case 'paid':
      return `paid ${condition.months}`;
    case 'version':
      return `version ${condition.version}`;
    case 'chance':
      return `chance ${condition.winner ?? ''}`;
    case 'sales':
      return `sales ${condition.winner ?? ''}`;
    default:
      return condition.kind;
  }
}

function conditionsOf(before: GivenVerdict, after: GivenVerdict): VerdictDifference['conditions'] {
  const subjects = [...new Set([...before.conditions, ...after.conditions].map(subjectOf))];
  return subjects.flatMap((subject) => {
    const [then, now] = [before, after].map(({ conditions }) => conditions.find((condition) => subjectOf(condition) === subject) ?? null);
    return isSameAnswer(then ?? null, now ?? null) ? [] : [{ before: then ?? null, after: now ?? null }];
  });
}

/** A chance that moved by less than so much, a fraction, is the same. */
const LEAST_MOVED = 0.02;

function isSameAnswer(then: Condition | null, now: Condition | null): boolean {
  if (!then || !now || then.winner !== now.winner) return then === now;
  if (then.kind === 'chance' && now.kind === 'chance') return Math.abs(Number(then.part) - Number(now.part)) < LEAST_MOVED;
  // Of levels of sales the bounds are the answer.
  return then.kind !== 'sales' || now.kind !== 'sales' || (then.from?.sales === now.from?.sales && then.to?.sales === now.to?.sales);
}
