import { describe, expect, it } from 'vitest';
import { smallDecision } from '../tests/small-decision';
import { typedSheet } from '../tests/typed-sheet';
import type { PriceSheet } from '../decision/price-sheet';
import { offerEnds, toClaim } from './offer-ends';

const typed = typedSheet('Tidewrack', { Small: '10/mo, 1 each for the first 2 months' });
const term = typed.kind === 'offer' ? (typed.offer.plans[0]?.terms[0]?.id ?? '') : '';
const ends = (sheet: PriceSheet, part = 'tidewrack-small', of = term) =>
  offerEnds({ decision: smallDecision(), sheets: [{ id: 's', revision: 1, sheet }] }, part, of);

describe('the day on which a special offer is over', () => {
  it('is what stands beside the price it belongs to', () => {
    expect(ends({ ...typed, figures: { 'tidewrack-small term 1': { until: '2026-12-31' } } })).toBe('2026-12-31');
  });

  it('is the sheet’s where nothing else stands beside the price', () => {
    expect(ends({ ...typed, evidence: { until: '2027-01-15' } })).toBe('2027-01-15');
  });

  it('is not known where neither says, or the plan is gone', () => {
    expect(ends(typed)).toBeNull();
    expect(ends({ ...typed, figures: { 'tidewrack-small term 12': { until: '2026-12-31' } } })).toBeNull();
    expect(ends(typed, 'tidewrack-large')).toBeNull();
    expect(ends(typed, 'tidewrack-small', 'another')).toBeNull();
  });
});

describe('what has to be claimed in time', () => {
  const sheet = typedSheet('Tidewrack', { Small: '10/mo, with moving service, with mailings, 30 on joining for “Photographs”' });
  const claims = (figures: PriceSheet['figures'], part = 'tidewrack-small') =>
    toClaim({ sheets: [{ id: 's', revision: 1, sheet: { ...sheet, ...(figures ? { figures } : {}) } }] }, part);

  it('is what has a day of its own beside it, the earliest first', () => {
    expect(
      claims({
        'tidewrack-small feature moving-service': { until: '2027-02-01' },
        'tidewrack-small joining': { until: '2026-12-21' },
        'tidewrack-small feature mailings': { by: 'Ines' },
      }),
    ).toEqual([
      { what: 'Photographs', until: '2026-12-21' },
      { what: 'moving service', until: '2027-02-01' },
    ]);
  });

  it('is nothing where no day is said, or the plan is gone', () => {
    expect(claims(undefined)).toEqual([]);
    expect(claims({ 'tidewrack-small feature mailings': { until: '2027-02-01' } }, 'tidewrack-large')).toEqual([]);
  });
});
