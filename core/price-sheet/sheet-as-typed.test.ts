import { expect, it } from 'vitest';
import type { PriceSheet } from '../decision/price-sheet';
import { newOffer } from './edit-offer';
import { columnsOf } from './parts';
import { sheetAsTyped } from './sheet-as-typed';

const counting = () => {
  let next = 0;
  return () => `n${(next += 1)}`;
};

function typed(text: string): PriceSheet | null {
  const newId = counting();
  return sheetAsTyped({ kind: 'offer', offer: newOffer(newId, 'EUR') }, text, [], { known: ['orders'], newId });
}

it('has all that was typed, each figure with its words', () => {
  const sheet = typed('29/mo, 2% of each sale');
  const [plan] = sheet ? columnsOf(sheet) : [];
  expect(plan?.terms).toMatchObject([{ months: 1, price: '29' }]);
  expect(plan?.charges).toMatchObject([{ bucket: 'transaction', percent: '2' }]);
  expect(JSON.stringify(sheet?.figures)).toContain('29/mo');
});

it('takes the currency that was typed', () => {
  const sheet = typed('96 USD a year');
  expect(sheet && columnsOf(sheet)).toMatchObject([{ currency: 'USD', terms: [{ months: 12, price: '96' }] }]);
});

it.each(['', 'about forty', '29/mo, whatever that is', '$29/mo', 'Solo: 29/mo'])('is none where something is left to ask: %s', (text) => {
  expect(typed(text)).toBeNull();
});
