import { Decimal } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import { vendorsOf } from '../comparison/vendors';
import type { DecisionFile } from '../decision-file/schema';
import { cheapestOf, type PointTotals } from '../scales/evaluate';
import type { Assumption } from './assumption';
import { pointFinder, type PointFinder } from './point';

/** An assumption with the range over which it is varied, as changes are stated. */
export interface Varied {
  readonly assumption: Assumption;
  readonly low: number;
  readonly high: number;
}

/** The gap at one end of a range. */
export interface GapAt {
  /** How much dearer the cheapest other candidate is than the one that leads now; negative where it is cheaper; null where there is no such pair. */
  readonly gap: string | null;
  /** Who is cheapest there; null for nobody. */
  readonly winner: string | null;
}

/** Where the cheapest candidate becomes another one. */
export interface TurningPoint {
  /** The change at which it happens, as changes are stated. */
  readonly at: number;
  /** Who is cheapest beyond it; null for nobody. */
  readonly winner: string | null;
}

/** What an assumption does to the answer over its range. */
export interface Turn {
  readonly key: string;
  readonly low: GapAt;
  readonly high: GapAt;
  /** How far apart the gaps at both ends are, a number for sorting. */
  readonly swing: number;
  /** The nearest turning points below and above what is assumed now, within the range. */
  readonly below: TurningPoint | null;
  readonly above: TurningPoint | null;
}

/** What turns the answer, the assumption that moves it most first. */
export interface TurnsIt {
  /** The candidate that is cheapest now, and the next one; null for none. */
  readonly first: string | null;
  readonly second: string | null;
  /** How much dearer the second is now. */
  readonly gap: string | null;
  readonly turns: readonly Turn[];
  /** Candidates that a price not known yet could make the cheapest, within the ranges stated: then it is too close to call. */
  readonly mayWin: readonly string[];
}

/** Over so many steps each range is looked at before a turning point is closed in on. */
const STEPS = 10;
const HALVINGS = 34;
/** How closely a turning point is stated, in parts of its range. */
const PRECISION = 2e-9;

/** Finds out what turns the answer to one decision; an assumption whose range stays is not looked at again. */
export interface TurnsFinder {
  /** Whether anything is left to do for these ranges; looks at one more assumption if so. */
  next(varied: readonly Varied[]): boolean;
  /** The answer, all of it; whatever has not been looked at yet is looked at now. */
  found(varied: readonly Varied[]): TurnsIt;
}

/**
 * Varies each assumption over its range, one at a time: what that does to the gap between the cheapest candidate and
 * the next, and the value at which another one is cheapest. On unrounded totals, as break-evens are (decision file §8).
 */
export function turnsIt(file: DecisionFile, varied: readonly Varied[]): TurnsIt {
  return turnsFinder(file).found(varied);
}

/** Prepares what `turnsIt` finds out, for ranges that are changed one after the other. */
export function turnsFinder(file: DecisionFile): TurnsFinder {
  const finder = pointFinder(file);
  const vendors = vendorsOf(file);
  const vendorAt = finder.ids.map((id) => vendors.get(id));
  const nextOf = (point: PointTotals, of: number) => nextOfAnother(point, of, vendorAt);
  const money = (amount: number) => moneyText(roundMoney(new Decimal(amount), file.currency), file.currency);
  const now = finder.at([]);
  const first = cheapestOf(now);
  const second = first < 0 ? -1 : nextOf(now, first);
  const gapNow = first < 0 || second < 0 ? null : money((now.totals[second] ?? 0) - (now.totals[first] ?? 0));
  const idOf = (index: number) => finder.ids[index] ?? null;
  const looking: Looking = { finder, nextOf, first, money };
  const known = new Map<string, { readonly of: Varied; readonly turn: Turn }>();
  const knownTurn = (of: Varied) => {
    const found = known.get(of.assumption.key);
    return found && found.of.low === of.low && found.of.high === of.high && found.of.assumption.asIs === of.assumption.asIs
      ? found.turn
      : undefined;
  };
  const turnNow = (of: Varied) => {
    const turn = knownTurn(of) ?? turnOf(looking, of);
    known.set(of.assumption.key, { of, turn });
    return turn;
  };
  return {
    next: (varied) => {
      const open = varied.filter((one) => knownTurn(one) === undefined);
      if (open[0]) turnNow(open[0]);
      return open.length > 1;
    },
    found: (varied) => {
      const turns = varied.map(turnNow).sort((a, b) => b.swing - a.swing);
      return { first: idOf(first), second: idOf(second), gap: gapNow, turns, mayWin: mayWin(turns, idOf(first)) };
    },
  };
}

