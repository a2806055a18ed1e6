import { bestCandidate, leadOver } from '../comparison/best';
import type { ChanceAnswer } from '../chance/chance-answer';
import { averageMonth } from '../comparison/average-sales';
import type { PricedDecision } from '../comparison/decision-result';
import type { LineUp } from '../comparison/line-up';
import type { Workbench } from '../decision/workbench';
import { comparedBy } from '../decision-file/compared-by';
import { sheetLabel } from '../decision/sheet-label';
import type { VersionName } from '../forecast/versions';
import { openPrices } from '../what-if/open-prices';
import { chanceOfChoice, withChances } from './by-chance';
import { bestOfOthers, type VerdictBasis } from './basis';
import { isModest, openQuestions } from './open-questions';
import { priceTogether } from './together';
import type { Choice, GivenVerdict, VerdictPart } from '../decision/verdict-schema';

/** What a verdict is given from. */
export interface Giving {
  readonly workbench: Workbench;
  readonly priced: PricedDecision;
  /** Names by which candidates go, told apart. */
  readonly lineUp: Pick<LineUp, 'columns'>;
  readonly basis: VerdictBasis;
  /** How sure it is; null where that was not worked out. */
  readonly chance: ChanceAnswer | null;
  readonly version: VersionName;
  /** `YYYY-MM-DD`. */
  readonly today: string;
}

/** What a choice comes to as things stand: its parts by name, its total, and the best of the others. */
export interface Chosen {
  readonly parts: readonly VerdictPart[];
  /** Of two together: what both have. */
  readonly shared?: GivenVerdict['shared'];
  /** Base currency; null where it cannot be worked out. */
  readonly total: string | null;
  /** What is left of sales after it; null where it is not worked out. */
  readonly keep: string | null;
  readonly atLeast: boolean;
  readonly usable: boolean;
  readonly runnerUp: GivenVerdict['runnerUp'];
  /** Said where it is by what is kept that it is set against others. */
  readonly comparedBy?: 'keep';
}

/** What the computation proposes: the best candidate that can be chosen; null where there is none. */
export function proposedChoice(priced: Pick<PricedDecision, 'pricing' | 'result'>): Choice | null {
  const best = bestCandidate(priced);
  return best === null ? null : { kind: 'candidate', candidates: [best], reason: '' };
}

/**
 * What a choice comes to now.
 *
 * @returns null if something it names is not in the line-up, or no way through the horizon exists
 */
export function chosenNow(
  { workbench, priced, lineUp, basis }: Pick<Giving, 'workbench' | 'priced' | 'lineUp'> & { readonly basis: Pick<VerdictBasis, 'route'> },
  choice: Choice,
): Chosen | null {
  const nameOf = (id: string) => lineUp.columns.find((column) => column.id === id)?.label;
  const labels = choice.candidates.map(nameOf);
  if (choice.kind !== 'route' && (labels.length === 0 || labels.includes(undefined))) return null;
  const named = choice.candidates.map((candidate) => ({ candidate, label: nameOf(candidate) ?? candidate }));
  if (choice.kind === 'candidate') {
    const [candidate = ''] = choice.candidates;
    const result = priced.result.candidates.find(({ id }) => id === candidate);
    return result
      ? withRunnerUp(priced, nameOf, {
          parts: named.slice(0, 1),
          total: result.total,
          keep: result.keep,
          atLeast: result.unknown.length > 0,
          usable: result.usable,
        })
      : null;
  }
  if (choice.kind === 'together') {
    const [first = '', second = ''] = choice.candidates;
    const streams = choice.streams ?? [];
    const together = priceTogether(priced.pricing.file, first, second, streams);
    if (!together) return null;
    const streamLabels = (isSecond: boolean) =>
      workbench.decision.forecast.streams.filter(({ id }) => streams.includes(id) === isSecond).map(({ id, label }) => label || id);
    const parts = named.map((part, index) => ({ ...part, streams: streamLabels(index === 1), total: together.each[index === 1 ? 1 : 0] }));
    return withRunnerUp(priced, nameOf, {
      parts,
      shared: { once: [...together.once], twice: [...together.twice] },
      total: together.total,
      keep: together.keep,
      atLeast: together.atLeast,
      usable: together.usable,
    });
  }
  const route = basis.route;
  if (!route || route.total === null) return null;
  const parts = route.segments.map((segment) => ({
    candidate: segment.candidate,
    label: nameOf(segment.candidate) ?? segment.candidate,
    segment,
  }));
  return withRunnerUp(priced, nameOf, { parts, total: route.total, keep: route.kept, atLeast: false, usable: true });
}

