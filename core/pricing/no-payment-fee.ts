import type { Candidate } from '../decision-file/candidate-schema';
import { existsIn } from '../rules/charges/charge-rule';
import { type CandidateCharge, candidateCharges } from './candidate-charges';
import { forecastWith, type Pricing } from './pricing';
import { countsCard, processingOf } from './processing';

/**
 * Streams with orders of which, in some month with orders, some kind of card meets no payment charge that exists then,
 * known or not: most likely the fee was forgotten (decision file §7, `noPaymentFee`).
 *
 * @returns ids of streams, in file order
 */
export function streamsWithoutPaymentFee(pricing: Pricing, candidate: Candidate): string[] {
  const processing = processingOf(candidate);
  const fees = candidateCharges(pricing, candidate).filter(isPaymentFee);
  const { streams, months } = forecastWith(pricing, candidate);
  return streams
    .filter((stream) => {
      const used = stream.cards.filter(([, share]) => share.gt(0));
      return used.some(([card]) => {
        const withOrders = months.filter((_, month) => stream.orders[month]?.gt(0) && (stream.cardsByMonth?.[month]?.has(card) ?? true));
        const counting = fees.filter(({ charge, owner }) => countsCard(charge, owner, processing, stream, card));
        return withOrders.some((month) => !counting.some(({ charge }) => existsIn(charge, month)));
      });
    })
    .map(({ stream }) => stream.id);
}

function isPaymentFee({ charge }: CandidateCharge): boolean {
  return charge.bucket === 'payment' && !charge.credit && ['orders', 'sales'].includes(charge.on ?? 'orders');
}
