import { describe, expect, it } from 'vitest';
import { paidWith, paidWithAny } from './paid-with';

describe('what orders are paid with', () => {
  it.each([
    ['domestic', 'domestic cards'],
    ['international', 'cards from abroad'],
    ['uk', 'UK cards'],
    ['europe-business', 'European business cards'],
    ['direct-debit', 'direct debit'],
    ['wallet', 'wallets'],
    ['pay-later', 'instalments'],
    ['gift-vouchers', 'gift vouchers'],
  ])('%s is said as %s', (kind, words) => {
    expect(paidWith(kind)).toBe(words);
  });

  it('several cards are said in one word', () => {
    expect(paidWithAny(['domestic', 'premium'])).toBe('domestic and premium cards');
    expect(paidWithAny(['domestic', 'direct-debit', 'international'])).toBe('domestic cards and direct debit and cards from abroad');
  });
});
