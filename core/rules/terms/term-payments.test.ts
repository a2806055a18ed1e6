import { describe, expect, it } from 'vitest';
import { checker } from '../../fields/checker';
import { exactConstant } from '../../pricing/constant-values';
import { placesIn } from '../../tests/charge-amounts';
import { checkTerm, isTermNotKnown, type Term } from './term';
import { FROM_THE_START, type PaidAs, termPayments } from './term-payments';

const month = (more: Partial<Term> = {}): Term => ({ id: 't', months: 1, price: '10', ...more });
const paid = (term: Term, more: Partial<PaidAs> = {}) =>
  termPayments(term, { joining: FROM_THE_START, start: '2027-01', months: 4, part: 'p', extraMonths: 0, ...more }).map(
    ({ month: at, covers, price, amount }) => `${at} ${covers} ${price} ${exactConstant(amount).toFixed()}`,
  );
const placesOf = (term: Term) =>
  termPayments(term, { joining: FROM_THE_START, start: '2027-01', months: 6, part: 'p', extraMonths: 0 }).flatMap(({ amount }) =>
    placesIn(amount),
  );

describe('payments of a term', () => {
  it('fall due as long as the horizon lasts, and once where it is for good', () => {
    expect(paid(month({ months: 3 }))).toEqual(['0 3 usual 10', '3 3 usual 10']);
    expect(paid(month({ months: 0 }), { extraMonths: 2 })).toEqual(['0 0 usual 10']);
  });

  it('begin after the trial, in whole months, but not after a move', () => {
    expect(paid(month({ trialDays: 59 }))).toEqual(['1 1 usual 10', '2 1 usual 10', '3 1 usual 10']);
    expect(paid(month({ trialDays: 60 }), { joining: { month: 1, moved: false } })).toEqual(['3 1 usual 10']);
    expect(paid(month({ trialDays: 60 }), { joining: { month: 2, moved: true } })).toEqual(['2 1 usual 10', '3 1 usual 10']);
  });

  it('cost the introductory price so often, but not after a move or when joined too late', () => {
    const intro = month({ intro: { price: '4', periods: 2 } });
    expect(paid(intro)).toEqual(['0 1 introductory 4', '1 1 introductory 4', '2 1 usual 10', '3 1 usual 10']);
    expect(paid(intro, { joining: { month: 3, moved: true } })).toEqual(['3 1 usual 10']);
    const until = month({ intro: { off: '25', periods: 1, until: '2027-02' } });
    expect(paid(until, { joining: { month: 1, moved: false }, months: 3 })).toEqual(['1 1 introductory 7.5', '2 1 usual 10']);
    expect(paid(until, { joining: { month: 2, moved: false }, months: 3 })).toEqual(['2 1 usual 10']);
  });

  it('cover months on top with the first payment, unless one comes by a move', () => {
    expect(paid(month({ months: 2 }), { extraMonths: 1 })).toEqual(['0 3 usual 10', '3 2 usual 10']);
    expect(paid(month({ months: 2 }), { extraMonths: 1, joining: { month: 0, moved: true } })).toEqual(['0 2 usual 10', '2 2 usual 10']);
  });

  it('are renewed at another length and price after the first, or after the introduction', () => {
    const renewal = { months: 2, price: '30' };
    expect(paid(month({ renewal }), { months: 5 })).toEqual(['0 1 usual 10', '1 2 renewal 30', '3 2 renewal 30']);
    expect(paid(month({ renewal, intro: { price: '4', periods: 2 } }), { months: 5 })).toEqual([
      '0 1 introductory 4',
      '1 1 introductory 4',
      '2 2 renewal 30',
      '4 2 renewal 30',
    ]);
  });

  it('cost what is announced from its month on; with a renewal only what is renewed changes', () => {
    const changes = [
      { from: '2027-02', price: '11' },
      { from: '2027-04', price: '12' },
    ];
    expect(paid(month({ changes }))).toEqual(['0 1 usual 10', '1 1 changed 11', '2 1 changed 11', '3 1 changed 12']);
    expect(paid(month({ changes, intro: { off: '50', periods: 2 } })).slice(0, 3)).toEqual([
      '0 1 introductory 5',
      '1 1 introductory 5.5',
      '2 1 changed 11',
    ]);
    const before = [{ from: '2027-01', price: '11' }];
    expect(paid(month({ changes: before, renewal: { months: 2, price: '30' } })).slice(0, 2)).toEqual(['0 1 usual 10', '1 2 changed 11']);
  });

  it('say where their prices stand', () => {
    const changes = [{ from: '2027-04', price: '12' }];
    expect(new Set(placesOf(month({ changes, intro: { price: '4', periods: 1 } })))).toEqual(
      new Set(['term t intro', 'term t price', 'change t 0 price']),
    );
    expect(new Set(placesOf(month({ renewal: { months: 1, price: '9' }, intro: { off: '10', periods: 1 } })))).toEqual(
      new Set(['term t price', 'term t off', 'term t renewal']),
    );
  });
});

describe('a term', () => {
  const wrong = (term: Term) => {
    const check = checker({});
    checkTerm(term, ['term'], check);
    return check.problems.map(({ path, wanted }) => `${path}: ${wanted}`);
  };
  const change = (from: string) => ({ from, price: '1' });

  it('is not known where one of its prices is not', () => {
    expect(isTermNotKnown(month())).toBe(false);
    expect(isTermNotKnown(month({ intro: { off: '5', periods: 1 }, renewal: { months: 1, price: '3' } }))).toBe(false);
    expect(isTermNotKnown(month({ price: null }))).toBe(true);
    expect(isTermNotKnown(month({ intro: { price: null, periods: 1 } }))).toBe(true);
    expect(isTermNotKnown(month({ renewal: { months: 1, price: null } }))).toBe(true);
  });

  it('has its changes in order, and none where it is paid for good', () => {
    expect(wrong(month({ changes: [change('2027-01'), change('2027-02')], renewal: { months: 1, price: '1' } }))).toEqual([]);
    expect(wrong(month({ changes: [change('2027-02'), change('2027-02'), change('2027-01')] }))).toEqual([
      'term.changes[1].from: use a month after 2027-02: changes in order',
      'term.changes[2].from: use a month after 2027-02: changes in order',
    ]);
    expect(wrong(month({ months: 0 }))).toEqual([]);
    expect(wrong(month({ months: 0, changes: [change('2027-01')], renewal: { months: 1, price: '1' } }))).toEqual([
      'term.changes: what is paid once and for good has no changes of price',
      'term.renewal: what is paid once and for good is not renewed',
    ]);
  });
});
