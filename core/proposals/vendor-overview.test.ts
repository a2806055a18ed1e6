import { describe, expect, it } from 'vitest';
import { decimal } from '../amount/decimal';
import { typedSheet } from '../tests/typed-sheet';
import type { DecisionProposals } from './decision-proposals';
import { vendorOverviews } from './vendor-overview';

describe('a vendor at a glance', () => {
  const sheet = typedSheet('Tidewrack', {
    Small: '9/mo',
    Plus: '34/mo or 300/yr; Card fee (payment): 2 % per order; Commission (transaction): 1 % per order',
  });
  const sheets = [{ id: 's0', revision: 1, sheet }];
  const orders = { orders: [decimal('10'), decimal('30')] };
  const proposing = (made: object | null) =>
    ({ vendors: [{ offer: 'tidewrack', proposed: made && { made, total: '100.00', above: '0' } }] }) as unknown as DecisionProposals;
  const [, plus] = sheet.kind === 'offer' ? sheet.offer.plans : [];
  const yearly = plus?.terms.find(({ months }) => months === 12);

  it('has its best plan, its fees, and what an order comes to', () => {
    const [row] = vendorOverviews(sheets, proposing({ plans: [{ plan: plus?.id, term: yearly?.id }] }), orders);
    expect(row).toMatchObject({ sheetId: 's0', isUsable: true, now: '25.00', renewal: '25.00', perOrder: '2.5000' });
    expect([row?.plan?.label, row?.cardFee?.bucket, row?.salesFee?.how]).toEqual(['Plus', 'payment', 'per-order']);
  });

  it('has its first plan where none can be used, and no cost of an order', () => {
    const [row] = vendorOverviews(sheets, proposing(null), orders);
    expect(row).toMatchObject({ isUsable: false, now: '9.00', perOrder: null, cardFee: null, salesFee: null });
    expect(row?.plan?.label).toBe('Small');
    const nothing = { orders: [decimal('0')] };
    expect(vendorOverviews(sheets, proposing({ plans: [{ plan: plus?.id, term: yearly?.id }] }), nothing)[0]?.perOrder).toBeNull();
  });
});
