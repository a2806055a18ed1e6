import type { DecisionFile } from '../decision-file/schema';
import { unmetMusts } from '../pricing/needs';
import { preparePricing } from '../pricing/pricing';
import { featureWords } from '../wording/need-words';

/** A must that nobody knows of a plan whether it is met; it bars the candidates made of that plan if it is not. */
export interface OpenAnswer {
  readonly id: string;
  readonly label: string;
  /** Ids of the candidates. */
  readonly candidates: readonly string[];
}

/** The plans, together where a candidate has several, and the feature: neither has a plus or a space in it. */
function answerId(plans: readonly string[], feature: string): string {
  return `${plans.join('+')} ${feature}`;
}

/** Whether an open answer is about one of some features of a plan. */
export function isAnswerAbout(id: string, plan: string, features: readonly string[]): boolean {
  const [plans = '', feature = ''] = id.split(' ');
  return plans.split('+').includes(plan) && features.includes(feature);
}

/** Musts that nobody knows of the candidates' plans, one for all candidates that are made of the same plans. */
export function openAnswers(file: DecisionFile): OpenAnswer[] {
  const pricing = preparePricing(file);
  const answers = new Map<string, OpenAnswer>();
  for (const candidate of file.candidates) {
    const { missing, unclear } = unmetMusts(pricing, candidate);
    if (missing.length > 0) continue;
    const plans = candidate.plans.map(({ plan }) => plan);
    for (const feature of unclear) {
      const id = answerId(plans, feature);
      const found = answers.get(id);
      const label = `${namesOf(file, plans)}: ${featureWords(feature)}`;
      answers.set(id, { id, label, candidates: [...(found?.candidates ?? []), candidate.id] });
    }
  }
  return [...answers.values()];
}

function namesOf({ offers }: DecisionFile, plans: readonly string[]): string {
  return plans
    .flatMap((id) =>
      offers.flatMap((offer) => offer.plans.filter((plan) => plan.id === id).map((plan) => `${offer.label} ${plan.label}`.trim())),
    )
    .join(' and ');
}
