import { decimal } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Offer } from '../decision-file/price-sheet-schema';
import { nextCandidateId, withCandidate } from '../decision/candidates';
import { candidateSummary } from '../wording/candidate-summary';
import type { Decision } from '../decision/decision-schema';
import type { Followed } from '../decision/followed-schema';
import type { Workbench } from '../decision/workbench';
import type { MakeUp } from './decision-proposals';
import { isMadeOf, nameOf, remade } from './followed';
import { takenBy } from './taken-by-offers';

/** What is proposed, as a candidate can follow it. */
export interface Followable {
  readonly offer: string;
  readonly with?: string;
  readonly made: MakeUp;
  /** Decimal in base currency. */
  readonly total: string;
}

/** What a make-up is in a few words: "Marlpit Grow, by the year". */
export function madeWords(workbench: Workbench, made: MakeUp): string {
  const summary = candidateSummary(workbench, { id: 'A', label: '', ...made });
  return [nameOf(workbench, made), summary].filter(Boolean).join(', ');
}

/**
 * The decision with a candidate that follows what is proposed for a vendor, or a pair. It has the hours, extras and lift
 * that the vendor's sheet states; where that states no hours, those of the first candidate with a plan of the same
 * vendor, so that it does not look cheaper than it is.
 */
export function withFollower(workbench: Workbench, proposed: Followable, on: string): Decision {
  const { decision } = workbench;
  const candidate = nextCandidateId(decision.candidates);
  const followed: Followed = {
    candidate,
    offer: proposed.offer,
    ...(proposed.with === undefined ? {} : { with: proposed.with }),
    seen: seen(workbench, proposed, on),
  };
  const taken = takenBy(offersOf(workbench, proposed.made));
  const hours = taken.hours ?? hoursOf(workbench, proposed.offer);
  return {
    ...withCandidate(decision, { label: nameOf(workbench, proposed.made), ...proposed.made, ...taken, ...(hours ? { hours } : {}) }),
    followed: [...(decision.followed ?? []), followed],
  };
}

/** The offers whose plans a make-up takes. */
function offersOf({ sheets }: Workbench, { plans }: MakeUp): Offer[] {
  const offers = sheets.flatMap(({ sheet }) => (sheet.kind === 'offer' ? [sheet.offer] : []));
  return offers.filter((offer) => offer.plans.some(({ id }) => plans.some(({ plan }) => plan === id)));
}

/** The hours of the first candidate that begins with a plan of an offer. */
function hoursOf({ decision, sheets }: Workbench, offer: string): Candidate['hours'] {
  const plans = new Set(
    sheets.flatMap(({ sheet }) => (sheet.kind === 'offer' && sheet.offer.id === offer ? sheet.offer.plans.map(({ id }) => id) : [])),
  );
  return decision.candidates.find((candidate) => candidate.hours && plans.has(candidate.plans[0]?.plan ?? ''))?.hours;
}

/** Whether a candidate states no hours while hours are worth something and others state theirs. */
export function lacksHours({ hourValue, candidates }: Decision, candidate: Candidate): boolean {
  const states = ({ hours }: Candidate) => Number(hours?.setup ?? 0) + Number(hours?.monthly ?? 0) > 0;
  return Number(hourValue ?? 0) > 0 && !states(candidate) && candidates.some(states);
}

function seen(workbench: Workbench, { made, total }: Pick<Followable, 'made' | 'total'>, on: string): NonNullable<Followed['seen']> {
  return { on, made: madeWords(workbench, made).slice(0, 300), total };
}

/** The decision with a change of a followed proposal taken note of: the candidate is kept as it is proposed now. */
export function withNoted(workbench: Workbench, candidate: string, proposed: Pick<Followable, 'made' | 'total'>, on: string): Decision {
  const { decision } = workbench;
  return {
    ...decision,
    candidates: decision.candidates.map((one) => (one.id === candidate ? remade(workbench, one, proposed.made) : one)),
    followed: (decision.followed ?? []).map((one) => (one.candidate === candidate ? { ...one, seen: seen(workbench, proposed, on) } : one)),
  };
}

/** The decision with a follower pinned as it stands, or following again. */
export function withPinned(decision: Decision, candidate: string, isPinned: boolean): Decision {
  const changed = (decision.followed ?? []).map(({ pinned: _former, ...one }) =>
    one.candidate !== candidate ? { ...one, ...(_former ? { pinned: true } : {}) } : { ...one, ...(isPinned ? { pinned: true } : {}) },
  );
  return { ...decision, followed: changed };
}

/** A change of what a follower is made of, since the person last looked. */
export interface FollowedChange {
  readonly followed: Followed;
  /** When the person last looked. */
  readonly on: string;
  readonly from: string;
  readonly to: string;
  /** Base currency, without own hours and extras. */
  readonly fromTotal: string;
  readonly toTotal: string;
  /** By how much it is dearer now. */
  readonly by: string;
}

/** What has changed about a follower; null where nothing has. A new total alone is a change too. */
export function followedChange(
  workbench: Workbench,
  followed: Followed,
  proposed: Pick<Followable, 'made' | 'total'> | null,
): FollowedChange | null {
  const before = followed.seen;
  if (!proposed || !before) return null;
  const to = madeWords(workbench, proposed.made).slice(0, 300);
  if (to === before.made && proposed.total === before.total) return null;
  return {
    followed,
    on: before.on,
    from: before.made,
    to,
    fromTotal: before.total,
    toTotal: proposed.total,
    by: decimal(proposed.total).minus(before.total).toFixed(),
  };
}

/** The candidate, if there is one, that is made of just this, or follows it. */
export function candidateOf(
  { decision }: Workbench,
  proposed: Followable,
): { readonly id: string; readonly follows: 'follows' | 'pinned' | 'by-hand' } | null {
  const follower = (decision.followed ?? []).find(
    (one) =>
      one.offer === proposed.offer &&
      one.with === proposed.with &&
      (one.plan === undefined || proposed.made.plans.some(({ plan }) => plan === one.plan)) &&
      decision.candidates.some(({ id }) => id === one.candidate),
  );
  if (follower) return { id: follower.candidate, follows: follower.pinned ? 'pinned' : 'follows' };
  const same = decision.candidates.find((candidate) => isMadeOf(candidate, proposed.made));
  return same ? { id: same.id, follows: 'by-hand' } : null;
}
