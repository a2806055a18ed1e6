import { decimal, type Decimal, sum, ZERO } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import { canBeChosen } from '../comparison/candidate-result';
import { priceDecision } from '../comparison/decision-result';
import { candidateName } from '../decision/candidates';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Addon, Offer } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { isThere } from '../needs/file-needs';
import { withoutFeature } from '../wording/need-words';

/** Something that can be bought for itself, beside a plan: an add-on, or a tool that sells nothing. */
export interface SingleSource {
  /** "Postmoor Letters". */
  readonly name: string;
  /** The offers beside whose plans it can be bought; null for all but its own. */
  readonly beside: readonly string[] | null;
  /** The offer that sells it; null for add-ons of others. */
  readonly offer: string | null;
  readonly features: readonly string[];
  /** Its cheapest term for this seller, base currency, over the horizon. */
  readonly total: string;
}

/** Features that come with a plan, bought singly instead. */
export interface BoughtSingly {
  /** What all of it would cost, base currency, over the horizon. */
  readonly total: string;
  readonly parts: ReadonlyArray<Pick<SingleSource, 'name' | 'total'> & { readonly features: readonly string[] }>;
  /** Features that nobody on the sheets sells singly. */
  readonly nowhere: readonly string[];
}

/** So many groups of features, each sold by other sources than the next, are searched for the cheapest set. */
const MOST_GROUPS = 16;

/**
 * What is sold singly on the sheets of a decision, each in its cheapest term: add-ons; and plans of tools that sell
 * nothing themselves, for what not everybody has anyway. What cannot be used as it stands, or has a price that is not
 * known, is left out.
 */
export function singleSources(file: DecisionFile): SingleSource[] {
  const singles = [...addonSingles(file), ...toolSingles(file)];
  const candidates = singles.flatMap(({ takes }, at) => takes.map((one, way): Candidate => ({ id: `${at}.${way}`, label: '', ...one })));
  const { result } = priceDecision({ ...file, needs: [], candidates });
  const totals = new Map(result.candidates.filter(canBeChosen).map(({ id, total }) => [id, decimal(total)]));
  return singles.flatMap(({ takes, ...source }, at): SingleSource[] => {
    const [cheapest] = takes.flatMap((_, way) => totals.get(`${at}.${way}`) ?? []).sort((a, b) => a.cmp(b));
    return cheapest ? [{ ...source, total: moneyText(cheapest, file.currency) }] : [];
  });
}

type Single = Omit<SingleSource, 'total'> & { readonly takes: ReadonlyArray<Pick<Candidate, 'plans' | 'addons'>> };

function addonSingles({ offers, addons = [] }: DecisionFile): Single[] {
  const single = (addon: Addon, seller: string, beside: readonly string[] | null, offer: string | null): Single => ({
    name: candidateName(seller, addon.label),
    beside,
    offer,
    features: featuresThere(addon),
    takes: addon.terms?.length
      ? addon.terms.map(({ id }) => ({ plans: [], addons: [{ addon: addon.id, term: id }] }))
      : [{ plans: [], addons: [{ addon: addon.id }] }],
  });
  return [
    ...offers.flatMap((offer) => (offer.addons ?? []).map((addon) => single(addon, nameOf(offer), [offer.id], offer.id))),
    ...addons.map((addon) => single(addon, '', addon.worksWith ?? null, null)),
  ];
}

/** Plans of offers that do not take orders: what half of the other offers or more have too is no reason to buy one. */
function toolSingles({ offers }: DecisionFile): Single[] {
  const has = (offer: Offer, feature: string) => offer.plans.some(({ features }) => isThere(features?.[feature]));
  const isSpecial = (offer: Offer, feature: string) => {
    const others = offers.filter((one) => one !== offer);
    return others.filter((one) => has(one, feature)).length * 2 < others.length;
  };
  return offers
    .filter((offer) => !has(offer, 'checkout'))
    .flatMap((offer) =>
      offer.plans.map((plan): Single => ({
        name: candidateName(nameOf(offer), plan.label),
        beside: null,
        offer: offer.id,
        features: featuresThere(plan).filter((feature) => isSpecial(offer, feature)),
        takes: plan.terms.map(({ id }) => ({ plans: [{ plan: plan.id, term: id }] })),
      })),
    );
}

const nameOf = ({ vendor, label }: Offer) => label || vendor;

function featuresThere({ features = {} }: Pick<Addon, 'features'>): string[] {
  return Object.keys(features).filter((feature) => isThere(features[feature]) && !feature.startsWith(withoutFeature('')));
}

/**
 * The cheapest way to buy features singly beside plans of an offer.
 *
 * @returns null where none of them is sold singly
 */
export function boughtSingly(
  { currency }: Pick<DecisionFile, 'currency'>,
  sources: readonly SingleSource[],
  offer: string,
  features: readonly string[],
): BoughtSingly | null {
  const at = sources.filter(({ beside, offer: own }) => (beside ? beside.includes(offer) : own !== offer));
  const sold = features.filter((feature) => at.some((source) => source.features.includes(feature)));
  if (sold.length === 0) return null;
  const taken = cheapestSet(at, sold);
  return {
    total: moneyText(sum(taken.map(({ total }) => decimal(total))), currency),
    parts: taken.map(({ name, total, features: has }) => ({ name, total, features: sold.filter((feature) => has.includes(feature)) })),
    nowhere: features.filter((feature) => !sold.includes(feature)),
  };
}

/** The cheapest set of sources that has every feature: from none to all of them, each set from the cheapest smaller one. */
function cheapestSet(sources: readonly SingleSource[], features: readonly string[]): SingleSource[] {
  // What is sold by the same sources is bought together.
  const sellers = (feature: string) => sources.map((source) => Number(source.features.includes(feature))).join('');
  const groups = [...new Set(features.map(sellers))].slice(0, MOST_GROUPS);
  const sells = sources.map((_, at) => groups.reduce((set, group, bit) => set | (group[at] === '1' ? 1 << bit : 0), 0));
  const all = (1 << groups.length) - 1;
  const best = new Map<number, { readonly cost: Decimal; readonly taken: SingleSource[] }>([[0, { cost: ZERO, taken: [] }]]);
  for (let had = 0; had < all; had++) {
    const from = best.get(had);
    if (!from) continue;
    sources.forEach((source, at) => {
      const next = had | (sells[at] ?? 0);
      const cost = from.cost.plus(source.total);
      if (next !== had && !best.get(next)?.cost.lte(cost)) best.set(next, { cost, taken: [...from.taken, source] });
    });
  }
  return best.get(all)?.taken ?? [];
}
