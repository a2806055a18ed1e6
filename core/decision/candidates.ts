import type { Candidate } from '../decision-file/candidate-schema';
import type { Term } from '../decision-file/price-sheet-schema';
import type { Decision } from './decision-schema';
import type { UsedSheet } from './workbench';

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/**
 * The mark of the next candidate: A to Z, then AA, AB …; marks once given are not given again while a later one
 * is in use.
 */
export function nextCandidateId(candidates: readonly Candidate[]): string {
  const highest = Math.max(-1, ...candidates.map(({ id }) => ordinalOf(id)));
  return markOf(highest + 1);
}

function ordinalOf(mark: string): number {
  if (!/^[A-Z]{1,2}$/.test(mark)) return -1;
  return [...mark].reduce((ordinal, letter) => (ordinal + 1) * 26 + LETTERS.indexOf(letter), -1);
}

function markOf(ordinal: number): string {
  const last = LETTERS[ordinal % 26] ?? '';
  return ordinal < 26 ? last : `${markOf(Math.floor(ordinal / 26) - 1)}${last}`;
}

/** The name a candidate gets by itself: vendor and plan, the same word not twice: "Postmoor Letters". */
export function candidateName(vendor: string, plan: string): string {
  const isSaid = plan !== '' && ` ${vendor}`.toLowerCase().endsWith(` ${plan.toLowerCase()}`);
  return (isSaid ? vendor : `${vendor} ${plan}`).trim() || 'Unnamed plan';
}

/**
 * The decision with a candidate for every plan of a sheet that has a price for the first time, so that it stands in the
 * line-up as soon as it is priced: it keeps to the plan and follows what is best of it, its term, add-ons and way of
 * taking payments. A plan that a candidate takes already gets none.
 *
 * @param before - the sheet before the change: plans that had a price already stay as the person left them
 */
export function withCandidatesForNewPlans(decision: Decision, before: UsedSheet['sheet'] | null, after: UsedSheet['sheet']): Decision {
  if (after.kind !== 'offer') return decision;
  const priced = before?.kind === 'offer' ? before.offer.plans.filter(({ terms }) => terms.length > 0).map(({ id }) => id) : [];
  const taken = new Set([
    ...priced,
    ...decision.candidates.flatMap(({ plans }) => (plans.length === 1 ? plans.map(({ plan }) => plan) : [])),
  ]);
  const { offer } = after;
  return offer.plans.reduce((changed, plan) => {
    const term = likelyTerm(plan.terms);
    if (!term || taken.has(plan.id)) return changed;
    const { hours, extras, lift } = offer;
    const candidate = nextCandidateId(changed.candidates);
    const made = {
      label: candidateName(offer.label || offer.vendor, plan.label),
      plans: [{ plan: plan.id, term: term.id }],
      ...(hours ? { hours } : {}),
      ...(extras ? { extras } : {}),
      ...(lift === undefined ? {} : { lift }),
    };
    return { ...withCandidate(changed, made), followed: [...(changed.followed ?? []), { candidate, offer: offer.id, plan: plan.id }] };
  }, decision);
}

/** The term that asks least a month once the introductory price is over: most likely the best one, until that is worked out. */
function likelyTerm(terms: readonly Term[]): Term | undefined {
  const aMonth = ({ price, months }: Term) => (price === null || months === 0 ? Infinity : Number(price) / months);
  return terms.reduce<Term | undefined>((best, term) => (best === undefined || aMonth(term) < aMonth(best) ? term : best), undefined);
}

/** The decision with one more candidate, marked with the next letter. */
export function withCandidate(decision: Decision, candidate: Omit<Candidate, 'id'>): Decision {
  return { ...decision, candidates: [...decision.candidates, { id: nextCandidateId(decision.candidates), ...candidate }] };
}

/** The decision without a candidate, and without what it followed. */
export function withoutCandidate(decision: Decision, id: string): Decision {
  const { followed, ...rest } = decision;
  const kept = followed?.filter(({ candidate }) => candidate !== id) ?? [];
  return { ...rest, candidates: decision.candidates.filter((one) => one.id !== id), ...(kept.length > 0 ? { followed: kept } : {}) };
}

/** The decision with a candidate made of the same under the next letter. */
export function withCopiedCandidate(decision: Decision, id: string): Decision {
  const found = decision.candidates.find((one) => one.id === id);
  if (!found) return decision;
  const { id: _id, ...rest } = found;
  return withCandidate(decision, { ...rest, label: `${found.label}, a copy`.slice(0, 300) });
}

/** The decision with one more candidate: another one with its first plan paid in another way, everything else alike. */
export function withOtherTerm(decision: Decision, id: string, term: string): Decision {
  const found = decision.candidates.find((one) => one.id === id);
  if (!found) return decision;
  const { id: _id, ...rest } = found;
  return withCandidate(decision, { ...rest, plans: found.plans.map((one, index) => (index === 0 ? { ...one, term } : one)) });
}

/** The decision with one candidate changed. */
export function withChangedCandidate(decision: Decision, id: string, change: (candidate: Candidate) => Candidate): Decision {
  return { ...decision, candidates: decision.candidates.map((one) => (one.id === id ? change(one) : one)) };
}

/** Candidates that still bear the name they got by themselves follow when vendor or plan are renamed. */
export function withRenamedCandidates(decision: Decision, before: UsedSheet['sheet'], after: UsedSheet['sheet']): Decision {
  if (before.kind !== 'offer' || after.kind !== 'offer') return decision;
  const names = (sheet: typeof before) =>
    new Map(sheet.offer.plans.map((plan) => [plan.id, candidateName(sheet.offer.label || sheet.offer.vendor, plan.label)]));
  const [former, current] = [names(before), names(after)];
  const candidates = decision.candidates.map((candidate) => {
    const plan = candidate.plans[0]?.plan ?? '';
    const name = current.get(plan);
    return name !== undefined && candidate.label === former.get(plan) ? { ...candidate, label: name } : candidate;
  });
  return { ...decision, candidates };
}
