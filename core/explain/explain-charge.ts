import { type Decimal, ZERO } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import { type CandidateCharge, candidateCharges } from '../pricing/candidate-charges';
import type { LedgerLine, LineSource } from '../pricing/ledger-line';
import { FROM_THE_START } from '../pricing/payment-schedule';
import { creditPayments, isAgainstPlan, planCredits } from '../pricing/plan-credit';
import { type Pricing, readingWith } from '../pricing/pricing';
import { isChargeNotKnown } from '../rules/charges/charge-rule';
import type { Expression } from '../rules/expression/expression';
import type { DerivedFrom } from './derivation';
import { partOfPayment } from './spread-part';

type ChargeSource = Extract<LineSource, { kind: 'charge' }>;

/** What a line comes from, and what it comes to before it is rounded, in the vendor's currency. */
export interface Derived {
  readonly what: DerivedFrom;
  readonly unrounded: Decimal;
}

/** Reads a charge's rule once more for one month, keeping what each step came to. */
export function explainCharge(pricing: Pricing, candidate: Candidate, source: ChargeSource, line: LedgerLine, scale: Decimal): Derived {
  const charges = candidateCharges(pricing, candidate);
  const found = charges.find(({ charge, owner }) => charge.id === source.charge && owner.id === source.id);
  if (!found) throw new RangeError(`There is no charge ${source.charge}`);
  if (isAgainstPlan(found)) return explainCredit(pricing, candidate, charges, found, line, scale);
  const { charge, rule } = found;
  const reading = readingWith(pricing, candidate, scale);
  const value = (expression: Expression) => reading.of(expression)[line.month] ?? ZERO;
  let before = value(rule.parts.amount);
  const held = rule.held.flatMap(({ by, amount }) => {
    const at = value(amount);
    const isHeld = !at.eq(before);
    before = at;
    return isHeld ? [{ by, at }] : [];
  });
  const amount = value(rule.amount);
  return { what: { kind: 'charge', charge, parts: rule.parts, value, held }, unrounded: charge.credit ? amount.neg() : amount };
}

function explainCredit(
  pricing: Pricing,
  candidate: Candidate,
  charges: readonly CandidateCharge[],
  { charge, owner }: CandidateCharge,
  line: LedgerLine,
  scale: Decimal,
): Derived {
  const known = charges.filter((one) => !isChargeNotKnown(one.charge));
  const credits = planCredits(pricing, candidate, known, FROM_THE_START);
  const payments = creditPayments(credits, readingWith(pricing, candidate, scale)).filter(
    ({ source }) => source.kind === 'charge' && source.charge === charge.id && source.id === owner.id,
  );
  const payment = payments.findLast(({ month }) => month <= line.month);
  if (!payment) throw new RangeError('This line is not one of the ledger');
  const { part, unrounded } = partOfPayment(pricing, payment, line.month);
  return { what: { kind: 'plan-credit', charge, used: payment.charged.neg(), part }, unrounded };
}
