import { describe, expect, it } from 'vitest';
import type { Condition } from '#core/decision/conditions-schema';
import type { Since } from '#core/verdict/since';
import { dateReason, dateTitle, daysLeftWords } from '../dates/date-words';
import { adviceSentence, soFarSentence } from '../afterwards/afterwards-words';
import { agoWords, effectSentence } from '../price-watch/watch-words';
import { writerFor } from '../locale/writer';
import { shownConditions } from './conditions-table';
import {
  chosenByChance,
  chosenSentence,
  conditionWords,
  openWords,
  partsWords,
  sinceSentence,
  suitsSentence,
  thresholdWords,
  togetherWords,
  winnerWords,
} from './verdict-words';

const write = writerFor('en-GB');
const nameOf = (id: string | null) => (id === null ? 'nobody' : `Plan ${id}`);
const grow = { candidate: 'A', label: 'Grow' };
const runner = (margin: string, label = 'Trade') => ({ candidate: 'E', label, total: '100.00', margin });
const since = (more: Partial<Since>): Since => ({
  standing: 'holds',
  dearer: '0.00',
  then: runner('480.00'),
  now: runner('480.00'),
  isOtherMeasure: false,
  ...more,
});

describe('a verdict in words', () => {
  it('what was chosen', () => {
    expect(partsWords([grow, { candidate: 'B', label: 'Basic', streams: ['Club', 'Plans'] }], write)).toBe(
      'Grow with Basic for Club and Plans',
    );
    expect(
      partsWords(
        [
          { ...grow, segment: { candidate: 'A', from: '2027-01', months: 3 } },
          { candidate: 'B', label: 'Basic', segment: { candidate: 'B', from: '2027-04', months: 9 } },
        ],
        write,
      ),
    ).toBe('Grow, then Basic from April 2027');
  });

  it('what it comes to, against the next', () => {
    expect(chosenSentence({ parts: [grow], total: '7049.72', runnerUp: runner('205.42') }, 24, write)).toBe(
      'Grow costs 7,050 over 24 months, 205 less than Trade.',
    );
    expect(
      chosenSentence(
        { parts: [grow, { candidate: 'B', label: 'Basic' }], total: '10', runnerUp: runner('-5.00'), atLeast: true },
        12,
        write,
      ),
    ).toBe('Grow with Basic cost at least 10 over 12 months, 5 more than Trade.');
    expect(chosenSentence({ parts: [grow], total: '10', runnerUp: null }, 12, write)).toBe(
      'Grow costs 10 over 12 months; there is no other that could be chosen.',
    );
    expect(chosenSentence({ parts: [grow], total: '10', runnerUp: null }, 1, write)).toContain('over 1 month;');
    expect(chosenSentence({ parts: [grow], total: null, runnerUp: null }, 12, write)).toBe('Grow: what it comes to is not known.');
  });

  it('what two together are made up of, and what both have', () => {
    const parts = [
      { ...grow, streams: ['Kites', 'Stall'], total: '5100.20' },
      { candidate: 'B', label: 'Basic', streams: ['Club'], total: '1950.00' },
    ];
    const each = 'With Kites and Stall: Grow, 5,100.20. With Club: Basic, 1,950.00.';
    expect(togetherWords({ parts, shared: { once: [], twice: [] } }, 'EUR', write)).toBe(each);
    expect(togetherWords({ parts, shared: { once: ['Theme', 'Photographs'], twice: ['Label desk'] } }, 'EUR', write)).toBe(
      `${each} Theme and Photographs are paid for once. Both have Label desk, counted for each; if one is enough, take it out of the other.`,
    );
    expect(togetherWords({ parts: [{ ...grow, streams: [], total: '1.00' }], shared: { once: ['Theme'], twice: [] } }, 'EUR', write)).toBe(
      'With no sales: Grow, 1.00. Theme is paid for once.',
    );
    expect(togetherWords({ parts }, 'EUR', write)).toBe('');
  });

  it('names who costs least by the plans it then takes, whatever name somebody gave it', () => {
    const named = (id: string | null) => (id === 'A' ? 'Seed, by the month' : '?');
    expect(winnerWords({ kind: 'paid', months: 12, winner: 'A', plan: 'Kestrel Seed' }, named)).toBe('Kestrel Seed');
    expect(winnerWords({ kind: 'paid', months: 12, winner: 'A' }, named)).toBe('Seed, by the month');
    expect(winnerWords({ kind: 'paid', months: 12, winner: null }, named)).toBe('no candidate can be chosen');
  });

  const level = (sales: string, orders: string) => ({ sales, orders });
  it.each<[Condition, string]>([
    [
      { kind: 'sales', from: null, to: level('8616.10', '277.6'), isForecast: true, winner: 'A' },
      'below sales of 8,616 a month (278 orders)',
    ],
    [
      { kind: 'sales', from: level('100', '4'), to: level('200', '8'), isForecast: false, winner: 'A' },
      'from 100 a month (4 orders) to 200 a month (8 orders)',
    ],
    [{ kind: 'sales', from: level('100', '4'), to: null, isForecast: false, winner: 'A' }, 'from sales of 100 a month (4 orders) on'],
    [{ kind: 'sales', from: null, to: null, isForecast: true, winner: 'A' }, 'at every level of sales looked at'],
    [{ kind: 'need', label: 'subscriptions', only: true, winner: 'C' }, 'if you need subscriptions'],
    [{ kind: 'without', label: 'an own domain', winner: 'C' }, 'if you can do without an own domain'],
    [{ kind: 'paid', months: 1, winner: 'A' }, 'if you pay by the month'],
    [{ kind: 'offers-gone', winner: 'A' }, 'once the special offers are over'],
    [{ kind: 'version', version: 'cautious', winner: 'A' }, 'if sales come out cautious'],
    [{ kind: 'version', version: 'expected', winner: 'A' }, 'if sales come out as expected'],
    [{ kind: 'first-year', winner: 'A' }, 'counting the first year alone'],
    [{ kind: 'hours-free', winner: 'A' }, 'with your own hours at nothing'],
    [{ kind: 'chance', part: '0.7312', winner: 'A' }, 'in 73 of 100 futures'],
  ])('the condition %j', (condition, words) => {
    expect(conditionWords(condition, write)).toBe(words);
  });

  it('who costs least under it', () => {
    expect(winnerWords({ kind: 'need', label: 'x', only: true, winner: 'C' }, nameOf)).toBe('only Plan C');
    const onSheet = { kind: 'need', label: 'x', only: false, winner: 'sheet.o', plan: 'Oakum Shop, by the year' } as const;
    expect(winnerWords(onSheet, nameOf)).toBe('Oakum Shop, by the year');
    expect(winnerWords({ ...onSheet, only: true }, nameOf)).toBe('only Oakum Shop, by the year');
    expect(winnerWords({ kind: 'first-year', winner: null }, nameOf)).toBe('no candidate can be chosen');
  });

  it('of many levels of sales those around the forecast are shown', () => {
    const levels = Array.from({ length: 20 }, (_, index): Condition => ({
      kind: 'sales',
      from: null,
      to: null,
      isForecast: index === 12,
      winner: String(index),
    }));
    expect(shownConditions([...levels, { kind: 'first-year', winner: 'A' }]).map(({ winner }) => winner)).toEqual([
      '9',
      '10',
      '11',
      '12',
      '13',
      '14',
      '15',
      'A',
    ]);
    expect(shownConditions(levels.slice(0, 3))).toHaveLength(3);
  });

  it('things with one and the same outcome stand in one row', () => {
    const need = (label: string, winner: string, total = '500.00') => ({ kind: 'need' as const, label, only: false, winner, total });
    const rows = [
      need('video', 'B'),
      { kind: 'without' as const, label: 'stock', winner: 'B', total: '500.00' },
      need('courses', 'C'),
      need('classes', 'B'),
      need('forms', 'B', '501.00'),
      { kind: 'first-year' as const, winner: 'B', total: '500.00' },
    ];
    expect(shownConditions(rows).map((one) => conditionWords(one, write))).toEqual([
      'if you need video or classes',
      'if you can do without stock',
      'if you need courses',
      'if you need forms',
      'counting the first year alone',
    ]);
  });

  it('what would change it', () => {
    const threshold = {
      key: 'orders',
      label: 'Orders',
      kind: 'orders' as const,
      unit: 'percent' as const,
      now: '100',
      asIs: '0',
      winner: 'E',
    };
    expect(thresholdWords({ ...threshold, at: '17.1' }, nameOf, write)).toBe('Orders: from 117.1 a month (+17.1%) Plan E costs least');
    expect(thresholdWords({ ...threshold, at: '-5', winner: null }, nameOf, write)).toBe(
      'Orders: below 95 a month (−5%) no candidate can be chosen',
    );
  });

  it('for whom it is best', () => {
    expect(suitsSentence({ from: level('1986', '64'), to: level('8616', '278'), needs: ['video', 'stock'] }, write)).toBe(
      'Best for a seller with sales between 1,986 and 8,616 a month who needs video and stock.',
    );
    expect(suitsSentence({ from: null, to: level('8616', '278'), needs: [] }, write)).toBe(
      'Best for a seller with sales up to 8,616 a month.',
    );
    expect(suitsSentence({ from: null, to: null, needs: ['video'] }, write)).toBe('Best for a seller who needs video.');
    expect(suitsSentence({ from: null, to: null, needs: [] }, write)).toBe('');
    expect(suitsSentence(undefined, write)).toBe('');
  });

  it('what to find out next', () => {
    expect(openWords({ kind: 'close', about: ['Trade'], figure: '35' }, write)).toBe(
      'Too close to call against Trade: 35 apart is less than a guess can be off. Choose by what is not money.',
    );
    expect(openWords({ kind: 'not-seen', about: ['a', 'b', 'c', 'd', 'e', 'f'] }, write)).toBe(
      'Note when the pricing page was looked at: a, b, c, d and 2 more.',
    );
    expect(openWords({ kind: 'sales-guess', about: [] }, write)).toMatch(/^Sales are one guess/);
  });
});

