import type { Decision } from '../decision/decision-schema';
import type { Quality, Review, Task, Tried, VendorNotes } from '../decision/quality-schema';

/** The decision with what is known about a vendor changed. */
export function withVendor(decision: Decision, offer: string, change: (notes: VendorNotes) => VendorNotes): Decision {
  return { ...decision, vendors: { ...decision.vendors, [offer]: change(decision.vendors?.[offer] ?? {}) } };
}

/** The decision with a quality changed, or with null taken away; marks given for it stay, should it come back. */
export function withQuality(decision: Decision, id: string, change: (quality: Quality) => Quality | null): Decision {
  return { ...decision, qualities: (decision.qualities ?? []).flatMap((one) => (one.id === id ? (change(one) ?? []) : [one])) };
}

/** The decision with qualities added that it does not have yet. */
export function withQualities(decision: Decision, added: readonly Quality[]): Decision {
  const { qualities = [] } = decision;
  return { ...decision, qualities: [...qualities, ...added.filter(({ id }) => !qualities.some((one) => one.id === id))] };
}

/** A vendor's mark on a quality; undefined takes it away, with its note. */
export function withMarkGiven(notes: VendorNotes, quality: string, value: string | undefined, on: string): VendorNotes {
  const { [quality]: former, ...others } = notes.marks ?? {};
  return { ...notes, marks: value === undefined ? others : { ...others, [quality]: { ...former, value, on } } };
}

/** What came of trying a task with a vendor; nothing left of it takes it away. */
export function withTried(notes: VendorNotes, task: string, change: { [Field in keyof Tried]?: Tried[Field] | undefined }): VendorNotes {
  const { [task]: former, ...others } = notes.tried ?? {};
  const kept = Object.fromEntries(Object.entries({ ...former, ...change }).filter(([, value]) => value !== undefined && value !== ''));
  const isEmpty = Object.keys(kept).every((field) => field === 'on');
  return { ...notes, tried: isEmpty ? others : { ...others, [task]: kept } };
}

/** The vendor with a review changed, or with null taken away. */
export function withReview(notes: VendorNotes, id: string, change: (review: Review) => Review | null): VendorNotes {
  return { ...notes, reviews: (notes.reviews ?? []).flatMap((one) => (one.id === id ? (change(one) ?? []) : [one])) };
}

/** The decision with a task changed, or with null taken away; what was noted about it stays, should it come back. */
export function withTask(decision: Decision, id: string, change: (task: Task) => Task | null): Decision {
  return { ...decision, tasks: (decision.tasks ?? []).flatMap((one) => (one.id === id ? (change(one) ?? []) : [one])) };
}

/**
 * Why a review cannot be kept as it is typed, in words; null if it can. Its score must lie on its scale.
 */
export function reviewProblem({ score, least, most }: Pick<Review, 'score' | 'least' | 'most'>): string | null {
  if (Number(least) >= Number(most)) return `A scale from ${least} to ${most} has no room: its upper end must be above its lower one.`;
  return Number(score) < Number(least) || Number(score) > Number(most)
    ? `Enter a score between ${least} and ${most}; ${score} is off the scale.`
    : null;
}
