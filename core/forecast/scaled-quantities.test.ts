import { expect, it } from 'vitest';
import type { Forecast } from '../decision-file/forecast-schema';
import { scaledQuantities } from './scaled-quantities';

const scaled = (drivers: Forecast['drivers']) => [...scaledQuantities({ streams: [], ...(drivers ? { drivers } : {}) })].sort();

it('scales orders, sales and subscribers, and what is counted per one of them', () => {
  expect(scaled(undefined)).toEqual(['orders', 'sales', 'subscribers']);
  expect(
    scaled({
      visits: { per: 'orders', ratio: '40' },
      credit: { per: 'sales', ratio: '1' },
      posts: { per: 'subscribers', ratio: '2' },
      staff: '2',
      contacts: { start: '900', add: '40' },
      mailings: { per: 'contacts', ratio: '4' },
    }),
  ).toEqual(['credit', 'orders', 'posts', 'sales', 'subscribers', 'visits']);
});

it('takes a quantity called subscribers as it is, and what is per it with it, but not the subscribers of streams', () => {
  expect(
    scaled({
      subscribers: '700',
      posts: { per: 'subscribers', ratio: '2' },
      members: { per: 'subscribers', ratio: '1', streams: ['club'] },
      visits: { per: 'orders', ratio: '3', streams: ['club'] },
    }),
  ).toEqual(['members', 'orders', 'sales', 'visits']);
  expect(scaled({ subscribers: '700', mailings: { per: 'contacts', ratio: '4', streams: ['club'] }, contacts: '9' })).toEqual([
    'orders',
    'sales',
  ]);
});