/** Whom a price that is not known could make the cheapest, within the range stated for it. */
function mayWin(turns: readonly Turn[], first: string | null): readonly string[] {
  const winners = turns
    .filter(({ key }) => key.startsWith('price:'))
    .flatMap(({ low, high, below, above }) => [low.winner, high.winner, below?.winner, above?.winner]);
  return [...new Set(winners)].flatMap((winner) => (winner && winner !== first ? [winner] : []));
}

/** The cheapest other that can be chosen: of another vendor, where there is one. */
function nextOfAnother({ totals, usable }: PointTotals, first: number, vendorAt: ReadonlyArray<string | undefined>): number {
  const least = (isAsked: (index: number) => boolean) => {
    let next = -1;
    for (let index = 0; index < totals.length; index++)
      if (index !== first && usable[index] === 1 && isAsked(index) && (next < 0 || (totals[index] ?? 0) < (totals[next] ?? 0)))
        next = index;
    return next;
  };
  const other = least((index) => vendorAt[index] !== vendorAt[first]);
  return other >= 0 ? other : least(() => true);
}

/** What every assumption is looked at with. */
interface Looking {
  readonly finder: PointFinder;
  readonly first: number;
  nextOf(point: PointTotals, of: number): number;
  money(amount: number): string;
}

function turnOf({ finder, nextOf, first, money }: Looking, { assumption, low, high }: Varied): Turn {
  const { key, asIs } = assumption;
  const looked = new Map<number, { gap: number | null; winner: number }>();
  const look = (value: number) => {
    const found = looked.get(value) ?? lookAnew(value);
    looked.set(value, found);
    return found;
  };
  const lookAnew = (value: number) => {
    const point = finder.at([{ key, value: plain(value) }]);
    const other = nextOf(point, first);
    const gap = first < 0 || other < 0 || point.usable[first] !== 1 ? null : (point.totals[other] ?? 0) - (point.totals[first] ?? 0);
    return { gap, winner: cheapestOf(point) };
  };
  const end = (value: number) => {
    const { gap, winner } = look(value);
    return { gap, shown: { gap: gap === null ? null : money(gap), winner: finder.ids[winner] ?? null } };
  };
  const [atLow, atHigh] = [end(low), end(high)];
  // A price that is not known has no “as it is”: its turning point is where who wins is another than at the lower end.
  const start = key.startsWith('price:') ? low : Math.min(Math.max(asIs, low), high);
  const winnerNow = look(start).winner;
  return {
    key,
    low: atLow.shown,
    high: atHigh.shown,
    swing: swingOf(atLow, atHigh),
    below: nearest(start, low),
    above: nearest(start, high),
  };

  /** Walks from one value towards another until somebody else is cheapest, then closes in. */
  function nearest(from: number, to: number): TurningPoint | null {
    if (from === to) return null;
    let inside = from;
    for (let step = 1; step <= STEPS; step++) {
      const outside = step === STEPS ? to : from + ((to - from) * step) / STEPS;
      if (look(outside).winner !== winnerNow) return close(inside, outside);
      inside = outside;
    }
    return null;
  }

  function close(inside: number, outside: number): TurningPoint {
    let [same, other] = [inside, outside];
    const narrow = (value: number) => {
      if (look(value).winner === winnerNow) same = value;
      else other = value;
    };
    const precision = PRECISION * (high - low);
    for (let turn = 0; turn < HALVINGS && Math.abs(other - same) > precision; turn++) {
      // Gaps are lines for most assumptions: where they meet nought is tried first, on both sides of it.
      const [before, behind] = [look(same).gap, look(other).gap];
      if (before !== null && behind !== null && before > 0 && behind < 0) {
        const meets = same + ((other - same) * before) / (before - behind);
        const beside = (Math.sign(other - same) * precision) / 2;
        for (const value of [meets - beside, meets + beside]) if ((value - same) * (value - other) < 0) narrow(value);
      }
      if (Math.abs(other - same) > precision) narrow((same + other) / 2);
    }
    return { at: other, winner: finder.ids[look(other).winner] ?? null };
  }
}

/** A number as a plain decimal of a decision file. */
export function plain(value: number): string {
  return new Decimal(value).toDecimalPlaces(12).toFixed();
}

interface RangeEnd {
  readonly gap: number | null;
  readonly shown: GapAt;
}

/** How far the gap moves over the range; where somebody drops out, past all bounds if another wins by it. */
function swingOf(low: RangeEnd, high: RangeEnd): number {
  if (low.gap !== null && high.gap !== null) return Math.abs(high.gap - low.gap);
  return low.shown.winner === high.shown.winner ? 0 : Infinity;
}
