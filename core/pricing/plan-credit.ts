import type { Candidate } from '../decision-file/candidate-schema';
import { difference } from '../rules/expression/build';
import type { Expression } from '../rules/expression/expression';
import type { CandidateCharge } from './candidate-charges';
import type { ExactReading } from './exact-reading';
import { type Joining, planPayments, type ScheduledPayment } from './payment-schedule';
import type { Pricing } from './pricing';

/** A credit that only pays for its plan (decision file §4, Credit against the plan). */
export interface PlanCredit {
  readonly one: CandidateCharge;
  /** What of it is used up in each month in which a payment of the plan falls due, in the plan's currency. */
  readonly used: Expression;
  readonly payments: readonly ScheduledPayment[];
}

/** Whether a charge is a credit that the plan's payments use up: it gives no line of its own in a month. */
export function isAgainstPlan({ charge }: Pick<CandidateCharge, 'charge'>): boolean {
  return charge.against === 'plan';
}

/** The credits of a candidate that pay for its plans; of several, each pays what those before it left. */
export function planCredits(pricing: Pricing, candidate: Candidate, charges: readonly CandidateCharge[], joining: Joining): PlanCredit[] {
  return candidate.plans.flatMap((_, entry) => {
    const credits = charges.filter((one) => isAgainstPlan(one) && one.owner.kind === 'plan' && one.entry === entry);
    if (credits.length === 0) return [];
    const payments = planPayments(pricing, candidate, entry, joining);
    let bills: Expression = { is: 'payments', due: payments.map(({ month, price, currency }) => ({ month, price, currency })) };
    return credits.map((one) => {
      const credit: Expression = { is: 'rounded', of: one.rule.amount, currency: one.owner.currency };
      const used: Expression = { is: 'used-up', credit, bills };
      bills = difference(bills, used);
      return { one, used, payments };
    });
  });
}

/** What credits take off the payments they pay for, as payments in the seller's favour that count where those do. */
export function creditPayments(credits: readonly PlanCredit[], reading: ExactReading): ScheduledPayment[] {
  return credits.flatMap(({ one: { charge, owner }, used, payments }) => {
    const amounts = reading.of(used);
    return payments.flatMap((payment): ScheduledPayment[] => {
      const amount = amounts[payment.month];
      if (!amount || amount.isZero()) return [];
      return [
        {
          ...payment,
          charged: amount.neg(),
          bucket: 'credit',
          source: { kind: 'charge', owner: owner.kind, id: owner.id, charge: charge.id },
          taxExcluded: owner.taxExcluded,
        },
      ];
    });
  });
}
