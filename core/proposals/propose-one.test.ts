import { describe, expect, it } from 'vitest';
import type { Addon, Charge, Plan } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { kitesWith } from '../tests/kites-with';
import { proposals } from './propose';

const percent = (id: string, rate: string, more: Partial<Charge> = {}) =>
  ({ id, label: id, how: 'per-order', percent: rate, ...more }) as Charge;
const addon = (id: string, price: string, more: Partial<Addon> = {}): Addon => ({
  id,
  label: id,
  currency: 'EUR',
  terms: [{ id: 't', months: 1, price }],
  ...more,
});

/** What is proposed of Alder by the month, 10 and 5 % of 1,000: its total, who takes the payments, and its add-ons with their counts. */
function proposed(plan: Partial<Plan>, more: Partial<DecisionFile> = {}, addons: Addon[] = []) {
  const { pricing } = kitesWith(
    { terms: [{ id: 'm', months: 1, price: '10' }], ...plan },
    { propose: { offers: ['a'] }, ...more },
    { addons },
  );
  const [first, ...others] = proposals(pricing) ?? [];
  expect(others).toEqual([]);
  return first?.total ? [first.total, first.payments, ...first.addons.map(({ addon: id, count }) => `${count} ${id}`)] : null;
}

describe('what is proposed of one offer', () => {
  it('is only of those that are asked for', () => {
    expect(proposed({})).toEqual(['720.00', 'own']);
    const { pricing } = kitesWith({}, { propose: {} });
    expect(proposals(pricing)?.map(({ offer }) => offer)).toEqual(['a', 'b']);
    expect(proposals(kitesWith().pricing)).toBeUndefined();
  });

  it('counts a credit that only one way of paying earns with that way alone', () => {
    const processors = [{ id: 'tally', label: 'Tally', currency: 'EUR', charges: [percent('t', '4.9', { bucket: 'payment' })] }];
    const charges = [
      percent('own', '5', { bucket: 'payment', only: { payments: 'own' } }),
      percent('back', '0.4', { credit: true, against: 'plan', only: { payments: 'own' } }),
    ];
    const ask = (payments: string[]) => proposed({ charges }, { processors, propose: { offers: ['a'], payments } });
    // 120 + 600 − 11 × 4; with Tally 120 + 588.
    expect(ask(['own', 'tally'])).toEqual(['676.00', 'own']);
    expect(ask(['tally', 'own'])).toEqual(['676.00', 'own']);
    expect(ask(['tally'])).toEqual(['708.00', 'tally']);
  });

  it('has the add-ons that it lacks, in as many pieces as are needed, and no others', () => {
    const needs = [{ feature: 'club', level: 'must' as const }];
    const club = addon('club', '2', { features: { club: true } });
    const seats = addon('seats', '3', { raises: { staff: '1', mails: '500' } });
    const idle = addon('idle', '1', { features: { video: true }, raises: { mails: '100' } });
    const more = { needs, forecast: { ...kitesWith().pricing.file.forecast, drivers: { staff: '3' } } };
    // 720 + 12 × 2 + 2 × 12 × 3.
    expect(proposed({ limits: { staff: '1' } }, more, [club, seats, idle])).toEqual(['816.00', 'own', '1 club', '2 seats']);
    expect(proposed({ limits: { staff: '1' } }, more, [seats, idle])).toBeNull();
    expect(proposed({ limits: { staff: '1' } }, more, [club, idle])).toBeNull();
    const nothing = addon('nothing', '0', { raises: { staff: '0' } });
    expect(proposed({ limits: { staff: '1' } }, more, [club, nothing])).toBeNull();
    const ofOthers = { ...more, addons: [{ ...addon('elsewhere', '0.5', { raises: { staff: '1' } }), worksWith: ['b'] }] };
    expect(proposed({ limits: { staff: '1' } }, ofOthers, [club, seats])).toEqual(['816.00', 'own', '1 club', '2 seats']);
  });

  it('has one that gives back more than it costs, and none whose price or charge is not known', () => {
    const back = addon('back', '1', { charges: [percent('b', '0.5', { credit: true })] });
    expect(proposed({}, {}, [back])).toEqual(['672.00', 'own', '1 back']);
    const needs = [{ feature: 'club', level: 'must' as const }];
    const open = { ...addon('open', '1', { features: { club: true } }), terms: [{ id: 't', months: 1, price: null }] };
    const openCharge = addon('charged', '1', { features: { club: true }, charges: [{ ...percent('c', '1'), percent: null } as Charge] });
    expect(proposed({}, { needs }, [open, openCharge])).toBeNull();
    const free: Addon = { id: 'free', label: 'free', currency: 'EUR', features: { club: true } };
    expect(proposed({}, { needs }, [open, openCharge, free])).toEqual(['720.00', 'own', '1 free']);
  });
});
