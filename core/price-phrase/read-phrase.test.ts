import { describe, expect, it } from 'vitest';
import { statementSentence, withPoint } from './price-sentence';
import { type PhraseContext, readPhrase, statementsOf } from './read-phrase';
import type { Statement } from './statement';

const written = (statements: readonly Statement[]) => statements.map((one) => statementSentence(one, withPoint)).join('; ');
/** Each stretch with what was made of it. */
const said = (text: string, context: PhraseContext = {}) =>
  readPhrase(text, context).map((clause) => {
    if (clause.kind === 'read') return `${clause.text} = ${written(clause.statements)}`;
    return clause.kind === 'asked'
      ? `${clause.text} ? ${clause.options.map(({ statements }) => written(statements)).join(' | ')}`
      : `× ${clause.text}`;
  });

describe('stretches that are not understood', () => {
  it.each([
    ['nobody knows this; 27/mo', ['× nobody knows this', '27/mo = 27 by the month']],
    ['nobody knows this, 27/mo', ['× nobody knows this', '27/mo = 27 by the month']],
    ['nobody knows this. 27/mo', ['× nobody knows this', '27/mo = 27 by the month']],
    ['nobody knows this or 27/mo', ['× nobody knows this', '27/mo = 27 by the month']],
    ['nobody knows this\n27/mo', ['× nobody knows this', '27/mo = 27 by the month']],
    ['nobody: knows - this', ['× nobody: knows - this']],
    ['27/mo, nobody, knows', ['27/mo = 27 by the month', '× nobody, knows']],
    ['nobody\nknows', ['× nobody', '× knows']],
    ['nobody', ['× nobody']],
  ])('%j ends where something else begins', (text, expected) => expect(said(text)).toEqual(expected));

  it('words directly behind a price may change it: the price holds only if the person says so', () => {
    const [clause, next] = readPhrase('27/mo for charities, 3 seats');
    expect(clause).toMatchObject({
      kind: 'asked',
      text: '27/mo for charities',
      question: '“for charities” is not understood. Does “27/mo” hold without it?',
      options: [{ label: 'yes, “27/mo”' }],
    });
    expect(next).toMatchObject({ kind: 'read', text: '3 seats' });
    expect(said('27/mo “Small”')).toEqual(['27/mo = 27 by the month', '× “Small”']);
    expect(readPhrase('1 for the first 3 months for charities')[0]).toMatchObject({
      question: expect.stringContaining('(“for charities” behind it is not understood.)') as string,
    });
  });

  it('of a whole book only the beginning is read, and the rest is said to be left', () => {
    const book = `27/mo\n${'x'.repeat(20_000)}`;
    expect(readPhrase(book).at(-1)).toEqual({ kind: 'not-understood', text: '… and 6 characters more', from: 20_000, to: 20_006 });
    expect(readPhrase(book.slice(0, 20_000)).at(-1)?.text).toHaveLength(19_994);
  });

  it('a minus in front of a number is no dash', () => {
    expect(said('-5/mo')).toEqual(['× -5/mo']);
    expect(said('- 5/mo')).toEqual(['5/mo = 5 by the month']);
    expect(said('-€5/mo')).toEqual(['× -€5/mo']);
  });
});

describe('names that are known', () => {
  const context = { known: ['listings'], needs: ['shop', 'gift-cards'] };
  it.each([
    ['1,700 listings', ['1,700 listings = at most 1700 of listings']],
    ['shop', ['shop = shop: yes']],
    ['gift card', ['gift card = gift cards: yes']],
    ['gift cards', ['gift cards = gift cards: yes']],
    ['1,700 kites', ['× 1,700 kites']],
    ['kite', ['× kite']],
  ])('%s', (text, expected) => expect(said(text, context)).toEqual(expected));

  it('are not looked for in a row that says itself what it is about, nor where none are known', () => {
    expect(said('shop', { ...context, row: { kind: 'limit', quantity: 'staff' } })).toEqual(['× shop']);
    expect(said('shop')).toEqual(['× shop']);
    expect(said('1,700 listings')).toEqual(['× 1,700 listings']);
  });
});

describe('heads in front of figures', () => {
  it.each([
    [
      'Card fee (payment): 2%; Commission (transaction): 1%',
      [
        'Card fee (payment): 2% = Card fee (payment): 2% per order',
        'Commission (transaction): 1% = Commission (transaction): 1% per order',
      ],
    ],
    ['“Big: one” (usage): 3c per label', ['“Big: one” (usage): 3c per label = “Big: one” (usage): 0.03 per unit of labels']],
    ['Transaction fee: 0.5%', ['Transaction fee: 0.5% = Transaction fee (transaction): 0.5% per order']],
    ['Mailings: yes', ['Mailings: yes = “mailings”: yes']],
    ['Mailings: 5,000', ['Mailings: 5,000 = at most 5000 of emails']],
    ['Transaction fee: 0.5%\n2%', ['Transaction fee: 0.5% = Transaction fee (transaction): 0.5% per order', '2% ? ']],
  ])('%j', (text, expected) =>
    expect(said(text).map((one, at) => (expected[at]?.endsWith('? ') ? one.slice(0, expected[at].length) : one))).toEqual(expected),
  );

  it('go with the row in which they stand', () => {
    const row = { kind: 'charge' as const, label: 'Abroad', bucket: 'payment' as const, only: { cards: ['international'] } };
    expect(statementsOf(readPhrase('3.5% + 20c', { row }))).toEqual([
      {
        kind: 'charge',
        charge: { label: 'Abroad', bucket: 'payment', only: { cards: ['international'] }, how: 'per-order', percent: '3.5', each: '0.20' },
      },
    ]);
    const { only: _all, ...everywhere } = row;
    expect(statementsOf(readPhrase('3.5% + 20c', { row: everywhere }))[0]).not.toHaveProperty('charge.only');
  });
});

