import { fraction } from '../amount/decimal';
import { comparedBy } from '../decision-file/compared-by';
import type { DecisionFile } from '../decision-file/schema';
import { liftKey } from '../forecast/lift';
import { preparePricing } from '../pricing/pricing';
import { ROUNDING } from '../scales/form-values';
import { type PreparedCandidate, type PreparedCharge, prepareCandidates } from '../scales/prepare';
import { expectedWorld, fillLifted, fillQuantities, type FutureWorld, liftedWorld } from './future-world';
import { added, fillFrom, type Linear, NOTHING, ofFixed, sumOf } from './linear';
import { MonthProgram } from './month-program';

/** Everything that candidates come to in one future; the arrays are used again for the next. */
export interface FuturePricing {
  readonly ids: readonly string[];
  /** Whether every must is met and every price known, by candidate. */
  readonly canBeChosen: readonly boolean[];
  /** The world to be filled before `run`; what candidates with a lift see follows from it. */
  readonly world: FutureWorld;
  /** What payments whose price may rise are multiplied by, by candidate's vendor and month; 1 as long as nobody changes it. */
  readonly rises: ReadonlyMap<string, Float64Array>;
  /** The vendor of each candidate, by which its prices rise. */
  readonly vendors: readonly string[];
  run(): void;
  /** Unrounded, base currency; by what is kept, the cost less what is left of sales. */
  readonly totals: Float64Array;
  /** The month in which a limit is first exceeded; -1 where none is. */
  readonly outgrown: Int16Array;
  /** What a candidate costs by month in the future that was run last. */
  monthsOf(place: number, into: Float64Array): void;
}

/** What a candidate pays whatever is sold, by month and currency, tax included. */
interface Fixed {
  readonly currency: string;
  readonly months: Float64Array;
}

interface Priced {
  readonly vendor: string;
  readonly fixed: readonly Fixed[];
  readonly hours: Float64Array;
  /** What all charges come to together, tax and rates included. */
  readonly charges: Linear;
  readonly limits: ReadonlyArray<{ readonly counted: Float64Array; readonly bound: number }>;
  readonly world: FutureWorld;
}

/** Prepares the pricing of all candidates in thousands of futures (decision file §2 to §8, unrounded). */
export function futurePricing(file: DecisionFile): FuturePricing {
  const pricing = preparePricing(file);
  const prepared = prepareCandidates(pricing);
  const base = expectedWorld(file);
  const drivers = file.forecast.drivers ?? {};
  const worlds = new Map<string, { readonly world: FutureWorld; readonly program: MonthProgram; readonly follow: () => void }>();
  const worldFor = ({ candidate: { lift } }: PreparedCandidate) => {
    const key = liftKey(lift);
    const found = worlds.get(key);
    if (found) return found;
    const world = key === '' ? base : liftedWorld(base, file);
    const follow = () => {
      if (world !== base) fillLifted(world, base, lift);
      fillQuantities(world, drivers);
    };
    follow();
    const made = { world, program: new MonthProgram(world), follow };
    worlds.set(key, made);
    return made;
  };
  const vendors = prepared.map(({ candidate }) => vendorOf(file, candidate.plans[0]?.plan));
  const rises = new Map(vendors.map((vendor) => [vendor, new Float64Array(file.months).fill(1)]));
  const tax = 1 + fraction(file.feeTax ?? '0').toNumber();
  const priced = prepared.map((one, place): Priced => {
    const { world, program } = worldFor(one);
    const charges = one.charges.reduce((sum, charge) => added(sum, chargeIn(program, charge, file.currency, tax)), NOTHING);
    return {
      vendor: vendors[place] ?? '',
      fixed: fixedOf(file, one, tax),
      hours: hoursOf(file, one),
      charges: program.withSum(charges),
      limits: one.limits.map(({ counted, most }) => ({
        counted: program.valuesOf(program.of(counted)),
        bound: (program.valuesOf(program.of(most))[0] ?? 0) * (1 + ROUNDING),
      })),
      world,
    };
  });
  const totals = new Float64Array(priced.length);
  const outgrown = new Int16Array(priced.length);
  const isByKept = comparedBy(file) === 'keep';
  const months = new Float64Array(file.months);
  const further = new Float64Array(file.months);
  const monthsOf = (place: number, into: Float64Array) => {
    const one = priced[place];
    if (!one) return void into.fill(0);
    fillFixed(one, base, rises, into);
    fillFrom(one.charges, further);
    for (let month = 0; month < into.length; month++) into[month] = (into[month] ?? 0) + (further[month] ?? 0);
  };
  return {
    ids: prepared.map(({ id }) => id),
    canBeChosen: prepared.map((one) => one.canBeChosen),
    world: base,
    rises,
    vendors,
    run() {
      for (const { follow, program } of worlds.values()) {
        follow();
        program.run();
      }
      priced.forEach((one, place) => {
        fillFixed(one, base, rises, months);
        let total = sumOf(one.charges);
        for (let month = 0; month < months.length; month++) total += months[month] ?? 0;
        totals[place] = isByKept ? total - keptIn(one.world) : total;
        outgrown[place] = firstBeyond(one);
      });
    },
    totals,
    outgrown,
    monthsOf,
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

/** What does not depend on sales, by month. */
function fillFixed({ vendor, hours, fixed }: Priced, world: FutureWorld, rises: FuturePricing['rises'], into: Float64Array): void {
  const rise = rises.get(vendor);
  into.set(hours);
  for (const { currency, months } of fixed) {
    const rates = world.rates.get(currency);
    for (let month = 0; month < into.length; month++)
      into[month] = (into[month] ?? 0) + (months[month] ?? 0) * (rates?.[month] ?? 1) * (rise?.[month] ?? 1);
  }
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
  let first = -1;
  for (const { counted, bound } of limits)
    for (let month = 0; month < counted.length && (first < 0 || month < first); month++) if ((counted[month] ?? 0) > bound) first = month;
  return first;
}

function hoursOf({ months, hourValue }: DecisionFile, { hours }: PreparedCandidate): Float64Array {
  const worth = Number(hourValue ?? '0');
  const spent = new Float64Array(months).fill(hours.monthly * worth);
  spent[0] = (spent[0] ?? 0) + hours.setup * worth;
  return spent;
}

function fixedOf({ months, basis }: DecisionFile, { payments }: PreparedCandidate, tax: number): Fixed[] {
  const byCurrency = new Map<string, Float64Array>();
  for (const { month, covers, charged, currency, taxExcluded } of payments) {
    const into = byCurrency.get(currency) ?? new Float64Array(months);
    byCurrency.set(currency, into);
    const amount = charged * (taxExcluded ? tax : 1);
    const covered = covers === 0 ? months - month : covers;
    const length = basis === 'spread' ? covered : 1;
    for (let part = month; part < Math.min(month + length, months); part++) into[part] = (into[part] ?? 0) + amount / length;
  }
  return [...byCurrency].map(([currency, all]) => ({ currency, months: all }));
}

function vendorOf({ offers }: DecisionFile, plan: string | undefined): string {
  return offers.find(({ plans }) => plans.some(({ id }) => id === plan))?.id ?? '';
}
