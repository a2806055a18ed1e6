import { describe, expect, it } from 'vitest';
import { readPricePage } from './read-price-page';

const plansOf = (text: string) => readPricePage(text).plans.map(({ name }) => name);

describe('plans that only a count tells apart', () => {
  it('are named by it, with the upper end as their limit', () => {
    const { plans } = readPricePage('Mail\n1-500 contacts: €9/mo\n501-2,500 contacts: €18/mo');
    expect(plans.map(({ name }) => name)).toEqual(['1-500 contacts', '501-2,500 contacts']);
    expect(plans[1]?.facts.map(({ statement }) => statement)).toEqual([
      { kind: 'term', term: { months: 1, price: '18' } },
      { kind: 'limit', quantity: 'contacts', most: '2500' },
    ]);
  });

  it('are none where the counts are of different things, stand alone, or have no price', () => {
    expect(plansOf('Mail\n500 contacts: €9/mo\n3 users: €18/mo')).toEqual([]);
    expect(plansOf('Mail\n500 contacts: €9/mo')).toEqual([]);
    expect(plansOf('Mail\n500 contacts: ask\n900 contacts: ask')).toEqual([]);
  });
});
