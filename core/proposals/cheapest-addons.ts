import { type Decimal, ZERO } from '../amount/decimal';
import type { AddonChoice, PartCost } from './part-costs';
import { sumOfCosts } from './part-costs';

/** An add-on with every way of taking it that can be of use, and what it is good for. */
export interface UsefulAddon {
  readonly choices: readonly AddonChoice[];
  /** Musts that it meets, by their position. */
  readonly meets: readonly number[];
  /** How much each unit adds to a limit, by its name. */
  readonly raises: ReadonlyMap<string, Decimal>;
}

/** What has to be covered by add-ons. */
export interface Wanted {
  readonly unmet: readonly number[];
  readonly short: ReadonlyMap<string, Decimal>;
}

/** The add-ons of the cheapest way, in the order of the file, and what all costs with tax in minor units. */
export interface CheapestAddons {
  readonly total: number;
  readonly choices: readonly AddonChoice[];
}

/** The most that rounding of tax can differ in a month, in minor units. */
export const HALF_A_UNIT = 0.5;

/** What the search for add-ons starts from. */
export interface AddonSearch {
  /** What the plan, its term and the processor cost. */
  readonly base: PartCost;
  readonly addons: readonly UsefulAddon[];
  readonly wanted: Wanted;
  /** A fraction. */
  readonly taxRate: number;
  /** A total that is known to be reachable: dearer ones are not looked for. */
  readonly atMost: number;
}

/**
 * The cheapest choice of add-ons that covers what a plan lacks (decision file §10): of equal totals the one with fewer
 * add-ons, then with lower counts.
 */
export function cheapestAddons(search: AddonSearch): CheapestAddons | null {
  return cheapestFew(search, 1)[0] ?? null;
}

/**
 * The few cheapest choices of add-ons, the cheapest first; of equal totals the simpler one.
 *
 * Goes through the add-ons one after the other, each left out or taken in one of its ways, and gives a branch up as
 * soon as it cannot cover what is wanted or cannot become cheaper than the dearest of the few so far. Tax is rounded by
 * the month on everything together, so that it is only known at the end; until then it is bounded from below,
 * with the least that what is still wanted can cost.
 *
 * @param few - how many are wanted at most
 */
export function cheapestFew({ base, addons, wanted, taxRate, atMost }: AddonSearch, few: number): CheapestAddons[] {
  const isDearer = Math.floor(taxedLeast(base, taxRate)) > atMost;
  if (isDearer && !addons.some(({ choices }) => choices.some(({ cost }) => cost.hasCredit))) return [];
  const steps = addons.map((addon) => stepOf(addon, wanted));
  const still = reachesOf(addons, steps, maskOf(wanted.unmet), taxRate);
  const found: CheapestAddons[] = [];
  const limit = () => (found.length < few ? atMost : (found.at(-1)?.total ?? atMost));
  const keep = (one: CheapestAddons) => {
    if (one.total > limit() || (found.length === few && found.at(-1) && !comesBefore(one, found.at(-1)))) return;
    found.push(one);
    found.sort((a, b) => (comesBefore(a, b) ? -1 : 1));
    found.length = Math.min(found.length, few);
  };
  const visit = (at: number, cost: PartCost, taken: readonly AddonChoice[], unmet: bigint, short: readonly bigint[]): void => {
    const reach = still[at];
    if (!reach || !canCover(reach, unmet, short)) return;
    if (Math.floor(taxedLeast(cost, taxRate) + reach.credit + leastToCover(reach, unmet, short)) > limit()) return;
    const [addon, step] = [addons[at], steps[at]];
    if (!addon || !step) return keep({ total: costWithTax(cost, taxRate), choices: taken });
    visit(at + 1, cost, taken, unmet, short);
    for (const choice of addon.choices) {
      const raised = step.isRaising
        ? short.map((lacking, name) => later(lacking, (step.raises[name] ?? 0n) * BigInt(choice.count)))
        : short;
      visit(at + 1, sumOfCosts(cost, choice.cost), [...taken, choice], unmet & ~step.meets, raised);
    }
  };
  visit(0, base, [], maskOf(wanted.unmet), [...wanted.short.values()].map(exact));
  return found;
}

/** What add-ons from a position on can still do: take off the sum of their best credits, meet musts, raise limits. */
interface Reach {
  readonly credit: number;
  readonly meets: bigint;
  readonly raises: readonly bigint[];
  /** The least that meeting each must costs, by its bit, and raising each limit by a part of 10^-40. */
  readonly perMust: ReadonlyMap<bigint, number>;
  readonly perRaise: readonly number[];
}

function reachesOf(addons: readonly UsefulAddon[], steps: readonly Step[], unmet: bigint, taxRate: number): Reach[] {
  let reach: Reach = { credit: 0, meets: 0n, raises: [], perMust: new Map(), perRaise: [] };
  const reaches = [reach];
  for (let at = steps.length - 1; at >= 0; at -= 1) {
    const choices = addons[at]?.choices ?? [];
    const most = BigInt(Math.max(0, ...choices.map(({ count }) => count)));
    const later: Reach = reach;
    reach = {
      credit: later.credit + Math.min(0, ...choices.map(({ cost }) => taxedLeast(cost, taxRate))),
      meets: later.meets | (steps[at]?.meets ?? 0n),
      raises: (steps[at]?.raises ?? []).map((raise, name) => (later.raises[name] ?? 0n) + raise * most),
      ...leastShares(steps[at], choices, later, unmet, taxRate),
    };
    reaches.unshift(reach);
  }
  return reaches;
}

