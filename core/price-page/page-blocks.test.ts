import { describe, expect, it } from 'vitest';
import { inEnglish, languageOf } from './foreign-words';
import { htmlBlocks } from './html-blocks';
import { shownText } from './page-blocks';
import { figureFormatOf, plainText } from './plain-figures';
import { readPricePage } from './read-price-page';
import { textBlocks } from './text-blocks';

const lines = (html: string) => htmlBlocks(html).blocks.flatMap((block) => (block.kind === 'line' ? [block.text] : []));

describe('a page cut into lines and tables', () => {
  it('makes tables of lines with tabs or bars, and keeps the numbers of the lines', () => {
    const { blocks } = textBlocks('Plans\n\n\tLite\tPro\nPrice\t9\t29\n\nA | B\n---|---\n1 | 2');
    expect(blocks).toEqual([
      { kind: 'line', line: 1, text: 'Plans', opens: true },
      {
        kind: 'table',
        line: 3,
        rows: [
          { line: 3, cells: ['', 'Lite', 'Pro'] },
          { line: 4, cells: ['Price', '9', '29'] },
        ],
      },
      {
        kind: 'table',
        line: 6,
        rows: [
          { line: 6, cells: ['A', 'B'] },
          { line: 8, cells: ['1', '2'] },
        ],
      },
    ]);
  });

  it('has a title on top of what was pasted, and takes dashes for bullets unless ticks stand beside them', () => {
    expect(textBlocks('Havenpost Shop — pricing\nSolo').title).toBe('Havenpost Shop — pricing');
    expect(textBlocks('Rates: 2% online\nSolo').title).toBe('');
    const texts = (text: string) => textBlocks(text).blocks.flatMap((block) => (block.kind === 'line' ? [block.text] : []));
    expect(texts('Solo\n- 3 pages\n- 2 logins')).toEqual(['Solo', '• 3 pages', '• 2 logins']);
    expect(texts('Solo\n✓ 3 pages\n- 2 logins\n- Shop')).toEqual(['Solo', '✓ 3 pages', '- 2 logins', '- Shop']);
  });

  it('knows crossed-out prices, raised cents, footnotes and the labels of icons', () => {
    expect(lines('<p><s>€7.99</s> <b>€2<sup>99</sup></b></p>')).toEqual(['\uE000€7.99\uE001 €2.99']);
    expect(lines('<p>£3.20<sup>1</sup></p><li><svg aria-label="Not included"></svg>Backups</li>')).toEqual(['£3.20', '✗ Backups']);
    expect(shownText('\uE000€7.99\uE001 €2.99')).toBe('€7.99 €2.99');
  });

  it('leaves out what is hidden, but for the prices of the other way of paying', () => {
    expect(lines('<div><span class="monthly">$24</span><span class="yearly" hidden>$20</span>/mo</div><p hidden>secret</p>')).toEqual([
      '$24/mo',
      'yearly: $20',
    ]);
  });

  it('never runs or shows scripts, and stops at what is no page', () => {
    expect(lines('<script>alert(1)</script><style>p{}</style><p onclick="x()">Hello</p>')).toEqual(['Hello']);
    expect(htmlBlocks('<div>'.repeat(5_000)).leftOut).toMatch(/nests deeper/);
    expect(textBlocks('a\n'.repeat(100_000)).leftOut).toBe('96001 lines after the first 4000');
  });
});

describe('figures of a page', () => {
  const plain = (text: string, page = text) => plainText(text, figureFormatOf(page));

  it.each([
    ['2,9 % + 30 ct', '2.9% + ¤0.3'],
    ['1.299 € / 12,50 €', '¤1299 / ¤12.50'],
    ['$1,299/yr and $12.50/mo', '¤1299/yr and ¤12.50/mo'],
    ['25k visits, 1M emails, 10 000 users', '25000 visits, 1000000 emails, 10000 users'],
    ['3rd-party, 24/7, A/B', '3rd-party, 24/7, A/B'],
    ['US$9 per month', '¤9 per month'],
    ['10/mo', '¤10/mo'],
    ['2.7% + 0.25', '2.7% + ¤0.25'],
  ])('%s', (text, expected) => expect(plain(text)).toBe(expected));

  it('are read as the page writes them, not each for itself', () => {
    expect(plain('5.000 Produkte', '9,90 €\n5.000 Produkte')).toBe('5000 Produkte');
    expect(plain('5.000 GB', '$9.90\n5.000 GB')).toBe('5.000 GB');
  });

  it('have the currency that the page names, or none where a sign stands for several', () => {
    expect(figureFormatOf('12 €')).toMatchObject({ currency: 'EUR', isDollar: false });
    expect(figureFormatOf('$12')).toMatchObject({ currency: null, isDollar: true });
    expect(figureFormatOf('$12 USD')).toMatchObject({ currency: 'USD', isDollar: false });
  });
});

describe('data beside what a page shows', () => {
  const page = (price: string) =>
    `<script type="application/ld+json">${JSON.stringify({ '@type': 'Offer', name: 'Solo', priceCurrency: 'EUR', priceSpecification: { price, unitCode: 'MON' } })}</script>` +
    '<section><h2>Solo</h2><p>€9 a month</p><ul><li>1 site</li></ul></section><section><h2>Duo</h2><p>€19 a month</p><ul><li>3 sites</li></ul></section>';
  const solo = (price: string) => {
    const { plans, asked } = readPricePage(page(price));
    return [plans[0]?.facts.map(({ statement }) => statement.kind), asked.map(({ options }) => options.map(({ label }) => label))];
  };

  it('confirm it, or are asked about where they differ', () => {
    expect(solo('9.00')).toEqual([['term', 'limit'], []]);
    expect(solo('12')).toEqual([['limit'], [['9', '12']]]);
  });
});

describe('pages in other languages', () => {
  it.each([
    [
      'de',
      'Preise pro Monat, 5 GB Speicherplatz und 3 Benutzer, kostenlos testen',
      'prices per month, 5 GB GB storage and 3 users, try free',
    ],
    [
      'fr',
      '8 € par mois ou 80 € par an, jusqu’à 100 produits, essai gratuit',
      '8 € per month or 80 € per year, up to 100 products, free trial',
    ],
    [
      'nl',
      '8 euro per maand, onbeperkt producten, daarna 12 per maand, gratis',
      '8 euro per month, unlimited products, then 12 per month, free',
    ],
  ] as const)('%s', (language, text, english) => {
    expect(languageOf(text)).toBe(language);
    expect(inEnglish(text, language)).toBe(english);
  });

  it('takes an English page for English', () => {
    expect(languageOf('10 GB per month for the whole team, free for 14 days')).toBeNull();
  });
});
