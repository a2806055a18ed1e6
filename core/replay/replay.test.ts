import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readDecisionFile } from '../decision-file/read';
import { readPastOrders } from './read-past-orders';
import { replay } from './replay';

const load = (name: string) => readFileSync(new URL(`cases/${name}`, import.meta.url), 'utf8');

it('comes to what case 25 says, to the cent', () => {
  const file = readDecisionFile(JSON.parse(load('25-replay.json')));
  expect(replay(file, readPastOrders(load('25-replay.csv'), file))).toEqual(JSON.parse(load('25-replay.result.json')));
});

const order = fc.record({
  month: fc.integer({ min: 0, max: 4 }),
  day: fc.integer({ min: 1, max: 28 }),
  cents: fc.integer({ min: 1, max: 30_000 }),
  card: fc.constantFrom('domestic', 'foreign'),
  refunded: fc.boolean(),
});
const fee = fc.record({
  percent: fc.integer({ min: 0, max: 600 }),
  each: fc.integer({ min: 0, max: 90 }),
  least: fc.option(fc.integer({ min: 0, max: 100 })),
  most: fc.option(fc.integer({ min: 100, max: 400 })),
  free: fc.integer({ min: 0, max: 3 }),
  returned: fc.boolean(),
  onlyForeign: fc.boolean(),
});
type Order = typeof order extends fc.Arbitrary<infer One> ? One : never;
type Fee = typeof fee extends fc.Arbitrary<infer One> ? One : never;

const money = (cents: number) => (cents / 100).toFixed(2);
const dateOf = ({ month, day }: Order) => `2026-0${month + 1}-${String(day).padStart(2, '0')}`;

/** The fee on an order in cents, in whole numbers throughout: percent and cents are hundredths of hundredths. */
function feeOn({ percent, each, least, most }: Fee, cents: number): number {
  // Half a cent goes up, as nothing here is below 0.
  let thousandths = cents * percent + each * 10_000;
  if (least !== null) thousandths = Math.max(thousandths, least * 10_000);
  if (most !== null) thousandths = Math.min(thousandths, most * 10_000);
  return Math.floor((thousandths + 5_000) / 10_000);
}

describe('replayed orders', () => {
  it('cost what a plain sum over them says: bounds, free ones, returned fees and cards', () => {
    fc.assert(
      fc.property(fc.array(order, { minLength: 1, maxLength: 25 }), fee, (orders, of) => {
        const file = readDecisionFile({
          format: 'venalis.decision',
          version: 2,
          name: 'Replay',
          currency: 'EUR',
          start: '2027-01',
          months: 12,
          forecast: {
            streams: [{ id: 's', label: 'S', kind: 'goods', orders: '999', orderValue: '999', cards: { domestic: '50', foreign: '50' } }],
          },
          offers: [
            {
              id: 'o',
              vendor: 'Oakum',
              label: 'Oakum',
              kind: 'k',
              plans: [
                {
                  id: 'p',
                  label: 'P',
                  currency: 'EUR',
                  terms: [{ id: 'm', months: 1, price: '0' }],
                  charges: [
                    {
                      id: 'f',
                      label: 'Fee',
                      how: 'per-order',
                      percent: money(of.percent),
                      each: money(of.each),
                      ...(of.least === null ? {} : { least: money(of.least) }),
                      ...(of.most === null ? {} : { most: money(of.most) }),
                      free: String(of.free),
                      ...(of.returned ? { refund: 'returned' } : {}),
                      ...(of.onlyForeign ? { only: { cards: ['foreign'] } } : {}),
                    },
                  ],
                },
              ],
            },
          ],
          candidates: [{ id: 'A', label: 'A', plans: [{ plan: 'p', term: 'm' }] }],
        });
        const lines = orders.map((one) => `${dateOf(one)},${money(one.cents)},s,${one.card},${Number(one.refunded)}`);
        const found = replay(file, readPastOrders(['date,value,stream,card,refunded', ...lines].join('\r\n'), file));
        const byDate = [...orders].sort((a, b) => a.month - b.month || a.day - b.day);
        const first = byDate[0]?.month ?? 0;
        const monthly = found.months.map((_, index) =>
          byDate
            .filter((one) => one.month === first + index && !(of.returned && one.refunded) && !(of.onlyForeign && one.card !== 'foreign'))
            .reduce((sum, one, place) => (place < of.free ? sum : sum + feeOn(of, one.cents)), 0),
        );
        expect(found.candidates[0]?.monthly).toEqual(monthly.map(money));
        const kept = orders.reduce((sum, one) => (one.refunded ? sum : sum + one.cents), 0) - monthly.reduce((sum, one) => sum + one, 0);
        expect(found.candidates[0]?.keep).toBe(money(kept));
        expect(found.replayed.orders).toBe(orders.length);
      }),
      { numRuns: 200 },
    );
  });
});

describe('a file of past orders', () => {
  const file = readDecisionFile(JSON.parse(load('25-replay.json')));
  const read = (text: string) => readPastOrders(text, file);

  it('is put in order by day, and in the order of the file for one day', () => {
    const orders = read('﻿value,date\n3,2026-02-02\n1,2026-01-31\n2,2026-02-02\n');
    expect([orders.start, orders.digits, ...orders.starts]).toEqual(['2026-01', 0, 0, 1, 3]);
    expect([[...orders.units], [...orders.stream], orders.kinds, [...orders.refunded]]).toEqual([
      [1, 3, 2],
      [0, 0, 0],
      ['domestic'],
      [0, 0, 0],
    ]);
  });

  it.each([
    ['', 'line 1: found nothing; add the column date'],
    ['date,value\n', 'line 2: found nothing; add an order to a line of its own'],
    ['date,value\n2026-02-30,5\n', 'line 2, date: found "2026-02-30"; use a day such as 2026-11-28'],
    ['date,value\n2026-02-03,5\n2026-02-03,0\n', 'line 3, value: found "0"; use an amount above 0 with a point, such as 48.00'],
    ['date,value\n2026-02-03,"€5,00"\n', 'line 2, value: found "€5,00"; use an amount above 0 with a point, such as 48.00'],
    ['date,value,stream\n2026-02-03,5,boats\n', 'line 2, stream: found "boats"; use one of kites, lessons'],
    ['date,value,card\n2026-02-03,5,gold\n', 'line 2, card: found "gold"; use one of domestic, international'],
    ['date,value,refunded\n2026-02-03,5,yes\n', 'line 2, refunded: found "yes"; use 0 or 1'],
    ['date,value,name\n2026-02-03,5,Ann\n', 'line 1: found "name"; use the columns date, value, stream, card, refunded'],
  ])('is refused with the line and what to do: %j', (text, problem) => {
    expect(() => read(text)).toThrow(problem);
  });
});
