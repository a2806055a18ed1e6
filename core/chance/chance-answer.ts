import { moneyText, roundMoney } from '../amount/currencies';
import { Decimal } from '../amount/decimal';
import { comparedBy } from '../decision-file/compared-by';
import type { DecisionFile } from '../decision-file/schema';
import { chancesOf, quantile } from './chances';
import { worthKnowing } from './finding-out';
import { FutureRun } from './futures';
import { isCertain as isOneCertain, type Uncertain, type UncertainStated, uncertainsOf } from './uncertain';

/** What is asked: how uncertain everything is, by what the person says of it. */
export type ChanceAsked = UncertainStated;

/** What chance says of a candidate; amounts in base currency to the minor unit. */
export interface CandidateChanceTold {
  readonly id: string;
  /** What it costs or, by what is kept, leaves in eight of ten futures, and in the middle one; how often it comes first, fractions. */
  readonly first: number;
  readonly error: number;
  readonly usable: number;
  readonly low: string;
  readonly middle: string;
  readonly high: string;
  readonly givesAway: string;
  readonly atWorst: string;
  readonly limit: { readonly part: number; readonly month: number } | null;
  /** In which part of all futures a must that nobody knows is not met. */
  readonly lacking: number;
}

/** A month of a fan: what has been paid by its end in eight of ten futures, and in the middle one. */
export interface FanMonth {
  readonly low: string;
  readonly middle: string;
  readonly high: string;
}

/** Who comes first how often at another level of sales. */
export interface ChancesAtLevel {
  readonly scale: number;
  readonly firsts: ReadonlyArray<{ readonly id: string; readonly first: number }>;
}

export interface ChanceAnswer {
  readonly futures: number;
  readonly candidates: readonly CandidateChanceTold[];
  readonly safest: string | null;
  readonly best: string | null;
  readonly nobody: number;
  /** Everything that is uncertain, with what knowing it would be worth: the most first; null for too few candidates. */
  readonly uncertain: ReadonlyArray<Uncertain & { readonly worth: string | null }>;
  /** Whether nothing at all is uncertain. */
  readonly isCertain: boolean;
  /** Cost so far of the one that gives away least, and of the next; empty until it is worked out. */
  readonly fans: ReadonlyArray<{ readonly id: string; readonly months: readonly FanMonth[] }>;
  readonly levels: readonly ChancesAtLevel[];
}

export const FUTURES = 10_000;
export const USUAL_SEED = 2027;
const COARSE = 600;
const PIECE = 200;
const OF_A_FAN = 800;
const AT_A_LEVEL = 400;
/** Levels of sales, as multiples of the forecast. */
const LEVELS = [0.25, 0.5, 0.75, 1, 1.5, 2, 3, 4] as const;

/** Works the chances out piece by piece: a coarse answer first, then all futures, then how costs fan out and other levels. */
export function chanceWork(file: DecisionFile, asked: ChanceAsked) {
  const uncertain = uncertainsOf(file, asked);
  const seed = asked.settings?.seed ?? USUAL_SEED;
  const isByKept = comparedBy(file) === 'keep';
  const isCertain = uncertain.every(isOneCertain);
  // Where nothing is uncertain, one future is as good as all.
  const run = new FutureRun(file, uncertain, seed, isCertain ? 1 : FUTURES);
  const fans: ChanceAnswer['fans'][number][] = [];
  const levels: ChancesAtLevel[] = [];
  const money = (amount: number) => moneyText(roundMoney(new Decimal(amount), file.currency), file.currency);
  const answer = (): ChanceAnswer => {
    const futures = run.sofar();
    const chances = chancesOf(futures);
    const worth = new Map(worthKnowing(futures).map((one) => [one.key, one.worth]));
    return {
      ...chances,
      candidates: chances.candidates.map((one) => ({
        ...one,
        // By what is kept, totals are what is paid less that.
        low: money(isByKept ? -one.high : one.low),
        middle: money(isByKept ? -one.middle : one.middle),
        high: money(isByKept ? -one.low : one.high),
        givesAway: money(one.givesAway),
        atWorst: money(one.atWorst),
      })),
      uncertain: uncertain
        .map((one) => ({ ...one, worth: worth.has(one.key) ? money(worth.get(one.key) ?? 0) : null }))
        .sort((a, b) => (worth.get(b.key) ?? 0) - (worth.get(a.key) ?? 0)),
      isCertain,
      fans: [...fans],
      levels: [...levels],
    };
  };
  let found: ChanceAnswer | null = null;
  const steps = 2 + LEVELS.length;
  return {
    next(): { done: boolean; answer: ChanceAnswer | null; progress: number } {
      const { count } = run.sofar();
      if (count < run.most) {
        run.add(count === 0 ? COARSE : PIECE);
        const now = run.sofar().count;
        const isAll = now === run.most;
        if (count === 0 || isAll) found = answer();
        return { done: false, answer: count === 0 || isAll ? found : null, progress: (0.7 * now) / run.most };
      }
      if (!found || isCertain || found.candidates.length === 0) return { done: true, answer: found ?? answer(), progress: 1 };
      const [first, second] = shownOf(found);
      const next = [first, second][fans.length];
      if (next !== undefined) fans.push({ id: next, months: fanOf(file, run, next, money) });
      else {
        const scale = LEVELS[levels.length] ?? 1;
        const at = new FutureRun(file, uncertain, seed, AT_A_LEVEL, scale);
        at.add(AT_A_LEVEL);
        levels.push({ scale, firsts: chancesOf(at.sofar()).candidates.map(({ id, first: part }) => ({ id, first: part })) });
      }
      const isDone = levels.length === LEVELS.length;
      if (isDone) found = { ...found, fans: [...fans], levels: [...levels] };
      return { done: isDone, answer: isDone ? found : null, progress: 0.7 + (0.3 * (fans.length + levels.length)) / steps };
    },
  };
}

/** How sure it is, all futures at once, without fans and other levels of sales. */
export function chancesAtOnce(file: DecisionFile, asked: ChanceAsked): ChanceAnswer {
  const work = chanceWork(file, asked);
  for (let last: ChanceAnswer | null = null; ;) {
    const { done, answer } = work.next();
    last = answer ?? last;
    if (last && (done || last.futures === FUTURES)) return last;
  }
}

/** The one that gives away least, and of the others the one that comes first most often. */
function shownOf({ best, candidates }: ChanceAnswer): string[] {
  const first = best ?? candidates[0]?.id;
  const second = candidates.find(({ id }) => id !== first)?.id;
  return [first, second].filter((id) => id !== undefined);
}

function fanOf(file: DecisionFile, run: FutureRun, id: string, money: (amount: number) => string): FanMonth[] {
  const place = run.sofar().ids.indexOf(id);
  const futures = Math.min(OF_A_FAN, run.most);
  const courses = run.coursesOf(place, futures);
  return Array.from({ length: file.months }, (_, month) => {
    const at = Float64Array.from({ length: futures }, (_unused, future) => courses[future * file.months + month] ?? 0).sort();
    return { low: money(quantile(at, 0.1)), middle: money(quantile(at, 0.5)), high: money(quantile(at, 0.9)) };
  });
}
