import { describe, expect, it } from 'vitest';
import type { PriceSheet } from '../decision/price-sheet';
import { smallDecision } from '../tests/small-decision';
import { typedSheet } from '../tests/typed-sheet';
import { type Answer, answerOf, askedVendors } from './answers';
import { type GivenAnswer, withAnswer, withAnswerByAddon } from './edit-answers';
import { newNeed, withChangedNeed, withNeed } from './edit-needs';
import { decisionNeedSchema, type DecisionNeed } from '../decision/need-schema';
import { needKey, needWords } from '../wording/need-words';

const decision = smallDecision();

describe('a need stated in words', () => {
  it('is of the kind that was chosen, by the names that price sheets have', () => {
    expect(newNeed('Gift cards ', 'yes-no', [])).toMatchObject({ feature: 'gift-cards', label: 'Gift cards', level: 'want' });
    expect(newNeed('seats', 'at-least', [])).toMatchObject({ feature: 'staff', least: '2' });
    expect(newNeed('the bookkeeping', 'connects', [])).toMatchObject({
      feature: 'the-bookkeeping',
      to: 'the bookkeeping',
      direction: 'to',
    });
    expect(newNeed('adverts', 'without', [])).toMatchObject({ feature: 'adverts', without: true });
    for (const words of ['Überraschung!', '–', '   ', 'x'.repeat(299)])
      for (const kind of ['yes-no', 'at-least', 'connects', 'without'] as const)
        expect(decisionNeedSchema.safeParse(newNeed(words, kind, [])).success, `${words} ${kind}`).toBe(true);
  });

  it('is said in a few words', () => {
    expect([newNeed('seats', 'at-least', []), newNeed('adverts', 'without', []), newNeed('books', 'connects', [])].map(needWords)).toEqual([
      'at least 2 seats',
      'without adverts',
      'connects to books',
    ]);
  });

  it('comes onto the list once, is changed, and goes', () => {
    const need = newNeed('Gift cards', 'yes-no', []);
    const one = withNeed(decision, need);
    expect(withNeed(one, need)).toBe(one);
    expect(withNeed(one, newNeed('gift cards', 'without', [])).needs).toHaveLength(2);
    expect(withChangedNeed(one, needKey(need), (former) => ({ ...former, level: 'must' })).needs?.[0]?.level).toBe('must');
    expect(withChangedNeed(one, needKey(need), () => null).needs).toEqual([]);
  });
});

describe('an answer that is given', () => {
  const sheet = typedSheet('Tidewrack', { Small: '10/mo, 2 seats', Plus: '34/mo' }, { addons: { Club: '9/mo' } });
  const given = (need: DecisionNeed, answer: GivenAnswer, plan = 'tidewrack-small', on: PriceSheet = sheet): Answer['kind'] | undefined => {
    const changed = withAnswer(on, plan, need, answer);
    const asked = askedVendors([{ id: 's', sheet: changed }])[0]?.plans.find((one) => one.plan.id === plan);
    return asked && answerOf(need, asked).kind;
  };
  const giftCards: DecisionNeed = { feature: 'gift-cards', level: 'must' };
  const both: DecisionNeed = { feature: 'books', kind: 'connects', to: 'books', direction: 'both', level: 'want' };
  const seats: DecisionNeed = { feature: 'staff', kind: 'at-least', least: '3', level: 'want' };

  it('is read as it was given', () => {
    for (const kind of ['yes', 'no', 'not-known'] as const) expect(given(giftCards, { kind })).toBe(kind);
    for (const kind of ['yes', 'no', 'not-known'] as const) expect(given(both, { kind })).toBe(kind);
    expect(given(both, { kind: 'one-way', way: 'from' })).toBe('one-way');
  });

  it('of how many is the limit where the plan states one, and a feature where it does not', () => {
    const limits = (answer: GivenAnswer, plan: string) => {
      const changed = withAnswer(sheet, plan, seats, answer);
      const found = changed.kind === 'offer' ? changed.offer.plans.find(({ id }) => id === plan) : undefined;
      return [found?.limits?.['staff'], found?.features?.['staff']];
    };
    expect(limits({ kind: 'amount', amount: '5' }, 'tidewrack-small')).toEqual(['5', undefined]);
    expect(limits({ kind: 'amount', amount: '5' }, 'tidewrack-plus')).toEqual([undefined, '5']);
    expect(limits({ kind: 'not-known' }, 'tidewrack-small')).toEqual([undefined, null]);
    expect(given(seats, { kind: 'no' })).toBe('amount');
    expect(given(seats, { kind: 'yes' })).toBe('yes');
  });

  it('takes a mark away that said something else', () => {
    const marked: PriceSheet = { ...sheet, marks: { 'tidewrack-plus feature gift-cards': 'not-offered' } };
    expect(given(giftCards, { kind: 'yes' }, 'tidewrack-plus', marked)).toBe('yes');
  });

  it('by an add-on answers for every plan of the vendor', () => {
    const byClub = withAnswerByAddon(sheet, giftCards, { id: 'tidewrack-club' });
    expect(askedVendors([{ id: 's', sheet: byClub }])[0]?.plans.map((asked) => answerOf(giftCards, asked))).toMatchObject([
      { kind: 'addon', addon: { label: 'Club' } },
      { kind: 'addon' },
    ]);
    let next = 0;
    const byNew = withAnswerByAddon(sheet, giftCards, { newId: () => `new-${next++}`, label: 'Vouchers', price: null, currency: 'EUR' });
    expect(byNew.kind === 'offer' && byNew.offer.addons?.[1]).toMatchObject({
      label: 'Vouchers',
      terms: [{ months: 1, price: null }],
      features: { 'gift-cards': true },
    });
  });
});
