import { decimal } from '../amount/decimal';
import { minorDigits } from '../amount/currencies';
import { type MinorUnits, minorText } from '../amount/minor-units';
import { type Month, monthsBetween } from '../calendar/month';
import type { Candidate } from '../decision-file/candidate-schema';
import type { SharedAddon } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import type { Workbench } from '../decision/workbench';
import { preparePricing, type Pricing } from '../pricing/pricing';
import { type PlannedSegment, routeSolver } from '../route/cheapest-route';
import { type MovingCosts, USUAL_MOVING } from '../route/moving-costs';
import { pricedMoving } from '../route/priced-moving';
import type { Combination } from './combination-search';
import { type DecisionProposals, isOwned, type MakeUp, madeOf, paymentsFor, vendorFile } from './decision-proposals';
import {} from './part-costs';
import { takenBy } from './taken-by-offers';
import type { Proposal } from './propose';
import { allSteps, bestWaysInSteps, type BestWay, type InSteps, type WaySegment } from './ways';

/** A way with moves through the horizon that is better than staying, or possible where staying is not. */
export interface WayAhead {
  /** What is paid, moves and what they lose included; base currency. */
  readonly total: string;
  /** How much less that is than the cheapest without any move; null where nothing does without one. */
  readonly saves: string | null;
  readonly segments: ReadonlyArray<{ readonly offer: string; readonly made: MakeUp; readonly from: Month; readonly months: number }>;
}

/** Best ways of a decision's vendors (decision file §10, `ways`). */
export interface DecisionWays {
  /** By offer, of those whose plans are worth a move inside the vendor. */
  readonly ofVendors: Readonly<Record<string, WayAhead>>;
  /** From one vendor to another, where that is cheaper than anything on one. */
  readonly across: WayAhead | null;
  /** What moving was taken to cost, base currency. */
  readonly moving: { readonly within: string; readonly between: string };
}

/**
 * The best ways of every vendor of a decision and of all together, moving at what the decision says it costs. A way on
 * which something owned goes on is priced as a route is (decision file §9): what all its parts have runs through.
 */
export function decisionWays(workbench: Workbench, proposals: Pick<DecisionProposals, 'vendors'>): DecisionWays {
  return allSteps(decisionWaysInSteps(workbench, proposals));
}

/** The same in steps of a few milliseconds to a second, by how many plans, terms and add-ons a vendor has. */
export function* decisionWaysInSteps(workbench: Workbench, { vendors }: Pick<DecisionProposals, 'vendors'>): InSteps<DecisionWays> {
  const file = vendorFile(workbench);
  const pricing = preparePricing(file);
  const { currency } = pricing.file;
  const costs: MovingCosts = workbench.decision.whatIf?.moving ?? USUAL_MOVING;
  const moving = pricedMoving(pricing.file, costs);
  const proposals = vendors.map(({ offer, proposed }): Proposal => (proposed ? proposalOf(offer, proposed) : { offer, total: null }));
  const { ofOffers, best } = yield* bestWaysInSteps(preparePricing(withOwnedFree(file)), proposals, {
    moving,
    by: 'cost',
    paymentsOf: (offer) => paymentsFor(pricing.file, offer),
  });
  const money = (units: MinorUnits) => minorText(units, minorDigits(currency));
  const told = ({ total, segments }: BestWay, staying: string | null): WayAhead | null => {
    const paid = isOwnedIn(segments) ? pricedAsRoute(pricing, segments, moving) : total;
    if (paid === null || segments.length < 2 || (staying !== null && decimal(paid).gte(staying))) return null;
    const saves = staying === null ? null : decimal(staying).minus(paid).toFixed(minorDigits(currency));
    return {
      total: paid,
      saves,
      segments: segments.map(({ offer, from, months, ...one }) => ({ offer, from, months, made: madeOf(one) })),
    };
  };
  const ofVendors = vendors.flatMap(({ offer, proposed }, index) => {
    const way = ofOffers[index];
    const found = way && told({ ...way, segments: way.segments.map((one) => ({ ...one, offer })) }, proposed?.total ?? null);
    return found ? [[offer, found] as const] : [];
  });
  const totals = [...vendors.flatMap(({ proposed }) => proposed?.total ?? []), ...ofVendors.map(([, { total }]) => total)];
  const least = totals.reduce<string | null>((low, total) => (low === null || decimal(total).lt(low) ? total : low), null);
  const isAcross = new Set(best?.segments.map(({ offer }) => offer)).size > 1;
  return {
    ofVendors: Object.fromEntries(ofVendors),
    across: best && isAcross ? told(best, least) : null,
    moving: { within: money(moving.within), between: money(moving.between) },
  };
}

/** What is proposed in the terms of a decision file; things owned are not among its add-ons. */
function proposalOf(offer: string, { made: { plans, addons = [], payments }, total }: { made: MakeUp; total: string }): Proposal {
  const [used] = plans;
  if (!used) return { offer, total: null };
  return {
    offer,
    total,
    plan: used.plan,
    term: used.term,
    addons: addons.map(({ count = 1, ...addon }) => ({ ...addon, count })),
    payments: typeof payments === 'string' ? payments : 'own',
  };
}

/** What is owned costs the same whether one moves or not: where to move is looked for without its cost. */
function withOwnedFree(file: DecisionFile): DecisionFile {
  const free = ({ terms = [], ...addon }: SharedAddon): SharedAddon => ({
    ...addon,
    terms: terms.map((term) => ({ ...term, price: '0' })),
  });
  return { ...file, addons: (file.addons ?? []).map((addon) => (isOwned(addon.id) ? free(addon) : addon)) };
}

const isOwnedIn = (segments: readonly WaySegment[]) => segments.some(({ addons }) => addons.some(({ addon }) => isOwned(addon)));

/** A way as a route over its parts; null where something owned would end on the way and begin again. */
function pricedAsRoute(pricing: Pricing, segments: BestWay['segments'], moving: ReturnType<typeof pricedMoving>): string | null {
  const ownedBy = ({ addons }: Combination) => JSON.stringify(addons.filter(({ addon }) => isOwned(addon)));
  if (new Set(segments.map(ownedBy)).size > 1) return null;
  const ids = new Map<string, string>();
  const candidates: Candidate[] = [];
  const planned = segments.map(({ offer, from, months, plan, term, addons, payments }): PlannedSegment => {
    const key = JSON.stringify({ plan, term, addons, payments });
    const id = ids.get(key) ?? `way${ids.size}`;
    if (!ids.has(key)) {
      ids.set(key, id);
      const taken = takenBy(pricing.file.offers.filter((one) => one.id === offer));
      candidates.push({ id, label: '', plans: [{ plan, term }], addons: addons.map((addon) => ({ ...addon })), payments, ...taken });
    }
    const start = monthsBetween(pricing.file.start, from);
    return { candidate: id, from: start, to: start + months };
  });
  const way = routeSolver(pricing, candidates, 'cost').priced(planned, moving);
  return way && minorText(way.cost, minorDigits(pricing.file.currency));
}