describe('questions', () => {
  it.each<[string, string, string[]]>([
    ['1% per order, at most 40', 'Does at most 40 hold for each order, or for a month?', ['for each order', 'for a month']],
    ['1% per order, at least 4', 'Does at least 4 hold for each order, or for a month?', ['for each order', 'for a month']],
    ['1 for the first 3 months', 'Is 1 for each of the 3 months, or for all of them together?', ['1 each', '1 together, 0.3333 each']],
    ['6 for the first 2 payments', 'Is 6 for each of the 2 payments, or for all of them together?', ['6 each', '6 together, 3 each']],
    ['500 orders included', 'What happens beyond 500 orders?', ['the plan ends there', 'more is charged, but not known how much']],
    ['1,200/yr', '“1,200/yr” can be read two ways. Which number is meant?', ['1200', '1.200']],
    ['27', 'What is 27 paid for?', ['by the month', 'by the year', 'once, for good']],
  ])('%s', (text, question, labels) => {
    const [clause] = readPhrase(text);
    expect(clause).toMatchObject({ kind: 'asked', question });
    expect(clause?.kind === 'asked' && clause.options.map(({ label }) => label)).toEqual(labels);
  });

  it('offer what each answer states', () => {
    expect(said('500 orders included')).toEqual([
      '500 orders included ? at most 500 of orders | Orders beyond the allowance (transaction): ? per unit of orders, after the first 500 a month',
    ]);
    expect(said('500 video hours included')).toEqual([
      '500 video hours included ? at most 500 of video hours | Video hours (usage): ? per unit of video hours, after the first 500 a month',
    ]);
    expect(said('1% per order, at least 4')).toEqual([
      '1% per order, at least 4 ? Sales fee (transaction): 1% per order, at least 4 per order | Sales fee (transaction): 1% per order, at least 4 a month',
    ]);
  });

  it.each([
    ['0.9% of sales, at least 5', 'at least 5 is taken to be by the month'],
    ['2c per label, at most 80', 'at most 80 is taken to be by the month'],
    ['24/mo billed yearly', 'quoted for a month, paid every 12 months: 288'],
    ['27 per quarter billed yearly', 'quoted for 3 months, paid every 12 months: 108'],
    ['300/yr paid monthly', 'quoted for 12 months, paid every month: 25'],
  ])('%s is read with a remark', (text, remark) => expect(readPhrase(text)[0]).toMatchObject({ kind: 'read', remark }));

  it('are not asked, and nothing is remarked, where the page is plain', () => {
    for (const text of [
      '27/mo',
      '1 each for the first 3 months',
      '0 for the first 3 months, then 9/mo',
      '1.5% of each order, max 3 a month',
    ])
      expect(readPhrase(text).map((clause) => [clause.kind, 'remark' in clause])).toEqual([['read', false]]);
  });

  it.each([
    ['45.60 for the first year, then 118.80 billed yearly', '118.80 by the year (the first payment 45.60)'],
    ['136.80 for the first 36 months, then 298.80 every 3 years', '298.80 every 3 years (the first payment 136.80)'],
    ['3.80/mo for the first 12 months, then 9.90/mo, billed yearly', '118.8 by the year (the first payment 45.6)'],
    ['3.80/mo for the first 36 months, then 8/mo billed yearly', '96 by the year (the first 3 payments 45.6 each)'],
    ['3.80/mo for the first 6 months, then 8/mo, billed monthly', '8 by the month (the first 6 payments 3.8 each)'],
  ])('%s says itself how long is paid for', (text, sentence) => expect(said(text)).toEqual([`${text} = ${sentence}`]));

  it('a first time that is no whole number of payments is asked about', () => {
    expect(readPhrase('3.80/mo for the first 5 months, then 8/mo, billed yearly')).toMatchObject([
      { kind: 'asked', question: 'Is the lower price paid month by month, or for 5 months ahead?' },
    ]);
  });

  it('savings by the year are those of so many months of twelve', () => {
    expect(said('12 months for the price of 10')).toEqual(['12 months for the price of 10 = save 16.7% by the year']);
    expect(said('a year for the price of 1')).toEqual(['a year for the price of 1 = save 91.7% by the year']);
    expect(said('12 months for the price of 12')[0]).toMatch(/^×|\?/);
    expect(said('12 months for the price of 0')[0]).toMatch(/^×|\?/);
  });
});
