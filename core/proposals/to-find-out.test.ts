import { describe, expect, it } from 'vitest';
import { assembleDecisionFile } from '../assembly/assemble';
import { priceDecision } from '../comparison/decision-result';
import type { DecisionFile } from '../decision-file/schema';
import type { Fit } from '../fit/fit';
import { kiteDecision } from '../tests/kite-decision';
import { workbenchOf } from '../tests/workbench-of';
import { decisionProposals } from './decision-proposals';
import { toFindOut } from './to-find-out';

/** 30 orders of 10 a month: Alder costs 12 × (10 + 15), by the year 96 + 180; Birch 12 × (30 + 3). Cards cost nothing. */
function kites(features: Record<'a' | 'b', Record<string, boolean | null>>, more: Partial<DecisionFile> = {}): DecisionFile {
  const file = kiteDecision({ forecast: { streams: [{ id: 'k', label: 'K', kind: 'goods', orders: '30', orderValue: '10' }] } });
  return {
    ...file,
    offers: file.offers.map((offer) => ({
      ...offer,
      plans: offer.plans.map((plan) => ({
        ...plan,
        features: features[offer.id === 'a' ? 'a' : 'b'],
        charges: [
          ...(plan.charges ?? []),
          { id: `c${plan.id}`, label: 'Cards', how: 'per-order' as const, percent: '0', bucket: 'payment' as const },
        ],
      })),
    })),
    ...more,
  };
}
const musts = (...features: string[]) => features.map((feature) => ({ feature, level: 'must' as const }));
const fit = (candidate: string, now: number, most: number) => ({ candidate, fit: now, most }) as Fit;

function asked(file: DecisionFile, fits: Fit[] = []) {
  const workbench = workbenchOf(file);
  const priced = priceDecision(assembleDecisionFile(workbench).file);
  return toFindOut({ workbench, priced, proposals: decisionProposals(workbench), fits }).map(
    ({ offer, sheetId, part, partLabel, asks, effect }) => [
      [offer, sheetId, part, partLabel].join(' '),
      asks.kind === 'need' ? asks.need.feature : `${asks.id}: ${asks.label}`,
      effect.kind === 'cheapest' ? `cheapest by ${effect.by}` : effect.kind,
    ],
  );
}

