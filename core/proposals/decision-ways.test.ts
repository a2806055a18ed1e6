import { describe, expect, it } from 'vitest';
import type { PriceSheet } from '../decision/price-sheet';
import type { Workbench } from '../decision/workbench';
import { smallDecision } from '../tests/small-decision';
import { typedProcessor, typedSheet } from '../tests/typed-sheet';
import { decisionProposals } from './decision-proposals';
import { decisionWays } from './decision-ways';

const answers = ['of each order, the fee for card payments'];
// With 5 orders of 10.00 in January and 5 more each month, Plus is worth its price from March on (12 orders).
const tidewrack = typedSheet('Tidewrack', { Small: '10/mo, 20% card fee', Plus: '30/mo, 2% card fee' }, { answers });
const oakum = typedSheet('Oakum', { Quick: '1/mo, 30% card fee' }, { answers });

function waysOf(sheets: readonly PriceSheet[], more: Partial<Workbench['decision']> = {}) {
  const forecast = { streams: [{ id: 's', label: 's', kind: 'goods' as const, orders: { start: '5', add: '5' }, orderValue: '10' }] };
  const workbench: Workbench = {
    decision: smallDecision({ forecast, ...more }),
    sheets: sheets.map((sheet, index) => ({ id: `s${index}`, revision: 1, sheet })),
  };
  return decisionWays(workbench, decisionProposals(workbench));
}

const moving = (within: string, between: string) => ({
  whatIf: { moving: { within: { hours: '0', money: within }, between: { hours: '0', money: between }, moves: 2 } },
});

describe('ways of a decision', () => {
  it('tells the move inside a vendor that is cheaper than staying', () => {
    // Small: 10 + 10 and 10 + 20; then Plus: 10 × 30 + 2 % of 3,750. Plus throughout: 360 + 78.
    const { ofVendors, across } = waysOf([tidewrack], moving('1', '1'));
    expect(ofVendors['tidewrack']).toEqual({
      total: '426.00',
      saves: '12.00',
      segments: [
        {
          offer: 'tidewrack',
          from: '2027-01',
          months: 2,
          made: { plans: [{ plan: 'tidewrack-small', term: expect.any(String) as string }] },
        },
        {
          offer: 'tidewrack',
          from: '2027-03',
          months: 10,
          made: { plans: [{ plan: 'tidewrack-plus', term: expect.any(String) as string }] },
        },
      ],
    });
    expect(across).toBeNull();
  });

  it('tells nothing where moving costs what it saves', () => {
    expect(waysOf([tidewrack], moving('13', '13')).ofVendors).toEqual({});
  });

  it('tells the way from one vendor to another that beats every way on one', () => {
    // January on Quick costs 16 instead of 20; the move takes 1 of the 4.
    const { across, moving: counted } = waysOf([tidewrack, oakum], moving('0', '1'));
    expect(across).toMatchObject({ total: '422.00', saves: '3.00' });
    expect(across?.segments.map(({ offer, from, months }) => `${offer} ${from} ${months}`)).toEqual([
      'oakum 2027-01 1',
      'tidewrack 2027-02 1',
      'tidewrack 2027-03 10',
    ]);
    expect(counted).toEqual({ within: '0.00', between: '1.00' });
    expect(waysOf([tidewrack, oakum], moving('0', '4')).across).toBeNull();
  });

  it('takes moving at its usual cost where the decision says nothing', () => {
    expect(waysOf([tidewrack], { hourValue: '5' }).moving).toEqual({ within: '5.00', between: '200.00' });
  });

  it('lets what is owned go on through the moves, paid when it falls due', () => {
    const owned = [{ id: 'mail', label: 'Mailing tool', features: ['mailings'], amount: '20', months: 1, paidUntil: '2027-06' }];
    const needs = [{ feature: 'mailings', level: 'must' as const }];
    const { ofVendors } = waysOf([tidewrack], { owned, needs, ...moving('0', '1') });
    // 425 as above, and the tool from July on: 6 × 20.
    expect(ofVendors['tidewrack']).toMatchObject({ total: '545.00', saves: '13.00' });
  });

  it('takes on the way what a plan needs beside it: add-ons in their number, and who takes the payments', () => {
    const shop = typedSheet('Marlpit', { Small: '10/mo, 1 seat', Plus: '30/mo, 1 seat' }, { addons: { Seat: '2/mo, 1 seat' } });
    const [small, large] = [typedProcessor('Tally', '20% per order', { answers }), typedProcessor('Reckon', '2% per order', { answers })];
    const sheets = [shop, small, large];
    const drivers = { staff: '3' };
    const forecast = {
      streams: [{ id: 's', label: 's', kind: 'goods' as const, orders: { start: '5', add: '5' }, orderValue: '10' }],
      drivers,
    };
    const workbench: Workbench = {
      decision: smallDecision({ forecast, ...moving('0', '1') }),
      sheets: sheets.map((sheet, index) => ({ id: `s${index}`, revision: 1, sheet })),
    };
    const proposals = decisionProposals(workbench);
    // Nothing is gained by moving: 12 × (10 + 2 × 2) + 2 % of 3,900.
    expect(proposals.vendors[0]?.proposed).toMatchObject({ total: '246.00', made: { payments: 'reckon-reckon', addons: [{ count: 2 }] } });
    expect(decisionWays(workbench, proposals).ofVendors).toEqual({});
  });
});

