import { describe, expect, it } from 'vitest';
import { decimal } from '../amount/decimal';
import type { Charge } from '../decision-file/price-sheet-schema';
import type { PriceSheet } from '../decision/price-sheet';
import { typedProcessor, typedSheet } from '../tests/typed-sheet';
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

  it('is each its own, by its own proposal; processors are none', () => {
    const oakum = typedSheet('Oakum', { Shared: '3/mo' });
    const empty: PriceSheet = { kind: 'offer', offer: { id: 'bare', vendor: 'Bare', label: '', kind: 'k', plans: [] } };
    const all = [typedProcessor('Tally', '10c per order'), sheet, oakum, empty].map((one, index) => ({
      id: `s${index}`,
      revision: 1,
      sheet: one,
    }));
    const shared = { offer: 'oakum', proposed: { made: { plans: [{ plan: 'oakum-shared', term: 'x' }] }, total: '36.00', above: '0' } };
    const proposals = { vendors: [{ offer: 'tidewrack', proposed: null }, shared] } as unknown as DecisionProposals;
    expect(
      vendorOverviews(all, proposals, orders).map(({ sheetId, offer, plan, isUsable, now }) => [
        sheetId,
        offer,
        plan?.label,
        isUsable,
        now,
      ]),
    ).toEqual([
      ['s1', 'tidewrack', 'Small', false, '9.00'],
      ['s2', 'oakum', 'Shared', true, '3.00'],
      ['s3', 'bare', undefined, false, null],
    ]);
    expect(vendorOverviews(all, { vendors: [] }, orders).map(({ perOrder, isUsable }) => [perOrder, isUsable])).toEqual([
      [null, false],
      [null, false],
      [null, false],
    ]);
    expect(vendorOverviews(all, proposals, orders)[1]).toMatchObject({ perOrder: '0.9000', cardFee: null, salesFee: null });
  });

  it('has the first fee on cards and the first on sales, whatever other charges come before', () => {
    const charge = (id: string, more: Partial<Charge>) => ({ id, label: id, how: 'per-unit', each: '1', ...more }) as Charge;
    const of = (...charges: Charge[]) => {
      const plans = [{ id: 'p', label: 'P', currency: 'EUR', terms: [], charges }];
      const own: PriceSheet = { kind: 'offer', offer: { id: 'x', vendor: 'X', label: 'X', kind: 'k', plans } };
      const [row] = vendorOverviews([{ id: 's', revision: 1, sheet: own }], { vendors: [] }, orders);
      return [row?.cardFee?.id, row?.salesFee?.id];
    };
    const labels = charge('labels', { on: 'labels', bucket: 'usage' });
    const onContacts = charge('contacts', { on: 'contacts', bucket: 'transaction' });
    const onSales = charge('sales', { on: 'sales', bucket: 'transaction' });
    const plain = charge('plain', {});
    const card = charge('card', { bucket: 'payment' });
    expect(of(labels, onContacts, onSales, card, plain)).toEqual(['card', 'sales']);
    expect(of(card, plain, onSales)).toEqual(['card', 'plain']);
    expect(of(labels, onContacts)).toEqual([undefined, undefined]);
  });
});
