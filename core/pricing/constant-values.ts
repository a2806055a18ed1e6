import { type Decimal, decimal, HUNDRED, ONE, ZERO } from '../amount/decimal';
import type { MonthlyForecast, StreamForecast } from '../forecast/forecast';
import type { CountedOrders, Expression, Figure, Orders } from '../rules/expression/expression';

/** What a reading depends on. */
export interface ReadingWorld {
  readonly forecast: MonthlyForecast;
  /** Base units for one unit of a currency. */
  rate(currency: string): Decimal;
  /** Orders that are counted, where they are past orders instead of expected ones (decision file §11). */
  counted?(orders: Orders): readonly Decimal[];
  /** What an expression comes to where that is known order by order; null for all others. */
  amountOf?(expression: Expression): readonly Decimal[] | null;
}

/** The value of an expression of figures alone, which is the same in every month. */
export function exactConstant(expression: Expression): Decimal {
  const value = constantOf(expression, () => ONE);
  if (value === null) throw new RangeError('This expression differs from month to month');
  return value;
}

/** The share of a stream's orders that is counted, a fraction. */
export function countedShare({ counts, withoutRefunded }: CountedOrders, { cards, refunded }: StreamForecast, place: number): Decimal {
  const share = cards.reduce((sum, [card, part]) => (counts(place, card) ? sum.plus(part) : sum), ZERO);
  return withoutRefunded ? share.times(ONE.minus(refunded)) : share;
}

const figures = new WeakMap<Figure, Decimal>();

/** What a figure is worth: a percentage a hundredth of what is written. */
export function figureValue(one: Figure): Decimal {
  const found = figures.get(one);
  if (found) return found;
  const value = one.isPercent ? decimal(one.value).div(HUNDRED) : decimal(one.value);
  figures.set(one, value);
  return value;
}

/** The value of what is the same in every month; null for everything else. */
export function constantOf(one: Expression, rate: (currency: string) => Decimal): Decimal | null {
  switch (one.is) {
    case 'figure':
      return figureValue(one);
    case 'rate':
      return rate(one.currency);
    case 'sum':
      return one.of.reduce<Decimal | null>((sum, part) => {
        const value = sum && constantOf(part, rate);
        return sum && value ? sum.plus(value) : null;
      }, ZERO);
    case 'difference':
      return both(one.of, one.less, rate, (a, b) => a.minus(b));
    case 'product':
      return both(one.of, one.times, rate, (a, b) => a.times(b));
    case 'quotient':
      return both(one.of, one.by, rate, (a, b) => a.div(b));
    default:
      return null;
  }
}

function both(
  a: Expression,
  b: Expression,
  rate: (currency: string) => Decimal,
  combine: (a: Decimal, b: Decimal) => Decimal,
): Decimal | null {
  const first = constantOf(a, rate);
  const second = first && constantOf(b, rate);
  return first && second ? combine(first, second) : null;
}
