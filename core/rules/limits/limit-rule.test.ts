import { expect, it } from 'vitest';
import { constant } from '../expression/build';
import { valuesOver } from '../../tests/charge-amounts';
import { monthlyLimit, yearlyLimit } from './limit-rule';

const quantity = { is: 'quantity', id: 'q', streams: null } as const;

it('counts a month, or the twelve months up to it, under the name of the limit', () => {
  const months = Array.from({ length: 14 }, (_, month) => month + 1);
  const monthly = monthlyLimit('orders', quantity, constant('5'));
  expect(monthly).toMatchObject({ limit: 'orders', quantity: 'orders', most: { value: '5' } });
  expect(valuesOver(monthly.counted, months).slice(-2)).toEqual(['13', '14']);
  const yearly = yearlyLimit('orders', quantity, constant('5'));
  expect(yearly).toMatchObject({ limit: 'orders/year', quantity: 'orders', most: { value: '5' } });
  // 1 to 12, 2 to 13, 3 to 14.
  expect(valuesOver(yearly.counted, months).slice(-3)).toEqual(['78', '90', '102']);
  expect(valuesOver(yearly.counted, months)[1]).toBe('3');
});
