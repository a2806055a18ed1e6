import type { Candidate } from '../decision-file/candidate-schema';
import { isChargeNotKnown } from '../rules/charges/charge-rule';
import type { Expression } from '../rules/expression/expression';
import type { LimitRule } from '../rules/limits/limit-rule';
import { candidateCharges } from '../pricing/candidate-charges';
import { unknownPrices } from '../pricing/ledger';
import { limitRules } from '../pricing/limits';
import { unmetMusts } from '../pricing/needs';
import { FROM_THE_START, type Joining, paymentSchedule } from '../pricing/payment-schedule';
import { isAgainstPlan, type PlanCredit, planCredits } from '../pricing/plan-credit';
import type { Pricing } from '../pricing/pricing';

/** What stays of a candidate whatever is sold: read once, so that thousands of levels can be looked at. */
export interface PreparedCandidate {
  readonly id: string;
  readonly candidate: Candidate;
  readonly payments: readonly PreparedPayment[];
  readonly hours: { readonly setup: number; readonly monthly: number };
  readonly charges: readonly PreparedCharge[];
  readonly limits: readonly LimitRule[];
  /** Whether every must is met and every price known. */
  readonly canBeChosen: boolean;
}

/** A payment that falls due whatever is sold; see `ScheduledPayment`. */
export interface PreparedPayment {
  readonly month: number;
  readonly covers: number;
  /** Whether what is not used comes back on leaving. */
  readonly prorated: boolean;
  readonly charged: number;
  readonly currency: string;
  readonly taxExcluded: boolean;
}

/** A charge as a candidate has it; candidates that have one exactly alike share its expression. */
export interface PreparedCharge {
  readonly amount: Expression;
  readonly currency: string;
  readonly taxExcluded: boolean;
  readonly isCredit: boolean;
  /** For a credit against the plan, by month of the payment: which part of it counts within the horizon; null for all of it. */
  readonly counting: Float64Array | null;
}

/** Reads every candidate of a decision once. */
export function prepareCandidates(pricing: Pricing, joining: Joining = FROM_THE_START): PreparedCandidate[] {
  return pricing.file.candidates.map((candidate) => prepareCandidate(pricing, candidate, joining));
}

/** Reads one candidate. */
export function prepareCandidate(pricing: Pricing, candidate: Candidate, joining: Joining = FROM_THE_START): PreparedCandidate {
  const known = candidateCharges(pricing, candidate).filter(({ charge }) => !isChargeNotKnown(charge));
  const { missing, unclear } = unmetMusts(pricing, candidate);
  const monthly = known
    .filter((one) => !isAgainstPlan(one))
    .map(({ charge, owner, rule }): PreparedCharge => {
      const { currency, taxExcluded } = owner;
      return { amount: rule.amount, currency, taxExcluded, isCredit: charge.credit === true, counting: null };
    });
  const credits = planCredits(pricing, candidate, known, joining).map((credit) => preparedCredit(pricing, credit));
  return {
    id: candidate.id,
    candidate,
    payments: paymentSchedule(pricing, candidate, joining).map(({ month, covers, prorated, charged, currency, taxExcluded }) => ({
      month,
      covers,
      prorated,
      charged: charged.toNumber(),
      currency,
      taxExcluded,
    })),
    hours: { setup: joining.moved ? 0 : Number(candidate.hours?.setup ?? '0'), monthly: Number(candidate.hours?.monthly ?? '0') },
    charges: [...monthly, ...credits],
    limits: limitRules(pricing, candidate),
    canBeChosen: missing.length === 0 && unclear.length === 0 && unknownPrices(pricing, candidate).length === 0,
  };
}

function preparedCredit({ file }: Pricing, { one: { owner }, used, payments }: PlanCredit): PreparedCharge {
  const counting = new Float64Array(file.months);
  for (const { month, covers } of payments) counting[month] = partWithin(file, month, covers);
  const { currency, taxExcluded } = owner;
  return { amount: used, currency, taxExcluded, isCredit: true, counting };
}

/** Which part of a payment counts within the horizon: all of it when it is paid, or what its months there are of all (decision file §3). */
export function partWithin({ basis, months }: Pricing['file'], month: number, covers: number): number {
  return basis === 'spread' && covers > 0 ? Math.min(covers, months - month) / covers : 1;
}
