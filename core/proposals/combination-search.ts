import { decimal, fraction } from '../amount/decimal';
import type { MinorUnits } from '../amount/minor-units';
import type { Addon, Offer } from '../decision-file/price-sheet-schema';
import type { Pricing } from '../pricing/pricing';
import type { Priced } from './combination-blocks';
import { cheapestFew, costWithTax, type UsefulAddon } from './cheapest-addons';
import { type AddonChoice, mustsMet, NO_COST, sumOfCosts, unknownAddonTerm, unknownTerm } from './part-costs';
import { addonsFor, type Proposal } from './propose';
import {
  addonWindowPart,
  isAddonKnown,
  neededIn,
  planWindowParts,
  type PlanWindowPart,
  shortIn,
  type Taken,
  type WindowPart,
} from './window-parts';
import { type BoundedAddon, windowBounds } from './window-bounds';
import type { Window } from './window-costs';

/** A combination of an offer as a part of a way. */
export interface Combination {
  readonly plan: string;
  readonly term: string;
  readonly addons: ReadonlyArray<{ readonly addon: string; readonly term?: string; readonly count: number }>;
  readonly payments: string;
}

/** Finds the best combinations of an offer for stretches of months. */
export interface CombinationSearch {
  /** The best three that can be used throughout a window, the best first. */
  cheapest(window: Window): readonly Priced[];
  /** What none of them can cost less than, a fraction of a minor unit; Infinity where nothing can be used. */
  atLeast(window: Window): number;
  combination(id: string): Combination;
  /** Whether it has come up in a window. */
  has(id: string): boolean;
}

/** For ways, so many of an add-on at most (decision file §10). */
const MOST_OF_AN_ADDON = 3;

/**
 * So many combinations are kept for a window: the next segment is on another one, so that the cheapest may be barred by
 * what comes before it, and the next by what comes after.
 */
const KEPT = 3;

interface Found extends Priced {
  readonly combination: Combination;
  /** Of its plan in the file; before all others for what is proposed. */
  readonly place: number;
}

/** Prepares the search over all combinations of an offer, and its proposal (decision file §10, `ways`). */
export function combinationSearch(pricing: Pricing, offer: Offer, payments: readonly string[], proposal: Proposal): CombinationSearch {
  const taken = { pricing, offer };
  const taxRate = fraction(pricing.file.feeTax ?? '0').toNumber();
  const plans = planParts(taken, payments);
  const counts = Array.from({ length: MOST_OF_AN_ADDON }, (_, index) => index + 1);
  const ways = addonWaysBy(taken, payments, counts);
  const proposed = proposalBeyond(taken, plans, proposal);
  const bounds = windowBounds(plans, ways, pricing.file.months);
  const combinations = new Map<string, Combination>();
  const neededBy: Array<ReadonlySet<number>> = [];
  const neededFor = (window: Window) => (neededBy[window.to] ??= neededIn(pricing, window));
  return {
    has: (id) => combinations.has(id),
    combination(id) {
      const found = combinations.get(id);
      if (!found) throw new RangeError(`There is no combination ${id}`);
      return found;
    },
    atLeast: (window) => Math.min(...proposedIn(window).map(({ cost }) => cost), ...bounds.ofPlans(window, neededFor(window))),
    cheapest(window) {
      const needed = neededFor(window);
      const addons = new Map([...ways].map(([use, all]) => [use, lazily(() => all.map((way) => usefulIn(way, window)))] as const));
      let best: readonly Found[] = proposedIn(window);
      // Plans that may cost least are looked at first: the others then have to be cheaper than what was found.
      const inOrder = bounds
        .ofPlans(window, needed)
        .map((least, place) => ({ least, place, plan: plans[place] }))
        .sort((a, b) => a.least - b.least || a.place - b.place);
      for (const { plan, place, least } of inOrder) {
        const last = best.length < KEPT ? undefined : best.at(-1);
        if (!plan || least === Infinity || (last && least > last.cost)) break;
        // Of equal ones the first of the file is kept.
        const atMost = last ? last.cost - (last.place < place ? 1 : 0) : Infinity;
        const wanted = wantedIn(plan, window, needed);
        const found = cheapestFew({ base: plan.cost(window), addons: addons.get(plan.payments)?.() ?? [], wanted, taxRate, atMost }, KEPT);
        const here = found.map(({ total, choices }) => foundOf(plan, choices, total, place));
        best = [...best, ...here].sort((a, b) => a.cost - b.cost || a.place - b.place).slice(0, KEPT);
      }
      for (const { id, combination } of best) combinations.set(id, combination);
      return best;
    },
  };

  function proposedIn(window: Window): Found[] {
    return proposed?.(window, neededFor(window), taxRate) ?? [];
  }
}

function lazily<Value>(work: () => Value): () => Value {
  let found: { readonly value: Value } | null = null;
  return () => (found ??= { value: work() }).value;
}