describe('a verdict later on', () => {
  it.each<[Partial<Since>, string]>([
    [{ dearer: '312.00', now: runner('168.00') }, 'Grow is now 312 dearer; the verdict still holds; its lead is down from 480 to 168.'],
    [
      { dearer: '-10.00', now: runner('490.00', 'Small') },
      'Grow is now 10 cheaper; the verdict still holds; its lead is up from 480 to 490.',
    ],
    [
      { dearer: '500.00', standing: 'overtaken', now: runner('-20.00') },
      'Grow is now 500 dearer; the verdict does not hold any more: Trade costs 20 less.',
    ],
    [{}, 'Grow costs the same as then; the verdict still holds.'],
    [
      { standing: 'unusable' },
      'Grow costs the same as then, and cannot be chosen as it is: it is outgrown, lacks a must, or rests on a price that is not known.',
    ],
    [{ standing: 'gone', dearer: null, now: null }, 'Grow cannot be worked out any more: it is no longer compared, or no way exists.'],
    [
      { isOtherMeasure: true, dearer: null },
      'The decision is in another currency, over another time or compared by something else now, so figures are not set against each other.',
    ],
  ])('%j', (more, sentence) => {
    expect(sinceSentence({ parts: [grow] }, since(more), write)).toBe(sentence);
  });

  it('without a verdict the cheapest is spoken of', () => {
    expect(
      effectSentence(
        { parts: [grow], isVerdict: false, currency: 'EUR', since: since({ dearer: '312.00', now: runner('168.00') }) },
        write,
      ),
    ).toBe('Grow is now €312 dearer; it still costs least; its lead is down from €480 to €168.');
    expect(effectSentence(null, write)).toMatch(/^No candidate can be chosen/);
  });
});

