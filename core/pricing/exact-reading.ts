import { Decimal, ONE, plus, withoutDivisionResidue, ZERO } from '../amount/decimal';
import { minorDigits, roundLine, roundMoney } from '../amount/currencies';
import { runsOverMonths } from '../rules/expression/parts';
import { MinorAmount } from '../amount/minor-amount';
import type { Bands, Expression, ExpressionName, Orders, Quantity, RatedBand } from '../rules/expression/expression';
import { type BoundedReading, boundedReading } from './bounded-reading';
import { constantOf, countedShare, exactConstant, figureValue, type ReadingWorld } from './constant-values';

type Months = readonly Decimal[];

/** Reads expressions in exact decimals, for one forecast. */
export interface ExactReading {
  /** What an expression comes to in every month of the horizon. */
  of(expression: Expression): Months;
  /** The same, rounded to the minor unit of a currency (decision file §5, Rounding). */
  rounded(expression: Expression, currency: string): readonly MinorAmount[];
  /** The same for somebody who joined in a month: what runs over months begins there, and nothing was before. */
  joinedIn(month: number): ExactReading;
}

/** Prepares a reading; what was worked out once is kept with it. */
export function exactReading(world: ReadingWorld): ExactReading {
  return readingOf(new Reader(world, 0, null));
}

function readingOf(whole: Reader): ExactReading {
  const reading: ExactReading = {
    of: (expression) => whole.read(expression),
    rounded: (expression, currency) => whole.rounded(expression, currency),
    joinedIn(month) {
      if (month === 0) return reading;
      const reader = new Reader(whole.world, month, whole);
      return { ...reading, of: (expression) => reader.read(expression), rounded: (one, currency) => reader.rounded(one, currency) };
    },
  };
  return reading;
}

type Read<Name extends ExpressionName> = (reader: Reader, expression: Extract<Expression, { is: Name }>) => Months;

class Reader {
  private readonly known = new WeakMap<Expression, Months>();
  private readonly counted = new Map<string, Months>();
  private readonly quick: BoundedReading;
  readonly months: number;

  constructor(
    readonly world: ReadingWorld,
    readonly joined: number,
    private readonly whole: Reader | null,
  ) {
    this.months = world.forecast.months.length;
    this.quick = whole?.quick ?? boundedReading(world);
  }

  read(expression: Expression): Months {
    if (this.whole && !runsOverMonths(expression)) return this.whole.read(expression);
    const found = this.known.get(expression);
    if (found) return found;
    const byOrder = this.world.amountOf?.(expression);
    if (byOrder) {
      this.known.set(expression, byOrder);
      return byOrder;
    }
    const constant = constantOf(expression, (currency) => this.world.rate(currency));
    const read = READINGS[expression.is] as Read<ExpressionName>;
    const months = constant ? new Array<Decimal>(this.months).fill(constant) : read(this, expression);
    this.known.set(expression, months);
    return months;
  }

  /** Most months can be rounded for certain from floating point; for the others exact decimals are worked out. */
  rounded(expression: Expression, currency: string): MinorAmount[] {
    const digits = minorDigits(currency);
    const exactly = (month: number) => MinorAmount.of(roundLine(at(this.read(expression), month), currency), digits);
    // Past orders are added up one by one: floating point has no part in that.
    if (this.world.counted || (this.whole && runsOverMonths(expression)))
      return Array.from({ length: this.months }, (_, month) => exactly(month));
    const units = this.quick.rounded(expression, currency);
    return Array.from(units, (whole, month) => (Number.isNaN(whole) ? exactly(month) : MinorAmount.ofUnits(whole, digits)));
  }

  /** What is counted alike is added up once. */
  count(key: string, add: () => Months): Months {
    const found = this.counted.get(key) ?? add();
    this.counted.set(key, found);
    return found;
  }

  each(value: (month: number) => Decimal): Decimal[] {
    return Array.from({ length: this.months }, (_, month) => value(month));
  }

  constant(expression: Expression): Decimal | null {
    return constantOf(expression, (currency) => this.world.rate(currency));
  }
}

