import type { ReactNode } from 'react';
import type { Lead, OffersLookedAt } from '#core/what-if/offers';
import type { Writer } from '../../locale/writer';
import { COMPARED_WORDS, type ComparedWords } from '../../locale/compared-words';

export function offersSentence(
  { offers, withAll, withoutAll }: OffersLookedAt,
  nameOf: (id: string | null) => string,
  write: Writer,
  compared: ComparedWords = COMPARED_WORDS.cost,
): string {
  const resting = offers.filter(({ without }) => without?.first !== withAll?.first);
  const all = offers.length === 1 ? 'the one special offer' : `any one of the ${offers.length} special offers`;
  if (resting.length > 0)
    return `Without ${resting.map(({ label }) => label).join(' or ')} the answer changes: then ${nameOf(resting[0]?.without?.first ?? null)} ${compared.leads}.`;
  if (withoutAll?.first !== withAll?.first)
    return `${nameOf(withAll?.first ?? null)} ${compared.staysBest} without ${all}, but not without all of them: then ${nameOf(withoutAll?.first ?? null)} ${compared.leads}.`;
  return `The decision survives: ${nameOf(withAll?.first ?? null)} ${compared.leads} without ${all}${offers.length > 1 ? `, and without all of them${marginWords(withoutAll, nameOf, write, compared)}` : ''}.`;
}

export function standingWords(
  standing: Lead | null,
  nameOf: (id: string | null) => string,
  write: Writer,
  compared: ComparedWords = COMPARED_WORDS.cost,
): string {
  return standing
    ? `${nameOf(standing.first)} ${compared.leads}, ${write.amount(standing.total)}${marginWords(standing, nameOf, write, compared)}.`
    : 'no candidate can be chosen.';
}

export function marginWords(
  standing: Lead | null,
  nameOf: (id: string | null) => string,
  write: Writer,
  compared: ComparedWords = COMPARED_WORDS.cost,
): string {
  return standing?.margin == null ? '' : `, ${write.amount(standing.margin)} ${compared.by} than ${nameOf(standing.second)}`;
}

export const screen = {
  offers: 'Offers',
  noCandidateRestsOnASpecial: 'No candidate rests on a special offer',
  noneOfThePlans:
    'None of the plans compared has an introductory price, so there is no offer that could be over. One that is typed on a price sheet, “1 each for the first 2 months” say, comes here by itself.',
  withTheOffersChosen: 'With the offers chosen',
  withEveryOffer: 'With every offer',
  thatOffer: 'that offer',
  those: (off: number) => `those ${off}`,
  without: (thatOffer: string) => `Without ${thatOffer}`,
  withoutAnyOffer: (withoutAll: string) => `Without any offer: ${withoutAll}`,
  withoutSpecialOffers: 'Without special offers',
  withoutOffers: (offers: string) => `Without ${offers}`,
  withoutAnOfferTheRenewal: 'Without an offer the renewal price holds from the first payment on. Trials and refunds stay as they are.',
  paid: (offer: ReactNode, months: string) => (
    <>
      {offer}, paid {months}
    </>
  ),
  ends: (ends: string) => `, ends ${ends}`,
  saves: (saves: string, ends: ReactNode) => (
    <>
      saves {saves}
      {ends}
    </>
  ),
  withoutIt: (name: string, stillLeads: string, without: string) => `Without it ${name} ${stillLeads}${without}.`,
  noCandidateCanBeChosen: 'no candidate can be chosen',
  theDecisionRestsOnItWithout: (noCandidateCan: string) => `The decision rests on it: without it ${noCandidateCan}.`,
};
