// The worked example with twenty candidates over 36 months: for the browser benchmark and the test of many columns.
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const CANDIDATES = 20;
const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/** The demo's decision file with candidates for further plans and terms, until there are twenty. */
export function wideLineUp() {
  const file = JSON.parse(readFileSync(fileURLToPath(new URL('../demo/larkfell-kites.json', import.meta.url)), 'utf8'));
  const taken = new Set(file.candidates.flatMap(({ plans }) => plans.map(({ plan, term }) => `${plan} ${term}`)));
  const free = file.offers.flatMap(({ label, plans }) =>
    plans.flatMap((plan) =>
      plan.terms.filter(({ price }) => price !== null).map((term) => ({ plan, term, label: `${label} ${plan.label}` })),
    ),
  );
  const candidates = [...file.candidates];
  for (const { plan, term, label } of free) {
    if (candidates.length === CANDIDATES) break;
    if (taken.has(`${plan.id} ${term.id}`)) continue;
    candidates.push({
      id: LETTERS[candidates.length],
      label: `${label}, ${term.months} months`,
      plans: [{ plan: plan.id, term: term.id }],
    });
  }
  return { ...file, name: 'Twenty candidates', months: 36, candidates };
}
