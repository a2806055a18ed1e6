import { fraction } from '../amount/decimal';
import { comparedBy } from '../decision-file/compared-by';
import type { DecisionFile } from '../decision-file/schema';
import { liftKey } from '../forecast/lift';
import { unknownPrices } from '../pricing/ledger';
import { unmetMusts } from '../pricing/needs';
import { type NumberForecast, numberForecast } from '../forecast/number-forecast';
import { preparePricing } from '../pricing/pricing';
import { openPrices, withPrice } from '../what-if/open-prices';
import type { Figure } from '../rules/expression/expression';
import { ROUNDING } from '../scales/form-values';
import { type PreparedCandidate, type PreparedCharge, prepareCandidates } from '../scales/prepare';
import { type Fixed, fillFixed, fixedOf, hoursOf, openTermPayments, sumOfFixed } from './fixed-payments';
import { expectedWorld, fillLifted, fillQuantities, type FutureWorld, liftedWorld } from './future-world';
import { added, fillFrom, type Linear, NOTHING, ofFixed, sumOf } from './linear';
import { MonthProgram } from './month-program';
import { type OpenAnswer, openAnswers } from './open-answers';
import { openFigures } from './open-figures';

/** Everything that candidates come to in one future; the arrays are used again for the next. */
export interface FuturePricing {
  readonly ids: readonly string[];
  /** Whether it may be chosen, by candidate: no must is known not to be met, and no more of a price is open than one figure. */
  readonly canBeChosen: readonly boolean[];
  /** The world to be filled before `run`; what candidates with a lift see follows from it. */
  readonly world: FutureWorld;
  /** What payments whose price may rise are multiplied by, by candidate's vendor and month; 1 as long as nobody changes it. */
  readonly rises: ReadonlyMap<string, Float64Array>;
  /** Prices that nobody knows, by the id of the open price, in its currency: each the same in all months, to be filled before `run`. */
  readonly prices: ReadonlyMap<string, Float64Array>;
  /** Musts that nobody knows, and which of them are not met in the future to be run. */
  readonly answers: readonly OpenAnswer[];
  readonly isNo: Uint8Array;
  run(): void;
  /** Unrounded, base currency; by what is kept, the cost less what is left of sales. */
  readonly totals: Float64Array;
  /** The month in which a limit is first exceeded; {@link USABLE} where none is, {@link LACKING} where a must is not met. */
  readonly outgrown: Int16Array;
  /** What a candidate costs by month in the future that was run last. */
  monthsOf(place: number, into: Float64Array): void;
}

export const USABLE = -1;
export const LACKING = -2;

interface Priced {
  readonly vendor: string;
  readonly fixed: readonly Fixed[];
  readonly hours: Float64Array;
  readonly worthOfHours: number;
  /** What all charges come to together, tax and rates included. */
  readonly charges: Linear;
  readonly limits: ReadonlyArray<{ readonly counted: Float64Array; readonly bound: number }>;
  readonly world: FutureWorld;
  /** Places of the answers it waits for. */
  readonly answers: readonly number[];
}

/** How candidates are joined and left, where they are not used from the first month to the last. */
export interface Stay {
  /** Expected sales of the months of the file, where it is a part of a longer one. */
  readonly forecast?: NumberForecast;
  /** Whether one comes from another candidate of the same offer (decision file §9). */
  readonly isMoved?: boolean;
  /** Whether it is left when the months of the file are over. */
  readonly isLeft?: boolean;
}

