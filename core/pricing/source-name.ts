import type { Candidate } from '../decision-file/candidate-schema';
import { termWords } from '../wording/term-words';
import type { LineSource } from './ledger-line';
import { findTerm } from './payment-schedule';
import { partOf, type Pricing } from './pricing';

/** What a ledger line is for, by the names on the price sheets. */
export function sourceName(pricing: Pricing, candidate: Candidate, source: LineSource): string {
  switch (source.kind) {
    case 'term': {
      const terms = source.owner === 'plan' ? pricing.plan(source.id).plan.terms : (pricing.addon(source.id).terms ?? []);
      return `${partName(pricing, source.owner, source.id)}, paid ${termWords(findTerm(terms, source.term).months)}`;
    }
    case 'joining-fee':
      return `${partName(pricing, 'plan', source.plan)}, ${pricing.plan(source.plan).plan.once?.[source.index]?.label || 'on joining'}`;
    case 'charge': {
      const { charges } = partOf(pricing, source.owner, source.id);
      return `${partName(pricing, source.owner, source.id)}, ${charges?.find(({ id }) => id === source.charge)?.label || source.charge}`;
    }
    case 'extra':
      return candidate.extras?.[source.index]?.label ?? 'another cost';
    case 'time':
      return 'own hours';
    case 'tax':
      return 'tax on fees';
  }
}

/** A plan with its vendor, an add-on or a processor, by name. */
export function partName(pricing: Pricing, owner: 'plan' | 'addon' | 'processor', id: string): string {
  if (owner === 'addon') return pricing.addon(id).label || id;
  if (owner === 'processor') return pricing.processor(id).label || id;
  const { offer, plan } = pricing.plan(id);
  return `${offer.label || offer.vendor} ${plan.label}`.trim();
}
