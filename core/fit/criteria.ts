import type { Candidate } from '../decision-file/candidate-schema';
import type { Features } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import type { Workbench } from '../decision/workbench';
import { decimal } from '../amount/decimal';
import { isThere, isWithin } from '../needs/file-needs';
import type { DecisionNeed } from '../decision/need-schema';
import { distinctLabels } from '../wording/distinct-labels';
import { featuresOf, needKey, needWords } from '../wording/need-words';
import { standingOf } from '../qualities/standing';
import type { Quality } from '../decision/quality-schema';

/** One thing that fit is made of: a want, or a quality. */
export interface Criterion {
  readonly key: string;
  readonly label: string;
  readonly kind: 'want' | 'quality';
  readonly weight: number;
}

/** What a candidate gets on every criterion: points from 0 to 100, null where it is not known. */
export interface FitRow {
  readonly candidate: string;
  readonly label: string;
  readonly points: ReadonlyArray<number | null>;
}

/** Candidates by criteria. Those without a weight are left out. */
export interface FitTable {
  readonly criteria: readonly Criterion[];
  readonly rows: readonly FitRow[];
}

/** Weight of a want that states none. */
export const USUAL_WEIGHT = '1';

/**
 * Judges every candidate of a decision file by the decision's wants and qualities.
 *
 * @param file - the decision as it was put together: its candidates are judged, with what is owned already
 */
export function fitTable({ decision }: Workbench, file: DecisionFile): FitTable {
  const wants = (decision.needs ?? []).filter((need) => need.level === 'want' && isWithin(need, decision.start, decision.months));
  const judged = [
    ...wants.map((need) => ({
      criterion: {
        key: `want ${needKey(need)}`,
        label: needWords(need),
        kind: 'want' as const,
        weight: Number(need.weight ?? USUAL_WEIGHT),
      },
      points: (candidate: Candidate) => wantPoints(need, partsOf(file, candidate)),
    })),
    ...(decision.qualities ?? []).map((quality) => ({
      criterion: { key: `quality ${quality.id}`, label: quality.label, kind: 'quality' as const, weight: Number(quality.weight) },
      points: (candidate: Candidate) => qualityPoints(quality, offersOf(file, candidate), decision),
    })),
  ].filter(({ criterion }) => criterion.weight > 0);
  const labels = distinctLabels(file);
  return {
    criteria: judged.map(({ criterion }) => criterion),
    rows: file.candidates.map((candidate) => ({
      candidate: candidate.id,
      label: labels.get(candidate.id) ?? candidate.label,
      points: judged.map(({ points }) => points(candidate)),
    })),
  };
}

interface Parts {
  readonly plans: readonly Features[];
  readonly others: readonly Features[];
}

function partsOf(file: DecisionFile, { plans, addons = [], extras = [] }: Candidate): Parts {
  const sold = [...file.offers.flatMap((offer) => offer.addons ?? []), ...(file.addons ?? [])];
  return {
    plans: file.offers
      .flatMap((offer) => offer.plans)
      .filter(({ id }) => plans.some(({ plan }) => plan === id))
      .map(({ features = {} }) => features),
    others: [...sold.filter(({ id }) => addons.some(({ addon }) => addon === id)), ...extras].map(({ features = {} }) => features),
  };
}

function offersOf(file: DecisionFile, { plans }: Candidate): string[] {
  return file.offers.filter((offer) => offer.plans.some(({ id }) => plans.some(({ plan }) => plan === id))).map(({ id }) => id);
}

/** A want counts in whole; a connection both ways by halves. */
function wantPoints(need: DecisionNeed, { plans, others }: Parts): number | null {
  const features = featuresOf(need);
  if (need.without) {
    const stated = plans.map((part) => part[need.feature]);
    if ([...stated, ...others.map((part) => part[need.feature])].some((value) => value !== undefined && isThere(value))) return 0;
    return stated.every((value) => value !== undefined && value !== null) ? 100 : null;
  }
  const each = features.map((feature) => {
    const values = [...plans, ...others].map((part) => part[feature]);
    if (values.some((value) => (typeof value === 'string' ? decimal(value).gte(need.least ?? '0.000001') : value === true))) return 100;
    return values.some((value) => value !== undefined && value !== null) ? 0 : null;
  });
  const known = each.flatMap((points) => points ?? []);
  return known.length < each.length ? null : known.reduce<number>((sum, points) => sum + points, 0) / features.length;
}

/** Of several vendors the weakest counts, or the strongest where the quality says so. */
function qualityPoints(quality: Quality, offers: readonly string[], decision: Workbench['decision']): number | null {
  const standings = offers.map((offer) => standingOf(quality, offer, decision)?.points ?? null);
  const known = standings.flatMap((points) => points ?? []);
  if (known.length === 0) return null;
  if (quality.together === 'strongest') return Math.max(...known);
  return known.length < standings.length ? null : Math.min(...known);
}
