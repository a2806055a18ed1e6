import { describe, expect, it } from 'vitest';
import type { Plan } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { kiteDecision } from '../tests/kite-decision';
import { stepsUp } from './steps-up';

const plan = (id: string, price: string, percent: string, more: Partial<Plan> = {}): Plan => ({
  id,
  label: id,
  currency: 'EUR',
  terms: [
    { id: 'm', months: 1, price },
    { id: 'y', months: 12, price: String(Number(price) * 10) },
  ],
  charges: [{ id: `fee-${id}`, label: 'Fee', how: 'per-order', percent, bucket: 'payment' }],
  ...more,
});

/** Sales of 1,000 a month over a year; of each plan a candidate by the month, unless others are named. */
function ladder(plans: Plan[], candidates?: DecisionFile['candidates'], needs?: DecisionFile['needs']): DecisionFile {
  const kites = kiteDecision();
  return {
    ...kites,
    ...(needs ? { needs } : {}),
    offers: kites.offers.map((offer) => (offer.id === 'a' ? { ...offer, plans } : offer)),
    candidates: candidates ?? plans.map(({ id }, index) => ({ id: 'ACD'[index] ?? 'E', label: id, plans: [{ plan: id, term: 'm' }] })),
  };
}

describe('the next plan up', () => {
  it('says what the step costs, saves in fees, and comes to', () => {
    // 12 × 20 more for the plan, 12 × 1,000 × 3 % less in fees.
    const [step] = stepsUp(ladder([plan('small', '10', '5'), plan('big', '30', '2')]));
    expect(step).toMatchObject({
      offer: 'a',
      vendor: 'Alder',
      from: { candidate: 'A', plan: 'small', usable: true, outgrown: null },
      to: { candidate: 'C', plan: 'big' },
      plan: '240.00',
      fees: '-360.00',
      others: '0.00',
      total: '-120.00',
    });
    // 20 a month are 3 % of 666.67.
    expect(step?.pair?.points).toMatchObject([{ monthlySales: '666.67', below: 'A', above: 'C' }]);
  });

  it('goes from each plan to the next dearer one, whatever their order on the sheet; what saves most first', () => {
    const steps = stepsUp(ladder([plan('big', '90', '2'), plan('small', '10', '5'), plan('middle', '30', '2')]));
    expect(steps.map(({ from, to, total }) => [from.plan, to.plan, total])).toEqual([
      ['small', 'middle', '-120.00'],
      ['middle', 'big', '720.00'],
    ]);
  });

  it('takes every plan at its best candidate, and none that is put together of several', () => {
    const taken = (id: string, term: string, of = 'small') => ({ id, label: id, plans: [{ plan: of, term }] });
    const both = { id: 'E', label: 'both', plans: [...taken('x', 'm').plans, { plan: 'pb', term: 'm' }] };
    const file = ladder(
      [plan('small', '10', '5'), plan('big', '30', '2')],
      [taken('A', 'm'), taken('C', 'y'), taken('D', 'm', 'big'), both],
    );
    expect(stepsUp(file).map(({ from, to, plan: more }) => [from.candidate, to.candidate, more])).toEqual([['C', 'D', '260.00']]);
  });

  it('leaves out a step to a plan that somebody put together with something else', () => {
    const candidates = [
      { id: 'A', label: 'small', plans: [{ plan: 'small', term: 'm' }] },
      { id: 'C', label: 'big', plans: [{ plan: 'big', term: 'm' }], extras: [{ label: 'Designer', amount: '4000', months: 0 }] },
    ];
    expect(stepsUp(ladder([plan('small', '10', '5'), plan('big', '30', '2')], candidates))).toEqual([]);
  });

  it('names what is added, needed things first, and which limits are raised', () => {
    const small = plan('small', '10', '5', {
      limits: { staff: '1', products: '100', orders: '500' },
      features: { video: true, pos: false },
    });
    const big = plan('big', '30', '2', {
      limits: { staff: '5', orders: '500' },
      features: { video: true, themes: true, pos: true, languages: '3', stock: null },
    });
    const [step] = stepsUp(ladder([small, big], undefined, [{ feature: 'pos', level: 'want' }]));
    expect(step).toMatchObject({ adds: ['pos', 'themes', 'languages'], needed: 1 });
    // 20 a month more for the plan, over 4 seats.
    expect(step?.raises).toEqual([
      { quantity: 'staff', from: '1', to: '5', perUnit: '5.0000', neededFrom: null },
      { quantity: 'products', from: '100', to: null, perUnit: null, neededFrom: null },
    ]);
  });

  it('says what else makes the difference, where the lower plan takes an add-on beside it', () => {
    const club = { id: 'club', label: 'Club', currency: 'EUR', terms: [{ id: 'm', months: 1, price: '4' }] };
    const small = { id: 'A', label: 'small', plans: [{ plan: 'small', term: 'm' }], addons: [{ addon: 'club', term: 'm' }] };
    const big = { id: 'C', label: 'big', plans: [{ plan: 'big', term: 'm' }] };
    const file = { ...ladder([plan('small', '10', '5'), plan('big', '30', '2')], [small, big]), addons: [club] };
    expect(stepsUp(file)[0]).toMatchObject({ plan: '240.00', fees: '-360.00', others: '-48.00', total: '-168.00' });
  });

  it('says from which month more than the lower plan allows is needed, and what a cheaper step costs a unit: nothing', () => {
    const kites = kiteDecision().forecast;
    const small = plan('small', '30', '5', { limits: { staff: '2', contacts: '10' } });
    const big = plan('big', '30', '2', { limits: { staff: '4', contacts: '20' } });
    const drivers = { staff: '2', contacts: { start: '9', set: { '2027-02': '10', '2027-03': '11' } } };
    const [step] = stepsUp({ ...ladder([small, big]), forecast: { ...kites, drivers } });
    expect(step?.raises).toEqual([
      { quantity: 'staff', from: '2', to: '4', perUnit: null, neededFrom: null },
      { quantity: 'contacts', from: '10', to: '20', perUnit: null, neededFrom: '2027-03' },
    ]);
  });

  it('says what it costs more a month now and from the renewal on, in the plans’ own terms and currency', () => {
    const small = plan('small', '10', '5');
    const big = plan('big', '30', '2', { terms: [{ id: 'm', months: 1, price: '30', intro: { price: '12', periods: 3 } }] });
    expect(stepsUp(ladder([small, big]))[0]?.monthly).toEqual({ now: '2.00', renewal: '20.00', currency: 'EUR' });
    const dollars = stepsUp({ ...ladder([small, { ...big, currency: 'USD' }]), rates: { USD: '1' } });
    expect(dollars[0]?.monthly).toEqual({ now: null, renewal: null, currency: 'USD' });
    const forGood = plan('good', '900', '2', { terms: [{ id: 'm', months: 0, price: '900' }] });
    expect(stepsUp(ladder([small, forGood]))[0]?.monthly).toMatchObject({ now: null, renewal: null });
  });

  it('says what the needed things that it adds would cost singly', () => {
    const small = plan('small', '10', '5');
    const big = plan('big', '30', '2', { features: { video: true, themes: true } });
    const club = {
      id: 'club',
      label: 'Club',
      currency: 'EUR',
      terms: [{ id: 'm', months: 1, price: '4' }],
      features: { video: true, themes: true },
    };
    const file = { ...ladder([small, big], undefined, [{ feature: 'video', level: 'want' }]), addons: [club] };
    expect(stepsUp(file)[0]?.singly).toEqual({
      total: '48.00',
      parts: [{ name: 'Club', total: '48.00', features: ['video'] }],
      nowhere: [],
    });
    expect(stepsUp({ ...file, needs: [] })[0]?.singly).toBeNull();
  });

  it('says when the lower plan is outgrown; a step to what cannot be chosen comes last', () => {
    const plans = [
      plan('small', '10', '5', { limits: { orders: '50' } }),
      plan('middle', '30', '2'),
      plan('big', '31', '0', { limits: { orders: '9' } }),
    ];
    const steps = stepsUp(ladder(plans));
    expect(steps.map(({ to }) => to.plan)).toEqual(['middle', 'big']);
    expect(steps[0]?.from).toMatchObject({ usable: false, outgrown: '2027-01' });
    expect(steps[1]?.to.usable).toBe(false);
  });

  it('is nothing for vendors with a single plan, or one whose price is not known', () => {
    const unknown = plan('big', '30', '2', { terms: [{ id: 'm', months: 1, price: null }] });
    expect(stepsUp(ladder([plan('small', '10', '5'), unknown]))).toEqual([]);
    expect(stepsUp(kiteDecision())).toEqual([]);
  });
});
