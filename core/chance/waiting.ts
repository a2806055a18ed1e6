import { minorDigits, moneyText, roundMoney } from '../amount/currencies';
import { Decimal } from '../amount/decimal';
import { paidBy } from '../comparison/paid-by';
import { vendorsOf } from '../comparison/vendors';
import type { DecisionFile } from '../decision-file/schema';
import type { MovingCosts } from '../route/moving-costs';
import { pricedMoving } from '../route/priced-moving';
import { USUAL_SEED } from './chance-answer';
import { chosenBy, costsOf, sumsOf } from './future-costs';
import { FutureRun } from './futures';
import { type UncertainStated, uncertainsOf } from './uncertain';
import { waitingFutures } from './waiting-futures';
import { bestNow, bestWait, type Waiter } from './waits';

/** What is asked: how uncertain everything is, and what moving later takes. */
export interface WaitingAsked extends UncertainStated {
  readonly moving: MovingCosts;
}

/** A candidate, or the same plans paid by the month. */
export interface Beginning {
  readonly candidate: string;
  readonly isByMonth: boolean;
}

/** Deciding after so many months; amounts in base currency to the minor unit. */
export interface Waited {
  readonly months: number;
  readonly begin: Beginning;
  /** By how much it costs less on average than what is best to choose now; below zero where it costs more. */
  readonly saves: string;
  /** What of that comes from what has been seen by then; the rest comes from beginning otherwise than one goes on. */
  readonly bySeeing: string;
  /** In which part of all futures one moves then. */
  readonly moves: number;
}

export interface WaitingAnswer {
  /** What is best to choose now, on average; null where nobody can be chosen. */
  readonly now: Beginning | null;
  readonly waits: readonly Waited[];
  /** Place of the wait that saves most, or costs least more; null where nothing can be paid by the month. */
  readonly best: number | null;
}

const FUTURES = 2_000;
const PIECE = 50;
/** By so many futures it is seen which candidates can come into question at all, and so many of them are looked at. */
const [TO_CHOOSE_BY, MOST_CANDIDATES] = [400, 6];
/** After so many months it can be decided. */
const AFTER = [1, 2, 3, 4, 6, 9, 12] as const;
const BY_THE_MONTH = ' by the month';

/**
 * What waiting is worth: to pay by the month, and to decide after some months by the sales that have been seen by then,
 * beside choosing now (the expected value of sample information; docs/chance.md).
 */
export function waitingWork(file: DecisionFile, { moving, ...stated }: WaitingAsked) {
  const wide = comeIntoQuestion(file, stated);
  const after = AFTER.filter((months) => months < file.months);
  const futures = waitingFutures(wide, uncertainsOf(wide, stated), { seed: stated.settings?.seed ?? USUAL_SEED, most: FUTURES, after });
  const isNothing = wide.candidates.length === 0 || after.length === 0;
  return {
    next(): { done: boolean; answer: WaitingAnswer | null; progress: number } {
      if (isNothing) return { done: true, answer: { now: null, waits: [], best: null }, progress: 1 };
      for (let more = 0; more < PIECE && futures.count < FUTURES; more++) futures.add();
      const isDone = futures.count === FUTURES;
      return { done: isDone, answer: isDone ? answerOf(wide, moving, futures) : null, progress: futures.count / FUTURES };
    },
  };
}

function answerOf(file: DecisionFile, moving: MovingCosts, futures: ReturnType<typeof waitingFutures>): WaitingAnswer {
  const digits = 10 ** minorDigits(file.currency);
  const { within, between, moves } = pricedMoving(file, moving);
  const vendors = vendorsOf(file);
  const vendorAt = file.candidates.map(({ id }) => vendors.get(id));
  const terms = new Map(
    file.offers.flatMap(({ plans }) => plans.flatMap(({ id, terms: of }) => of.map((term) => [`${id} ${term.id}`, term.months] as const))),
  );
  const isByMonth = file.candidates.map(({ plans }) => plans.every(({ plan, term }) => terms.get(`${plan} ${term}`) === 1));
  const waiter: Waiter = {
    futures,
    canBegin: (place) => isByMonth[place] === true,
    isSameVendor: (a, b) => vendorAt[a] === vendorAt[b],
    moving: (a, b) => {
      if (vendorAt[a] === vendorAt[b]) return within / digits;
      return moves === 0 ? Infinity : between / digits;
    },
  };
  const money = (amount: number) => moneyText(roundMoney(new Decimal(amount), file.currency), file.currency);
  const beginning = (place: number) => beginningOf(file.candidates[place]?.id ?? '');
  const now = bestNow(futures);
  const found = futures.waits.flatMap((wait) => {
    const best = now < 0 ? null : bestWait(waiter, wait, now);
    return best ? [{ months: wait.months, ...best }] : [];
  });
  const most = found.reduce((best, { saves }, at) => (saves > (found[best]?.saves ?? -Infinity) ? at : best), 0);
  return {
    now: now < 0 ? null : beginning(now),
    waits: found.map(({ months, begin, saves, bySeeing, moves: part }) => ({
      months,
      begin: beginning(begin),
      saves: money(saves),
      bySeeing: money(bySeeing),
      moves: part,
    })),
    best: found.length > 0 ? most : null,
  };
}

/** The few that cost least on average, each also paid by the month where it can be. */
function comeIntoQuestion(file: DecisionFile, stated: UncertainStated): DecisionFile {
  const run = new FutureRun(file, uncertainsOf(file, stated), stated.settings?.seed ?? USUAL_SEED, TO_CHOOSE_BY);
  run.add(TO_CHOOSE_BY);
  const futures = run.sofar();
  const able = file.candidates.filter((_, place) => futures.canBeChosen[place]);
  const sums = sumsOf(costsOf(futures), TO_CHOOSE_BY);
  const first = able[chosenBy(sums)];
  const others = able
    .map((one, place) => ({ one, cost: sums.cost[place] ?? 0 }))
    .sort((a, b) => a.cost - b.cost)
    .map(({ one }) => one);
  const few = { ...file, candidates: [...new Set([...(first ? [first] : []), ...others])].slice(0, MOST_CANDIDATES) };
  const isThere = new Set(few.candidates.map(({ plans, addons, extras, payments }) => JSON.stringify([plans, addons, extras, payments])));
  const byMonth = paidBy(few, 1).candidates.filter(
    ({ plans, addons, extras, payments }) => !isThere.has(JSON.stringify([plans, addons, extras, payments])),
  );
  return { ...few, candidates: [...few.candidates, ...byMonth.map((one) => ({ ...one, id: `${one.id}${BY_THE_MONTH}` }))] };
}

function beginningOf(id: string): Beginning {
  const isByMonth = id.endsWith(BY_THE_MONTH);
  return { candidate: isByMonth ? id.slice(0, -BY_THE_MONTH.length) : id, isByMonth };
}
