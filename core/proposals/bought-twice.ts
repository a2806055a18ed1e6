import type { Candidate } from '../decision-file/candidate-schema';
import type { Features } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { isThere } from '../needs/file-needs';
import { meets } from '../pricing/needs';

/** Something that several parts of a candidate have, so that one of them may not be needed. */
export interface BoughtTwice {
  readonly feature: string;
  /** Names of the parts that have it: plans, add-ons, extras. */
  readonly parts: readonly string[];
}

/**
 * Parts of a candidate that could go: every need that one meets is met by the others too. A part that meets none is no
 * such part, as it is there for something else; nor is the only plan.
 *
 * @returns names of parts
 */
export function superfluousParts(file: DecisionFile, candidate: Candidate): string[] {
  const parts = partsOf(file, candidate);
  const needs = file.needs ?? [];
  return parts
    .filter((part) => {
      const met = needs.filter((need) => meets(part.features, need));
      return met.length > 0 && met.every((need) => parts.some((other) => other !== part && meets(other.features, need)));
    })
    .map(({ label }) => label || 'something without a name');
}

/**
 * What a candidate pays for more than once. Plans of one offer and what is asked of both ("own domain" at the builder
 * and the host) stand out here too: whether it matters is for the person to say.
 */
export function boughtTwice(file: DecisionFile, candidate: Candidate): BoughtTwice[] {
  const parts = partsOf(file, candidate);
  const features = [...new Set(parts.flatMap((part) => Object.keys(part.features ?? {})))].filter(
    (feature) => !feature.startsWith('without-'),
  );
  return features.flatMap((feature) => {
    const having = parts.filter((part) => isThere(part.features?.[feature])).map(({ label }) => label || 'something without a name');
    return having.length > 1 ? [{ feature, parts: having }] : [];
  });
}

function partsOf(
  file: DecisionFile,
  { plans, addons = [], extras = [] }: Candidate,
): Array<{ label: string; features?: Features | undefined }> {
  const sold = [...file.offers.flatMap((offer) => offer.addons ?? []), ...(file.addons ?? [])];
  return [
    ...file.offers.flatMap((offer) =>
      offer.plans
        .filter(({ id }) => plans.some(({ plan }) => plan === id))
        .map(({ label, features = {} }) => ({ label: `${offer.label || offer.vendor} ${label}`.trim(), features })),
    ),
    ...sold.filter(({ id }) => addons.some(({ addon }) => addon === id)),
    ...extras,
  ];
}