/** Prepares the pricing of all candidates in thousands of futures (decision file §2 to §8, unrounded). */
export function futurePricing(asked: DecisionFile, stay: Stay = {}): FuturePricing {
  const { forecast = numberForecast(asked), isMoved = false, isLeft = false } = stay;
  const joining = { month: 0, moved: isMoved };
  const open = openPrices(asked);
  const prices = new Map(open.map(({ id }) => [id, new Float64Array(asked.months)]));
  const file = open.reduce((filled, { id }) => withPrice(filled, id, '0'), asked);
  const pricing = preparePricing(file);
  const prepared = prepareCandidates(pricing, joining);
  const answers = openAnswers(file);
  const isNo = new Uint8Array(answers.length);
  const base = expectedWorld(file, forecast);
  const worlds = worldsOf(file, base, forecast, openFigures(open, prices));
  const tax = 1 + fraction(file.feeTax ?? '0').toNumber();
  const ofOpenTerms = openTermPayments(asked, prepared, prices, tax, { joining, isLeft });
  const priced = prepared.map((one, place): Priced => {
    const { world, program } = worlds.of(one);
    const hours = hoursOf(file, one);
    const charges = one.charges.reduce((sum, charge) => added(sum, chargeIn(program, charge, file.currency, tax)), NOTHING);
    return {
      vendor: vendorOf(file, one.candidate.plans[0]?.plan),
      fixed: [...fixedOf(file, one, tax, isLeft), ...(ofOpenTerms[place] ?? [])],
      hours,
      worthOfHours: hours.reduce((sum, worth) => sum + worth, 0),
      charges: program.withSum(charges),
      limits: one.limits.map(({ counted, most }) => ({
        counted: program.valuesOf(program.of(counted)),
        bound: (program.valuesOf(program.of(most))[0] ?? 0) * (1 + ROUNDING),
      })),
      world,
      answers: answers.flatMap(({ candidates }, answer) => (candidates.includes(one.id) ? [answer] : [])),
    };
  });
  const rises = new Map(priced.map(({ vendor }) => [vendor, new Float64Array(file.months).fill(1)]));
  const totals = new Float64Array(priced.length);
  const outgrown = new Int16Array(priced.length);
  const isByKept = comparedBy(file) === 'keep';
  const months = new Float64Array(file.months);
  return {
    ids: prepared.map(({ id }) => id),
    canBeChosen: prepared.map(
      ({ candidate }) => unmetMusts(pricing, candidate).missing.length === 0 && unknownPrices(pricing, candidate).length === 0,
    ),
    world: base,
    rises,
    prices,
    answers,
    isNo,
    run() {
      worlds.run();
      priced.forEach((one, place) => {
        const total = sumOf(one.charges) + one.worthOfHours + sumOfFixed(one.fixed, base, rises.get(one.vendor));
        totals[place] = isByKept ? total - keptIn(one.world) : total;
        outgrown[place] = one.answers.some((answer) => isNo[answer] === 1) ? LACKING : firstBeyond(one);
      });
    },
    totals,
    outgrown,
    monthsOf(place, into) {
      const one = priced[place];
      if (!one) return void into.fill(0);
      fillFixed(one, base, rises.get(one.vendor), into);
      fillFrom(one.charges, months);
      for (let month = 0; month < into.length; month++) into[month] = (into[month] ?? 0) + (months[month] ?? 0);
    },
  };
}

/** The worlds that candidates are priced in, each with its program: one for all that bring as many more orders. */
function worldsOf(file: DecisionFile, base: FutureWorld, forecast: NumberForecast, openFigure: (figure: Figure) => Float64Array | null) {
  const drivers = file.forecast.drivers ?? {};
  const worlds = new Map<string, { readonly world: FutureWorld; readonly program: MonthProgram; readonly follow: () => void }>();
  return {
    of({ candidate: { lift } }: PreparedCandidate) {
      const key = liftKey(lift);
      const found = worlds.get(key);
      if (found) return found;
      const world = key === '' ? base : liftedWorld(base, file, forecast);
      const follow = () => {
        if (world !== base) fillLifted(world, base, lift);
        fillQuantities(world, drivers);
      };
      follow();
      const made = { world, program: new MonthProgram(world, openFigure), follow };
      worlds.set(key, made);
      return made;
    },
    run() {
      for (const { follow, program } of worlds.values()) {
        follow();
        program.run();
      }
    },
  };
}

/** A charge in base currency with tax, below zero for a credit. */
function chargeIn(program: MonthProgram, charge: PreparedCharge, base: string, tax: number): Linear {
  const { amount, currency, taxExcluded, isCredit, counting } = charge;
  const rates = currency === base ? undefined : program.world.rates.get(currency);
  const counted = counting ? program.product(program.of(amount), ofFixed(counting)) : program.of(amount);
  const inBase = rates ? program.product(program.filled(rates), counted) : counted;
  return added(NOTHING, inBase, (taxExcluded ? tax : 1) * (isCredit ? -1 : 1));
}

/** What is left of sales before costs (decision file §7, `keep`). */
function keptIn({ streams, months }: FutureWorld): number {
  let kept = 0;
  for (const { orders, netOrderValue, refunded, margin } of streams) {
    let sales = 0;
    for (let month = 0; month < months; month++) sales += (orders[month] ?? 0) * (netOrderValue[month] ?? 0);
    kept += sales * margin * (1 - refunded);
  }
  return kept;
}

function firstBeyond({ limits }: Priced): number {
  let first = USABLE;
  for (const { counted, bound } of limits)
    for (let month = 0; month < counted.length && (first < 0 || month < first); month++) if ((counted[month] ?? 0) > bound) first = month;
  return first;
}

function vendorOf({ offers }: DecisionFile, plan: string | undefined): string {
  return offers.find(({ plans }) => plans.some(({ id }) => id === plan))?.id ?? '';
}
