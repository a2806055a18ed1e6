import { decimal } from '../amount/decimal';
import type { PageQuestion } from '../price-page/page-reading';
import type { StatedCharge, Statement } from '../price-phrase/statement';

type PerOrder = Extract<StatedCharge, { how: 'per-order' }>;

/**
 * What stands on a sheet where a question about fees was left open: that there is one, at a rate that is not known. Without
 * it the plan would seem to take nothing.
 *
 * @returns nothing where an answer may be that there is no fee, or for questions about anything else
 */
export function leftOpen({ options, plans }: PageQuestion): Array<{ readonly plan: string; readonly statement: Statement }> {
  return plans.flatMap((plan) => {
    const fees = options.map(({ statements }) => statements.flatMap((one) => (one.plan === plan ? perOrder(one.statement) : [])));
    const [first, ...others] = fees.flat();
    if (!first || fees.some((one) => one.length === 0)) return [];
    const only = others.reduce((common, { only: next }) => (isSame(common, next) ? common : undefined), first.only);
    const { label, bucket } = first;
    const isOneName = others.every((other) => other.label === label);
    const charge: StatedCharge = {
      label: isOneName ? label : 'Card fee',
      how: 'per-order',
      percent: null,
      ...(bucket === undefined ? {} : { bucket }),
      ...(only === undefined ? {} : { only }),
    };
    return [{ plan, statement: { kind: 'charge', charge } }];
  });
}

function perOrder(statement: Statement): PerOrder[] {
  return statement.kind === 'charge' && statement.charge.how === 'per-order' ? [statement.charge] : [];
}

function isSame(one: StatedCharge['only'], other: StatedCharge['only']): boolean {
  return JSON.stringify([one?.channels, one?.cards, one?.payments]) === JSON.stringify([other?.channels, other?.cards, other?.payments]);
}

/**
 * An answered fee beside one for cards from abroad counts for all others: nobody pays both. What is less than the answered
 * one comes on top of it.
 *
 * @param facts - what the page states of the same plan for certain
 */
export function besideAbroad(statement: Statement, facts: ReadonlyArray<{ readonly statement: Statement }>): Statement {
  const [fee] = perOrder(statement);
  if (!fee || fee.bucket !== 'payment' || fee.only !== undefined || !fee.percent) return statement;
  const least = decimal(fee.percent);
  const isOther = facts.some((fact) =>
    perOrder(fact.statement).some(
      ({ bucket, only, percent }) =>
        bucket === 'payment' && only?.cards?.includes('international') && percent && decimal(percent).gt(least),
    ),
  );
  return isOther ? { kind: 'charge', charge: { ...fee, only: { cards: ['domestic'] } } } : statement;
}
