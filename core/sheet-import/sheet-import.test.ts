import { describe, expect, it } from 'vitest';
import type { PriceSheet } from '../decision/price-sheet';
import { statementSentence, withPoint } from '../price-phrase/price-sentence';
import type { Clause } from '../price-phrase/statement';
import { noteFigure, withMark } from '../price-sheet/figure-notes';
import { typedSheet } from '../tests/typed-sheet';
import { readSheetSource } from './read-source';
import { sheetFile, withFreshIds } from './sheet-file';
import { suggestMapping, tablePlans } from './table-mapping';

const written = (clauses: readonly Clause[]) =>
  clauses.flatMap((clause) =>
    clause.kind === 'read'
      ? clause.statements.map((one) => statementSentence(one, withPoint))
      : [clause.kind === 'asked' ? `? ${clause.question}` : `× ${clause.text}`],
  );

/** What a page or a table says about each plan. */
function plansIn(text: string) {
  const source = readSheetSource(text);
  if (source.kind !== 'page') throw new Error(`a page is wanted: ${JSON.stringify(source)}`);
  return Object.fromEntries(
    source.reading.plans.map(({ name, facts }) => [name, facts.map(({ statement }) => statementSentence(statement, withPoint))]),
  );
}

describe('tables', () => {
  const expected = {
    Basic: ['27 by the month', '258 by the year', 'Card payments (payment): 2.2% + 0.28 per order', 'at most 2 of staff', 'gift cards: no'],
    Plus: ['54 by the month', '516 by the year', 'Card payments (payment): 1.9% + 0.28 per order', 'no limit on staff', 'gift cards: yes'],
  };
  const rows = [
    ['', 'Basic', 'Plus'],
    ['Monthly price', '€27', '€54'],
    ['Billed yearly', '258', '516'],
    ['Card payments', '2.2% + 28c', '1.9% + 28c'],
    ['Staff accounts', '2', 'unlimited'],
    ['Gift cards', '–', '✓'],
  ];

  it.each([
    ['pasted from a spreadsheet', rows.map((row) => row.join('\t')).join('\r\n')],
    ['a CSV file with semicolons', rows.map((row) => row.join(';')).join('\n')],
    ['a CSV file with commas and quotes', rows.map((row) => row.map((cell) => `"${cell}"`).join(',')).join('\n')],
    ['the other way round', (rows[0] ?? []).map((_, column) => rows.map((row) => row[column]).join('\t')).join('\n')],
    [
      'a table of a web page',
      `<p>Our <b>plans</b></p><table>${rows.map((row) => `<tr>${row.map((cell) => `<td><span>${cell}</span></td>`).join('')}</tr>`).join('')}</table>`,
    ],
    ['broken markup', `<table><tr>${rows.map((row) => row.map((cell) => `<td>${cell}`).join('')).join('<tr>')}`],
  ])('%s: plans, with what each line means', (_name, text) => {
    expect(plansIn(text)).toEqual(expected);
  });

  it('keeps what is understood and leaves open the line with a cell that is not', () => {
    const source = readSheetSource('\tBasic\tPlus\nMonthly price\t27\tloads of money\nSeats\t2\t5');
    expect(source).toMatchObject({ kind: 'page', reading: { open: [{ line: 2 }] } });
    expect(plansIn('\tBasic\tPlus\nMonthly price\t27\tloads of money\nSeats\t2\t5')).toEqual({
      Basic: ['27 by the month', 'at most 2 of staff'],
      Plus: ['at most 5 of staff'],
    });
  });

  it('reads lines whose heading says nothing as they are written, and can be given its meaning by hand', () => {
    const text = '\tBasic\tPlus\nWhat you pay\t27/mo or 258 billed yearly\t54/mo';
    expect(plansIn(text)).toEqual({ Basic: ['27 by the month', '258 by the year'], Plus: ['54 by the month'] });
    const source = readSheetSource(text);
    if (source.kind !== 'page' || !source.table) throw new Error('a page with a table is wanted');
    const { table } = source.table;
    expect(tablePlans(table, suggestMapping(table, []), []).map(({ plan, clauses }) => [plan, written(clauses)])).toEqual([
      ['Basic', ['27 by the month', '258 by the year']],
      ['Plus', ['54 by the month']],
    ]);
  });

  it('leaves out what no price sheet can hold, and says how much', () => {
    const source = readSheetSource(Array.from({ length: 60_000 }, (_, index) => `Row ${index},${index},${index}`).join('\n'));
    expect(source).toMatchObject({ kind: 'table', rowsLeftOut: 59_500 });
  });
});

