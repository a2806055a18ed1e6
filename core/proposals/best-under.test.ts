import { describe, expect, it } from 'vitest';
import type { Addon } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import type { DecisionNeed } from '../decision/need-schema';
import { withDecision } from '../decision/workbench';
import { kiteDecision } from '../tests/kite-decision';
import { workbenchOf } from '../tests/workbench-of';
import { bestPaidBy, bestWithNeed } from './best-under';

/** Alder: 10 a month or 96 a year, and 5 % of sales of 1,000 a month. Birch: 30 a month and 1 %. */
const kites = kiteDecision();

/** With cards taken at no fee by both, and an add-on with video for Birch that nobody takes. */
function withVideo(addon: Partial<Addon> = {}, more: Partial<DecisionFile> = {}) {
  const video: Addon = {
    id: 'video',
    label: 'Video',
    currency: 'EUR',
    terms: [{ id: 'm', months: 1, price: '5' }],
    features: { video: true },
    ...addon,
  };
  const offers = kites.offers.map((offer) => ({
    ...offer,
    plans: offer.plans.map((plan) => ({
      ...plan,
      features: { ...(offer.id === 'a' ? { shelf: true } : {}) },
      charges: [
        ...(plan.charges ?? []),
        { id: `c${plan.id}`, label: 'Cards', how: 'per-order' as const, percent: '0', bucket: 'payment' as const },
      ],
    })),
    ...(offer.id === 'b' ? { addons: [video] } : {}),
  }));
  return workbenchOf({ ...kites, offers, ...more });
}

describe('who is best if one more thing is needed', () => {
  it('may be a plan with an add-on that nobody takes', () => {
    // 480, and 12 × 5 for the add-on.
    expect(bestWithNeed(withVideo(), 'video')).toEqual({
      winner: 'sheet.b',
      plan: 'Birch Plan, by the month, with Video',
      total: '540.00',
    });
  });

  it('may be a plan at another term than the candidate’s; the margin is against another vendor', () => {
    expect(bestWithNeed(withVideo(), 'shelf')).toEqual({ winner: 'sheet.a', plan: 'Alder Plan, by the year', total: '696.00' });
    const both = withDecision(withVideo(), (one) => ({
      ...one,
      candidates: one.candidates.map((candidate) => ({
        ...candidate,
        extras: [{ label: 'Shelf', amount: '9', months: 0, features: { shelf: true } }],
      })),
    }));
    // Birch with a shelf of its own: 480 + 9, against Alder's 696.
    expect(bestWithNeed(both, 'shelf')).toEqual({ winner: 'B', total: '489.00', margin: '207.00' });
  });

  it('is nobody where nobody has it, or only a vendor that is set aside', () => {
    expect(bestWithNeed(withVideo(), 'moon')).toEqual({ winner: null });
    const aside = withDecision(withVideo(), (one) => ({
      ...one,
      setAside: [{ offer: 'b', on: '2026-11-01', reason: 'slow', ahead: '0' }],
    }));
    expect(bestWithNeed(aside, 'video')).toEqual({ winner: null });
    expect(bestWithNeed(withVideo({}, { offers: [], candidates: [] }), 'video')).toBeNull();
  });

  it('takes a wish as a must, with all it says', () => {
    const wish = (has: string, need: Partial<DecisionNeed>) =>
      withDecision(withVideo({ features: { video: has } }), (one) => ({
        ...one,
        needs: [{ feature: 'video', level: 'want', ...need }],
      }));
    const least = { kind: 'at-least', least: '3' } as const;
    expect(bestWithNeed(wish('2', {}), 'video')).toMatchObject({ winner: 'sheet.b' });
    expect(bestWithNeed(wish('2', least), 'video')).toEqual({ winner: null });
    expect(bestWithNeed(wish('3', least), 'video')).toMatchObject({ winner: 'sheet.b' });
    const without = withDecision(withVideo({ features: { 'without-adverts': true } }), (one) => ({
      ...one,
      needs: [{ feature: 'adverts', level: 'want', without: true }],
    }));
    expect(bestWithNeed(without, 'without-adverts')).toMatchObject({ winner: 'sheet.b', total: '540.00' });
  });
});

describe('who is best if all is paid in one way', () => {
  const asIs = (file: DecisionFile) => file;

  it('may be a plan that no candidate has, called by its name', () => {
    expect(bestPaidBy(withVideo(), 12, (file) => ({ ...file, candidates: file.candidates.filter(({ id }) => id !== 'B') }))).toEqual({
      winner: 'sheet.a',
      plan: 'Alder Plan',
      total: '696.00',
    });
    expect(bestPaidBy(withVideo(), 1, asIs)).toEqual({ winner: 'B', total: '480.00', margin: '240.00' });
  });

  it('is nothing where nothing is paid that way', () => {
    expect(bestPaidBy(withVideo({}, { candidates: [] }), 36, asIs)).toBeNull();
  });
});
