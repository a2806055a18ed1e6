import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import { assembleDecisionFile } from '../assembly/assemble';
import type { OfferSheet } from '../decision/price-sheet';
import type { Workbench } from '../decision/workbench';
import { withAnswer } from '../needs/edit-answers';
import type { DecisionNeed } from '../decision/need-schema';
import { smallDecision } from '../tests/small-decision';
import { decisionProposals } from './decision-proposals';
import { toFindOut } from './to-find-out';

const FEATURES = ['checkout', 'export', 'video'];
const value = fc.constantFrom<boolean | null | undefined>(true, true, false, null, undefined);
const plan = fc.record({
  price: fc.integer({ min: 1, max: 90 }).map(String),
  values: fc.array(value, { minLength: 3, maxLength: 3 }),
  staff: fc.option(fc.integer({ min: 1, max: 6 })),
});
const vendor = fc.record({
  plans: fc.array(plan, { minLength: 1, maxLength: 3 }),
  addon: fc.option(fc.record({ price: fc.integer({ min: 1, max: 30 }).map(String), feature: fc.constantFrom(...FEATURES) })),
});

function sheetOf(
  {
    plans,
    addon,
  }: {
    plans: ReadonlyArray<{ price: string; values: ReadonlyArray<boolean | null | undefined>; staff: number | null }>;
    addon: { price: string; feature: string } | null;
  },
  at: number,
): OfferSheet {
  const features = (values: ReadonlyArray<boolean | null | undefined>) =>
    Object.fromEntries(FEATURES.flatMap((feature, index) => (values[index] === undefined ? [] : [[feature, values[index] ?? null]])));
  return {
    kind: 'offer',
    offer: {
      id: `o${at}`,
      vendor: `V${at}`,
      label: `V${at}`,
      kind: 'k',
      plans: plans.map(({ price, values, staff }, index) => ({
        id: `o${at}p${index}`,
        label: `P${index}`,
        currency: 'EUR',
        terms: [{ id: 't', months: 1, price }],
        features: features(values),
        ...(staff === null ? {} : { limits: { staff: String(staff) } }),
      })),
      ...(addon
        ? {
            addons: [
              {
                id: `o${at}a`,
                label: 'A',
                currency: 'EUR',
                terms: [{ id: 't', months: 1, price: addon.price }],
                features: { [addon.feature]: true },
              },
            ],
          }
        : {}),
    },
  };
}

const benchArbitrary: fc.Arbitrary<Workbench> = fc
  .record({ vendors: fc.array(vendor, { minLength: 1, maxLength: 3 }), musts: fc.subarray(FEATURES, { minLength: 1 }) })
  .map(({ vendors, musts }) => ({
    decision: smallDecision({
      needs: musts.map((feature): DecisionNeed => ({ feature, level: 'must' })),
      forecast: { streams: [{ id: 's', label: 's', kind: 'goods', orders: '1', orderValue: '10' }], drivers: { staff: '3' } },
    }),
    sheets: vendors.map((one, at) => ({ id: `s${at}`, revision: 1, sheet: sheetOf(one, at) })),
  }));

const least = (workbench: Workbench) =>
  Math.min(Infinity, ...decisionProposals(workbench).vendors.flatMap(({ proposed }) => (proposed ? [Number(proposed.total)] : [])));

/** The bench with everything a plan says nothing about answered with yes. */
function withAllMet(workbench: Workbench, plan: string): Workbench {
  const open = (workbench.decision.needs ?? []).filter(({ feature }) =>
    workbench.sheets.some(
      ({ sheet }) =>
        sheet.kind === 'offer' && sheet.offer.plans.some(({ id, features }) => id === plan && (features?.[feature] ?? null) === null),
    ),
  );
  return {
    ...workbench,
    sheets: workbench.sheets.map((used) => ({
      ...used,
      sheet: open.reduce((sheet, need) => withAnswer(sheet, plan, need, { kind: 'yes' }), used.sheet),
    })),
  };
}

function questionsOf(workbench: Workbench) {
  const priced = priceDecision(assembleDecisionFile(workbench).file);
  return toFindOut({ workbench, priced, proposals: decisionProposals(workbench), fits: [] });
}

describe('what is claimed about plans', () => {
  it('a question that could change which is cheapest does so, by just as much, if it turns out well', () => {
    fc.assert(
      fc.property(benchArbitrary, (workbench) => {
        const before = least(workbench);
        for (const { part, effect } of questionsOf(workbench)) {
          const after = least(withAllMet(workbench, part));
          if (effect.kind !== 'cheapest') expect(after).toBe(before);
          else if (effect.by === null) expect([before, after < Infinity]).toEqual([Infinity, true]);
          else expect(after).toBeCloseTo(before - Number(effect.by), 6);
        }
      }),
      { numRuns: 80 },
    );
  }, 60_000);

  it('a plan that is passed over as dearer is dearer by just as much, when it is the only one', () => {
    fc.assert(
      fc.property(benchArbitrary, (workbench) => {
        for (const { offer, proposed, plans } of decisionProposals(workbench).vendors)
          for (const { plan, reason } of plans) {
            const only: Workbench = {
              ...workbench,
              sheets: workbench.sheets.map((used) =>
                used.sheet.kind === 'offer' && used.sheet.offer.id === offer
                  ? {
                      ...used,
                      sheet: {
                        ...used.sheet,
                        offer: { ...used.sheet.offer, plans: used.sheet.offer.plans.filter(({ id }) => id === plan) },
                      },
                    }
                  : used,
              ),
            };
            const alone = decisionProposals(only).vendors.find((one) => one.offer === offer)?.proposed;
            if (reason.kind === 'proposed') expect(alone?.total).toBe(proposed?.total);
            else if (reason.kind === 'dearer') expect(Number(alone?.total)).toBeCloseTo(Number(proposed?.total) + Number(reason.by), 6);
            else expect(alone ?? null).toBeNull();
          }
      }),
      { numRuns: 80 },
    );
  }, 60_000);
});
