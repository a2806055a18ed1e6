import type { Candidate, Lift } from '../decision-file/candidate-schema';
import type { Series } from '../decision-file/forecast-schema';
import type { Addon, Charge, Offer, Plan, Processor, SharedAddon } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { answeringFeatures, demandedQuantities, isThere, needsForFile } from '../needs/file-needs';
import type { DecisionNeed } from '../decision/need-schema';
import { featuresTogether, withOwned } from './owned';
import type { PriceSheet } from '../decision/price-sheet';
import { placeOf } from '../price-sheet/parts';
import type { Workbench } from '../decision/workbench';

/** Why something cannot be priced yet. */
export type Obstacle =
  /** The decision states no exchange rate for this currency. */
  | { kind: 'rate'; currency: string }
  /** A charge counts a quantity that expected sales do not have. */
  | { kind: 'quantity'; quantity: string }
  /** A charge speaks of a stream of sales that the decision does not have. */
  | { kind: 'stream'; stream: string }
  /** The candidate's plans share the streams of sales among them, and none handles this one; or one names a stream that is gone. */
  | { kind: 'unhandled'; stream: string }
  | { kind: 'stream-gone' }
  /** A plan, term, add-on or processor that the candidate uses is not on any sheet. */
  | { kind: 'gone'; what: 'plan' | 'term' | 'addon' | 'processor' }
  /** It has, through one of several parts, what it must be without. */
  | { kind: 'unwanted'; feature: string };

/** A candidate that cannot be priced yet, with the reason. */
export interface HeldBack {
  readonly candidate: Candidate;
  readonly obstacle: Obstacle;
}

/** A workbench as a decision file, with the candidates that had to be left out of it. */
export interface Assembled {
  readonly file: DecisionFile;
  readonly heldBack: readonly HeldBack[];
}

/**
 * Puts a decision and its price sheets together into the decision file they are computed from.
 *
 * What cannot be priced yet (no exchange rate, a quantity nobody has stated) is left out and reported, so that
 * everything else keeps its figures. Without such gaps the file holds everything.
 */
export function assembleDecisionFile({ decision, sheets }: Workbench): Assembled {
  const { name, currency, start, months, basis, rates, feeTax, hourValue, owned = [], candidates, needs: kept, comparedBy } = decision;
  const needs = kept ?? [];
  const demanded = demandedQuantities(needs, decision.start, decision.months, limitedQuantities(sheets), decision.forecast.drivers ?? {});
  const obstacles = new Map<string, Obstacle>();
  const whole = sheets.map((used) => used.sheet);
  const usable = <Part extends Plan | Addon | SharedAddon | Processor>(part: Part, key: string): boolean => {
    const obstacle = obstacleOf(decision, part);
    if (obstacle) obstacles.set(`${key} ${part.id}`, obstacle);
    return obstacle === null;
  };
  const offers: Offer[] = [];
  const addons: SharedAddon[] = [];
  const processors: Processor[] = [];
  for (const sheet of whole) {
    if (sheet.kind === 'offer') {
      const { addons: own, ...offer } = answering(sheet.offer, sheet.marks, needs, demanded);
      const plans = offer.plans.filter((plan) => usable(plan, 'plan'));
      const lift = offer.lift && liftHere(offer.lift, decision.forecast);
      offers.push({
        ...offer,
        ...(lift ? { lift } : {}),
        plans,
        ...(own ? { addons: own.filter((addon) => usable(addon, 'addon')) } : {}),
      });
    } else if (sheet.kind === 'addon') {
      if (usable(sheet.addon, 'addon')) addons.push(sheet.addon);
    } else if (usable(sheet.processor, 'processor')) processors.push(sheet.processor);
  }
  const heldBack: HeldBack[] = [];
  const priced: Candidate[] = [];
  const present = { offers, addons, processors };
  for (const candidate of candidates) {
    const obstacle = obstacleOfCandidate(decision, candidate, present, obstacles);
    const unwanted = obstacle ? undefined : needs.find((need) => isUnwanted(need, partsOfCandidate(candidate, present)));
    if (obstacle) heldBack.push({ candidate, obstacle });
    else if (unwanted) heldBack.push({ candidate, obstacle: { kind: 'unwanted', feature: unwanted.feature } });
    else priced.push(withOwned(candidate, owned, featuresTogether(partsOfCandidate(candidate, present)), decision.start));
  }
  const file: DecisionFile = {
    format: 'venalis.decision',
    version: 2,
    name,
    currency,
    start,
    months,
    ...(basis === undefined ? {} : { basis }),
    ...(rates === undefined ? {} : { rates }),
    ...(feeTax === undefined ? {} : { feeTax }),
    ...(hourValue === undefined ? {} : { hourValue }),
    forecast:
      Object.keys(demanded).length === 0
        ? decision.forecast
        : { ...decision.forecast, drivers: { ...decision.forecast.drivers, ...demanded } },
    ...(kept ? { needs: needsForFile(needs, decision.start, decision.months) } : {}),
    offers,
    ...(addons.length > 0 ? { addons: addons.map((addon) => knownPartners(addon, offers)) } : {}),
    ...(processors.length > 0 ? { processors } : {}),
    candidates: priced,
    ...(comparedBy === undefined ? {} : { cheapestAt: { by: comparedBy } }),
  };
  return { file, heldBack };
}

