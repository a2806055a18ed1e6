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
