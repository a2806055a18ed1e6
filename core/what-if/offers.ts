import { decimal } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import { inOrder, leadOver } from '../comparison/best';
import { runnerUpOf, vendorsOf } from '../comparison/vendors';
import { priceDecision, type PricedDecision } from '../comparison/decision-result';
import { comparedBy } from '../decision-file/compared-by';
import type { Term } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';

/** A special offer that candidates of a decision rest on: an introductory price. */
export interface SpecialOffer {
  /** `part term`, as in {@link withoutOffers}. */
  readonly id: string;
  readonly part: string;
  readonly term: string;
  readonly label: string;
  readonly candidates: readonly string[];
  /** What it saves its cheapest candidate over the horizon. */
  readonly saves: string;
  /** Who is cheapest without it, all others as they are, and by how much; null for nobody. */
  readonly without: Lead | null;
}

/** Who is cheapest, and by how much. */
export interface Lead {
  readonly first: string;
  readonly total: string;
  readonly second: string | null;
  readonly margin: string | null;
}

/** The special offers of a decision, and who would be cheapest with some of them off. */
export interface OffersLookedAt {
  readonly offers: readonly SpecialOffer[];
  readonly withAll: Lead | null;
  readonly withoutAll: Lead | null;
  /** With the offers off that were asked for. */
  readonly asAsked: Lead | null;
}

/**
 * Looks at every special offer on its own: whether the decision survives without it.
 *
 * @param off - ids of offers that are off in `asAsked`
 */
export function lookAtOffers(file: DecisionFile, off: readonly string[]): OffersLookedAt {
  const found = offersIn(file);
  const priced = priceDecision(file);
  const totalOf = (from: PricedDecision, id: string) => decimal(from.result.candidates.find((one) => one.id === id)?.total ?? '0');
  const offers = found.map((offer) => {
    const without = priceDecision(withoutOffers(file, [offer.id]));
    const savings = offer.candidates.map((id) => totalOf(without, id).minus(totalOf(priced, id)));
    const most = savings.reduce((a, b) => (b.gt(a) ? b : a), decimal('0'));
    return { ...offer, saves: moneyText(most, file.currency), without: leadIn(without) };
  });
  return {
    offers,
    withAll: leadIn(priced),
    withoutAll: leadIn(
      priceDecision(
        withoutOffers(
          file,
          found.map(({ id }) => id),
        ),
      ),
    ),
    asAsked: leadIn(off.length === 0 ? priced : priceDecision(withoutOffers(file, off))),
  };
}

/** Who is best in a priced decision, and by how much. */
export function leadIn({ result, pricing }: PricedDecision): Lead | null {
  const by = comparedBy(pricing.file);
  const ordered = inOrder(result.candidates, by);
  const [first] = ordered;
  if (!first) return null;
  const second = runnerUpOf(ordered, vendorsOf(pricing.file));
  return {
    first: first.id,
    total: first.total,
    second: second?.id ?? null,
    margin: second ? leadOver(first, second, by, pricing.file.currency) : null,
  };
}

type Sold = { id: string; label: string; terms?: Term[] | undefined };

/** The special offers that candidates of a decision rest on. */
export function offersIn({ offers, addons = [], candidates }: DecisionFile): Array<Omit<SpecialOffer, 'saves' | 'without'>> {
  const sold = [
    ...offers.flatMap((offer) =>
      [...offer.plans, ...(offer.addons ?? [])].map((part) => ({ part, owner: `${offer.label} ${part.label}`.trim() })),
    ),
    ...addons.map((part) => ({ part, owner: part.label })),
  ];
  return sold.flatMap(({ part, owner }) =>
    (part.terms ?? []).flatMap((term) => {
      const users = candidates.filter(
        ({ plans, addons: taken = [] }) =>
          plans.some((one) => one.plan === part.id && one.term === term.id) ||
          taken.some((one) => one.addon === part.id && one.term === term.id),
      );
      return term.intro && users.length > 0
        ? [{ id: `${part.id} ${term.id}`, part: part.id, term: term.id, label: owner, candidates: users.map(({ id }) => id) }]
        : [];
    }),
  );
}

/** A decision file in which some special offers are not there: the renewal price holds from the start. */
export function withoutOffers(file: DecisionFile, ids: readonly string[]): DecisionFile {
  const plain = <Part extends Sold>(part: Part): Part => ({
    ...part,
    ...(part.terms
      ? {
          terms: part.terms.map((term) => {
            if (!ids.includes(`${part.id} ${term.id}`)) return term;
            const { intro: _offer, ...rest } = term;
            return rest;
          }),
        }
      : {}),
  });
  return {
    ...file,
    offers: file.offers.map((offer) => ({
      ...offer,
      plans: offer.plans.map(plain),
      ...(offer.addons ? { addons: offer.addons.map(plain) } : {}),
    })),
    ...(file.addons ? { addons: file.addons.map(plain) } : {}),
  };
}
