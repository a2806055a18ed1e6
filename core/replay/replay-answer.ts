import { moneyText, roundMoney } from '../amount/currencies';
import { type Decimal, decimal, sum, ZERO } from '../amount/decimal';
import { canBeChosen, type CandidateResult } from '../comparison/candidate-result';
import { priceAll } from '../comparison/decision-result';
import type { DecisionFile } from '../decision-file/schema';
import { differenceToAverage, mostDiffering, valueAt } from './order-differences';
import { readingWith } from '../pricing/pricing';
import type { PastOrders } from './past-orders';
import { replayPricing } from './replay';
import { replayedWorld } from './replayed-world';
import { takenPerOrder } from './taken-per-order';

/** What a candidate would have cost. */
export interface ReplayedCandidate {
  readonly id: string;
  readonly label: string;
  readonly result: CandidateResult;
  /** What it would have cost more than the first; 0 for that. */
  readonly more: string;
  /** What its fees on single orders come to more than on average ones, to the minor unit. */
  readonly moreThanAverage: string;
}

/** What past orders would have cost, for a person to read. */
export interface ReplayAnswer {
  readonly orders: number;
  /** What customers paid. */
  readonly sales: string;
  readonly salesAMonth: string;
  readonly months: readonly string[];
  /** Months between the first and the last in which there is no order at all: perhaps they are in no file. */
  readonly empty: readonly string[];
  /** Names of streams that no order belongs to. */
  readonly without: readonly string[];
  /** Those that can be chosen and are wholly known first, by what they would have cost. */
  readonly candidates: readonly ReplayedCandidate[];
  /** Of the first two, orders on which they differ most: by month, value and what the first takes more. */
  readonly differing: ReadonlyArray<{ readonly month: string; readonly value: string; readonly stream: string; readonly more: string }>;
}

const MOST_DIFFERING = 6;
/** The part of the work that charging every order is, roughly. */
const CHARGED = 0.6;

/** What past orders would have cost with every candidate, with what a forecast of averages would not have seen. */
export function replayAnswer(file: DecisionFile, orders: PastOrders): ReplayAnswer {
  const steps = replaySteps(file, orders);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/**
 * The same a candidate at a time, so that a million orders hold nothing up: between two steps something else can be done,
 * or no further step be taken.
 *
 * @yields the part that is done, from 0 to 1
 */
export function* replaySteps(file: DecisionFile, orders: PastOrders): Generator<number, ReplayAnswer, void> {
  const world = replayedWorld(file, orders);
  const pricing = replayPricing(file, world);
  const all = pricing.file.candidates;
  // What charges take of the orders is worked out here, and read by the prices below.
  for (const [at, candidate] of all.entries()) {
    const reading = readingWith(pricing, candidate);
    for (const { amount } of takenPerOrder(pricing, candidate)) {
      reading.of(amount);
      yield (CHARGED * at) / all.length;
    }
  }
  const { result } = priceAll(pricing);
  const moreThanAverage = new Map<string, Decimal>();
  for (const [at, candidate] of all.entries()) {
    moreThanAverage.set(candidate.id, differenceToAverage(pricing, world, candidate));
    yield CHARGED + ((1 - CHARGED) * (at + 1)) / all.length;
  }
  const money = (amount: Decimal) => moneyText(roundMoney(amount, file.currency), file.currency);
  const candidates = pricing.file.candidates
    .flatMap((candidate, at) => {
      const found = result.candidates[at];
      return found ? [{ candidate, result: found }] : [];
    })
    .sort((a, b) => Number(!canBeChosen(a.result)) - Number(!canBeChosen(b.result)) || decimal(a.result.total).comparedTo(b.result.total));
  const [first, second] = candidates.filter((one) => canBeChosen(one.result));
  const sales = sum(world.forecast.sales);
  return {
    orders: orders.units.length,
    sales: money(sales),
    salesAMonth: money(sales.div(orders.months)),
    months: result.months,
    empty: result.months.filter((_, month) => orders.starts[month] === orders.starts[month + 1]),
    without: file.forecast.streams.flatMap(({ label }, at) => (orders.stream.includes(at) ? [] : [label])),
    candidates: candidates.map(({ candidate, result: found }) => ({
      id: candidate.id,
      label: candidate.label,
      result: found,
      more: money(decimal(found.total).minus(first?.result.total ?? found.total)),
      moreThanAverage: money(moreThanAverage.get(candidate.id) ?? ZERO),
    })),
    differing:
      first && second
        ? mostDiffering(pricing, world, [first.candidate, second.candidate], MOST_DIFFERING).map(({ at, more }) => ({
            month: result.months[monthOf(orders, at)] ?? '',
            value: valueAt(orders, at),
            stream: file.forecast.streams[orders.stream[at] ?? 0]?.label ?? '',
            more: money(decimal(more)),
          }))
        : [],
  };
}

function monthOf({ starts }: PastOrders, at: number): number {
  return starts.findIndex((_, month) => at < (starts[month + 1] ?? Infinity));
}