const READINGS: { readonly [Name in ExpressionName]: Read<Name> } = {
  figure: (reader, one) => reader.each(() => figureValue(one)),
  rate: (reader, { currency }) => reader.each(() => reader.world.rate(currency)),
  orders: (reader, one) =>
    reader.count(`${one.of.key} ${one.stream} ${one.value}`, () => reader.world.counted?.(one) ?? countedOrders(reader, one)),
  'order-value': ({ world }, { stream, value }) => {
    const found = world.forecast.streams[stream];
    return (value === 'net' ? found?.netOrderValue : found?.orderValue) ?? [];
  },
  quantity: (reader, one) => quantityMonths(reader, one),
  sum: (reader, { of }) => {
    const parts = of.map((part) => reader.read(part));
    return reader.each((month) => parts.reduce((sum, part) => plus(sum, at(part, month)), ZERO));
  },
  difference: (reader, { of, less }) => combined(reader, of, less, (a, b) => a.minus(b)),
  product: (reader, { of, times }) => combined(reader, of, times, (a, b) => (a.isZero() ? ZERO : a.times(b))),
  quotient: (reader, { of, by }) => combined(reader, of, by, (a, b) => (b.eq(ONE) ? a : a.div(b))),
  proportion: (reader, { of, part, whole }) => {
    const [amounts, parts, wholes] = [reader.read(of), reader.read(part), reader.read(whole)];
    return reader.each((month) => (at(wholes, month).isZero() ? ZERO : at(amounts, month).times(at(parts, month)).div(at(wholes, month))));
  },
  'at-least': (reader, { of, bound }) => combined(reader, of, bound, (a, b) => (a.lt(b) ? b : a)),
  'at-most': (reader, { of, bound }) => combined(reader, of, bound, (a, b) => (a.gt(b) ? b : a)),
  packages: (reader, { of, size }) => combined(reader, of, size, (a, b) => withoutDivisionResidue(a.div(b)).ceil()),
  bands: (reader, one) => bandMonths(reader, one),
  'so-far': (reader, { of }) => {
    let sum = ZERO;
    return reader.read(of).map((amount, month) => (month < reader.joined ? ZERO : (sum = plus(sum, amount))));
  },
  increase: (reader, { of }) => {
    const months = reader.read(of);
    return months.map((amount, month) => (month > reader.joined ? amount.minus(at(months, month - 1)) : amount));
  },
  'last-months': (reader, { of, months }) => {
    const parts = reader.read(of);
    return reader.each((month) => parts.slice(Math.max(0, month - months + 1), month + 1).reduce((sum, part) => plus(sum, part), ZERO));
  },
  between: (reader, { of, from, until }) => {
    const calendar = reader.world.forecast.months;
    const isIn = (month: string) => (from === null || month >= from) && (until === null || month <= until);
    return reader.read(of).map((amount, month) => (isIn(calendar[month] ?? '') ? amount : ZERO));
  },
  'used-up': (reader, { credit, bills }) => {
    const [credits, due] = [reader.read(credit), reader.read(bills)];
    let balance = ZERO;
    return reader.each((month) => {
      if (month < reader.joined) return ZERO;
      const used = Decimal.min(at(due, month), balance);
      balance = balance.minus(used).plus(at(credits, month));
      return used;
    });
  },
  rounded: (reader, { of, currency }) => reader.rounded(of, currency).map(({ decimal }) => decimal),
  payments: (reader, { due }) => {
    const months = new Array<Decimal>(reader.months).fill(ZERO);
    for (const { month, price, currency } of due) months[month] = at(months, month).plus(roundMoney(exactConstant(price), currency));
    return months;
  },
};

function at(months: Months, month: number): Decimal {
  return months[month] ?? ZERO;
}

function combined(reader: Reader, of: Expression, other: Expression, combine: (a: Decimal, b: Decimal) => Decimal): Months {
  const constant = reader.constant(other);
  const first = reader.read(of);
  if (constant) return first.map((amount) => combine(amount, constant));
  const second = reader.read(other);
  return reader.each((month) => combine(at(first, month), at(second, month)));
}

function countedOrders(reader: Reader, { of, stream: only, value }: Orders): Months {
  const { streams } = reader.world.forecast;
  const parts = streams.flatMap((stream, place) => {
    if (only !== null && place !== only) return [];
    const share = countedShare(of, stream, place);
    return share.isZero() ? [] : [{ stream, share }];
  });
  return reader.each((month) => {
    let sum = ZERO;
    for (const { stream, share } of parts) {
      const orders = at(stream.orders, month);
      const counted = share.eq(ONE) ? orders : orders.times(share);
      sum = plus(sum, value === null ? counted : counted.times(at(value === 'net' ? stream.netOrderValue : stream.orderValue, month)));
    }
    return sum;
  });
}

function quantityMonths(reader: Reader, { id, streams }: Quantity): Months {
  const { forecast } = reader.world;
  if (streams === null) return forecast.quantities.get(id) ?? reader.each(() => ZERO);
  const counted = streams.flatMap((place) => forecast.streams[place]?.subscribers ?? []);
  return counted.length === 0
    ? reader.each(() => ZERO)
    : reader.each((month) => streams.reduce((sum, place) => sum.plus(forecast.streams[place]?.subscribers?.[month] ?? ZERO), ZERO));
}

interface ExactBand {
  readonly upTo: Decimal | null;
  readonly rate: Decimal;
  readonly flat: Decimal;
}

function bandMonths(reader: Reader, { of, how, bands }: Bands): Months {
  const exact = bands.map(exactBand);
  const amount = how === 'graduated' ? graduatedAmount : volumeAmount;
  return reader.read(of).map((quantity) => amount(exact, withoutDivisionResidue(quantity)));
}

function exactBand({ upTo, each, percent, flat }: RatedBand): ExactBand {
  return { upTo: upTo && figureValue(upTo), rate: figureValue(each).plus(figureValue(percent)), flat: figureValue(flat) };
}

function graduatedAmount(bands: readonly ExactBand[], quantity: Decimal): Decimal {
  let amount = ZERO;
  let edge = ZERO;
  for (const [index, { upTo, rate, flat }] of bands.entries()) {
    if (quantity.lte(edge)) break;
    const top = upTo === null || index === bands.length - 1 || quantity.lt(upTo) ? quantity : upTo;
    amount = plus(plus(amount, plus(top, edge.neg()).times(rate)), flat);
    edge = upTo ?? edge;
  }
  return amount;
}

function volumeAmount(bands: readonly ExactBand[], quantity: Decimal): Decimal {
  const band = bands.find(({ upTo }) => upTo === null || quantity.lte(upTo)) ?? bands.at(-1);
  return band ? plus(quantity.times(band.rate), band.flat) : ZERO;
}
