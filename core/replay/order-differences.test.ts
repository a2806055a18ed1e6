import { describe, expect, it } from 'vitest';
import { plansWithCharges } from '../tests/monthly-plans';
import { type PastOrder, pastOrdersOf } from './past-orders';
import { replayAnswer, replaySteps } from './replay-answer';

type Charge = Readonly<Record<string, unknown>>;

/** A decision in which each candidate has one plan of 10 a month with one charge. */
function decisionWith(charges: Readonly<Record<string, Charge>>) {
  const forecast = { streams: [{ id: 's', label: 'Kites', kind: 'goods', orders: '1', orderValue: '1' }] };
  return plansWithCharges(Object.fromEntries(Object.entries(charges).map(([id, charge]) => [id, { monthly: '10', charge }])), { forecast });
}

function answerTo(charges: Readonly<Record<string, Charge>>, values: readonly string[]) {
  const orders = pastOrdersOf(
    values.map((value, at): PastOrder => ({ date: `2026-0${1 + (at % 2)}-10`, value, stream: 0, card: 'domestic', refunded: false })),
  );
  if (!orders) throw new Error('orders are expected');
  return replayAnswer(decisionWith(charges), orders);
}

describe('what single orders cost beside the average one', () => {
  it('is more where a fee has a least, less where it has a most, and nothing where it is a plain percentage', () => {
    const charges = {
      plain: { percent: '2', each: '0.1' },
      least: { percent: '2', least: '1.00' },
      most: { percent: '2', most: '1.00' },
    };
    // On average 50: 1.00 an order either way. Singly: 10 and 90.
    const { candidates } = answerTo(charges, ['10', '90', '10', '90']);
    expect(Object.fromEntries(candidates.map(({ id, moreThanAverage }) => [id, moreThanAverage]))).toEqual({
      plain: '0.00',
      least: '1.60',
      most: '-1.60',
    });
  });

  it('leaves free orders out on both sides', () => {
    const { candidates } = answerTo({ one: { each: '1', least: '0', free: '1' } }, ['10', '20', '30', '40']);
    expect(candidates[0]?.moreThanAverage).toBe('0.00');
  });
});

describe('a candidate at a time', () => {
  const file = decisionWith({ one: { percent: '2' }, two: { each: '0.30' }, three: { percent: '1', least: '0.50' } });
  const orders = pastOrdersOf([{ date: '2026-01-10', value: '40', stream: 0, card: 'domestic', refunded: false }]);

  it('tells how far it is, never back, and ends with the same answer', () => {
    if (!orders) throw new Error('orders are expected');
    const parts: number[] = [];
    const steps = replaySteps(file, orders);
    let step = steps.next();
    for (; !step.done; step = steps.next()) parts.push(step.value);
    expect(parts.length).toBeGreaterThanOrEqual(6);
    expect(parts).toEqual([...parts].sort((a, b) => a - b));
    expect([parts[0], parts.at(-1)]).toEqual([0, 1]);
    expect(step.value).toEqual(replayAnswer(file, orders));
  });
});

describe('past orders through every candidate', () => {
  const charges = { dear: { percent: '5' }, cheap: { each: '1' } };
  const answer = answerTo(charges, ['10', '500', '20', '5']);

  it('come cheapest first, each with what it would have cost more', () => {
    expect(answer.candidates.map(({ id, result, more }) => [id, result.total, more])).toEqual([
      ['cheap', '24.00', '0.00'],
      ['dear', '46.75', '22.75'],
    ]);
    expect([answer.orders, answer.sales, answer.salesAMonth, answer.months]).toEqual([4, '535.00', '267.50', ['2026-01', '2026-02']]);
  });

  it('name the months without any order', () => {
    const orders = pastOrdersOf(
      ['2026-01-10', '2026-04-10'].map((date): PastOrder => ({ date, value: '5', stream: 0, card: 'domestic', refunded: false })),
    );
    if (!orders) throw new Error('orders are expected');
    expect([replayAnswer(decisionWith(charges), orders).empty, answer.empty]).toEqual([['2026-02', '2026-03'], []]);
  });

  it('name the orders on which the first two differ most', () => {
    expect(answer.differing.map(({ month, value, more }) => [month, value, more])).toEqual([
      ['2026-02', '500', '-24.00'],
      ['2026-02', '5', '0.75'],
      ['2026-01', '10', '0.50'],
    ]);
  });
});
