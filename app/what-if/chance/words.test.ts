import { describe, expect, it } from 'vitest';
import type { CandidateChanceTold, ChanceAnswer } from '#core/chance/chance-answer';
import { writerFor } from '../../locale/writer';
import { chanceSentence, costWords, limitWords, ofHundred, shareWords, worthAskingWords, worthWords } from './words';

const write = writerFor('en-GB', 'EUR');
const one = (id: string, more: Partial<CandidateChanceTold> = {}): CandidateChanceTold => ({
  id,
  first: 0.73,
  error: 0.0044,
  usable: 1,
  low: '5933.00',
  middle: '6845.00',
  high: '7889.00',
  givesAway: '41.20',
  atWorst: '253.00',
  limit: null,
  lacking: 0,
  ...more,
});
const answerOf = (candidates: readonly CandidateChanceTold[], more: Partial<ChanceAnswer> = {}): ChanceAnswer => ({
  futures: 10_000,
  candidates,
  safest: candidates[0]?.id ?? null,
  best: candidates[0]?.id ?? null,
  nobody: 0,
  uncertain: [],
  isCertain: false,
  fans: [],
  levels: [],
  ...more,
});
const nameOf = (id: string) => ({ A: 'Grow', E: 'Trade' })[id] ?? id;

describe('chance in words', () => {
  it.each([
    [0.664, '66 of 100'],
    [0.002, 'fewer than 1 of 100'],
    [0.998, 'more than 99 of 100'],
    [0, '0 of 100'],
    [1, '100 of 100'],
  ])('%d is %s', (part, words) => {
    expect(ofHundred(part)).toBe(words);
  });

  it.each([
    [0.62, 0.0049, '62% ± 1'],
    [0.62, 0.021, '62% ± 2'],
    [0, 0, '0%'],
    [1, 0, '100%'],
  ])('a share with its error: %d, %d', (first, error, words) => {
    expect(shareWords({ first, error }, write)).toBe(words);
  });

  it('says who, how often, and what is given away', () => {
    const two = [one('E'), one('A', { first: 0.27 })];
    expect(chanceSentence(answerOf(two), nameOf, write)).toBe(
      'Trade comes first in 73 of 100 futures. Choosing it gives away €41 on average beside what would have been best; in one of twenty futures €253 or more.',
    );
  });

  it('says who comes first more often, and who is the safest, where that is another', () => {
    const two = [one('A', { first: 0.55, givesAway: '300.00', atWorst: '900.00' }), one('E', { first: 0.45 })];
    expect(chanceSentence(answerOf(two, { best: 'E', safest: 'A' }), nameOf, write)).toMatch(
      /^Trade comes first in 45 of 100 futures\. .* Grow comes first more often, in 55 of 100, but gives away more when it does not\. Grow is the safest: in one of twenty futures €900 or more\.$/,
    );
  });

  it.each<[ChanceAnswer, string]>([
    [answerOf([one('E')], { isCertain: true }), 'Nothing here is uncertain, so Trade comes first for sure.'],
    [
      answerOf([one('E', { first: 1 })]),
      'Trade costs between €5,933 and €7,889 in eight of ten futures. With a second candidate you see how often it is the better one.',
    ],
    [answerOf([one('E')], { best: null, nobody: 1 }), 'In none of these futures can any candidate be used to the end.'],
    [
      answerOf([one('E', { first: 0.999, givesAway: '0.00', atWorst: '0.00' }), one('A', { first: 0.001 })]),
      'Trade comes first in more than 99 of 100 futures. Where it does not, hardly anything is lost.',
    ],
    [
      answerOf([one('E', { first: 0.96, givesAway: '3.00', atWorst: '0.00' }), one('A', { first: 0.04 })]),
      'Trade comes first in 96 of 100 futures. Choosing it gives away €3 on average beside what would have been best.',
    ],
    [
      answerOf([one('E', { first: 1, givesAway: '0.00', atWorst: '0.00' }), one('A', { first: 0 })]),
      'Trade comes first in every one of 10,000 futures.',
    ],
  ])('has words for every case', (answer, words) => {
    expect(chanceSentence(answer, nameOf, write)).toBe(words);
  });

  it('says how often a limit is reached, and when', () => {
    const month = (index: number) => `month ${index}`;
    expect(limitWords(one('E'), month)).toBe('');
    expect(limitWords(one('E', { usable: 0.33, limit: { part: 0.67, month: 6 } }), month)).toBe(
      'outgrown in 67 of 100, half of these by month 6',
    );
    expect(limitWords(one('E', { usable: 0, limit: { part: 1, month: 0 } }), month)).toBe('always outgrown, half of the time by month 0');
    expect(limitWords(one('E', { usable: 0.5, lacking: 0.5 }), month)).toBe('lacks a must in 50 of 100: nobody has checked');
    expect(limitWords(one('E', { usable: 0.3, lacking: 0.3, limit: { part: 0.4, month: 6 } }), month)).toBe(
      'outgrown in 40 of 100, half of these by month 6; lacks a must in 30 of 100: nobody has checked',
    );
  });

  it.each([
    [null, '24', ''],
    ['0.30', '24', 'nothing'],
    ['12.00', '24', '€12: not worth an hour of yours'],
    ['26.00', '24', '€26'],
    ['12.00', undefined, '€12'],
  ])('what knowing is worth: %s beside %s an hour', (worth, hour, words) => {
    expect(worthWords(worth, hour, write)).toBe(words);
  });

  it('what asking is worth', () => {
    expect(worthAskingWords('0.20', '24', write)).toBe('knowing it would change no choice');
    expect(worthAskingWords('12.00', '24', write)).toBe('knowing it is worth €12: not worth an hour of yours');
    expect(worthAskingWords('26.00', '24', write)).toBe('knowing it is worth €26');
  });

  it('where futures lie too far apart says so, and what nobody could pay is no figure', () => {
    const wild = answerOf([one('E', { high: '38476843984260000000' }), one('A')]);
    expect(chanceSentence(wild, nameOf, write)).toBe(
      `${nameOf('E')} comes first in 73 of 100 futures. They lie too far apart for averages: in some, costs are more than a thousand times those in the middle. Look at what you called uncertain below.`,
    );
    expect(costWords('38476843984260000000', write)).toBe('beyond measure');
    expect(costWords('-6845.00', write)).toBe('−6,845');
  });
});