/**
 * The least cost of each thing that is wanted, where what an add-on costs is shared evenly among all that it is good for:
 * whatever is taken then costs at least the sum over what is covered.
 */
function leastShares(
  step: Step | undefined,
  choices: readonly AddonChoice[],
  later: Reach,
  unmet: bigint,
  taxRate: number,
): Pick<Reach, 'perMust' | 'perRaise'> {
  if (!step) return later;
  const musts = bitsOf(step.meets & unmet);
  const goodFor = musts.length + step.raises.filter((raise) => raise > 0n).length;
  const share = (cost: PartCost) => Math.max(0, taxedLeast(cost, taxRate)) / Math.max(1, goodFor);
  const least = Math.min(...choices.map(({ cost }) => share(cost)));
  const perMust = new Map(later.perMust);
  for (const bit of musts) perMust.set(bit, Math.min(least, perMust.get(bit) ?? Infinity));
  const perRaise = step.raises.map((raise, name) => {
    const own = raise === 0n ? Infinity : Math.min(...choices.map(({ cost, count }) => share(cost) / (Number(raise) * count)));
    return Math.min(own, later.perRaise[name] ?? Infinity);
  });
  return { perMust, perRaise };
}

function bitsOf(mask: bigint): bigint[] {
  const bits: bigint[] = [];
  for (let bit = 1n; bit <= mask; bit <<= 1n) if ((mask & bit) !== 0n) bits.push(bit);
  return bits;
}

/** Smaller than any amount, and larger than what sums of shares are off. */
const ROUNDING = 1e-6;

/** At least so much does what is still wanted cost; it can be covered. */
function leastToCover({ perMust, perRaise }: Reach, unmet: bigint, short: readonly bigint[]): number {
  if (unmet === 0n && short.every((lacking) => lacking === 0n)) return 0;
  let least = -ROUNDING;
  for (const [bit, cost] of perMust) if ((unmet & bit) !== 0n) least += cost;
  for (const [name, lacking] of short.entries()) if (lacking > 0n) least += Number(lacking) * (perRaise[name] ?? 0);
  return least;
}

function canCover({ meets, raises }: Reach, unmet: bigint, short: readonly bigint[]): boolean {
  return (unmet & ~meets) === 0n && short.every((lacking, name) => lacking <= (raises[name] ?? 0n));
}

function comesBefore(one: CheapestAddons, other: CheapestAddons | undefined): boolean {
  if (!other || one.total !== other.total) return one.total < (other?.total ?? Infinity);
  return isSimpler(one.choices, other.choices);
}

/** An add-on in whole numbers: musts as bits, raises in the order of the limits that fall short. */
interface Step {
  readonly meets: bigint;
  readonly raises: readonly bigint[];
  readonly isRaising: boolean;
}

function stepOf({ meets, raises }: UsefulAddon, { short }: Wanted): Step {
  const inOrder = [...short.keys()].map((name) => exact(raises.get(name) ?? ZERO));
  return { meets: maskOf(meets), raises: inOrder, isRaising: inOrder.some((raise) => raise > 0n) };
}

const later = (lacking: bigint, raise: bigint) => (lacking > raise ? lacking - raise : 0n);

function maskOf(positions: readonly number[]): bigint {
  return positions.reduce((mask, position) => mask | (1n << BigInt(position)), 0n);
}

/** A quantity in whole parts of 10^-40, finer than any that is written. */
function exact(quantity: Decimal): bigint {
  const found = exactly.get(quantity) ?? BigInt(quantity.times('1e40').toFixed(0));
  exactly.set(quantity, found);
  return found;
}

/** The same quantities come up in every window. */
const exactly = new WeakMap<Decimal, bigint>();

/** What a part costs with tax. */
export function costWithTax(cost: PartCost, taxRate: number): number {
  return cost.total + taxOf(cost, taxRate);
}

/** Tax on a part: rounded by the month, half away from zero. */
function taxOf({ taxed }: PartCost, rate: number): number {
  if (!taxed || rate === 0) return 0;
  return taxed.reduce((sum, units) => sum + Math.sign(units) * Math.round(Number((Math.abs(units) * rate).toFixed(6))), 0);
}

/** A lower bound of what a part comes to with tax. */
function taxedLeast({ total, taxed }: PartCost, rate: number): number {
  if (!taxed || rate === 0) return total;
  return total + taxed.reduce((sum, units) => sum + units * rate, 0) - HALF_A_UNIT * taxed.length;
}

function isSimpler(one: readonly AddonChoice[], other: readonly AddonChoice[]): boolean {
  if (one.length !== other.length) return one.length < other.length;
  const counts = (choices: readonly AddonChoice[]) => choices.reduce((sum, { count }) => sum + count, 0);
  return counts(one) < counts(other);
}
