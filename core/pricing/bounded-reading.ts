import { minorDigits, roundMoney } from '../amount/currencies';
import { decimal, type Decimal } from '../amount/decimal';
import type { Bands, Expression, ExpressionName, Orders, Quantity } from '../rules/expression/expression';
import {
  bandBounds,
  type Bounded,
  bounded,
  boundedConstant,
  combinedBounds,
  dividedBounds,
  greaterBounds,
  lesserBounds,
  minusBounds,
  nothing,
  packageBounds,
  plusBounds,
  roundedBounds,
  timesBounds,
} from './bounded-values';
import { countedShare, exactConstant, figureValue, type ReadingWorld } from './constant-values';

/**
 * Reads expressions in floating point, with how far each value may be off. Most lines can be rounded for certain from
 * that; where one cannot, exact decimals have to say.
 */
export interface BoundedReading {
  /** What an expression rounds to in every month, in whole minor units of a currency; NaN where this cannot say. */
  rounded(expression: Expression, currency: string): Float64Array;
}

/** Prepares a reading for somebody who joins in the first month. */
export function boundedReading(world: ReadingWorld): BoundedReading {
  const reader = new Reader(world);
  return { rounded: (expression, currency) => roundedBounds(reader.read(expression), minorDigits(currency)) };
}

type Read<Name extends ExpressionName> = (reader: Reader, expression: Extract<Expression, { is: Name }>) => Bounded;

class Reader {
  private readonly known = new WeakMap<Expression, Bounded>();
  private readonly counted = new Map<string, Bounded>();
  private readonly series = new WeakMap<readonly Decimal[], Bounded>();
  readonly months: number;

  constructor(readonly world: ReadingWorld) {
    this.months = world.forecast.months.length;
  }

  read(expression: Expression): Bounded {
    const found = this.known.get(expression);
    if (found) return found;
    const read = READINGS[expression.is] as Read<ExpressionName>;
    const values = read(this, expression);
    this.known.set(expression, values);
    return values;
  }

  /** What is counted alike is added up once. */
  count(key: string, add: () => Bounded): Bounded {
    const found = this.counted.get(key) ?? add();
    this.counted.set(key, found);
    return found;
  }

  of(months: readonly Decimal[]): Bounded {
    const found = this.series.get(months) ?? bounded(months, this.months);
    this.series.set(months, found);
    return found;
  }

  constant(amount: Decimal): Bounded {
    return boundedConstant(amount, this.months);
  }

  sum(parts: readonly Bounded[]): Bounded {
    const [first, ...others] = parts;
    return others.reduce((sum, part) => combinedBounds(sum, part, plusBounds), first ?? nothing(this.months));
  }

  /** Goes through the months of one, with what was before. */
  each({ values, off }: Bounded, of: (month: number, value: number, off: number) => readonly [value: number, off: number]): Bounded {
    const found = nothing(this.months);
    for (let month = 0; month < this.months; month++) {
      const [value, least] = of(month, values[month] ?? 0, off[month] ?? 0);
      found.values[month] = value;
      found.off[month] = least;
    }
    return found;
  }
}

const READINGS: { readonly [Name in ExpressionName]: Read<Name> } = {
  figure: (reader, one) => reader.constant(figureValue(one)),
  rate: (reader, { currency }) => reader.constant(reader.world.rate(currency)),
  orders: (reader, one) => reader.count(`${one.of.key} ${one.stream} ${one.value}`, () => countedOrders(reader, one)),
  'order-value': (reader, { stream, value }) => {
    const found = reader.world.forecast.streams[stream];
    return found ? reader.of(value === 'net' ? found.netOrderValue : found.orderValue) : nothing(reader.months);
  },
  quantity: (reader, one) => quantityMonths(reader, one),
  sum: (reader, { of }) => reader.sum(of.map((part) => reader.read(part))),
  difference: (reader, { of, less }) => combinedBounds(reader.read(of), reader.read(less), minusBounds),
  product: (reader, { of, times }) => combinedBounds(reader.read(of), reader.read(times), timesBounds),
  quotient: (reader, { of, by }) => combinedBounds(reader.read(of), reader.read(by), dividedBounds),
  proportion: (reader, { of, part, whole }) => proportion(reader, reader.read(of), reader.read(part), reader.read(whole)),
  'at-least': (reader, { of, bound }) => combinedBounds(reader.read(of), reader.read(bound), greaterBounds),
  'at-most': (reader, { of, bound }) => combinedBounds(reader.read(of), reader.read(bound), lesserBounds),
  packages: (reader, { of, size }) => combinedBounds(reader.read(of), reader.read(size), packageBounds),
  bands: (reader, one) => bandMonths(reader, one),
  'so-far': (reader, { of }) => soFar(reader, reader.read(of)),
  increase: (reader, { of }) => {
    const { values, off } = reader.read(of);
    const before: Bounded = { values: shifted(values), off: shifted(off) };
    return combinedBounds({ values, off }, before, minusBounds);
  },
  'last-months': (reader, { of, months }) => lastMonths(reader, reader.read(of), months),
  between: (reader, { of, from, until }) => {
    const calendar = reader.world.forecast.months;
    const isIn = (month: string) => (from === null || month >= from) && (until === null || month <= until);
    return reader.each(reader.read(of), (month, value, off) => (isIn(calendar[month] ?? '') ? [value, off] : [0, 0]));
  },
  'used-up': (reader, { credit, bills }) => usedUp(reader, reader.read(credit), reader.read(bills)),
  rounded: (reader, { of, currency }) => {
    const digits = minorDigits(currency);
    const whole = roundedBounds(reader.read(of), digits);
    return reader.each(reader.read(of), (month) => {
      const value = (whole[month] ?? NaN) / 10 ** digits;
      return Number.isNaN(value) ? [0, Infinity] : [value, Math.abs(value) * 2 ** -52];
    });
  },
  payments: (reader, { due }) => {
    const months = new Array<Decimal>(reader.months).fill(decimal(0));
    for (const { month, price, currency } of due)
      months[month] = (months[month] ?? decimal(0)).plus(roundMoney(exactConstant(price), currency));
    return bounded(months, reader.months);
  },
};