describe('web pages with schema.org data', () => {
  const page = (...scripts: readonly object[]) =>
    `<!doctype html><title>Plans</title>${scripts.map((one) => `<script type="application/ld+json">${JSON.stringify(one)}</script>`).join('')}`;
  const readingOf = (text: string) => {
    const source = readSheetSource(text);
    if (source.kind !== 'page') throw new Error(`a page is wanted: ${JSON.stringify(source)}`);
    return source.reading;
  };

  it('reads offers and unit price specifications', () => {
    const product = {
      '@context': 'https://schema.org',
      '@type': 'Product',
      name: 'Tidewrack Stores',
      brand: { '@type': 'Brand', name: 'Tidewrack' },
      offers: [
        {
          '@type': 'Offer',
          name: 'Basic',
          priceCurrency: 'EUR',
          priceSpecification: [
            { '@type': 'UnitPriceSpecification', price: 27, unitCode: 'MON' },
            {
              '@type': 'UnitPriceSpecification',
              price: '258.00',
              referenceQuantity: { '@type': 'QuantitativeValue', value: 1, unitCode: 'ANN' },
            },
          ],
        },
        {
          '@type': 'Offer',
          name: 'Plus',
          priceCurrency: 'EUR',
          price: '54.00',
          validThrough: '2026-12-31T23:59:59Z',
          valueAddedTaxIncluded: false,
          priceSpecification: { '@type': 'UnitPriceSpecification', price: 43, unitText: 'month', billingIncrement: 12 },
        },
        { '@type': 'Offer', name: 'Trade', price: '119' },
      ],
    };
    expect(plansIn(page(product))).toEqual({
      Basic: ['27 by the month', '258.00 by the year'],
      Plus: ['516 by the year', 'until 2026-12-31', 'plus tax'],
      Trade: [],
    });
    const { vendor, asked } = readingOf(page(product));
    expect(vendor).toBe('Tidewrack');
    expect(asked.map(({ question, plans }) => [question, plans])).toEqual([['What is 119 paid for? The page does not say.', ['Trade']]]);
  });

  it('takes a price that holds for some months and is followed by another for the introductory one', () => {
    const offer = {
      '@type': 'Offer',
      name: 'Basic',
      priceCurrency: 'EUR',
      priceSpecification: [
        { price: 2, unitCode: 'MON', billingDuration: 2, billingStart: 0 },
        { price: 27, unitCode: 'MON', billingStart: 2 },
      ],
    };
    expect(plansIn(page({ '@graph': [offer] }))).toEqual({ Basic: ['27 by the month (the first 2 payments 2 each)'] });
  });

  it('is not led astray by hostile markup: nothing of it is executed, texts are cut, nesting has an end', () => {
    const deep = `${'{"offers":'.repeat(4000)}1${'}'.repeat(4000)}`;
    const hostile = `<script>throw new Error('run')</script><img src=x onerror=alert(1)><script type="application/ld+json">{broken</script><script type="application/ld+json">${deep}</script><table><tr><td><script>alert(1)</script>Seats<td>2</table>${'<div>'.repeat(50_000)}`;
    expect(readSheetSource(hostile)).toMatchObject({ kind: 'table', table: [['Seats', '2']] });
    expect(readSheetSource(`<table><tr><td>Seats<td>2</table>${'<table><tr><td>'.repeat(200_000)}`)).toMatchObject({
      kind: 'table',
      table: [['Seats', '2']],
    });
    const named = readingOf(page({ '@type': 'Offer', name: `<b>${'x'.repeat(5000)}`, price: 3, unitCode: 'MON', __proto__: null }));
    expect(named.plans[0]?.name).toHaveLength(120);
  });
});

describe('the JSON of one sheet', () => {
  const typed = typedSheet('Tidewrack', { Basic: '27/mo, 2.7% + 25c, up to 2 seats' });
  const sheet: PriceSheet = withMark(
    noteFigure({ ...typed, seen: '2026-11-03', savings: { 'tidewrack-basic': '20' } }, 'tidewrack-basic charge tidewrack-1', {
      where: 'pricing page',
    }),
    'tidewrack-basic limit products',
    'unlimited',
  );

  it('is read back as it was written', () => {
    expect(readSheetSource(JSON.stringify(sheetFile(sheet)))).toEqual({ kind: 'sheet', sheet });
  });

  it('gets identifiers of its own, and what is noted about its figures goes along', () => {
    let next = 0;
    const fresh = withFreshIds(sheet, () => `new-${next++}`);
    if (fresh.kind !== 'offer') throw new Error('an offer is wanted');
    const [plan] = fresh.offer.plans;
    expect(plan?.id).toMatch(/^new-/);
    expect(fresh.figures).toEqual({ [`${plan?.id} charge ${plan?.charges?.[0]?.id}`]: { where: 'pricing page' } });
    expect(fresh.marks).toEqual({ [`${plan?.id} limit products`]: 'unlimited' });
    expect(fresh.savings).toEqual({ [plan?.id ?? '']: '20' });
  });

  it.each([
    ['', /nothing/],
    ['{"format":"venalis.price-sheet","version":2}', /use version 1/],
    ['{"a":', /not JSON/],
    ['{"a":1}', /neither a price sheet/],
    ['just some words', /no price/],
    ['<p>no prices</p>', /no price/],
    [JSON.stringify({ ...sheetFile(sheet), sheet: { ...sheet, seen: 'yesterday' } }), /2026-11-03/],
  ])('%j is refused with what is wanted', (text, words) => {
    const source = readSheetSource(text);
    expect(source.kind).toBe('refused');
    expect(JSON.stringify(source)).toMatch(words);
  });
});
