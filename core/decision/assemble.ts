import type { Candidate } from '../decision-file/candidate-schema';
import type { Addon, Charge, Offer, Plan, Processor, SharedAddon } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import type { Workbench } from './workbench';

/** Why something cannot be priced yet. */
export type Obstacle =
  /** The decision states no exchange rate for this currency. */
  | { kind: 'rate'; currency: string }
  /** A charge counts a quantity that expected sales do not have. */
  | { kind: 'quantity'; quantity: string }
  /** A charge speaks of a stream of sales that the decision does not have. */
  | { kind: 'stream'; stream: string }
  /** A plan, term, add-on or processor that the candidate uses is not on any sheet. */
  | { kind: 'gone'; what: 'plan' | 'term' | 'addon' | 'processor' };

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
  const { choice: _choice, candidates, ...frame } = decision;
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
      const { addons: own, ...offer } = sheet.offer;
      const plans = offer.plans.filter((plan) => usable(plan, 'plan'));
      offers.push({ ...offer, plans, ...(own ? { addons: own.filter((addon) => usable(addon, 'addon')) } : {}) });
    } else if (sheet.kind === 'addon') {
      if (usable(sheet.addon, 'addon')) addons.push(sheet.addon);
    } else if (usable(sheet.processor, 'processor')) processors.push(sheet.processor);
  }
  const heldBack: HeldBack[] = [];
  const priced: Candidate[] = [];
  const present = { offers, addons, processors };
  for (const candidate of candidates) {
    const obstacle = obstacleOfCandidate(decision, candidate, present, obstacles);
    if (obstacle) heldBack.push({ candidate, obstacle });
    else priced.push(candidate);
  }
  const file: DecisionFile = {
    format: 'venalis.decision',
    version: 1,
    ...frame,
    offers,
    ...(addons.length > 0 ? { addons: addons.map((addon) => knownPartners(addon, offers)) } : {}),
    ...(processors.length > 0 ? { processors } : {}),
    candidates: priced,
  };
  return { file, heldBack };
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
  if (part.currency !== currency && !Object.hasOwn(rates ?? {}, part.currency))
    return { kind: 'rate', currency: part.currency };
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
  { currency, rates }: Workbench['decision'],
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
  const { payments = 'own' } = candidate;
  const named = typeof payments === 'string' ? [payments] : payments.map((rule) => rule.use);
  for (const id of named)
    if (id !== 'own' && !present.processors.some((one) => one.id === id))
      return obstacles.get(`processor ${id}`) ?? { kind: 'gone', what: 'processor' };
  const foreign = candidate.extras?.find((extra) => extra.currency && extra.currency !== currency && !Object.hasOwn(rates ?? {}, extra.currency));
  return foreign?.currency ? { kind: 'rate', currency: foreign.currency } : null;
}
