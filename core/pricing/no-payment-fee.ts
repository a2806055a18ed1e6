import type { Candidate } from '../decision-file/candidate-schema';
import { candidateCharges } from './candidate-charges';
import { liftScale, type Pricing } from './pricing';
import { countsCard, processingOf } from './processing';

/**
 * Streams with orders of which some kind of card meets no payment charge, known or not: most likely the fee was
 * forgotten (decision file §7, `noPaymentFee`).
 *
 * @returns ids of streams, in file order
 */
export function streamsWithoutPaymentFee(pricing: Pricing, candidate: Candidate): string[] {
  const processing = processingOf(candidate);
  const fees = candidateCharges(pricing, candidate, processing).filter(
    ({ charge }) => charge.bucket === 'payment' && !charge.credit && ['orders', 'sales'].includes(charge.on ?? 'orders'),
  );
  return pricing
    .forecastAt(liftScale(candidate))
    .streams.filter(
      (stream) =>
        stream.orders.some((orders) => orders.gt(0)) &&
        stream.cards.some(
          ([card, share]) => share.gt(0) && !fees.some(({ charge, owner }) => countsCard(charge, owner, processing, stream, card)),
        ),
    )
    .map(({ stream }) => stream.id);
}
