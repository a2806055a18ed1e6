import type { Task, VendorNotes } from '../decision/quality-schema';

/** What the trial diary says of a vendor. */
export interface TrialResult {
  /** Tasks tried, of all. */
  readonly tried: number;
  readonly tasks: number;
  /** Minutes over all tasks tried; null without any. */
  readonly minutes: number | null;
  /** Mean of the marks given, 0 to 10; null without any. */
  readonly mark: number | null;
}

/** Sums up a vendor's diary. A task without a mark or minutes is not tried yet. */
export function trialResult(tasks: readonly Task[], notes: VendorNotes | undefined): TrialResult {
  const entries = tasks
    .flatMap(({ id }) => notes?.tried?.[id] ?? [])
    .filter(({ mark, minutes }) => mark !== undefined || minutes !== undefined);
  const marks = entries.flatMap(({ mark }) => (mark === undefined ? [] : [Number(mark)]));
  const minutes = entries.flatMap(({ minutes: taken }) => (taken === undefined ? [] : [Number(taken)]));
  const sum = (values: readonly number[]) => values.reduce((all, value) => all + value, 0);
  return {
    tried: entries.length,
    tasks: tasks.length,
    minutes: minutes.length === 0 ? null : sum(minutes),
    mark: marks.length === 0 ? null : sum(marks) / marks.length,
  };
}