describe('what is to find out', () => {
  it('is what nobody answers, with how much cheaper it could get', () => {
    expect(asked(kites({ a: {}, b: { stock: true } }, { needs: musts('stock') }))).toEqual([
      ['a s0 pa Alder Plan', 'stock', 'cheapest by 120'],
    ]);
    expect(asked(kites({ a: { stock: null }, b: {} }, { needs: musts('stock') })).map(([, , effect]) => effect)).toEqual([
      'cheapest by null',
      'cheapest by null',
    ]);
  });

  it('stands in the order of the sheets where nothing matters more', () => {
    const order = asked(kites({ a: {}, b: {} }, { needs: musts('stock', 'books') })).map(
      ([where, need]) => `${where?.slice(0, 1)} ${need}`,
    );
    expect(order).toEqual(['a stock', 'a books', 'b stock', 'b books']);
  });

  it('changes nothing where another must is not met, or it would be dearer all the same', () => {
    expect(asked(kites({ a: { books: false }, b: { stock: true, books: true } }, { needs: musts('stock', 'books') }))).toEqual([
      ['a s0 pa Alder Plan', 'stock', 'none'],
    ]);
    expect(asked(kites({ a: { stock: true }, b: {} }, { needs: musts('stock') }))).toEqual([['b s1 pb Birch Plan', 'stock', 'none']]);
  });

  it('of a wish could change which fits best', () => {
    const needs = [{ feature: 'phone', level: 'want' as const }];
    const file = kites({ a: {}, b: {} }, { needs });
    const effects = (...fits: Fit[]) => asked(file, fits).map(([where, , effect]) => [where?.slice(0, 1), effect]);
    expect(effects(fit('A', 40, 70), fit('B', 60, 60))).toEqual([
      ['a', 'fit'],
      ['b', 'none'],
    ]);
    expect(effects(fit('A', 40, 60), fit('B', 60, 60))).toEqual([
      ['a', 'none'],
      ['b', 'none'],
    ]);
    expect(effects(fit('A', 40, 70), fit('B', 60, 90))).toEqual([
      ['a', 'fit'],
      ['b', 'fit'],
    ]);
    // One that is ruled out does not fit, whatever the answer is.
    const barred = kites({ a: { stock: false }, b: { stock: true } }, { needs: [...needs, ...musts('stock')] });
    expect(asked(barred, [fit('A', 40, 70), fit('B', 60, 60)]).map(([, , effect]) => effect)).toEqual(['none', 'none']);
  });

  it('could make a candidate of two vendors the best that neither is alone', () => {
    const both = {
      id: 'C',
      label: 'both',
      plans: [
        { plan: 'pa', term: 'm', takesPayments: true },
        { plan: 'pb', term: 'm' },
      ],
    };
    const effects = (books: boolean, candidates: DecisionFile['candidates']) =>
      asked(kites({ a: { books: false }, b: { books } }, { needs: musts('books', 'stock'), candidates })).map(([where, need, effect]) =>
        [where?.slice(0, 1), need, effect].join(' '),
      );
    expect(effects(true, [both])).toContain('a stock cheapest by null');
    // Without it, whatever Alder says about stock, it has no books.
    expect(effects(true, [])).toContain('a stock none');
    expect(effects(false, [both])).toContain('a stock none');
  });

  it('names a vendor that has no label of its own, and a plan without a name', () => {
    const file = kites({ a: {}, b: {} }, { needs: musts('stock') });
    const offers = file.offers.map((one) => ({ ...one, label: '', plans: one.plans.map((plan) => ({ ...plan, label: '' })) }));
    expect(asked({ ...file, offers }).map(([where]) => where)).toEqual(['a s0 pa Alder', 'b s1 pb Birch']);
    const open = offers.map((one) => ({
      ...one,
      plans: one.plans.map((plan) => ({ ...plan, terms: [{ id: 'm', months: 1, price: null }] })),
    }));
    expect(asked({ ...file, needs: [], offers: open, candidates: [] }).map(([where]) => where)).toEqual(['a s0 pa Alder', 'b s1 pb Birch']);
  });

  it('changes nothing where the candidate is outgrown or lacks something, whatever its price turns out to be', () => {
    const price = (more: Partial<DecisionFile>, plan: object) => {
      const file = kites({ a: { stock: true }, b: { stock: true } }, more);
      const open = { terms: [{ id: 'm', months: 1, price: null }], ...plan };
      const offers = file.offers.map((one) => (one.id === 'a' ? { ...one, plans: one.plans.map((own) => ({ ...own, ...open })) } : one));
      return asked({ ...file, offers }).map(([, , effect]) => effect);
    };
    // Birch costs 12 × (30 + 3); Alder its fees of 12 × 15.
    expect(price({}, {})).toEqual(['cheapest by 216']);
    expect(price({}, { limits: { orders: '20' } })).toEqual(['none']);
    expect(price({ needs: musts('stock') }, { features: { stock: false } })).toEqual(['none']);
  });

  it('is nothing that is needed only after the months that are planned for', () => {
    expect(asked(kites({ a: {}, b: {} }, { needs: [{ feature: 'stock', level: 'must', from: '2029-01' }] }))).toEqual([]);
  });

  it('are prices too, of a plan, of a charge and of a processor', () => {
    const file = kites({ a: {}, b: {} });
    const processors = [
      { id: 'x', label: 'Cardline', currency: 'EUR', charges: [{ id: 'xf', label: 'Terminal', how: 'per-order' as const, percent: null }] },
    ];
    const offers = file.offers.map((offer) => ({
      ...offer,
      plans: offer.plans.map((plan) =>
        offer.id === 'a'
          ? { ...plan, terms: [{ id: 'm', months: 1, price: '10', intro: { price: null, periods: 1 } }] }
          : { ...plan, charges: [...(plan.charges ?? []), { id: 'u', label: 'Handling', how: 'per-order' as const, percent: null }] },
      ),
    }));
    expect(asked({ ...file, offers, processors })).toEqual([
      ['a s0 pa Alder Plan', 'pa: what it costs', 'cheapest by null'],
      ['b s1 pb Birch Plan', 'u: Handling', 'cheapest by null'],
      ['x s2 x Cardline', 'xf: Terminal', 'none'],
    ]);
  });

  it('of a price that cannot make it the cheapest changes nothing, and by how much it could where it can', () => {
    const file = kites({ a: {}, b: {} });
    const unknownFee = (of: string) => ({
      ...file,
      offers: file.offers.map((offer) => ({
        ...offer,
        plans: offer.plans.map((plan) =>
          offer.id === of
            ? { ...plan, charges: [...(plan.charges ?? []), { id: 'u', label: 'Handling', how: 'per-order' as const, percent: null }] }
            : plan,
        ),
      })),
    });
    // Alder costs at least 300, Birch 396; the other way round nothing is to be won.
    expect(asked(unknownFee('a'))).toEqual([['a s0 pa Alder Plan', 'u: Handling', 'cheapest by 96']]);
    expect(asked(unknownFee('b'))).toEqual([['b s1 pb Birch Plan', 'u: Handling', 'none']]);
  });

  it('begins with what could change most', () => {
    const needs = [...musts('stock'), { feature: 'phone', level: 'want' as const }];
    const found = asked(kites({ a: {}, b: { stock: true } }, { needs }), [fit('B', 40, 70), fit('A', 10, 20)]);
    expect(found.map(([, what, effect]) => [what, effect])).toEqual([
      ['stock', 'cheapest by 120'],
      ['phone', 'fit'],
      ['phone', 'none'],
    ]);
  });
});
