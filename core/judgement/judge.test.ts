import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import { assembleDecisionFile } from '../assembly/assemble';
import { takeApart } from '../decision/take-apart';
import type { Workbench } from '../decision/workbench';
import { readDecisionFile } from '../decision-file/read';
import { fitTable } from '../fit/criteria';
import { fits } from '../fit/fit';
import type { DecisionNeed } from '../decision/need-schema';
import { decisionProposals } from '../proposals/decision-proposals';
import { USUAL_QUALITIES } from '../qualities/usual-qualities';
import { judge } from './work-out';

let next = 0;
const larkfell = takeApart(
  readDecisionFile(JSON.parse(readFileSync(new URL('../cases/13-larkfell.json', import.meta.url), 'utf8'))),
  () => `s${next++}`,
);

const FEATURES = ['gift-cards', 'staff', 'books', 'adverts'];
const valueArbitrary = fc.constantFrom<boolean | string | null | undefined>(true, false, null, undefined, '0', '3');
const needArbitrary: fc.Arbitrary<DecisionNeed> = fc.constantFrom<DecisionNeed>(
  { feature: 'gift-cards', level: 'must' },
  { feature: 'gift-cards', level: 'want', without: true, weight: '2' },
  { feature: 'staff', level: 'must', kind: 'at-least', least: '2' },
  { feature: 'staff', level: 'want', kind: 'at-least', least: '4', weight: '0' },
  { feature: 'books', level: 'want', kind: 'connects', to: 'books', direction: 'both' },
  { feature: 'books', level: 'must', kind: 'connects', to: 'books', direction: 'to', from: '2031-01' },
  { feature: 'adverts', level: 'must', without: true },
  { feature: 'adverts', level: 'want' },
);

/** The worked example with other answers, needs, sheets left out, and something owned. */
const benchArbitrary: fc.Arbitrary<Workbench> = fc
  .record({
    values: fc.array(valueArbitrary, { minLength: 24, maxLength: 24 }),
    needs: fc.uniqueArray(needArbitrary, { maxLength: 5 }),
    left: fc.array(fc.nat(5), { maxLength: 3 }),
    owned: fc.boolean(),
    candidates: fc.nat(5),
    sales: fc.boolean(),
  })
  .map(({ values, needs, left, owned, candidates, sales }) => {
    let at = 0;
    const features = () =>
      Object.fromEntries(
        ['gift-cards', 'staff', 'gives-books', 'adverts'].flatMap((feature) =>
          values[(at += 1) % values.length] === undefined ? [] : [[feature, values[at % values.length] ?? null]],
        ),
      );
    const sheets = larkfell.sheets
      .filter((_, index) => !left.includes(index))
      .map((used) =>
        used.sheet.kind === 'offer'
          ? {
              ...used,
              sheet: {
                ...used.sheet,
                offer: { ...used.sheet.offer, plans: used.sheet.offer.plans.map((plan) => ({ ...plan, features: features() })) },
              },
            }
          : used,
      );
    const decision = {
      ...larkfell.decision,
      needs,
      qualities: [...USUAL_QUALITIES],
      vendors: {},
      candidates: larkfell.decision.candidates.slice(0, candidates),
      ...(sales ? {} : { forecast: { streams: [] } }),
      ...(owned
        ? { owned: [{ id: 'own', label: 'own', features: [FEATURES[0] ?? ''], amount: '7', months: 3, paidUntil: '2027-08' }] }
        : {}),
    };
    return { decision, sheets };
  });

describe('what is worked out beside the interface', () => {
  it('has an answer whatever is answered, needed and left out; what is proposed is usable at just that total', () => {
    fc.assert(
      fc.property(benchArbitrary, (workbench) => {
        const proposals = decisionProposals(workbench);
        const made = [...proposals.vendors.flatMap(({ proposed }) => proposed ?? []), ...(proposals.pair ? [proposals.pair] : [])];
        const { file, heldBack } = assembleDecisionFile({
          ...workbench,
          decision: { ...workbench.decision, candidates: made.map((one, index) => ({ id: `P${index}`, label: 'p', ...one.made })) },
        });
        expect(heldBack).toEqual([]);
        const { candidates } = priceDecision(readDecisionFile(file)).result;
        for (const { id, total, usable, unknown } of candidates) {
          const proposed = made[Number(id.slice(1))];
          expect({ usable, unknown }).toEqual({ usable: true, unknown: [] });
          if (!workbench.decision.owned) expect(total).toBe(proposed?.total);
          expect(Number(total)).toBeGreaterThanOrEqual(Number(proposed?.total));
        }
        const { questions, firstPlaces } = judge(workbench, proposals);
        expect(questions.every(({ effect }) => effect.kind !== 'cheapest' || effect.by === null || Number(effect.by) > 0)).toBe(true);
        expect(firstPlaces.every(({ share }) => Number.isFinite(share))).toBe(true);
        expect(
          fits(fitTable(workbench, assembleDecisionFile(workbench).file)).every(
            ({ fit, most }) => fit >= 0 && most <= 100 + 1e-9 && fit <= most + 1e-9,
          ),
        ).toBe(true);
      }),
      { numRuns: 60 },
    );
  }, 60_000);
});
