import { expect, it } from 'vitest';
import { roleOfName, rolesOf } from './column-role';

it.each([
  ['Order total', 'total'],
  ['orderTotal', 'total'],
  ['Total amount paid', 'total'],
  ['Paid at', 'date'],
  ['created_at', 'date'],
  ['Order date', 'date'],
  ['Subtotal', 'subtotal'],
  ['Total tax', 'tax'],
  ['Shipping cost', 'shipping'],
  ['Discount amount', 'discount'],
  ['Refund total', 'refunded'],
  ['Order #', 'number'],
  ['Billing country', 'country'],
  ['Payment method', 'means'],
  ['Sold at', 'channel'],
  ['Customer name', 'left-out'],
  ['Billing street', 'left-out'],
  ['E-mail', 'left-out'],
  ['Note', 'left-out'],
  ['', 'left-out'],
])('%j says %s', (name, role) => {
  expect(roleOfName(name)).toBe(role);
});

it('gives a role that only one column can have to the name that says it best', () => {
  expect(rolesOf(['Paid at', 'Order date', 'Amount', 'Order total'])).toEqual(['left-out', 'date', 'left-out', 'total']);
});