describe('dates and times in words', () => {
  it('a day that matters', () => {
    const date = { id: 'x', on: '2027-01-01', about: 'Circle', atStake: '49.00' };
    expect(dateTitle({ ...date, kind: 'trial-ends' })).toBe('Trial of Circle ends');
    expect(dateReason({ ...date, kind: 'trial-ends', months: 1 }, 'EUR', write)).toBe(
      'Cancel before, or €49.00 falls due, then by the month.',
    );
    expect(dateReason({ ...date, kind: 'price-rises', detail: '60.00', atStake: '45.00', months: 3 }, 'EUR', write)).toBe(
      'From now on €60.00 by the quarter, €45.00 more than before. Decide whether it is worth that.',
    );
    expect(dateReason({ ...date, kind: 'break-even', atStake: null, detail: '8616' }, 'EUR', write)).toMatch(
      /over the rest of the horizon it does not yet/,
    );
    expect([0, 1, 12, -1, -3].map(daysLeftWords)).toEqual(['today', 'tomorrow', 'in 12 days', '1 day ago', '3 days ago']);
  });

  it.each([
    ['2027-01-01T10:00:30Z', 'just now'],
    ['2027-01-01T09:30:00Z', '31 minutes ago'],
    ['2027-01-01T04:00:00Z', '6 hours ago'],
    ['2026-12-20T10:00:00Z', '12 days ago'],
  ])('%s is %s', (at, words) => {
    expect(agoWords(at, '2027-01-01T10:01:00Z')).toBe(words);
  });
});

