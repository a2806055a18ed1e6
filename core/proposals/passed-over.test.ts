import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readDecisionFile } from '../decision-file/read';
import { preparePricing } from '../pricing/pricing';
import { typedSheet } from '../tests/typed-sheet';
import { passedOver } from './passed-over';
import { proposals } from './propose';

const plans = {
  Small: '10/mo, 9 seats, gift cards: no',
  Plus: '34/mo, 9 seats, gift cards: yes',
  Narrow: '5/mo, 1 seat, gift cards: yes',
  Silent: 'price on request, 9 seats, gift cards: yes',
  Vague: '6/mo, 9 seats, gift cards: yes, ? % of each order',
  Bare: '7/mo, 9 seats',
};

function reasons(addons: Record<string, string>, needs = ['gift-cards']) {
  const sheet = typedSheet('Tidewrack', plans, { addons, answers: ['of each order, the platform'] });
  if (sheet.kind !== 'offer') throw new Error('an offer is wanted');
  const file = readDecisionFile({
    format: 'venalis.decision',
    version: 1,
    name: 'q',
    currency: 'EUR',
    start: '2027-01',
    months: 12,
    forecast: {
      streams: [{ id: 's', label: 's', kind: 'goods', orders: '10', orderValue: '10' }],
      drivers: { staff: { start: '1', add: '0.5' } },
    },
    needs: needs.map((feature) => ({ feature, level: 'must' })),
    offers: [sheet.offer],
    candidates: [],
    propose: {},
  });
  const pricing = preparePricing(file);
  const [offer] = file.offers;
  if (!offer) throw new Error('an offer is wanted');
  return {
    reasons: Object.fromEntries(passedOver(pricing, offer, ['own']).map(({ plan, reason }) => [plan.replace('tidewrack-', ''), reason])),
    proposal: proposals(pricing)?.[0],
  };
}

describe('why a plan is passed over', () => {
  it('lacks a must, is outgrown, is not known, or is dearer', () => {
    const { reasons: found, proposal } = reasons({});
    expect(proposal).toMatchObject({ plan: 'tidewrack-plus', total: '408.00' });
    expect(found).toEqual({
      small: { kind: 'missing', features: ['gift-cards'], unclear: [] },
      plus: { kind: 'proposed' },
      narrow: { kind: 'outgrown', month: '2027-02', limit: 'staff', quantity: 'staff', reaches: '1.5' },
      silent: { kind: 'not-known', charges: [] },
      vague: { kind: 'not-known', charges: [expect.stringContaining('tidewrack') as string] },
      bare: { kind: 'missing', features: [], unclear: ['gift-cards'] },
    });
  });

  it('with an add-on that makes it do, the plan is used or is dearer by so much', () => {
    const { reasons: found, proposal } = reasons({ 'Gift cards': '26/mo, gift cards: yes', Seats: '1.5/mo, up to 3 seats' });
    // Narrow: 5 + 2 × 1.50 for seats up to 7, against the 6.5 needed. Bare and Small with gift cards: 33 and 36.
    expect(proposal).toMatchObject({ plan: 'tidewrack-narrow', addons: [{ count: 2 }], total: '96.00' });
    expect(found['plus']).toEqual({ kind: 'dearer', by: '312.00', addons: [], lacks: [] });
    expect(found['bare']).toEqual({ kind: 'dearer', by: '300.00', addons: ['tidewrack-gift-cards'], lacks: ['gift-cards'] });
    expect(found['small']).toEqual({ kind: 'dearer', by: '336.00', addons: ['tidewrack-gift-cards'], lacks: ['gift-cards'] });
  });

  it('the plan proposed is the one the proposal names, in the case file and in the demo', () => {
    for (const [file, payments] of [
      ['../cases/12-proposals.json', ['own', 'tallywell']],
      ['../cases/13-larkfell.json', ['own']],
    ] as const) {
      const pricing = preparePricing({
        ...readDecisionFile(JSON.parse(readFileSync(new URL(file, import.meta.url), 'utf8'))),
        propose: { payments: [...payments] },
      });
      for (const proposal of proposals(pricing) ?? []) {
        const offer = pricing.file.offers.find(({ id }) => id === proposal.offer);
        const named =
          offer &&
          passedOver(pricing, offer, payments)
            .filter(({ reason }) => reason.kind === 'proposed')
            .map(({ plan }) => plan);
        expect(named).toEqual(proposal.total === null ? [] : [proposal.plan]);
      }
    }
  });
});
