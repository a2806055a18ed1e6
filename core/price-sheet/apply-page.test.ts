import { describe, expect, it } from 'vitest';
import type { PriceSheet } from '../decision/price-sheet';
import { readPage } from '../price-phrase/read-page';
import { typedSheet } from '../tests/typed-sheet';
import { applyPage, type PlanStatements } from './apply-page';
import { gapsOf } from './gaps';
import { columnsOf } from './parts';

let next = 0;
const context = { known: [], newId: () => `n${next++}` };

function page(text: string, plans: readonly string[] = []): PlanStatements[] {
  return readPage(text, plans).map(({ plan, clauses }) => ({
    plan,
    stated: clauses.flatMap((clause) => (clause.kind === 'read' ? [{ words: clause.text, statements: clause.statements }] : [])),
  }));
}

const columns = (sheet: PriceSheet) =>
  columnsOf(sheet).map(({ label, terms = [] }) => [label, terms.map(({ months, price }) => `${price}/${months}`).join(' ')]);

describe('a page typed as text', () => {
  it('begins a plan with its name and a colon, and gives the first name to a plan that has none', () => {
    const blank = typedSheet('Tidewrack', { '': '' });
    const { sheet } = applyPage(
      blank,
      page('Basic:\n27/mo or 258 billed yearly\n\nPlus:\n54/mo\nTrade plan:\nprice on request'),
      [],
      context,
    );
    expect(columns(sheet)).toEqual([
      ['Basic', '27/1 258/12'],
      ['Plus', '54/1'],
      ['Trade plan', 'null/1'],
    ]);
  });

  it('finds plans that are there by their name, also in front of a line', () => {
    const { sheet } = applyPage(
      typedSheet('Tidewrack', { Basic: '27/mo', Plus: '54/mo' }),
      page('basic: 258/yr\nPLUS\n516/yr', ['Basic', 'Plus']),
      [],
      context,
    );
    expect(columns(sheet)).toEqual([
      ['Basic', '27/1 258/12'],
      ['Plus', '54/1 516/12'],
    ]);
  });

  it('a line with bars is about the plans that the text has begun, where there are as many', () => {
    const text = 'Basic:\n27/mo\nPlus:\n54/mo\nSeats: 2 | 5';
    const seats = (sheet: PriceSheet) => columnsOf(sheet).map(({ label, limits }) => [label, limits?.['staff']]);
    expect(seats(applyPage(typedSheet('Tidewrack', { '': '' }), page(text), [], context).sheet)).toEqual([
      ['Basic', '2'],
      ['Plus', '5'],
    ]);
    const withTrade = typedSheet('Tidewrack', { Trade: '119/mo' });
    expect(seats(applyPage(withTrade, page(text, ['Trade']), [], context).sheet)).toEqual([
      ['Trade', undefined],
      ['Basic', '2'],
      ['Plus', '5'],
    ]);
    expect(seats(applyPage(withTrade, page(`${text} | 9`, ['Trade']), [], context).sheet)).toEqual([
      ['Trade', '2'],
      ['Basic', '5'],
      ['Plus', '9'],
    ]);
    expect(
      seats(applyPage(typedSheet('Tidewrack', { Plus: '50/mo', Basic: '20/mo' }), page(text, ['Plus', 'Basic']), [], context).sheet),
    ).toEqual([
      ['Plus', '5'],
      ['Basic', '2'],
    ]);
  });

  it('a line with bars states something of every plan, from left to right', () => {
    const { sheet } = applyPage(
      typedSheet('Tidewrack', { '': '' }),
      page(
        'Plans: Basic | Plus | Trade\n27/mo | 54/mo | 119/mo\nYearly: 258 | 516 | ?\nSeats: 2 | – | unlimited\nCard fee with Tidewrack Pay: 2.2% + 28c | 1.9% + 28c',
      ),
      [],
      context,
    );
    expect(columns(sheet)).toEqual([
      ['Basic', '27/1 258/12'],
      ['Plus', '54/1 516/12'],
      ['Trade', '119/1 null/12'],
    ]);
    expect(columnsOf(sheet).map(({ limits }) => limits)).toEqual([{ staff: '2' }, undefined, {}]);
    expect(columnsOf(sheet)[1]?.charges).toMatchObject([{ bucket: 'payment', percent: '1.9', each: '0.28', only: { payments: 'own' } }]);
  });

  it('is for the chosen plans where it names none', () => {
    const sheet = typedSheet('Tidewrack', { Basic: '27/mo', Plus: '54/mo' });
    const ids = columnsOf(sheet).map(({ id }) => id);
    const { sheet: changed } = applyPage(sheet, page('90 a quarter'), ids, context);
    expect(columns(changed)).toEqual([
      ['Basic', '27/1 90/3'],
      ['Plus', '54/1 90/3'],
    ]);
  });

  it('keeps the page’s own words with every figure, and all of them where several are about one', () => {
    const sheet = typedSheet('Tidewrack', { Basic: '' });
    const { sheet: changed } = applyPage(sheet, page('27/mo, 2.7% + 25c, 14-day free trial'), ['tidewrack-basic'], context);
    const fee = columnsOf(changed)[0]?.charges?.[0]?.id;
    expect(changed.figures).toEqual({
      'tidewrack-basic term 1': { stated: '27/mo; 14-day free trial' },
      [`tidewrack-basic charge ${fee}`]: { stated: '2.7% + 25c' },
    });
  });

  it('says once what could not be put on, and keeps the rest', () => {
    const sheet = typedSheet('Tidewrack', { Basic: '', Plus: '' });
    const { sheet: changed, problems } = applyPage(
      sheet,
      page('14-day free trial, 2.7% + 25c'),
      ['tidewrack-basic', 'tidewrack-plus'],
      context,
    );
    expect(problems).toEqual(['14 days of trial: there is no price yet that it could belong to']);
    expect(columnsOf(changed).map(({ charges }) => charges?.length)).toEqual([1, 1]);
  });
});

describe('gapsOf', () => {
  it.each([
    ['27/mo, 2.7% + 25c', 0],
    ['price on request', 1],
    ['27/mo (the first payment ?)', 1],
    ['27/mo, ? % + 0.25', 1],
    ['27/mo, 5 per extra seat', 1],
    ['27/mo, limit of visits not known', 1],
    ['each part of labels at its own price: 1 each up to 10; ? each beyond', 1],
    ['each part of labels at its own price: 1 each up to 10; 2 each beyond', 0],
    ['0.01 per email, after ? free for each of contacts', 1],
  ])('%s: %i', (text, gaps) => {
    expect(gapsOf(typedSheet('Tidewrack', { Basic: text }))).toBe(gaps);
  });
});
