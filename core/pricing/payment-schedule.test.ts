import { describe, expect, it } from 'vitest';
import { type OnePlan, onePlan, withPlan } from '../tests/one-plan';
import type { Candidate } from '../decision-file/candidate-schema';
import { findTerm, paymentSchedule, planPayments, type ScheduledPayment } from './payment-schedule';

const scheduled = (made: OnePlan, more: Partial<Candidate> = {}, joining?: { month: number; moved: boolean }) =>
  paymentSchedule(onePlan(made), withPlan(more), joining);

/** A payment without the expression of its price, its amount as text. */
const plain = ({ price: _price, ofTerm: _ofTerm, charged, ...payment }: ScheduledPayment) => ({ ...payment, charged: charged.toFixed(2) });

describe('the payments of a candidate', () => {
  it('are those of its plan, with the place on the price sheet', () => {
    const [first, second, third, ...others] = scheduled({}).map(plain);
    const source = { kind: 'term', owner: 'plan', id: 'p', term: 't' };
    const shared = { covers: 1, prorated: false, currency: 'EUR', bucket: 'plan', source, taxExcluded: false, charged: '10.00' };
    expect([first, second, third]).toEqual([0, 1, 2].map((month) => ({ ...shared, month })));
    expect(others).toEqual([]);
  });

  it('say whether an unused part comes back, and whether tax comes on top', () => {
    const [payment] = scheduled({
      plan: { currency: 'USD', taxExcluded: true, terms: [{ id: 't', months: 6, price: '60', prorated: true }] },
      file: { rates: { USD: '0.9' } },
    }).map(plain);
    expect(payment).toMatchObject({ prorated: true, taxExcluded: true, currency: 'USD', covers: 6, charged: '60.00' });
  });

  it('have the joining fee, once, and not after a move inside the offer', () => {
    const made: OnePlan = {
      plan: {
        taxExcluded: true,
        once: [
          { label: 'a', amount: '5.005' },
          { label: 'b', amount: '7' },
        ],
      },
    };
    const fees = (joining?: { month: number; moved: boolean }) => scheduled(made, {}, joining).filter(({ bucket }) => bucket === 'once');
    expect(fees().map(plain)).toEqual(
      ['5.01', '7.00'].map((charged, index) => ({
        month: 0,
        covers: 0,
        prorated: false,
        charged,
        currency: 'EUR',
        taxExcluded: true,
        bucket: 'once',
        source: { kind: 'joining-fee', plan: 'p', index },
      })),
    );
    expect(fees().map(({ price }) => price)).toMatchObject([
      { value: '5.005', at: { part: 'p', line: 'once', id: '0', field: 'price' } },
      { value: '7', at: { part: 'p', line: 'once', id: '1', field: 'price' } },
    ]);
    expect(fees({ month: 1, moved: false }).map(({ month }) => month)).toEqual([1, 1]);
    expect(fees({ month: 1, moved: true })).toEqual([]);
  });

  it('have add-ons as often as they are taken; one without a term costs nothing by itself', () => {
    const addon = { id: 'x', label: 'X', currency: 'EUR', terms: [{ id: 'm', months: 2, price: '3' }] };
    const made: OnePlan = { addons: [addon, { id: 'y', label: 'Y', currency: 'EUR', taxExcluded: true, terms: addon.terms }] };
    const taken = scheduled(made, { addons: [{ addon: 'x', term: 'm', count: 2 }, { addon: 'x' }, { addon: 'y', term: 'm' }] });
    expect(taken.filter(({ bucket }) => bucket === 'addon').map(plain)).toEqual(
      [
        ['x', 0, '6.00', false],
        ['x', 2, '6.00', false],
        ['y', 0, '3.00', true],
        ['y', 2, '3.00', true],
      ].map(([id, month, charged, taxExcluded]) => ({
        month,
        covers: 2,
        prorated: false,
        charged,
        currency: 'EUR',
        bucket: 'addon',
        source: { kind: 'term', owner: 'addon', id, term: 'm' },
        taxExcluded,
      })),
    );
  });

  it('have extras from their month on, again and again or once', () => {
    const extras = [
      { label: 'theme', amount: '90', months: 0 },
      { label: 'photos', amount: '4', months: 2, from: 1, currency: 'USD' },
    ];
    const made: OnePlan = { file: { months: 4, rates: { USD: '0.9' } } };
    const paid = (joining?: { month: number; moved: boolean }) =>
      scheduled(made, { extras }, joining).filter(({ source }) => source.kind === 'extra');
    expect(paid().map(plain)).toEqual(
      [
        { bucket: 'once', covers: 0, month: 0, charged: '90.00', currency: 'EUR', index: 0 },
        { bucket: 'extra', covers: 2, month: 1, charged: '4.00', currency: 'USD', index: 1 },
        { bucket: 'extra', covers: 2, month: 3, charged: '4.00', currency: 'USD', index: 1 },
      ].map(({ index, ...payment }) => ({ ...payment, prorated: false, taxExcluded: false, source: { kind: 'extra', index } })),
    );
    expect(paid()[1]?.price).toMatchObject({ value: '4', at: { part: 'A', line: 'extra', id: '1', field: 'price' } });
    expect(paid({ month: 1, moved: true }).map(({ month, bucket }) => [month, bucket])).toEqual([[2, 'extra']]);
    expect(paid({ month: 1, moved: false }).map(({ month }) => month)).toEqual([1, 2]);
  });

  it('leave out a term whose price is not known', () => {
    expect(scheduled({ plan: { terms: [{ id: 't', months: 1, price: null }] } })).toEqual([]);
  });

  it('tell which payment of its term each is', () => {
    const [first, second] = scheduled({ plan: { terms: [{ id: 't', months: 1, price: '10', intro: { price: '1', periods: 1 } }] } });
    expect([first, second].map((payment) => [payment?.ofTerm?.ordinal, payment?.charged.toFixed(2)])).toEqual([
      [0, '1.00'],
      [1, '10.00'],
    ]);
  });

  it('are none of a plan that the candidate does not have', () => {
    expect(planPayments(onePlan(), withPlan(), 1, { month: 0, moved: false })).toEqual([]);
    expect(() => findTerm([{ id: 'a', months: 1, price: '1' }], 'b')).toThrow('There is no term b');
    expect(
      findTerm(
        [
          { id: 'a', months: 1, price: '1' },
          { id: 'b', months: 3, price: '1' },
        ],
        'b',
      ).months,
    ).toBe(3);
  });
});
