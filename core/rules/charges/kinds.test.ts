import { describe, expect, it } from 'vitest';
import { amountsOver, placesIn, ruleOver } from '../../tests/charge-amounts';
import type { Charge } from './kinds';

const base = { id: 'c', label: '', on: 'q' };
const places = (charge: Charge) => placesIn(ruleOver(charge).amount).sort();

describe('kinds of charges', () => {
  it('per unit: what lies beyond the allowance', () => {
    const charge: Charge = { ...base, how: 'per-unit', each: '2', percent: '50', free: '3' };
    expect(amountsOver(charge, [1, 3, 5])).toEqual(['0', '0', '5']);
    expect(places(charge)).toEqual(['charge c each', 'charge c free', 'charge c percent']);
  });

  it('package: every package begun beyond the allowance', () => {
    const charge: Charge = { ...base, how: 'package', size: '10', each: '4', free: '5' };
    expect(amountsOver(charge, [5, 6, 15, 16])).toEqual(['0', '4', '4', '8']);
    expect(places(charge)).toEqual(['charge c each', 'charge c free', 'charge c size']);
  });

  it('prepaid: packs as soon as what is left does not cover the month', () => {
    const charge: Charge = { ...base, how: 'prepaid', size: '100', each: '8', opening: '50' };
    // Used 40, 80, 180: 30 and 130 beyond the opening balance.
    expect(amountsOver(charge, [40, 40, 100, 20])).toEqual(['0', '8', '8', '0']);
    expect(places(charge)).toEqual(['charge c each', 'charge c opening', 'charge c size']);
  });

  const bands = [
    { upTo: '10', each: '2', flat: '1' },
    { upTo: null, each: '1', percent: '10', flat: '5' },
  ];

  it('graduated: each band’s part at its rate, and the flat amount of every band entered', () => {
    const charge: Charge = { ...base, how: 'graduated', bands };
    // 10 × 2 + 1; with two more: 2 × 1.1 + 5 besides.
    expect(amountsOver(charge, [0, 4, 10, 12])).toEqual(['0', '9', '21', '28.2']);
    expect(places(charge)).toContain('band c 1 percent');
    expect(places(charge)).toContain('band c 0 upTo');
    expect(ruleOver(charge).most).toBeNull();
  });

  it('volume: all at the rate of the band it falls in; a last band with an end is the most that is sold', () => {
    const closed = bands.map((band) => ({ ...band, upTo: band.upTo ?? '20' }));
    const charge: Charge = { ...base, how: 'volume', bands: closed };
    expect(amountsOver(charge, [4, 10, 12])).toEqual(['9', '21', '18.2']);
    expect(ruleOver(charge).most).toMatchObject({ value: '20', at: { line: 'band', id: 'c 1', field: 'upTo' } });
  });

  it('per order: of sales and of each; beyond an allowance in proportion', () => {
    const charge: Charge = { id: 'c', label: '', how: 'per-order', percent: '3', each: '0.2' };
    // 4 orders of 10: 1.20 + 0.80.
    expect(amountsOver(charge, [4])).toEqual(['2']);
    expect(amountsOver({ ...charge, free: '1' }, [0, 1, 4])).toEqual(['0', '0', '1.5']);
    expect(places(charge)).toEqual(['charge c each', 'charge c percent']);
  });

  it('per order: within the least and the most of each order', () => {
    const charge: Charge = { id: 'c', label: '', how: 'per-order', percent: '3', each: '0.2' };
    expect(amountsOver({ ...charge, least: '0.6' }, [4])).toEqual(['2.4']);
    expect(amountsOver({ ...charge, most: '0.4' }, [4])).toEqual(['1.6']);
    expect(amountsOver({ ...charge, least: '0.1', most: '0.9' }, [4])).toEqual(['2']);
    expect(amountsOver({ ...charge, least: null, most: '0.4' }, [4])).toEqual(['1.6']);
    // With bounds every stream’s orders are looked at, without them all sales together.
    expect(ruleOver(charge).amount.is).toBe('sum');
    expect(ruleOver({ ...charge, least: '0.6' }).amount.is).toBe('product');
    expect(places({ ...charge, least: '0.6', most: '0.7' })).toEqual([
      'charge c each',
      'charge c least',
      'charge c most',
      'charge c percent',
    ]);
  });
});