/** A candidate is set against the best of the others; two together and a way against the best single candidate. */
function withRunnerUp(
  priced: PricedDecision,
  nameOf: (id: string) => string | undefined,
  chosen: Omit<Chosen, 'runnerUp' | 'comparedBy'>,
): Chosen {
  const [only] = chosen.parts;
  const best = bestOfOthers(priced, chosen.parts.length === 1 && only ? [only.candidate] : []);
  if (!best || chosen.total === null) return { ...chosen, runnerUp: null };
  const { file } = priced.pricing;
  const by = chosen.keep === null ? 'cost' : comparedBy(file);
  const margin = leadOver({ total: chosen.total, keep: chosen.keep ?? '0' }, best, by, file.currency);
  return {
    ...chosen,
    ...(by === 'keep' ? { comparedBy: by } : {}),
    runnerUp: { candidate: best.candidate, label: nameOf(best.candidate) ?? best.candidate, total: best.total, margin },
  };
}

/**
 * Gives a verdict: the choice with everything it rests on, as it stands today.
 *
 * @returns null if the choice cannot be worked out, see {@link chosenNow}
 */
export function giveVerdict(giving: Giving, choice: Choice, id: string): GivenVerdict | null {
  const chosen = chosenNow(giving, choice);
  if (!chosen) return null;
  const { workbench, priced, lineUp, basis, chance, version, today } = giving;
  const { file } = priced.pricing;
  const open = openQuestions(workbench, priced, basis.mayWin, today);
  const average = averageMonth(file, priced.result);
  const [first] = chosen.parts;
  const suits = chosen.parts.length === 1 && first ? basis.suits[first.candidate] : undefined;
  const byChance = chanceOfChoice(chance, choice.kind === 'candidate' ? choice.candidates : []);
  return {
    id,
    on: today,
    kind: choice.kind,
    parts: [...chosen.parts],
    ...(chosen.shared ? { shared: chosen.shared } : {}),
    reason: choice.reason,
    ...(choice.forWhom ? { forWhom: choice.forWhom } : {}),
    strength: isModest(open) || !chosen.usable || chosen.atLeast ? 'modest' : 'firm',
    currency: file.currency,
    months: file.months,
    version,
    monthlySales: average.sales,
    monthlyOrders: average.orders,
    total: chosen.total,
    runnerUp: chosen.runnerUp,
    ...(chosen.comparedBy && chosen.keep !== null ? { comparedBy: chosen.comparedBy, keep: chosen.keep } : {}),
    totals: lineUp.columns.map(({ id: candidate, label, result, atLeast }) => ({
      candidate,
      label,
      total: result.total,
      atLeast,
      usable: result.usable,
    })),
    ...(byChance ? { chance: byChance } : {}),
    conditions: withChances(basis.conditions, chance),
    thresholds: [...basis.thresholds],
    ...(suits ? { suits } : {}),
    unknown: openPrices(file).map(({ label }) => label),
    open,
    sheets: workbench.sheets.map(({ id: sheet, sheet: content }) => ({
      id: sheet,
      label: sheetLabel(content),
      ...(content.seen ? { seen: content.seen } : {}),
    })),
  };
}

/**
 * Verdicts as they are to be kept: one that was kept before stays as it was, whatever comes in; a new one is fixed with
 * the revisions it was made from.
 */
export function fixedVerdicts(
  kept: readonly GivenVerdict[],
  incoming: readonly GivenVerdict[],
  revision: number,
  sheets: Readonly<Record<string, number>>,
): GivenVerdict[] {
  return incoming.map(
    (verdict) =>
      kept.find(({ id }) => id === verdict.id) ?? { ...verdict, madeFrom: verdict.madeFrom ?? { revision, sheets: { ...sheets } } },
  );
}