/** Quantities that any plan limits, or any add-on raises. */
function limitedQuantities(sheets: Workbench['sheets']): Set<string> {
  const offers = sheets.flatMap(({ sheet }) => (sheet.kind === 'offer' ? [sheet.offer] : []));
  return new Set(
    offers.flatMap(({ plans, addons = [] }) => [
      ...plans.flatMap(({ limits, yearlyLimits }) => [...Object.keys(limits ?? {}), ...Object.keys(yearlyLimits ?? {})]),
      ...addons.flatMap(({ raises }) => Object.keys(raises ?? {})),
    ]),
  );
}

/** An offer with the features by which the needs of this decision judge it. */
function answering(
  offer: Offer,
  marks: PriceSheet['marks'],
  needs: readonly DecisionNeed[],
  demanded: Readonly<Record<string, Series>>,
): Offer {
  const judged = needs.filter(({ kind, without }) => kind === 'at-least' || without);
  if (judged.length === 0) return offer;
  const isUnlimited = (part: string) => (quantity: string) => marks?.[placeOf(part, { kind: 'limit', quantity })] === 'unlimited';
  return {
    ...offer,
    plans: offer.plans.map((plan) => ({ ...plan, features: answeringFeatures(plan, judged, demanded, isUnlimited(plan.id)) })),
  };
}

/** Whether one of several parts has what a candidate must be without; a single plan's own is judged by the decision file. */
function isUnwanted({ without, level, feature }: DecisionNeed, parts: ReadonlyArray<Plan | Addon>): boolean {
  if (!without || level !== 'must' || parts.length < 2) return false;
  return parts.some(({ features }) => isThere(features?.[feature]));
}

/** The plans and add-ons that a candidate takes. */
function partsOfCandidate({ plans, addons: taken = [] }: Candidate, { offers, addons }: Present): Array<Plan | Addon> {
  const sold = [...offers.flatMap((offer) => offer.addons ?? []), ...addons];
  return [
    ...offers.flatMap((offer) => offer.plans).filter(({ id }) => plans.some(({ plan }) => plan === id)),
    ...sold.filter(({ id }) => taken.some(({ addon }) => addon === id)),
  ];
}

/** What bars a candidate whose plans share the streams of sales among them: one is gone, or nobody handles one. */
function streamObstacle({ plans, lift }: Candidate, { streams }: Workbench['decision']['forecast']): Obstacle | null {
  const isThere = (id: string) => streams.some((stream) => stream.id === id);
  const named = [...plans.flatMap((entry) => entry.streams ?? []), ...(typeof lift === 'object' ? lift.streams : [])];
  if (!named.every(isThere)) return { kind: 'stream-gone' };
  const unhandled = streams.find(({ id }) => plans.every((entry) => entry.streams !== undefined && !entry.streams.includes(id)));
  return unhandled ? { kind: 'unhandled', stream: unhandled.label || unhandled.id } : null;
}

