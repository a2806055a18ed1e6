import { decimal, sum } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Offer } from '../decision-file/price-sheet-schema';

/** What offers take of the seller whichever plan it is: hours, extras and, of a single one, its lift (decision file §3, §10). */
export function takenBy(offers: readonly Offer[]): Pick<Candidate, 'hours' | 'extras' | 'lift'> {
  const [only, ...others] = offers;
  const extras = offers.flatMap((offer) => offer.extras ?? []);
  const hours = offers.flatMap((offer) => offer.hours ?? []);
  const added = (of: 'setup' | 'monthly') => sum(hours.map((one) => decimal(one[of] ?? '0'))).toFixed();
  return {
    ...(extras.length > 0 ? { extras } : {}),
    ...(hours.length > 0 ? { hours: { setup: added('setup'), monthly: added('monthly') } } : {}),
    ...(only?.lift !== undefined && others.length === 0 ? { lift: only.lift } : {}),
  };
}
