import { describe, expect, it } from 'vitest';
import type { Addon } from '#core/decision-file/price-sheet-schema';
import type { Answer } from '#core/needs/answers';
import type { DecisionNeed } from '#core/decision/need-schema';
import { writerFor } from '../locale/writer';
import { addonPrice, answerText } from './answer-words';

const write = writerFor('en-GB');
const need: DecisionNeed = { feature: 'gift-cards', level: 'must' };
const text = (answer: Answer, of: DecisionNeed = need) => {
  const { text: words, note, state } = answerText(answer, of, write);
  return [words, note, state];
};
const addon = (more: Partial<Addon>): Addon => ({ id: 'club', label: 'Club', currency: 'EUR', ...more });

describe('an answer in its cell', () => {
  it('says yes, no and how much, and whether that meets the need', () => {
    expect(text({ kind: 'yes' })).toEqual(['yes', '', 'met']);
    expect(text({ kind: 'no' })).toEqual(['no', '', 'not-met']);
    expect(text({ kind: 'amount', amount: '12000', isEnough: true })).toEqual(['12,000', '', 'met']);
    expect(text({ kind: 'amount', amount: '1', isEnough: false })).toEqual(['1', 'too few', 'not-met']);
    expect(text({ kind: 'amount', amount: null, isEnough: true })).toEqual(['no limit', '', 'met']);
    expect(text({ kind: 'not-known' })).toEqual(['?', '', 'not-known']);
  });

  it('turns about where a thing must not be there', () => {
    expect(text({ kind: 'yes' }, { ...need, without: true })).toEqual(['has it', '', 'not-met']);
    expect(text({ kind: 'no' }, { ...need, without: true })).toEqual(['without', '', 'met']);
    expect(text({ kind: 'not-known' }, { ...need, without: true })).toEqual(['?', '', 'not-known']);
  });

  it('of a connection both ways names the one that is there', () => {
    const both: DecisionNeed = { feature: 'books', kind: 'connects', direction: 'both', level: 'want' };
    expect(text({ kind: 'one-way', way: 'to' }, both)).toEqual(['hands on only', '', 'not-met']);
    expect(text({ kind: 'one-way', way: 'from' }, both)[0]).toBe('takes over only');
  });

  it('names an add-on with its price, and who sells it', () => {
    const club = addon({
      terms: [
        { id: 'm', months: 1, price: '18' },
        { id: 'y', months: 12, price: '180' },
      ],
    });
    expect(text({ kind: 'addon', addon: club, isShared: false })).toEqual(['+ Club', '18.00 by the month', 'met']);
    expect(text({ kind: 'addon', addon: club, isShared: true })[1]).toBe('18.00 by the month, sold by others');
  });
});

describe('what an add-on costs', () => {
  it('is its first term, its use, or not known', () => {
    expect(addonPrice(addon({ terms: [{ id: 'o', months: 0, price: '460' }] }), write)).toBe('460.00 once, for good');
    expect(addonPrice(addon({ terms: [{ id: 'm', months: 1, price: null }] }), write)).toBe('price not known');
    expect(addonPrice(addon({ charges: [{ id: 'c', label: 'c', how: 'per-order', percent: '1' }] }), write)).toBe('paid by use');
    expect(addonPrice(addon({}), write)).toBe('no price yet');
  });
});
