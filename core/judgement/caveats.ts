import { decimal } from '../amount/decimal';
import { bestCandidate, leadOver } from '../comparison/best';
import { bestTwo } from '../comparison/best-two';
import { priceDecision, type PricedDecision } from '../comparison/decision-result';
import type { Workbench } from '../decision/workbench';
import { comparedBy } from '../decision-file/compared-by';
import type { DecisionFile } from '../decision-file/schema';
import { offerEnds } from '../price-sheet/offer-ends';
import { lookAtOffers, withoutOffers } from '../what-if/offers';

type Basis = NonNullable<DecisionFile['basis']>;

/** What would make the first sentence mislead if nobody said it. */
export interface Caveats {
  /** Counting payments the other way, somebody else is best; null where nobody else is. */
  readonly otherBasis: { readonly basis: Basis; readonly candidate: string; readonly by: string } | null;
  /** Without special offers of the best candidate, somebody else is. */
  readonly offer: {
    /** Who is best without them; null where no candidate can be chosen. */
    readonly candidate: string | null;
    /** The day on which the first of them ends, where a price sheet says. */
    readonly ends: string | null;
  } | null;
}

/** Looks for what could mislead about the candidate that is best; amounts in base currency. */
export function caveatsOf(workbench: Workbench, priced: PricedDecision): Caveats {
  const best = bestCandidate(priced);
  if (best === null) return { otherBasis: null, offer: null };
  return { otherBasis: otherBasisOf(priced, best), offer: offerOf(workbench, priced, best) };
}

/** What is paid ahead for months past the horizon counts in one way and not in the other (decision file §3, Basis). */
function otherBasisOf({ pricing: { file } }: PricedDecision, best: string): Caveats['otherBasis'] {
  const basis: Basis = (file.basis ?? 'paid') === 'paid' ? 'spread' : 'paid';
  const other = priceDecision({ ...file, basis });
  const first = bestCandidate(other);
  const resultOf = (id: string) => other.result.candidates.find((one) => one.id === id);
  const [winner, former] = [first === null ? undefined : resultOf(first), resultOf(best)];
  if (first === null || first === best || !winner || !former) return null;
  const by = leadOver(winner, former, comparedBy(file), file.currency);
  return decimal(by).gt(0) ? { basis, candidate: first, by } : null;
}

function offerOf(workbench: Workbench, { pricing: { file } }: PricedDecision, best: string): Caveats['offer'] {
  const own = lookAtOffers(file, []).offers.filter(({ candidates }) => candidates.includes(best));
  if (own.length === 0) return null;
  const ids = own.map(({ id }) => id);
  const first = bestTwo(withoutOffers(file, ids))?.first ?? null;
  if (first === best) return null;
  const ends = own.flatMap(({ part, term }) => offerEnds(workbench, part, term) ?? []).sort();
  return { candidate: first, ends: ends[0] ?? null };
}
