import { packagesFor } from '../scales/form-values';
import type { CountedOrders, Expression, ExpressionName, Figure, Orders } from '../rules/expression/expression';
import { monthsFrom } from '../calendar/month';
import { drawnBands, fillBands } from './band-lines';
import type { FutureStream, FutureWorld } from './future-world';
import { added, type Base, figureOf, fillFrom, type Linear, NOTHING, ofBase, ofFixed } from './linear';

/**
 * Expressions as a list of steps over months: a reading of them that is made once, and run for every future without making
 * anything new. What does not depend on the future is worked out when it is made, what is so many times something else is
 * no step at all, and what several candidates have alike is one step.
 */
export class MonthProgram {
  private readonly known = new Map<Expression, Linear>();
  private readonly counts = new Map<string, Base>();
  private readonly products = new Map<Base, Map<Base | Float64Array, Base>>();
  private readonly given = new Map<Float64Array, Base>();
  private readonly steps: Array<() => void> = [];
  private readonly summed = new Set<Base>();
  readonly months: number;

  /** @param openFigure - the months of a stated figure that nobody knows; null for all that are known */
  constructor(
    readonly world: FutureWorld,
    readonly openFigure: (figure: Figure) => Float64Array | null = () => null,
  ) {
    this.months = world.months;
  }

  /** Works everything out for what the world holds now. */
  run(): void {
    for (const step of this.steps) step();
    for (const base of this.summed) {
      const { values } = base;
      let sum = 0;
      for (let month = 0; month < values.length; month++) sum += values[month] ?? 0;
      base.sum = sum;
    }
  }

  of(expression: Expression): Linear {
    const found = this.known.get(expression);
    if (found) return found;
    const make = MAKERS[expression.is] as Make<ExpressionName>;
    const linear = make(this, expression);
    this.known.set(expression, linear);
    return linear;
  }

  /** The same linear, of which the sum over all months is wanted. */
  withSum(linear: Linear): Linear {
    for (const base of linear.terms.keys()) this.summed.add(base);
    return linear;
  }

  /** Months that somebody else fills. */
  filled(values: Float64Array): Linear {
    const base = this.given.get(values) ?? { values, sum: 0 };
    this.given.set(values, base);
    return ofBase(base);
  }

  /** Months that a step fills in every future. */
  following(step: (into: Float64Array) => void): Base {
    const base = { values: new Float64Array(this.months), sum: 0 };
    step(base.values);
    this.steps.push(() => step(base.values));
    return base;
  }

  /** What is counted alike is counted once. */
  counted(key: string, step: (into: Float64Array) => void): Linear {
    const found = this.counts.get(key) ?? this.following(step);
    this.counts.set(key, found);
    return ofBase(found);
  }

  fixed(value: number): Linear {
    return ofFixed(new Float64Array(this.months).fill(value));
  }

  /** The months of a linear: a base's own where it is just that. */
  valuesOf(linear: Linear): Float64Array {
    const [first, ...others] = linear.terms;
    if (!first) return linear.fixed ?? new Float64Array(this.months);
    if (others.length === 0 && first[1] === 1 && !linear.fixed) return first[0].values;
    return this.following((into) => fillFrom(linear, into)).values;
  }

  /** What a step makes of others; a fixed figure by month where none of them changes. */
  made(from: readonly Linear[], step: (into: Float64Array) => void): Linear {
    if (from.some(({ terms }) => terms.size > 0)) return ofBase(this.following(step));
    const values = new Float64Array(this.months);
    step(values);
    return ofFixed(values);
  }

  product(a: Linear, b: Linear): Linear {
    const [figure, other] = [figureOf(a) ?? figureOf(b), figureOf(a) === null ? a : b];
    if (figure !== null) return added(NOTHING, other, figure);
    // So many times something changing: each of its parts is, once for all that have it alike.
    const [single, parts] = a.terms.size === 1 && !a.fixed ? [a, b] : [b, a];
    const [only] = single.terms;
    if (only && single.terms.size === 1 && !single.fixed) {
      let product: Linear = NOTHING;
      if (parts.fixed) product = added(product, ofBase(this.productOf(only[0], parts.fixed)), only[1]);
      for (const [base, factor] of parts.terms) product = added(product, ofBase(this.productOf(only[0], base)), factor * only[1]);
      return product;
    }
    const [first, second] = [this.valuesOf(a), this.valuesOf(b)];
    return this.made([a, b], (into) => multiply(first, second, into));
  }

