import type { Expression } from './expression';

const running = new WeakMap<Expression, boolean>();

/** Whether an expression depends on the month in which the candidate is joined. */
export function runsOverMonths(one: Expression): boolean {
  const found = running.get(one);
  if (found !== undefined) return found;
  const isRunning = one.is === 'so-far' || one.is === 'increase' || one.is === 'used-up' || partsOf(one).some(runsOverMonths);
  running.set(one, isRunning);
  return isRunning;
}

/** The expressions that one is made of. */
export function partsOf(one: Expression): readonly Expression[] {
  switch (one.is) {
    case 'sum':
      return one.of;
    case 'difference':
      return [one.of, one.less];
    case 'product':
      return [one.of, one.times];
    case 'quotient':
      return [one.of, one.by];
    case 'proportion':
      return [one.of, one.part, one.whole];
    case 'at-least':
    case 'at-most':
      return [one.of, one.bound];
    case 'packages':
      return [one.of, one.size];
    case 'bands':
    case 'so-far':
    case 'increase':
    case 'last-months':
    case 'between':
    case 'rounded':
      return [one.of];
    case 'used-up':
      return [one.credit, one.bills];
    case 'figure':
    case 'rate':
    case 'orders':
    case 'order-value':
    case 'quantity':
    case 'payments':
      return [];
  }
}