describe('ways with what a vendor takes besides', () => {
  it('count its extras from joining it to leaving it', () => {
    const withExtras = (amount: string): PriceSheet =>
      oakum.kind === 'offer' ? { ...oakum, offer: { ...oakum.offer, extras: [{ label: 'Care', amount, months: 1 }] } } : oakum;
    // January on Quick saves 4 − 1: what it takes besides comes off that.
    expect(waysOf([tidewrack, withExtras('1')], moving('0', '1')).across).toMatchObject({ total: '423.00', saves: '2.00' });
    expect(waysOf([tidewrack, withExtras('3')], moving('0', '1')).across).toBeNull();
  });
});

describe('ways of a vendor none of whose plans does throughout', () => {
  it('are told without anything to set them against', () => {
    // Small is outgrown in April, Plus is too small for more than 60 contacts: as many as there are in March.
    const sheet = typedSheet(
      'Tidewrack',
      { Small: '10/mo, 20% card fee, up to 15 orders', Plus: '30/mo, 2% card fee, up to 60 contacts' },
      { answers, known: ['contacts'] },
    );
    const forecast = {
      streams: [{ id: 's', label: 's', kind: 'goods' as const, orders: { start: '5', add: '5' }, orderValue: '10' }],
      drivers: { contacts: { start: '100', add: '-20' } },
    };
    const { ofVendors } = waysOf([sheet], { forecast, ...moving('1', '1') });
    // 20 and 30 on Small, the move, and 300 + 2 % of 3,750 on Plus.
    expect(ofVendors['tidewrack']).toMatchObject({ total: '426.00', saves: null });
    expect(ofVendors['tidewrack']?.segments.map(({ from, months }) => `${from} ${months}`)).toEqual(['2027-01 2', '2027-03 10']);
  });
});

describe('ways on which something owned goes on', () => {
  const owned = [{ id: 'mail', label: 'Mailing tool', features: ['mailings'], amount: '20', months: 1, paidUntil: '2027-06' }];
  const needs = [{ feature: 'mailings', level: 'must' as const }];

  it('count what each vendor on them takes besides, and the tool once', () => {
    const careful: PriceSheet =
      oakum.kind === 'offer' ? { ...oakum, offer: { ...oakum.offer, extras: [{ label: 'Care', amount: '1', months: 1 }] } } : oakum;
    // 423 as above, and 6 × 20 from July on.
    expect(waysOf([tidewrack, careful], { owned, needs, ...moving('0', '1') }).across).toMatchObject({ total: '543.00', saves: '2.00' });
    expect(waysOf([careful, tidewrack], { owned, needs, ...moving('0', '1') }).across).toMatchObject({ total: '543.00', saves: '2.00' });
  });

  it('are not told where it would end on the way', () => {
    const sheet = typedSheet(
      'Tidewrack',
      { Small: '10/mo, 20% card fee, mailings: no', Plus: '30/mo, 2% card fee, mailings: yes' },
      { answers },
    );
    expect(waysOf([sheet], { owned, needs, ...moving('0', '1') }).ofVendors).toEqual({});
    expect(waysOf([sheet], { needs: [], ...moving('0', '1') }).ofVendors['tidewrack']).toMatchObject({ total: '425.00' });
  });
});
