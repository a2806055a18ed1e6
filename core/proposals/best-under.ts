import { assembleToPrice } from '../assembly/assemble-to-price';
import { bestTwo } from '../comparison/best-two';
import { vendorsOf } from '../comparison/vendors';
import { onSheetsOnly } from '../decision/conditions-schema';
import type { Decision } from '../decision/decision-schema';
import type { DecisionNeed } from '../decision/need-schema';
import type { Workbench } from '../decision/workbench';
import type { DecisionFile } from '../decision-file/schema';
import { preparePricing } from '../pricing/pricing';
import { featuresOf, withoutFeature } from '../wording/need-words';
import { ANY_DAY } from './best-against';
import { type MakeUp, vendorFile, vendorProposals } from './decision-proposals';
import { type Followable, madeWords, withFollower } from './edit-followed';
import { isMadeOf, nameOf } from './followed';

/** Who is best of everything on the sheets when one thing is asked otherwise; amounts in base currency. */
export interface BestUnder {
  /** Id of the candidate; where none is made of it yet, see `onSheetsOnly`; null where no candidate can be chosen. */
  readonly winner: string | null;
  readonly total?: string;
  /** By how much better than the best of another vendor; absent where no other can be chosen. */
  readonly margin?: string;
  /** What it is made of where no candidate is: "Tidewrack Trade, by the year". */
  readonly plan?: string;
}

/** What the file to be priced is changed into, before and after candidates were added. */
interface AskedOtherwise {
  readonly workbench: Workbench;
  /** What is searched for every vendor's best. */
  readonly searched: (file: DecisionFile) => DecisionFile;
  /** What is priced in the end. */
  readonly priced: (file: DecisionFile) => DecisionFile;
  /** What something that is no candidate yet is called. */
  readonly words: (made: MakeUp) => string;
}

/**
 * Who is best if one more thing were a must: every plan and add-on of every sheet that is not set aside is looked at.
 *
 * @returns null where there is nobody to look at
 */
export function bestWithNeed(workbench: Workbench, feature: string): BestUnder | null {
  const asIs = (file: DecisionFile) => file;
  const words = (made: MakeUp) => madeWords(workbench, made);
  return bestUnder({ workbench: { ...workbench, decision: withMust(workbench.decision, feature) }, searched: asIs, priced: asIs, words });
}

/**
 * Who is best if every plan is paid so many months at a time.
 *
 * @param paid - the file with its candidates paid that way, those that cannot be left out
 * @returns null where nothing can be paid that way
 */
export function bestPaidBy(workbench: Workbench, months: number, paid: (file: DecisionFile) => DecisionFile): BestUnder | null {
  const searched = (file: DecisionFile) => ({
    ...file,
    offers: file.offers.map((offer) => ({
      ...offer,
      plans: offer.plans.map((plan) => ({ ...plan, terms: plan.terms.filter((term) => term.months === months) })),
    })),
  });
  return bestUnder({ workbench, searched, priced: paid, words: (made) => nameOf(workbench, made) });
}

function withMust(decision: Decision, feature: string): Decision {
  const needs = decision.needs ?? [];
  const isOf = (need: DecisionNeed) => (need.without ? [withoutFeature(need.feature)] : featuresOf(need)).includes(feature);
  const must = { feature, level: 'must' as const };
  return {
    ...decision,
    needs: needs.some(isOf) ? needs.map((need) => (isOf(need) ? { ...need, level: 'must' as const } : need)) : [...needs, must],
  };
}

function bestUnder({ workbench, searched, priced, words }: AskedOtherwise): BestUnder | null {
  const aside = new Set(workbench.decision.setAside?.map(({ offer }) => offer));
  const proposals = vendorProposals(preparePricing(searched(vendorFile(workbench))));
  const proposed = proposals.flatMap(({ offer, proposed: best }): Followable[] => (best && !aside.has(offer) ? [{ offer, ...best }] : []));
  const added = new Map<string, Followable>();
  const decision = proposed.reduce((changed, one) => {
    if (changed.candidates.some((candidate) => isMadeOf(candidate, one.made))) return changed;
    const next = withFollower({ ...workbench, decision: changed }, one, ANY_DAY);
    const id = next.candidates.at(-1)?.id;
    if (id !== undefined) added.set(id, one);
    return next;
  }, workbench.decision);
  const file = priced(assembleToPrice({ ...workbench, decision }).file);
  if (file.candidates.length === 0) return null;
  const best = bestTwo(file);
  if (!best) return { winner: null };
  const made = added.get(best.first);
  const vendors = vendorsOf(file);
  const isOfAnother = best.second !== null && vendors.get(best.second) !== vendors.get(best.first);
  return {
    winner: made ? onSheetsOnly(made.offer) : best.first,
    total: best.total,
    ...(isOfAnother && best.margin !== null ? { margin: best.margin } : {}),
    ...(made ? { plan: words(made.made) } : {}),
  };
}
