import { describe, expect, it } from 'vitest';
import type { Charge } from '../decision-file/price-sheet-schema';
import { withPlan } from '../tests/one-plan';
import { chargeExists, type ChargeOwner, countsCard, processingOf } from './processing';

const charge = (more: Partial<Charge> = {}): Charge => ({ id: 'c', label: 'c', how: 'per-order', percent: '1', ...more }) as Charge;
const owner = (more: Partial<ChargeOwner> = {}): ChargeOwner => ({
  kind: 'plan',
  id: 'p',
  currency: 'EUR',
  taxExcluded: false,
  streams: null,
  takesPayments: true,
  ...more,
});

describe('who processes payments', () => {
  it('is the platform unless somebody else is named', () => {
    expect(processingOf(withPlan()).named).toEqual(['own']);
    expect(processingOf(withPlan()).processorOf('market', 'foreign')).toBe('own');
    expect(processingOf(withPlan({ payments: 'tally' })).processorOf('market', 'foreign')).toBe('tally');
  });

  it('is of a list the first whose channels and cards match, the last without conditions', () => {
    const { named, processorOf } = processingOf(
      withPlan({
        payments: [
          { use: 'till', channels: ['stall'] },
          { use: 'tally', cards: ['foreign'] },
          { use: 'till', channels: ['market'], cards: ['domestic'] },
          { use: 'own' },
        ],
      }),
    );
    expect(named).toEqual(['till', 'tally', 'own']);
    const found = [
      ['stall', 'foreign'],
      ['own-site', 'foreign'],
      ['market', 'domestic'],
      ['market', 'wallet'],
      ['own-site', 'domestic'],
    ].map(([channel = '', card = '']) => processorOf(channel, card));
    expect(found).toEqual(['till', 'tally', 'till', 'own', 'own']);
  });
});

describe('a charge', () => {
  const own = processingOf(withPlan());
  const outside = processingOf(withPlan({ payments: 'tally' }));

  it('for one kind of processor exists only where one is named', () => {
    const [forOwn, forOutside] = [charge({ only: { payments: 'own' } }), charge({ only: { payments: 'outside' } })];
    expect([charge(), forOwn, forOutside].map((one) => chargeExists(one, owner(), own))).toEqual([true, true, false]);
    expect([charge(), forOwn, forOutside].map((one) => chargeExists(one, owner(), outside))).toEqual([true, false, true]);
  });

  it('for taking payments does not exist on a plan that takes none, and all its orders are paid outside', () => {
    const plan = owner({ takesPayments: false });
    const of = (more: Partial<Charge>) => chargeExists(charge(more), plan, own);
    expect(of({ bucket: 'payment' })).toBe(false);
    expect(of({ bucket: 'usage', only: { payments: 'own' } })).toBe(false);
    expect(of({ bucket: 'payment', only: { payments: 'outside' } })).toBe(false);
    expect(of({ only: { payments: 'outside' } })).toBe(true);
    expect(of({})).toBe(true);
  });

  it('counts the streams, kinds, channels, cards and processors it is narrowed to, each alone', () => {
    const stream = { stream: { id: 's', label: 's', kind: 'goods', orderValue: '1' } as const, channel: 'market' };
    const counts = (only: Charge['only'], of = owner(), processing = own) =>
      countsCard(charge(only ? { only } : {}), of, processing, stream, 'foreign');
    expect(counts(undefined)).toBe(true);
    expect([counts({ streams: ['s'] }), counts({ streams: ['z'] })]).toEqual([true, false]);
    expect([counts({ kinds: ['goods'] }), counts({ kinds: ['service'] })]).toEqual([true, false]);
    expect([counts({ channels: ['market'] }), counts({ channels: ['stall'] })]).toEqual([true, false]);
    expect([counts({ cards: ['foreign'] }), counts({ cards: ['domestic'] })]).toEqual([true, false]);
    expect([counts({ payments: 'own' }), counts({ payments: 'outside' })]).toEqual([true, false]);
    expect([counts({ payments: 'own' }, owner(), outside), counts({ payments: 'outside' }, owner(), outside)]).toEqual([false, true]);
    const takesNone = owner({ takesPayments: false });
    expect([counts({ payments: 'own' }, takesNone), counts({ payments: 'outside' }, takesNone)]).toEqual([false, true]);
  });

  it('counts the streams that its plan handles, and of a processor the orders that go through it', () => {
    const stream = { stream: { id: 's', label: 's', kind: 'goods', orderValue: '1' } as const, channel: 'market' };
    const counts = (of: ChargeOwner, processing = outside) => countsCard(charge(), of, processing, stream, 'foreign');
    expect([counts(owner({ streams: new Set(['s']) })), counts(owner({ streams: new Set(['z']) }))]).toEqual([true, false]);
    expect(counts(owner({ kind: 'processor', id: 'tally' }))).toBe(true);
    expect(counts(owner({ kind: 'processor', id: 'till' }))).toBe(false);
    expect(counts(owner({ kind: 'processor', id: 'tally' }), own)).toBe(false);
  });
});
