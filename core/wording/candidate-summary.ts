import type { Candidate } from '../decision-file/candidate-schema';
import type { Workbench } from '../decision/workbench';
import { termWords } from './term-words';

/** What a candidate is put together from, in a few words: "by the month, with Club, Tallywell Pay". */
export function candidateSummary({ decision, sheets }: Workbench, candidate: Candidate): string {
  const offers = sheets.flatMap(({ sheet }) => (sheet.kind === 'offer' ? [sheet.offer] : []));
  const plans = offers.flatMap((offer) => offer.plans);
  const addons = [
    ...offers.flatMap((offer) => offer.addons ?? []),
    ...sheets.flatMap(({ sheet }) => (sheet.kind === 'addon' ? [sheet.addon] : [])),
  ];
  const processors = sheets.flatMap(({ sheet }) => (sheet.kind === 'processor' ? [sheet.processor] : []));
  const currencies = new Set<string>();
  const terms = candidate.plans.flatMap((used) => {
    const plan = plans.find(({ id }) => id === used.plan);
    if (plan && plan.currency !== decision.currency) currencies.add(plan.currency);
    const term = plan?.terms.find(({ id }) => id === used.term);
    return term ? [termWords(term.months)] : [];
  });
  const withAddons = (candidate.addons ?? []).flatMap((used) => addons.find(({ id }) => id === used.addon)?.label ?? []);
  const named = typeof candidate.payments === 'string' ? [candidate.payments] : (candidate.payments ?? []).map(({ use }) => use);
  const outside = named.flatMap((id) => processors.find((processor) => processor.id === id)?.label ?? []);
  const extras = candidate.extras?.length ?? 0;
  return [
    ...new Set(terms),
    ...(currencies.size > 0 ? [`in ${[...currencies].join(' and ')}`] : []),
    ...withAddons.map((name) => `with ${name}`),
    ...outside,
    ...(extras > 0 ? [`${extras} ${extras === 1 ? 'extra' : 'extras'}`] : []),
  ].join(', ');
}
