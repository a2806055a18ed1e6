import type { Expression, Figure, FigurePlace } from './expression';

/** A constant of a rule. */
export function constant(value: string): Figure {
  return { is: 'figure', value, isPercent: false, at: null };
}

export const NOTHING: Figure = constant('0');
const ALL: Figure = constant('1');

/** Whether it is nothing for good; a figure of a document can be changed, and stays where it is. */
function isNothing(one: Expression): boolean {
  return one === NOTHING;
}

/**
 * A figure that is stated in a document.
 *
 * @param value - a decimal; what is not stated counts as `otherwise`
 */
export function figure(value: string | null | undefined, at: FigurePlace, otherwise = '0'): Figure {
  return { is: 'figure', value: value ?? otherwise, isPercent: false, at };
}

/** A percentage that is stated in a document, worth a hundredth of what is written. */
export function percentage(value: string | null | undefined, at: FigurePlace): Figure {
  return { is: 'figure', value: value ?? '0', isPercent: true, at };
}

/** The sum of expressions; what is nothing is left out. */
export function sumOf(...parts: readonly Expression[]): Expression {
  const counted = parts.filter((part) => !isNothing(part));
  const [first, ...others] = counted;
  if (!first) return NOTHING;
  return others.length === 0 ? first : { is: 'sum', of: counted };
}

export function difference(of: Expression, less: Expression): Expression {
  return isNothing(less) ? of : { is: 'difference', of, less };
}

export function product(of: Expression, times: Expression): Expression {
  if (isNothing(of) || isNothing(times)) return NOTHING;
  if (times === ALL) return of;
  return { is: 'product', of, times };
}

export function quotient(of: Expression, by: Expression): Expression {
  return isNothing(of) ? NOTHING : { is: 'quotient', of, by };
}

export function atLeast(of: Expression, bound: Expression): Expression {
  return { is: 'at-least', of, bound };
}

export function atMost(of: Expression, bound: Expression): Expression {
  return { is: 'at-most', of, bound };
}

/** What is left of a quantity after an allowance, never below nothing. */
export function beyond(of: Expression, free: Expression): Expression {
  return isNothing(free) ? of : atLeast(difference(of, free), NOTHING);
}

/** How much a running amount grew in a month. */
export function increase(of: Expression): Expression {
  return { is: 'increase', of };
}

/** The sum of all months up to one, since the candidate was joined. */
export function soFar(of: Expression): Expression {
  return { is: 'so-far', of };
}
