import type { Decimal } from '../amount/decimal';
import type { Window } from './window-costs';
import type { PlanWindowPart, WindowPart, WorstOver } from './window-parts';

/** An add-on as far as bounds look at it: every way of taking it, and what it is good for. */
export interface BoundedAddon {
  readonly meets: readonly number[];
  readonly raises: ReadonlyMap<string, Decimal>;
  readonly ways: ReadonlyArray<{ readonly choice: { readonly count: number }; readonly part: WindowPart }>;
}

/** What plans cost at least in windows, with what covers what they lack. */
export interface WindowBounds {
  /**
   * For each plan what it costs at least there, in minor units with tax; Infinity where nothing covers what it lacks.
   *
   * @param needed - positions of the musts that have to be met in the window
   */
  ofPlans(window: Window, needed: ReadonlySet<number>): number[];
}

/** Smaller than any amount, and larger than what sums of shares are off. */
const ROUNDING = 1e-6;

/**
 * Prepares what plans cost at least in windows. What an add-on costs is shared evenly among all that it is good for, so
 * that whatever is taken costs at least the sum of the shares of what it covers.
 *
 * @param addons - those that can be bought, by who processes payments
 * @param months - of the horizon
 */
export function windowBounds(
  plans: readonly PlanWindowPart[],
  addons: ReadonlyMap<string, readonly BoundedAddon[]>,
  months: number,
): WindowBounds {
  const names = [...new Set(plans.flatMap(({ over }) => [...over.keys()]))];
  const leastOf = new Map([...addons].map(([use, all]) => [use, leastOfAddons(all, names, months)] as const));
  const bounded = plans.map((plan) => ({
    plan,
    over: [...plan.over].map(([name, over]): [number, WorstOver] => [names.indexOf(name), over]),
  }));
  return {
    ofPlans(window, needed) {
      const found = new Map<string, LeastOfAddons>();
      const leastFor = (use: string) => {
        const least = found.get(use) ?? leastOf.get(use)?.(window) ?? NOTHING_SOLD;
        found.set(use, least);
        return least;
      };
      return bounded.map(({ plan, over }) => {
        if (!plan.isPossible(window)) return Infinity;
        const { credit, perMust, perRaise } = leastFor(plan.payments);
        let least = plan.least(window) + credit - ROUNDING;
        for (const position of plan.unmet) if (needed.has(position)) least += perMust[position] ?? Infinity;
        for (const [name, worst] of over) {
          const lacking = worst.inNumbers(window);
          if (lacking > 0) least += lacking * (perRaise[name] ?? Infinity);
        }
        return least;
      });
    },
  };
}

/** The least that add-ons cost in a window, by what they are good for. */
interface LeastOfAddons {
  /** What those in the seller's favour take off at most, not above 0. */
  readonly credit: number;
  /** By a must's position, and for each unit of a limit by its place; Infinity or missing where none helps. */
  readonly perMust: readonly number[];
  readonly perRaise: readonly number[];
}

const NOTHING_SOLD: LeastOfAddons = { credit: 0, perMust: [], perRaise: [] };

/** Add-ons that cost the same whenever they are taken are looked at once for each length. */
function leastOfAddons(addons: readonly BoundedAddon[], names: readonly string[], months: number): (window: Window) => LeastOfAddons {
  const isAlike = ({ ways }: BoundedAddon) => ways.every(({ part }) => part.isAlwaysAlike);
  const alike = leastAnew(addons.filter(isAlike), names);
  const others = addons.filter((one) => !isAlike(one));
  const leastOfOthers = leastAnew(others, names);
  const known: LeastOfAddons[] = [];
  return (window) => {
    const length = window.to - window.from;
    const place = (length * 2 + (window.moved ? 1 : 0)) * 2 + (window.to === months ? 1 : 0);
    const least = (known[place] ??= alike(window));
    return others.length === 0 ? least : together(least, leastOfOthers(window));
  };
}

/** What is the least with some add-ons and with others. */
function together(one: LeastOfAddons, other: LeastOfAddons): LeastOfAddons {
  const lower = (a: readonly number[], b: readonly number[]) =>
    Array.from({ length: Math.max(a.length, b.length) }, (_, place) => Math.min(a[place] ?? Infinity, b[place] ?? Infinity));
  return {
    credit: one.credit + other.credit,
    perMust: lower(one.perMust, other.perMust),
    perRaise: lower(one.perRaise, other.perRaise),
  };
}

function leastAnew(addons: readonly BoundedAddon[], names: readonly string[]): (window: Window) => LeastOfAddons {
  const prepared = addons.map(({ meets, raises, ways }) => ({
    meets,
    ways,
    raises: names.flatMap((name, place) => (raises.get(name)?.gt(0) ? [[place, raises.get(name)?.toNumber() ?? 0] as const] : [])),
    goodFor: Math.max(1, meets.length + raises.size),
  }));
  return (window) => {
    let credit = 0;
    const [perMust, perRaise] = [[] as number[], [] as number[]];
    for (const { meets, raises, ways, goodFor } of prepared) {
      let [least, ofOne, dearestCredit] = [Infinity, Infinity, 0];
      for (const { choice, part } of ways) {
        if (!part.isPossible(window)) continue;
        const cost = part.least(window);
        least = Math.min(least, cost);
        ofOne = Math.min(ofOne, Math.max(0, cost) / choice.count);
        dearestCredit = Math.min(dearestCredit, cost);
      }
      const share = Math.max(0, least) / goodFor;
      for (const position of meets) perMust[position] = Math.min(share, perMust[position] ?? Infinity);
      for (const [place, amount] of raises) perRaise[place] = Math.min(ofOne / goodFor / amount, perRaise[place] ?? Infinity);
      credit += dearestCredit;
    }
    return { credit, perMust, perRaise };
  };
}
