import { describe, expect, it } from 'vitest';
import type { Offer, Plan } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { kiteDecision } from '../tests/kite-decision';
import { comesWith } from './comes-with';

/** Alder's plan has mailings and video in it; Post sells mailings for 2 a month, Film video for 6. Birch has neither. */
function withTools(needs: string[]): DecisionFile {
  const kites = kiteDecision();
  const tool = (id: string, price: string, feature: string): Offer => ({
    id,
    vendor: id,
    label: id,
    kind: 'tool',
    plans: [{ id: `${id}-plan`, label: 'Plan', currency: 'EUR', terms: [{ id: 'm', months: 1, price }], features: { [feature]: true } }],
  });
  return {
    ...kites,
    needs: needs.map((feature) => ({ feature, level: 'want' as const })),
    offers: [
      ...kites.offers.map((offer) => ({
        ...offer,
        plans: offer.plans.map((plan): Plan => ({
          ...plan,
          features: offer.id === 'a' ? { checkout: true, mailings: true, video: true, themes: true } : { checkout: true, mailings: false },
        })),
      })),
      tool('Post', '2', 'mailings'),
      tool('Film', '6', 'video'),
      tool('Other', '1', 'forms'),
    ],
  };
}

describe('what comes with a plan', () => {
  it('is worth what the things asked for would cost singly; what nobody asked for is named', () => {
    expect(comesWith(withTools(['mailings', 'themes']))).toEqual([
      {
        vendor: 'Alder',
        candidate: 'A',
        planId: 'pa',
        plan: 'Plan',
        cost: '120.00',
        singly: { total: '24.00', parts: [{ name: 'Post Plan', total: '24.00', features: ['mailings'] }], nowhere: ['themes'] },
        notAsked: ['video'],
      },
    ]);
  });

  it('is worth nothing to somebody who asks for none of it', () => {
    expect(comesWith(withTools([]))).toMatchObject([{ candidate: 'A', singly: null, notAsked: ['mailings', 'video'] }]);
  });

  it('is not told where nothing is sold singly', () => {
    expect(comesWith(kiteDecision())).toEqual([]);
  });
});
