import { describe, expect, it } from 'vitest';
import { assembleToPrice } from '../assembly/assemble-to-price';
import { priceDecision } from '../comparison/decision-result';
import { takeApart } from '../decision/take-apart';
import type { Term } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { kiteDecision } from '../tests/kite-decision';
import { caveatsOf } from './caveats';

/** Alder on these terms, joined by the first of them, beside Birch: 480.00 over the year. */
function caveats(terms: Term[], more: Partial<DecisionFile> = {}, until?: string) {
  const kites = kiteDecision(more);
  const offers = kites.offers.map((offer) =>
    offer.id === 'a' ? { ...offer, plans: offer.plans.map((plan) => ({ ...plan, terms, charges: [] })) } : offer,
  );
  const candidates = kites.candidates.map((one) => (one.id === 'A' ? { ...one, plans: [{ plan: 'pa', term: terms[0]?.id ?? '' }] } : one));
  let next = 0;
  const workbench = takeApart({ ...kites, offers, candidates }, () => `s${next++}`);
  const dated = {
    ...workbench,
    sheets: workbench.sheets.map((used) =>
      until === undefined ? used : { ...used, sheet: { ...used.sheet, figures: { 'pa term 1': { until } } } },
    ),
  };
  return caveatsOf(dated, priceDecision(assembleToPrice(dated).file));
}

describe('what would mislead', () => {
  it('is another best where payments count the other way', () => {
    // Two years ahead cost 900: as paid dearer than Birch, spread 450 in the year that is looked at.
    expect(caveats([{ id: 't', months: 24, price: '900' }])).toEqual({
      otherBasis: { basis: 'spread', candidate: 'A', by: '30.00' },
      offer: null,
    });
    expect(caveats([{ id: 't', months: 24, price: '900' }], { basis: 'spread' }).otherBasis).toEqual({
      basis: 'paid',
      candidate: 'B',
      by: '420.00',
    });
    expect(caveats([{ id: 'm', months: 1, price: '10' }]).otherBasis).toBeNull();
  });

  it('is a special offer that the best rests on, with the day on which it ends', () => {
    // 6 × 10 + 6 × 60 = 420 with it, 720 without.
    const offer: Term[] = [{ id: 'm', months: 1, price: '60', intro: { price: '10', periods: 6 } }];
    expect(caveats(offer).offer).toEqual({ candidate: 'B', ends: null });
    expect(caveats(offer, {}, '2026-12-31').offer).toEqual({ candidate: 'B', ends: '2026-12-31' });
    expect(caveats([{ id: 'm', months: 1, price: '30', intro: { price: '10', periods: 6 } }]).offer).toBeNull();
  });

  it('is nothing of an offer that only others have, or where no candidate can be chosen', () => {
    expect(caveats([{ id: 'm', months: 1, price: '90', intro: { price: '60', periods: 1 } }])).toEqual({ otherBasis: null, offer: null });
    const nobody = { needs: [{ feature: 'x', level: 'must' as const }] };
    expect(caveats([{ id: 't', months: 24, price: '900' }], nobody)).toEqual({ otherBasis: null, offer: null });
  });
});
