import { describe, expect, it } from 'vitest';
import { readPhrase, statementsOf } from './read-phrase';
import type { RowKind } from './row-kind';

const inRow = (row: RowKind, text: string) => statementsOf(readPhrase(text, { row }));
const staff: RowKind = { kind: 'limit', quantity: 'staff' };

describe('a bare figure in a row', () => {
  it.each([
    ['5', { most: '5' }],
    ['unlimited', { most: true }],
    ['?', { most: null }],
    ['none', { most: '0' }],
    ['not offered', { most: '0' }],
    ['no', { most: '0' }],
    ['€4,000.50', { most: '4000.50', currency: 'EUR' }],
  ])('of a limit: %s', (text, expected) => expect(inRow(staff, text)).toEqual([{ kind: 'limit', quantity: 'staff', ...expected }]));

  it.each([
    ['yes', true],
    ['no', false],
    ['?', null],
    ['3', '3'],
  ])('of a feature: %s', (text, value) =>
    expect(inRow({ kind: 'feature', feature: 'video' }, text)).toEqual([{ kind: 'feature', feature: 'video', value }]),
  );

  it.each<[RowKind, string, object]>([
    [{ kind: 'joining' }, '40', { kind: 'joining', label: 'Joining fee', amount: '40' }],
    [{ kind: 'joining' }, 'none', { kind: 'joining', label: 'Joining fee', amount: '0' }],
    [{ kind: 'trial' }, '14 days', { kind: 'trial', days: 14 }],
    [{ kind: 'trial' }, '14', { kind: 'trial', days: 14 }],
    [{ kind: 'refund' }, '30 days', { kind: 'refund', days: 30 }],
    [{ kind: 'saving' }, '15%', { kind: 'saving', percent: '15' }],
  ])('of %j: %s', (row, text, expected) => expect(inRow(row, text)).toEqual([expected]));

  it('of a charge is an amount, a part, nothing, or so much for each', () => {
    const fee: RowKind = { kind: 'charge', label: 'Fee', bucket: 'transaction' };
    const charge = (more: object) => [{ kind: 'charge', charge: { label: 'Fee', bucket: 'transaction', ...more } }];
    expect(inRow(fee, '2')).toEqual(charge({ how: 'per-order', each: '2' }));
    expect(inRow(fee, '2%')).toEqual(charge({ how: 'per-order', percent: '2' }));
    expect(inRow(fee, 'none')).toEqual(charge({ how: 'per-order', percent: '0' }));
    expect(inRow(fee, '2 each')).toEqual(charge({ how: 'per-unit', each: '2' }));
    expect(inRow({ ...fee, on: 'labels', how: 'per-unit' }, '2')).toEqual(charge({ on: 'labels', how: 'per-unit', each: '2' }));
    expect(inRow({ ...fee, on: 'orders', only: { cards: ['amex'] } }, '2')).toEqual(
      charge({ only: { cards: ['amex'] }, how: 'per-order', each: '2' }),
    );
  });
});
