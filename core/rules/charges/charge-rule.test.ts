import { describe, expect, it } from 'vitest';
import { checker } from '../../fields/checker';
import { amountsOver, placesIn, ruleOver, valuesOver } from '../../tests/charge-amounts';
import { between, checkCharge, existsIn, existsWithin, isChargeNotKnown } from './charge-rule';
import type { Charge } from './kinds';

const each: Charge = { id: 'c', label: '', how: 'per-unit', on: 'q', each: '2' };

describe('what holds an amount up or back', () => {
  it('is the least and the most of a month, in this order', () => {
    expect(amountsOver({ ...each, monthlyMin: '5', monthlyCap: '9' }, [1, 3, 6])).toEqual(['5', '6', '9']);
    const { held, amount } = ruleOver({ ...each, monthlyMin: '5', monthlyCap: '9', totalCap: '20' });
    expect(held.map(({ by }) => by)).toEqual(['monthlyMin', 'monthlyCap', 'totalCap']);
    expect(held.map((one) => valuesOver(one.amount, [1, 6]))).toEqual([
      ['5', '12'],
      ['5', '9'],
      ['5', '9'],
    ]);
    expect(placesIn(amount).sort()).toEqual([
      'charge c each',
      'charge c monthlyCap',
      'charge c monthlyMin',
      'charge c percent',
      'charge c totalCap',
    ]);
  });

  it('is the most of all months together, from the month that reaches it', () => {
    expect(amountsOver({ ...each, totalCap: '15' }, [3, 3, 3, 3])).toEqual(['6', '6', '3', '0']);
  });

  it('is nothing where nothing is stated', () => {
    expect(ruleOver({ ...each, monthlyMin: null, monthlyCap: null, totalCap: null })).toMatchObject({ held: [], most: null });
    expect(ruleOver(each).held).toEqual([]);
  });
});

describe('dates of a charge', () => {
  it('outside of them it costs nothing, not even its least, and counts nothing', () => {
    expect(amountsOver({ ...each, monthlyMin: '5', from: '2027-02', until: '2027-03' }, [1, 1, 4, 4])).toEqual(['0', '5', '8', '0']);
    const packs: Charge = { id: 'c', label: '', how: 'prepaid', on: 'q', size: '10', each: '8', from: '2027-02' };
    // What was counted before it exists uses nothing up: 5 in February is the first pack, 14 by March the second.
    expect(amountsOver(packs, [5, 5, 9])).toEqual(['0', '8', '8']);
    expect(amountsOver({ ...packs, from: '2027-01', until: '2027-02' }, [5, 5, 9])).toEqual(['8', '0', '0']);
  });

  it('may be open at either end', () => {
    expect(valuesOver(between({ from: '2027-02' }, ruleOver(each).amount), [1, 1, 1])).toEqual(['0', '2', '2']);
    expect(valuesOver(between({ until: '2027-02' }, ruleOver(each).amount), [1, 1, 1])).toEqual(['2', '2', '0']);
    const { amount } = ruleOver(each);
    expect(between({}, amount)).toBe(amount);
  });

  it('tell in which months it exists, and whether in any of a horizon', () => {
    const inMonths = (dates: object) => ['2027-01', '2027-02', '2027-03', '2027-04'].filter((month) => existsIn(dates, month));
    expect(inMonths({ from: '2027-02', until: '2027-03' })).toEqual(['2027-02', '2027-03']);
    expect(inMonths({ from: '2027-04' })).toEqual(['2027-04']);
    expect(inMonths({ until: '2027-01' })).toEqual(['2027-01']);
    expect(inMonths({})).toHaveLength(4);
    const horizon = { start: '2027-01', months: 3 };
    expect(existsWithin({ from: '2027-04' }, horizon)).toBe(false);
    expect(existsWithin({ from: '2027-03' }, horizon)).toBe(true);
    expect(existsWithin({ until: '2026-12' }, horizon)).toBe(false);
    expect(existsWithin({ until: '2027-01' }, horizon)).toBe(true);
    expect(existsWithin({}, horizon)).toBe(true);
  });
});

