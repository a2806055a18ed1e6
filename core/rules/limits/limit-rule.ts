import type { Expression } from '../expression/expression';

/** The most a plan or a charge allows in a month (decision file §4, bands; §6). */
export interface LimitRule {
  /** What is reported when it is exceeded: the limit's name, `NAME/year`, or the id of the charge that sets it. */
  readonly limit: string;
  /** Id of the quantity it is about. */
  readonly quantity: string;
  readonly counted: Expression;
  readonly most: Expression;
}

/** Months that a yearly limit adds up. */
const YEAR = 12;

/** A limit on what is counted in a month. */
export function monthlyLimit(quantity: string, counted: Expression, most: Expression): LimitRule {
  return { limit: quantity, quantity, counted, most };
}

/** A limit on what the last twelve months add up to (decision file §6, `yearlyLimits`). */
export function yearlyLimit(quantity: string, counted: Expression, most: Expression): LimitRule {
  return { limit: `${quantity}/year`, quantity, counted: { is: 'last-months', of: counted, months: YEAR }, most };
}
