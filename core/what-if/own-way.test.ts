import { describe, expect, it } from 'vitest';
import type { DecisionFile } from '../decision-file/schema';
import { type MovingCosts, USUAL_MOVING } from '../route/moving-costs';
import { kiteDecision } from '../tests/kite-decision';
import { routePlanner } from './route-plan';

const kites = kiteDecision();
const FREE: MovingCosts = { ...USUAL_MOVING, within: { hours: '0', money: '0' }, between: { hours: '0', money: '0' } };
const own = (stays: Array<[string, string]>, file: DecisionFile = kites, moving = FREE) => {
  const [way] = routePlanner(file).own([{ id: 'w', stays: stays.map(([candidate, from]) => ({ candidate, from })) }], moving);
  if (!way) throw new Error('a way is expected');
  return way;
};
const yearly = { id: 'Y', label: 'Alder by the year', plans: [{ plan: 'pa', term: 'y' }] };

describe('a way of one’s own', () => {
  it('is priced with its moves, and set against the best candidate throughout', () => {
    // Alder 60 a month for three months, then Birch 40 for nine: 540. Birch throughout costs 480.
    expect(
      own([
        ['A', '2027-01'],
        ['B', '2027-04'],
      ]),
    ).toEqual({
      id: 'w',
      stays: [
        { candidate: 'A', from: '2027-01', months: 3 },
        { candidate: 'B', from: '2027-04', months: 9 },
      ],
      total: '540.00',
      kept: null,
      worse: '60.00',
      obstacle: null,
    });
    const paid = { ...FREE, between: { hours: '1', money: '5' } };
    expect(
      own(
        [
          ['A', '2027-01'],
          ['B', '2027-04'],
        ],
        kites,
        paid,
      ),
    ).toMatchObject({ total: '565.00', worse: '85.00' });
  });

  it('may stay with one vendor by another term: one month first, then the year', () => {
    const file = { ...kites, candidates: [...kites.candidates, yearly] };
    // A month of 60, then 96 for a year of which eleven months are used, and 50 a month.
    expect(
      own(
        [
          ['A', '2027-01'],
          ['Y', '2027-02'],
        ],
        file,
      ),
    ).toMatchObject({ total: '706.00', worse: '226.00' });
  });

  it('may be better than every candidate throughout', () => {
    const growing: DecisionFile['forecast'] = {
      streams: [{ id: 'k', label: 'K', kind: 'goods', orders: { start: '0', add: '20' }, orderValue: '10' }],
    };
    // Alder costs 10 in January, 20 in February, 30 in March; Birch 30, 32, 34, and the same from there on.
    expect(
      own(
        [
          ['A', '2027-01'],
          ['B', '2027-04'],
        ],
        { ...kites, forecast: growing },
      ),
    ).toMatchObject({ worse: '-36.00' });
  });

  it('is compared by what is left where that is asked', () => {
    const file: DecisionFile = { ...kites, cheapestAt: { by: 'keep', from: '1', to: '9' } };
    // Half of 12,000 less 540.
    expect(
      own(
        [
          ['A', '2027-01'],
          ['B', '2027-04'],
        ],
        file,
      ),
    ).toMatchObject({ kept: '5460.00', worse: '60.00' });
  });

  it('says why it cannot be priced', () => {
    expect(
      own([
        ['A', '2027-01'],
        ['Z', '2027-04'],
      ]).obstacle,
    ).toEqual({ kind: 'gone' });
    expect(
      own([
        ['A', '2027-01'],
        ['B', '2027-04'],
        ['A', '2027-04'],
      ]).obstacle,
    ).toEqual({ kind: 'months' });
    expect(
      own([
        ['A', '2027-01'],
        ['B', '2028-01'],
      ]).obstacle,
    ).toEqual({ kind: 'months' });
    expect(
      own([
        ['A', '2027-01'],
        ['B', '2026-12'],
      ]).obstacle,
    ).toEqual({ kind: 'months' });
    const needs = [{ feature: 'stock', level: 'must' as const }];
    expect(
      own(
        [
          ['A', '2027-01'],
          ['B', '2027-04'],
        ],
        { ...kites, needs },
      ),
    ).toMatchObject({ total: null, obstacle: { kind: 'impossible' } });
  });
});