describe('how it turned out, in words', () => {
  const why = { volume: '10.00', orderValue: '0.00', feeRates: '-30.00', fixedCosts: '0.00', surprises: '0.00' };
  const month = { month: '2027-01', expected: { orders: '1', sales: '1', cost: '1' }, cost: '1', difference: '1', why };

  it('says what it cost more or less, and why, the largest first', () => {
    expect(soFarSentence({ months: [month], expected: '60.00', cost: '40.00', difference: '-20.00', why }, write)).toBe(
      'Over 1 month it cost 20 less than the 60 expected: −30 since fees were lower than the price sheet says, +10 because you had more orders.',
    );
    expect(soFarSentence({ months: [month], expected: '60.00', cost: '60.00', difference: '0.00', why }, write)).toBe(
      'Over 1 month it cost what was expected, 60.',
    );
    expect(soFarSentence({ months: [], expected: '0', cost: '0', difference: '0', why }, write)).toMatch(
      /^Enter what months really brought/,
    );
  });

  it('says to stay, to move, or that there is no way', () => {
    const advice = { orders: '0.8300', orderValue: '1.1000', seen: 3, current: 'A', canStay: true, move: null };
    expect(adviceSentence(advice, nameOf, write)).toBe(
      'Over the last 3 months orders went at 83% of what was expected, order values at 110%. If they go on so, stay with Plan A: no switch saves more than it costs.',
    );
    expect(
      adviceSentence(
        { ...advice, orderValue: '1.0000', seen: 1, move: { candidate: 'B', month: '2027-04', saves: '150.00' } },
        nameOf,
        write,
      ),
    ).toBe(
      'Over the last month orders went at 83% of what was expected. If they go on so, move to Plan B in April 2027: that saves 150 over the rest of the time, what moving takes included.',
    );
    expect(adviceSentence({ ...advice, canStay: false, move: { candidate: 'B', month: '2027-04', saves: null } }, nameOf, write)).toMatch(
      /Plan A will be outgrown: move to Plan B in April 2027\.$/,
    );
    expect(adviceSentence({ ...advice, canStay: false }, nameOf, write)).toMatch(/no other that can be used to the end\.$/);
  });
});

describe('a choice by chance', () => {
  const chance = { futures: 10_000, first: '0.7312', givesAway: '42.10', atWorst: '263.00' };
  it.each([
    [undefined, ''],
    [
      chance,
      'It comes first in 73 of 100 futures. Choosing it gives away €42 on average beside what would have been best; in one of twenty futures €263 or more.',
    ],
    [{ ...chance, first: '1.0000' }, 'It comes first in every one of 10,000 futures.'],
    [
      { ...chance, first: '0.0000' },
      'It comes first in none of 10,000 futures. Choosing it gives away €42 on average beside what would have been best; in one of twenty futures €263 or more.',
    ],
  ])('%o', (given, words) => {
    expect(chosenByChance(given, writerFor('en-GB', 'EUR'))).toBe(words);
  });
});