/** A vendor's lift, of those streams that this decision has. */
function liftHere(lift: Lift, { streams }: Workbench['decision']['forecast']): Lift {
  if (typeof lift !== 'object') return lift;
  return { ...lift, streams: lift.streams.filter((id) => streams.some((stream) => stream.id === id)) };
}

/** A shared add-on may work with vendors that this decision does not compare. */
function knownPartners(addon: SharedAddon, offers: readonly Offer[]): SharedAddon {
  if (!addon.worksWith) return addon;
  return { ...addon, worksWith: addon.worksWith.filter((id) => offers.some((offer) => offer.id === id)) };
}

function obstacleOf(
  { currency, rates, forecast }: Workbench['decision'],
  part: { currency: string; charges?: Charge[] | undefined },
): Obstacle | null {
  if (part.currency !== currency && !Object.hasOwn(rates ?? {}, part.currency)) return { kind: 'rate', currency: part.currency };
  const quantities = ['orders', 'sales', 'subscribers', ...Object.keys(forecast.drivers ?? {})];
  for (const charge of part.charges ?? []) {
    const per = 'free' in charge && typeof charge.free === 'object' && charge.free ? charge.free.per : undefined;
    const quantity = [charge.on, per].find((name) => name !== undefined && !quantities.includes(name));
    if (quantity !== undefined) return { kind: 'quantity', quantity };
    const stream = charge.only?.streams?.find((id) => !forecast.streams.some((one) => one.id === id));
    if (stream !== undefined) return { kind: 'stream', stream };
  }
  return null;
}

interface Present {
  offers: readonly Offer[];
  addons: readonly SharedAddon[];
  processors: readonly Processor[];
}

function obstacleOfCandidate(
  { currency, rates, owned, forecast }: Workbench['decision'],
  candidate: Candidate,
  present: Present,
  obstacles: ReadonlyMap<string, Obstacle>,
): Obstacle | null {
  const { offers } = present;
  for (const { plan: id, term } of candidate.plans) {
    const plan = offers.flatMap((offer) => offer.plans).find((one) => one.id === id);
    if (!plan) return obstacles.get(`plan ${id}`) ?? { kind: 'gone', what: 'plan' };
    if (!plan.terms.some((one) => one.id === term)) return { kind: 'gone', what: 'term' };
  }
  const offersUsed = offers.filter((offer) => offer.plans.some((plan) => candidate.plans.some((used) => used.plan === plan.id)));
  const sold: Addon[] = [
    ...offersUsed.flatMap((offer) => offer.addons ?? []),
    ...present.addons.filter(({ worksWith }) => !worksWith || worksWith.some((id) => offersUsed.some((offer) => offer.id === id))),
  ];
  for (const { addon: id, term } of candidate.addons ?? []) {
    const addon = sold.find((one) => one.id === id);
    if (!addon) return obstacles.get(`addon ${id}`) ?? { kind: 'gone', what: 'addon' };
    const terms = addon.terms ?? [];
    const fits = term === undefined ? terms.length === 0 : terms.some((one) => one.id === term);
    if (!fits) return { kind: 'gone', what: 'term' };
  }
  const unhandled = streamObstacle(candidate, forecast);
  if (unhandled) return unhandled;
  const { payments = 'own' } = candidate;
  const named = typeof payments === 'string' ? [payments] : payments.map((rule) => rule.use);
  for (const id of named)
    if (id !== 'own' && !present.processors.some((one) => one.id === id))
      return obstacles.get(`processor ${id}`) ?? { kind: 'gone', what: 'processor' };
  const foreign = [...(candidate.extras ?? []), ...(owned ?? [])].find(
    (extra) => extra.currency && extra.currency !== currency && !Object.hasOwn(rates ?? {}, extra.currency),
  );
  return foreign?.currency ? { kind: 'rate', currency: foreign.currency } : null;
}
