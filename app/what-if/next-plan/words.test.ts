import { describe, expect, it } from 'vitest';
import type { StepUp } from '#core/what-if/steps-up';
import { writerFor } from '../../locale/writer';
import {
  addsWords,
  claimWords,
  comesWithSentence,
  creditSentence,
  monthlyWords,
  partsWords,
  paysWords,
  raisesWords,
  singlyWords,
  stepSentence,
  stepsSentence,
} from './words';

const write = writerFor('en-GB');
const end = (candidate: string, plan: string) => ({ candidate, plan, usable: true, outgrown: null });
const step = (more: Partial<StepUp> = {}): StepUp => ({
  offer: 'marlpit',
  vendor: 'Marlpit',
  from: end('A', 'Start'),
  to: end('B', 'Grow'),
  plan: '912.00',
  fees: '-1122.40',
  others: '0.00',
  total: '-210.40',
  adds: [],
  needed: 0,
  monthly: { now: null, renewal: null, currency: 'EUR' },
  singly: null,
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
    [
      { others: '-432.00', total: '-642.40' },
      'Marlpit: Grow instead of Start costs 912 more and saves 1,122 in fees and 432 on add-ons and the rest: 642 less in all.',
    ],
    [
      { fees: '3.00', others: '-1.00', total: '914.00' },
      'Marlpit: Grow instead of Start costs 912 more and saves 1 on add-ons and the rest and 3 more in fees: 914 more in all.',
    ],
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
            { quantity: 'staff', from: '1', to: '5', perUnit: '9.5000', neededFrom: null },
            { quantity: 'video-hours', from: '20', to: null, perUnit: null, neededFrom: '2027-05' },
          ],
        },
        write,
      ),
    ).toBe('staff 1 to 5, at 9.5 a month for each one more; video hours 20 to no limit, needed from May 2027 on');
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
    const closed = step({ to: { ...end('B', 'Grow'), usable: false } });
    expect(stepsSentence([closed, step()])).toBe('The one step to a dearer plan that you can choose pays for itself at your sales.');
    expect(stepsSentence([closed, step(), dear])).toBe('1 of 2 steps to a dearer plan that you can choose pays for itself at your sales.');
    expect(stepsSentence([closed, dear, dear])).toBe(
      'None of the 2 steps to a dearer plan that you can choose pays for itself at your sales.',
    );
    expect(stepsSentence([closed])).toBe('No step to a dearer plan is a matter of price alone: one of its two plans cannot be chosen.');
  });

  it.each([
    [null, null, ''],
    ['2.00', '2.00', '2.00 more a month'],
    ['-2.00', '20.00', '2.00 less a month at first, 20.00 more from the renewal on'],
    ['2.00', null, '2.00 more a month at first, later not known'],
    [null, '20.00', 'from the renewal on 20.00 more a month'],
  ])('says what it costs more a month: %s, then %s', (now, renewal, words) => {
    expect(monthlyWords({ monthly: { now, renewal, currency: 'EUR' } }, write)).toBe(words);
  });
});

const letters = { name: 'Postmoor Letters', total: '312.00', features: ['mailings'] };
const video = { name: 'Chalkfern Studio', total: '480.00', features: ['video', 'live-classes'] };
const grow = {
  vendor: 'Marlpit',
  candidate: 'B',
  planId: 'mp',
  plan: 'Grow',
  cost: '1416.00',
  singly: { total: '792.00', parts: [letters, video], nowhere: [] },
  notAsked: [],
};

describe('what comes with a plan, in words', () => {
  it('says what it would cost singly, and from whom', () => {
    expect(singlyWords(grow, write)).toBe(
      'bought singly, mailings, video and live classes would cost 792 (Postmoor Letters and Chalkfern Studio)',
    );
    expect(singlyWords({ singly: null }, write)).toBe('');
    expect(partsWords(grow, write)).toBe('mailings: Postmoor Letters, 312; video and live classes: Chalkfern Studio, 480');
    expect(partsWords({ singly: null }, write)).toBe('');
  });

  it('sets the one with most against its parts', () => {
    expect(comesWithSentence([], write)).toBeNull();
    expect(comesWithSentence([grow], write)).toBe(
      'Most comes with Marlpit Grow: bought singly, mailings, video and live classes would cost 792, where the plan costs 1,416.',
    );
    expect(comesWithSentence([{ ...grow, cost: '600.00' }], write)).toContain('would cost 792, more than the plan at 600.');
    expect(comesWithSentence([{ ...grow, singly: null }], write)).toContain('you have asked for none of them');
  });

  it('says by when it has to be claimed', () => {
    expect(claimWords([{ what: 'moving service', until: '2027-02-01' }], write)).toBe('moving service by 1 February 2027');
  });

  it('says from which sales on a credit pays for its plan', () => {
    const credit = { vendor: 'Alder', candidate: 'A', plan: 'Plus', cost: '120.00', earned: '60.00', monthlySales: '2000.00' };
    expect(creditSentence(credit, write)).toBe(
      'Alder Plus: its credit comes to 60 at your sales, the plan to 120. The credit pays for all of it from sales of 2,000 a month on.',
    );
    expect(creditSentence({ ...credit, monthlySales: null }, write)).toContain('At no level of sales does the credit pay for all of it.');
  });
});