function shifted(values: Float64Array): Float64Array {
  const before = new Float64Array(values.length);
  before.set(values.subarray(0, -1), 1);
  return before;
}

function countedOrders(reader: Reader, { of, stream: only, value }: Orders): Bounded {
  const parts = reader.world.forecast.streams.flatMap((stream, place) => {
    if (only !== null && place !== only) return [];
    const share = countedShare(of, stream, place);
    if (share.isZero()) return [];
    const counted = combinedBounds(reader.of(stream.orders), reader.constant(share), timesBounds);
    return [
      value === null
        ? counted
        : combinedBounds(counted, reader.of(value === 'net' ? stream.netOrderValue : stream.orderValue), timesBounds),
    ];
  });
  return reader.sum(parts);
}

function quantityMonths(reader: Reader, { id, streams }: Quantity): Bounded {
  const { forecast } = reader.world;
  if (streams === null) {
    const found = forecast.quantities.get(id);
    return found ? reader.of(found) : nothing(reader.months);
  }
  return reader.sum(
    streams.flatMap((place) => (forecast.streams[place]?.subscribers ? [reader.of(forecast.streams[place].subscribers)] : [])),
  );
}

/** A sum by the part of its months that counts; nothing where there is nothing to be a part of. */
function proportion(reader: Reader, of: Bounded, part: Bounded, whole: Bounded): Bounded {
  const counted = combinedBounds(combinedBounds(of, part, timesBounds), whole, dividedBounds);
  return reader.each(counted, (month, value, off) => (whole.values[month] === 0 && whole.off[month] === 0 ? [0, 0] : [value, off]));
}

function bandMonths(reader: Reader, { of, how, bands }: Bands): Bounded {
  const numbers = bands.map(({ upTo, each, percent, flat }) => ({
    upTo: upTo ? figureValue(upTo).toNumber() : Infinity,
    rate: figureValue(each).plus(figureValue(percent)).toNumber(),
    flat: figureValue(flat).toNumber(),
  }));
  return bandBounds(reader.read(of), numbers, how);
}

function soFar(reader: Reader, of: Bounded): Bounded {
  let [sum, sumOff] = [0, 0];
  return reader.each(of, (_, value, off) => {
    sum += value;
    sumOff += off + Math.abs(sum) * 2 ** -52;
    return [sum, sumOff];
  });
}

function lastMonths(reader: Reader, of: Bounded, months: number): Bounded {
  return reader.each(of, (month) => {
    let [sum, off] = [0, 0];
    for (let before = Math.max(0, month - months + 1); before <= month; before++) {
      sum += of.values[before] ?? 0;
      off += (of.off[before] ?? 0) + Math.abs(sum) * 2 ** -52;
    }
    return [sum, off];
  });
}

function usedUp(reader: Reader, credit: Bounded, bills: Bounded): Bounded {
  let [balance, balanceOff] = [0, 0];
  return reader.each(bills, (month, bill, billOff) => {
    const used = Math.min(bill, balance);
    const off = Math.max(billOff, balanceOff);
    balance = balance - used + (credit.values[month] ?? 0);
    balanceOff += off + (credit.off[month] ?? 0) + (Math.abs(balance) + Math.abs(used)) * 2 ** -51;
    return [used, off];
  });
}