describe('an amount that is not known', () => {
  it('may stand anywhere but at the end of the last band', () => {
    expect(isChargeNotKnown(each)).toBe(false);
    expect(isChargeNotKnown({ ...each, each: null })).toBe(true);
    expect(isChargeNotKnown({ ...each, totalCap: null })).toBe(true);
    const bands = (flat: string | null): Charge => ({ id: 'c', label: '', how: 'volume', bands: [{ upTo: null, each: '1', flat }] });
    expect(isChargeNotKnown(bands('2'))).toBe(false);
    expect(isChargeNotKnown(bands(null))).toBe(true);
  });
});

describe('what is wrong with a charge', () => {
  const known = { quantities: new Set(['orders', 'sales', 'q']), streams: new Set(['kites']) };
  const wrong = (charge: Charge) => {
    const check = checker({});
    checkCharge(known, charge, ['charge'], check);
    return check.problems.map(({ path, wanted }) => `${path}: ${wanted}`);
  };

  it('is nothing with a sound one', () => {
    expect(wrong({ ...each, only: { streams: ['kites'] }, monthlyMin: '1', monthlyCap: '1', from: '2027-01', until: '2027-01' })).toEqual(
      [],
    );
    expect(wrong({ ...each, free: null, only: { kinds: ['goods'] } })).toEqual([]);
    expect(wrong({ ...each, free: '3', monthlyMin: '5' })).toEqual([]);
    expect(wrong({ ...each, monthlyCap: '5', from: '2027-05' })).toEqual([]);
    expect(wrong({ ...each, monthlyMin: '5', monthlyCap: null, until: '2027-05' })).toEqual([]);
    expect(wrong({ ...each, credit: true, against: 'plan' })).toEqual([]);
  });

  it.each<[string, Partial<Charge>, string]>([
    ['a quantity that there is not', { on: 'ghosts' }, 'charge.on: use the id of a quantity in this file'],
    ['a stream that there is not', { only: { streams: ['kites', 'x'] } }, 'charge.only.streams[1]: use the id of a stream in this file'],
    ['a least above the most', { monthlyMin: '3', monthlyCap: '2' }, 'charge.monthlyMin: use not more than monthlyCap'],
    ['an end before the beginning', { from: '2027-03', until: '2027-02' }, 'charge.from: use a month not after until'],
    [
      'a cost that would pay for the plan',
      { against: 'plan' },
      'charge.against: only a credit (credit: true) can be used up by the plan’s payments',
    ],
  ])('%s', (_, fields, problem) => {
    expect(wrong({ ...each, ...fields } as Charge)).toEqual([problem]);
  });

  it('free of a quantity that there is not', () => {
    expect(wrong({ ...each, free: { per: 'ghosts', ratio: '1' } })).toEqual(['charge.free.per: use the id of a quantity in this file']);
  });

  it('what its kind says of it', () => {
    const perOrder: Charge = { id: 'c', label: '', how: 'per-order', each: '1' };
    expect(wrong({ ...perOrder, on: 'orders', least: '1', most: '1' })).toEqual([]);
    expect(wrong({ ...perOrder, on: 'sales' })).toEqual(['charge.on: a charge per order is always on orders']);
    expect(wrong({ ...perOrder, least: '2', most: '1' })).toEqual(['charge.least: use not more than most']);
    const bands = (...edges: Array<string | null>): Charge => ({
      id: 'c',
      label: '',
      how: 'graduated',
      bands: edges.map((upTo) => ({ upTo, each: '1' })),
    });
    expect(wrong(bands('10', '20', null))).toEqual([]);
    expect(wrong(bands('10', '10', '5', '11'))).toEqual([
      'charge.bands[1].upTo: use a number above 10: bands in order',
      'charge.bands[2].upTo: use a number above 10: bands in order',
    ]);
    expect(wrong(bands(null, '10'))).toEqual(['charge.bands[0].upTo: use a number: only the last band is open']);
  });
});
