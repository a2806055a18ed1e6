import { describe, expect, it } from 'vitest';
import type { StepUp } from '#core/what-if/steps-up';
import { writerFor } from '../../locale/writer';
import { addsWords, paysWords, raisesWords, stepSentence, stepsSentence } from './words';

const write = writerFor('en-GB');
const end = (candidate: string, plan: string) => ({ candidate, plan, usable: true, outgrown: null });
const step = (more: Partial<StepUp> = {}): StepUp => ({
  offer: 'marlpit',
  vendor: 'Marlpit',
  from: end('A', 'Start'),
  to: end('B', 'Grow'),
  plan: '912.00',
  fees: '-1122.40',
  total: '-210.40',
  adds: [],
  needed: 0,
  raises: [],
  pair: null,
  ...more,
});
const point = (scale: number, month: string | null) => ({
  scale,
  monthlySales: '2300.00',
  monthlyOrders: '48.0000',
  below: 'A',
  above: 'B',
  reached: month === null ? null : { month, stays: true },
});

describe('the next plan up, in words', () => {
  it.each<[Partial<StepUp>, string]>([
    [{}, 'Marlpit: Grow instead of Start costs 912 more and saves 1,122 in fees: 210 less in all.'],
    [{ fees: '0', total: '912.00' }, 'Marlpit: Grow instead of Start costs 912 more: 912 more in all.'],
    [{ plan: '-5', fees: '5', total: '0.00' }, 'Marlpit: Grow instead of Start costs 5 less and 5 more in fees: the same in all.'],
  ])('says what it costs and saves: %j', (more, words) => {
    expect(stepSentence(step(more), write)).toBe(words);
  });

  it('names what is added, all that is needed and a few more', () => {
    expect(addsWords({ adds: [], needed: 0 })).toBe('');
    expect(addsWords({ adds: ['gift-cards', 'video'], needed: 0 })).toBe('gift cards, video');
    expect(addsWords({ adds: ['a', 'b', 'c', 'd', 'e'], needed: 1 })).toBe('a, b, c and 2 more');
    expect(addsWords({ adds: ['a', 'b', 'c', 'd', 'e'], needed: 4 })).toBe('a, b, c, d and 1 more');
    expect(
      raisesWords(
        {
          raises: [
            { quantity: 'staff', from: '1', to: '5' },
            { quantity: 'video-hours', from: '20', to: null },
          ],
        },
        write,
      ),
    ).toBe('staff 1 to 5, video hours 20 to no limit');
  });

  it.each<[Partial<StepUp>, string]>([
    [{ from: { ...end('A', 'Start'), outgrown: '2027-05' } }, 'needed from May 2027 on: Start is outgrown'],
    [{ from: { ...end('A', 'Start'), usable: false } }, 'needed: Start cannot be chosen'],
    [{ to: { ...end('B', 'Grow'), usable: false } }, 'Grow cannot be chosen'],
    [{ pair: { a: 'A', b: 'B', now: 'B', points: [point(0.5, '2027-01')] } }, 'from 2,300 a month on'],
    [{ pair: { a: 'A', b: 'B', now: 'A', points: [point(2, '2028-03')] } }, 'from 2,300 a month on, reached in March 2028'],
    [{ pair: { a: 'A', b: 'B', now: 'A', points: [point(2, null)] } }, 'from 2,300 a month on, which this forecast does not reach'],
    [{ pair: { a: 'A', b: 'B', now: 'B', points: [] } }, 'at every level of sales'],
    [{ pair: { a: 'A', b: 'B', now: 'A', points: [] } }, 'at no level of sales'],
  ])('says from when on it pays: %#', (more, words) => {
    expect(paysWords(step(more), write)).toBe(words);
  });

  it('counts those that pay for themselves', () => {
    const dear = step({ total: '5' });
    expect(stepsSentence([dear])).toBe('The one step to a dearer plan does not pay for itself at your sales.');
    expect(stepsSentence([dear, dear])).toBe('None of the 2 steps to a dearer plan pays for itself at your sales.');
    expect(stepsSentence([step(), dear, step()])).toBe('2 of 3 steps to a dearer plan pay for themselves at your sales.');
    expect(stepsSentence([step(), step()])).toBe('All 2 steps to a dearer plan pay for themselves at your sales.');
    expect(stepsSentence([step({ to: { ...end('B', 'Grow'), usable: false } }), step()])).toBe(
      '1 of 2 steps to a dearer plan pays for itself at your sales.',
    );
  });
});