  private productOf(base: Base, by: Base | Float64Array): Base {
    const known = this.products.get(base) ?? new Map<Base | Float64Array, Base>();
    this.products.set(base, known);
    const values = by instanceof Float64Array ? by : by.values;
    const found = known.get(by) ?? this.following((into) => multiply(base.values, values, into));
    known.set(by, found);
    return found;
  }
}

function multiply(a: Float64Array, b: Float64Array, into: Float64Array): void {
  for (let month = 0; month < into.length; month++) into[month] = (a[month] ?? 0) * (b[month] ?? 0);
}

type Make<Name extends ExpressionName> = (program: MonthProgram, expression: Extract<Expression, { is: Name }>) => Linear;

const MAKERS: { readonly [Name in ExpressionName]: Make<Name> } = {
  figure: (program, figure) => {
    const [open, value] = [program.openFigure(figure), Number(figure.value)];
    if (open) return added(NOTHING, program.filled(open), figure.isPercent ? 0.01 : 1);
    return program.fixed(figure.isPercent ? value / 100 : value);
  },
  rate: (program, { currency }) => {
    const rates = program.world.rates.get(currency);
    return rates ? program.filled(rates) : program.fixed(1);
  },
  orders: countedOrders,
  'order-value': (program, { stream, value }) => {
    const found = program.world.streams[stream];
    return found ? program.filled(value === 'net' ? found.netOrderValue : found.orderValue) : NOTHING;
  },
  quantity: (program, { id, streams }) => {
    if (streams !== null)
      return program.counted(`subscribers ${streams.join(' ')}`, (into) => addSubscribers(program.world, streams, into));
    const found = program.world.quantities.get(id);
    return found ? program.filled(found) : NOTHING;
  },
  sum: (program, { of }) => of.reduce((sum, part) => added(sum, program.of(part)), NOTHING),
  difference: (program, { of, less }) => added(program.of(of), program.of(less), -1),
  product: (program, { of, times }) => program.product(program.of(of), program.of(times)),
  quotient: (program, { of, by }) => {
    const [divided, divisor] = [program.of(of), program.of(by)];
    const figure = figureOf(divisor);
    if (figure !== null) return added(NOTHING, divided, 1 / figure);
    return pairwise(program, divided, divisor, (a, b, into) => {
      for (let month = 0; month < into.length; month++) into[month] = (a[month] ?? 0) / (b[month] ?? 0);
    });
  },
  proportion: (program, { of, part, whole }) => {
    const linears = [of, part, whole].map((one) => program.of(one));
    const [ofs, parts, wholes] = linears.map((one) => program.valuesOf(one));
    return program.made(linears, (into) => {
      for (let month = 0; month < into.length; month++) {
        const all = wholes?.[month] ?? 0;
        into[month] = all === 0 ? 0 : ((ofs?.[month] ?? 0) / all) * (parts?.[month] ?? 0);
      }
    });
  },
  'at-least': (program, { of, bound }) =>
    pairwise(program, program.of(of), program.of(bound), (a, b, into) => {
      for (let month = 0; month < into.length; month++) into[month] = Math.max(a[month] ?? 0, b[month] ?? 0);
    }),
  'at-most': (program, { of, bound }) =>
    pairwise(program, program.of(of), program.of(bound), (a, b, into) => {
      for (let month = 0; month < into.length; month++) into[month] = Math.min(a[month] ?? 0, b[month] ?? 0);
    }),
  packages: (program, { of, size }) =>
    pairwise(program, program.of(of), program.of(size), (a, b, into) => {
      for (let month = 0; month < into.length; month++) into[month] = packagesFor(a[month] ?? 0, b[month] ?? 0);
    }),
  bands: (program, { of, how, bands }) => {
    const drawn = drawnBands(how, bands, program.openFigure);
    const linear = program.of(of);
    const values = program.valuesOf(linear);
    return program.made([linear, ...drawn.open.map((figure) => program.of(figure))], (into) => fillBands(drawn.now(), values, into));
  },
  'so-far': (program, { of }) =>
    overMonths(program, of, (values, into) => {
      let sum = 0;
      for (let month = 0; month < into.length; month++) into[month] = sum += values[month] ?? 0;
    }),
  increase: (program, { of }) =>
    overMonths(program, of, (values, into) => {
      for (let month = into.length - 1; month >= 0; month--)
        into[month] = (values[month] ?? 0) - (month === 0 ? 0 : (values[month - 1] ?? 0));
    }),
  'last-months': (program, { of, months }) =>
    overMonths(program, of, (values, into) => {
      for (let month = 0; month < into.length; month++) {
        let sum = 0;
        for (let at = Math.max(0, month - months + 1); at <= month; at++) sum += values[at] ?? 0;
        into[month] = sum;
      }
    }),
  between: (program, { of, from, until }) => {
    const { start, months } = program.world;
    const isIn = monthsFrom(start, months).map((name) => (from === null || name >= from) && (until === null || name <= until));
    return program.product(program.of(of), ofFixed(Float64Array.from(isIn, Number)));
  },
  'used-up': (program, { credit, bills }) =>
    pairwise(program, program.of(credit), program.of(bills), (credits, due, into) => {
      let balance = 0;
      for (let month = 0; month < into.length; month++) {
        const used = Math.min(due[month] ?? 0, balance);
        balance = balance - used + (credits[month] ?? 0);
        into[month] = used;
      }
    }),
  // Chances are about unrounded totals, as break-evens are (decision file §8).
  rounded: (program, { of }) => program.of(of),
  payments: (program, { due }) => {
    const prices = due.map(({ month, price }) => ({ month, linear: program.of(price), values: program.valuesOf(program.of(price)) }));
    return program.made(
      prices.map(({ linear }) => linear),
      (into) => {
        into.fill(0);
        for (const { month, values } of prices) into[month] = (into[month] ?? 0) + (values[month] ?? 0);
      },
    );
  },
};

