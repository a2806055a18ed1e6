import type { Candidate, Extra, PlanEntry } from '../decision-file/candidate-schema';

/** What all candidates of a route have in common, and each of them without it. */
export interface CommonParts {
  /** The common parts as a candidate of their own; null if there are none. */
  readonly common: Candidate | null;
  /** The candidates for their payments: without what runs through. */
  readonly rest: readonly Candidate[];
}

/**
 * Parts that all candidates have in common run through a route (decision file §9): a plan with its term, an add-on
 * with term and count, an extra, each equal in every field. A part that all have twice is common twice.
 *
 * @param baseCurrency - the currency of an extra that states none
 * @param isThrough - whether a plan can run through; one with a credit against it cannot (decision file §4)
 */
export function commonParts(candidates: readonly Candidate[], baseCurrency: string, isThrough: (plan: PlanEntry) => boolean): CommonParts {
  const plans = shared(candidates, (one) => one.plans, planKey, isThrough);
  const addons = shared(
    candidates,
    (one) => one.addons ?? [],
    ({ addon, term, count = 1 }) => `${addon} ${term ?? ''} ${count}`,
  );
  const extras = shared(
    candidates,
    (one) => one.extras ?? [],
    (extra) => extraKey(extra, baseCurrency),
  );
  const isEmpty = plans.common.length + addons.common.length + extras.common.length === 0;
  return {
    common: isEmpty ? null : { id: 'common', label: '', plans: plans.common, addons: addons.common, extras: extras.common },
    rest: candidates.map((candidate, index) => ({
      ...candidate,
      plans: plans.rest[index] ?? [],
      addons: addons.rest[index] ?? [],
      extras: extras.rest[index] ?? [],
    })),
  };
}

/** All that a candidate's entry says of a plan, once defaults are filled in. */
function planKey({ plan, term, extraMonths = 0, streams, takesPayments = true }: PlanEntry): string {
  return JSON.stringify([plan, term, extraMonths, streams ? [...streams].sort() : null, takesPayments]);
}

function extraKey({ label, amount, months, currency, from, features }: Extra, baseCurrency: string): string {
  const stated = Object.entries(features ?? {}).sort(([a], [b]) => (a < b ? -1 : 1));
  return JSON.stringify([label, Number(amount), months, currency ?? baseCurrency, from ?? 0, stated]);
}

function shared<Part>(
  candidates: readonly Candidate[],
  partsOf: (candidate: Candidate) => readonly Part[],
  keyOf: (part: Part) => string,
  isThrough: (part: Part) => boolean = () => true,
): { common: Part[]; rest: Part[][] } {
  const [first, ...others] = candidates;
  const common: Part[] = [];
  const left = others.map((candidate) => partsOf(candidate).map(keyOf));
  for (const part of first ? partsOf(first) : []) {
    const key = keyOf(part);
    if (!isThrough(part) || !left.every((keys) => keys.includes(key))) continue;
    for (const keys of left) keys.splice(keys.indexOf(key), 1);
    common.push(part);
  }
  const rest = candidates.map((candidate) => {
    const keys = common.map(keyOf);
    return partsOf(candidate).filter((part) => {
      const at = keys.indexOf(keyOf(part));
      if (at >= 0) keys.splice(at, 1);
      return at < 0;
    });
  });
  return { common, rest };
}
