import { describe, expect, it } from 'vitest';
import type { Workbench } from '../decision/workbench';
import type { Term } from '../rules/terms/term';
import { smallDecision } from '../tests/small-decision';
import { typedSheet } from '../tests/typed-sheet';
import { decisionProposals } from './decision-proposals';
import { isOnlyRenewalOpen } from './renewal-not-known';

const open = { id: 'm', months: 1, price: null, intro: { price: '3', periods: 3 } } satisfies Term;

/** Seed with the terms given, beside Plus of the same vendor and another vendor's plan where they have a price. */
function workbenchOf(
  terms: readonly Term[],
  { plus, other, range }: { plus?: string; other?: string; range?: [string, string] } = {},
): Workbench {
  const sheet = typedSheet('Tidewrack', { Seed: '1/mo', ...(plus ? { Plus: plus } : {}) });
  if (sheet.kind !== 'offer') throw new Error('an offer is wanted');
  const plans = sheet.offer.plans.map((plan, index) => (index === 0 ? { ...plan, terms: [...terms] } : plan));
  const sheets = [{ ...sheet, offer: { ...sheet.offer, plans } }, ...(other ? [typedSheet('Oakum', { Quick: other })] : [])];
  const whatIf = range ? { whatIf: { ranges: { 'price:tidewrack-seed term m': range } } } : {};
  return {
    decision: smallDecision(whatIf),
    sheets: sheets.map((one, index) => ({ id: `s${index}`, revision: 1, sheet: one })),
  };
}

const tidewrack = (workbench: Workbench) => decisionProposals(workbench).vendors[0];

describe('a renewal price that is not known', () => {
  it('is open where only later payments have no price', () => {
    expect(isOnlyRenewalOpen(open)).toBe(true);
    expect(isOnlyRenewalOpen({ id: 'y', months: 12, price: '90', renewal: { months: 12, price: null } })).toBe(true);
    expect(
      isOnlyRenewalOpen({ id: 'y', months: 12, price: '90', intro: { off: '50', periods: 1 }, renewal: { months: 12, price: null } }),
    ).toBe(true);
    for (const term of [
      { id: 'm', months: 1, price: null },
      { id: 'm', months: 1, price: '9' },
      { id: 'm', months: 1, price: null, intro: { off: '50', periods: 1 } },
      { id: 'm', months: 1, price: null, intro: { price: null, periods: 1 } },
      { id: 'm', months: 1, price: '9', intro: { price: null, periods: 1 }, renewal: { months: 12, price: null } },
      { id: 'm', months: 1, price: null, intro: { price: '3', periods: 3 }, renewal: { months: 12, price: null } },
    ] satisfies Term[])
      expect(isOnlyRenewalOpen(term)).toBe(false);
  });

  it('is counted as nothing, and told up to where the plan is the cheaper one', () => {
    const vendor = tidewrack(workbenchOf([open], { plus: '12/mo' }));
    // 3 × 3.00, then 9 payments; Plus costs 144: (144 − 9) ÷ 9.
    expect(vendor?.proposed?.total).toBe('144.00');
    expect(vendor?.renewals).toMatchObject([{ plan: 'tidewrack-seed', atLeast: '9.00', months: 1, currency: 'EUR', below: '15' }]);
    expect(vendor?.renewals[0]?.made.plans).toEqual([{ plan: 'tidewrack-seed', term: 'm' }]);
  });

  it('is taken at the least that somebody assumes', () => {
    const vendor = tidewrack(workbenchOf([open], { plus: '12/mo', range: ['11', '20'] }));
    expect(vendor?.renewals).toMatchObject([{ atLeast: '108.00', below: '15' }]);
    expect(tidewrack(workbenchOf([open], { plus: '12/mo', range: ['15', '20'] }))?.renewals).toMatchObject([
      { atLeast: '144.00', below: null },
    ]);
  });

  it('keeps a vendor in view of which nothing else can be proposed, set against the others', () => {
    const vendor = tidewrack(workbenchOf([open], { other: '2/mo' }));
    expect(vendor?.proposed).toBeNull();
    // 24 for Quick: (24 − 9) ÷ 9, to the cent.
    expect(vendor?.renewals).toMatchObject([{ atLeast: '9.00', below: '1.67' }]);
    expect(tidewrack(workbenchOf([open]))?.renewals).toMatchObject([{ atLeast: '9.00', below: null }]);
  });

  it('takes the term of which the least is known to be paid, and plans without an open one have none', () => {
    const year = { id: 'y', months: 6, price: '4', renewal: { months: 1, price: null } } satisfies Term;
    expect(tidewrack(workbenchOf([open, year], { plus: '12/mo' }))?.renewals).toMatchObject([
      { atLeast: '4.00', months: 1, below: '23.33', made: { plans: [{ plan: 'tidewrack-seed', term: 'y' }] } },
    ]);
    expect(tidewrack(workbenchOf([{ id: 'm', months: 1, price: '5' }]))?.renewals).toEqual([]);
  });

  it('of several plans of a later vendor stands with the one first that may cost least', () => {
    const sheet = typedSheet('Tidewrack', { Seed: '1/mo', Plus: '2/mo' });
    if (sheet.kind !== 'offer') throw new Error('an offer is wanted');
    const dearer = { ...open, intro: { price: '6', periods: 3 } } satisfies Term;
    const plans = sheet.offer.plans.map((plan, index) => ({ ...plan, terms: [index === 0 ? dearer : open] }));
    const sheets = [typedSheet('Oakum', { Quick: '2/mo' }), { ...sheet, offer: { ...sheet.offer, plans } }];
    const workbench = {
      decision: smallDecision(),
      sheets: sheets.map((one, index) => ({ id: `s${index}`, revision: 1, sheet: one })),
    };
    const [oakum, found] = decisionProposals(workbench).vendors;
    expect(oakum?.renewals).toEqual([]);
    expect(found?.renewals.map(({ plan, atLeast }) => [plan, atLeast])).toEqual([
      ['tidewrack-plus', '9.00'],
      ['tidewrack-seed', '18.00'],
    ]);
  });
});