function foundOf(
  { plan, term, payments }: PlanWindowPart,
  choices: ReadonlyArray<Omit<AddonChoice, 'cost'>>,
  cost: MinorUnits,
  place = -1,
): Found {
  const addons = choices.map(({ addon, term: by, count }) => ({ addon: addon.id, ...(by === undefined ? {} : { term: by }), count }));
  const combination = { plan, term, addons, payments };
  return { id: JSON.stringify(combination), cost, combination, place };
}

function wantedIn(plan: PlanWindowPart, window: Window, needed: ReadonlySet<number>) {
  return { unmet: plan.unmet.filter((position) => needed.has(position)), short: shortIn(plan, window) };
}

/** Every plan by every term and processor that has known prices, in file order. */
function planParts(taken: Taken, payments: readonly string[]): PlanWindowPart[] {
  const { pricing, offer } = taken;
  return offer.plans.flatMap((plan) => {
    const terms = plan.terms.filter(({ id }) => !unknownTerm(pricing, plan, id)).map(({ id }) => id);
    const parts = payments.map((use) => planWindowParts(taken, plan, terms, use));
    return terms.flatMap((_, term) => parts.flatMap((of) => of[term] ?? []));
  });
}

/** An add-on with every way of taking it. */
interface AddonWays extends BoundedAddon {
  readonly ways: ReadonlyArray<{ readonly choice: Omit<AddonChoice, 'cost'>; readonly part: WindowPart }>;
}

function addonWaysBy(taken: Taken, payments: readonly string[], counts: readonly number[]): Map<string, AddonWays[]> {
  const { pricing, offer } = taken;
  const sold = addonsFor(pricing, offer);
  return new Map(
    payments.map(
      (use) =>
        [use, sold.filter((addon) => isAddonKnown(pricing, addon, use)).map((addon) => addonWays(taken, addon, use, counts))] as const,
    ),
  );
}

function addonWays(taken: Taken, addon: Addon, payments: string, counts: readonly number[]): AddonWays {
  const { pricing } = taken;
  const terms = (addon.terms ?? []).filter(({ id }) => !unknownAddonTerm(pricing, addon, id)).map(({ id }) => id);
  const paidBy: ReadonlyArray<string | undefined> = (addon.terms ?? []).length === 0 ? [undefined] : terms;
  return {
    meets: mustsMet(pricing, addon.features),
    raises: new Map(Object.entries(addon.raises ?? {}).map(([name, amount]) => [name, decimal(amount)] as const)),
    ways: paidBy.flatMap((term) =>
      counts.map((count) => ({ choice: { addon, term, count }, part: addonWindowPart(taken, addon, term, count, payments) })),
    ),
  };
}

function usefulIn({ ways, meets, raises }: AddonWays, window: Window): UsefulAddon {
  const possible = ways.filter(({ part }) => part.isPossible(window));
  return { meets, raises, choices: possible.map(({ choice, part }) => ({ ...choice, cost: part.cost(window) })) };
}

/** The proposal where it has more of an add-on than ways may have otherwise (decision file §10). */
function proposalBeyond(
  taken: Taken,
  plans: readonly PlanWindowPart[],
  proposal: Proposal,
): ((window: Window, needed: ReadonlySet<number>, taxRate: number) => Found[]) | null {
  if (proposal.total === null || proposal.addons.every(({ count }) => count <= MOST_OF_AN_ADDON)) return null;
  const plan = plans.find((one) => one.plan === proposal.plan && one.term === proposal.term && one.payments === proposal.payments);
  const sold = addonsFor(taken.pricing, taken.offer);
  const used = proposal.addons.flatMap(({ addon: id, term, count }) => {
    const addon = sold.find((one) => one.id === id);
    const all = addon && addonWays(taken, addon, proposal.payments, [count]);
    const way = all?.ways.find(({ choice }) => choice.term === term);
    return all && way ? [{ ...way, meets: all.meets, raises: all.raises }] : [];
  });
  return (window, needed, taxRate) => {
    if (!plan || ![plan, ...used.map(({ part }) => part)].every((part) => part.isPossible(window))) return [];
    const { unmet, short } = wantedIn(plan, window, needed);
    const isMet = unmet.every((position) => used.some(({ meets }) => meets.includes(position)));
    const raisedBy = (name: string) =>
      used.reduce((sum, { raises, choice }) => sum.plus((raises.get(name) ?? decimal(0)).times(choice.count)), decimal(0));
    if (!isMet || ![...short].every(([name, lacking]) => lacking.lte(raisedBy(name)))) return [];
    const cost = [plan.cost(window), ...used.map(({ part }) => part.cost(window))].reduce(sumOfCosts, NO_COST);
    return [
      foundOf(
        plan,
        used.map(({ choice }) => choice),
        costWithTax(cost, taxRate),
      ),
    ];
  };
}