function pairwise(
  program: MonthProgram,
  first: Linear,
  second: Linear,
  work: (a: Float64Array, b: Float64Array, into: Float64Array) => void,
): Linear {
  const [a, b] = [program.valuesOf(first), program.valuesOf(second)];
  return program.made([first, second], (into) => work(a, b, into));
}

function overMonths(program: MonthProgram, of: Expression, work: (values: Float64Array, into: Float64Array) => void): Linear {
  const linear = program.of(of);
  const values = program.valuesOf(linear);
  return program.made([linear], (into) => work(values, into));
}

function countedOrders(program: MonthProgram, { of, stream: only, value }: Orders): Linear {
  const { streams } = program.world;
  const counted = streams.flatMap((stream, place) => {
    if (only !== null && place !== only) return [];
    const kinds = stream.kinds.flatMap((kind, at) => (of.counts(place, kind) ? [at] : []));
    return kinds.length > 0 ? [{ stream, kinds }] : [];
  });
  return program.counted(`${of.key} ${only} ${value}`, (into) => {
    into.fill(0);
    for (const { stream, kinds } of counted) addOrders(stream, shareOf(stream, kinds, of), value, into);
  });
}

function shareOf({ shares, refunded }: FutureStream, kinds: readonly number[], { withoutRefunded }: CountedOrders): number {
  let share = 0;
  for (const at of kinds) share += shares[at] ?? 0;
  return withoutRefunded ? share * (1 - refunded) : share;
}

function addOrders(stream: FutureStream, share: number, value: Orders['value'], into: Float64Array): void {
  const { orders } = stream;
  if (value === null) {
    for (let month = 0; month < into.length; month++) into[month] = (into[month] ?? 0) + (orders[month] ?? 0) * share;
    return;
  }
  const values = value === 'net' ? stream.netOrderValue : stream.orderValue;
  for (let month = 0; month < into.length; month++) into[month] = (into[month] ?? 0) + (orders[month] ?? 0) * share * (values[month] ?? 0);
}

function addSubscribers({ streams }: FutureWorld, places: readonly number[], into: Float64Array): void {
  into.fill(0);
  for (const place of places)
    for (let month = 0; month < into.length; month++) into[month] = (into[month] ?? 0) + (streams[place]?.subscribers?.[month] ?? 0);
}
