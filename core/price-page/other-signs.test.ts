import { describe, expect, it } from 'vitest';
import { type PageOfCorpus, pagesIn } from '../tests/page-corpus';
import { notStated, type PageTruth, saidWithoutTruth } from '../tests/page-truth';
import { isHtml, readPricePage } from './read-price-page';

const texts = [...pagesIn('corpus'), ...pagesIn('pages')].filter(({ text }) => !isHtml(text));
const shared = pagesIn('corpus').filter(({ text }) => !isHtml(text));
/** Half of the pages with tables, whichever others there are. */
const withTabs = texts.filter(({ page, text }) => /\t/.test(text) && page.length % 2 === 0);

/** What a page says and what it does not, apart from the lines it is read from. */
function saidBy(text: string, truth: PageTruth) {
  const reading = readPricePage(text, { currency: truth.currency });
  return {
    missing: notStated(reading, truth).sort(),
    false: saidWithoutTruth(reading, truth)
      .map((one) => one.replace(/ from “.*/s, ''))
      .sort(),
  };
}

interface Change {
  readonly says: string;
  readonly to: (page: PageOfCorpus) => string;
  /** Pages that are read otherwise then, and why. */
  readonly but?: readonly string[];
}

const isName = ({ truth }: PageOfCorpus, line: string) =>
  truth.items.some(({ plan }) => plan !== null && plan !== '' && plan.toLowerCase() === line.trim().toLowerCase());
const lines = (page: PageOfCorpus, change: (line: string) => string) => page.text.split('\n').map(change).join('\n');

const CHANGES: readonly Change[] = [
  { says: 'set in by some spaces', to: (page) => lines(page, (line) => (line === '' ? '' : `   ${line}`)) },
  { says: 'with an empty line between any two', to: ({ text }) => text.replaceAll('\n', '\n\n') },
  { says: 'with another end of lines and hard spaces', to: ({ text }) => text.replaceAll('\n', '\r\n').replaceAll(' ', '\u00a0') },
  { says: 'with headings as Markdown writes them', to: (page) => lines(page, (line) => (isName(page, line) ? `## ${line}` : line)) },
  { says: 'with other bullets', to: ({ text }) => text.replace(/^✓ /gm, '• ') },
  { says: 'with percentages in words', to: ({ text }) => text.replace(/(\d)%/g, '$1 percent') },
  { says: 'with "plus" in fees', to: ({ text }) => text.replace(/(\d)% ?\+ ?(?=[$€£\d])/g, '$1% plus ') },
  { says: 'with "each month"', to: ({ text }) => text.replace(/(?<=\d) ?(?:\/ ?month|per month|a month)\b/gi, ' each month') },
  { says: 'with other words for no limit', to: ({ text }) => text.replace(/^((?:✓ )?)Unlimited\b(?= \w)/gm, '$1Any number of') },
  {
    says: 'below a menu',
    to: ({ text }) => `Skip to content\nProduct\nCustomers\nResources\nPricing\nSign in\nTry it free\n${text}`,
  },
  {
    says: 'above a footer',
    to: ({ text }) =>
      `${text}\n\nProduct\nCompany\nCareers (3)\nTerms\n© 2026. All rights reserved.\nTrusted by 12,000 shops in 41 countries`,
  },
];

describe.each(CHANGES.map((change) => [change.says, change] as const))('the shared pages %s', (_says, { to, but = [] }) => {
  it('say what they said', () => {
    const otherwise = shared.filter((one) => {
      const before = saidBy(one.text, one.truth);
      const after = saidBy(to(one), one.truth);
      return after.missing.join() !== before.missing.join() || after.false.length > before.false.length;
    });
    expect(otherwise.map(({ page }) => page)).toEqual(but);
  });
});

const TABLES: readonly Change[] = [
  { says: 'between bars', to: (page) => lines(page, (line) => (line.includes('\t') ? `| ${line.split('\t').join(' | ')} |` : line)) },
  { says: 'with bars between cells', to: ({ text }) => text.replaceAll('\t', ' | ') },
  { says: 'with a tab at the end of each cell’s line', to: ({ text }) => text.replaceAll('\t', '\t\n') },
  // Rows without a heading are no table without their tabs.
  {
    says: 'with even gaps',
    to: ({ text }) => text.replaceAll('\t', '    '),
    but: ['video-fellgate', 'video-kingfishertube'],
  },
  { says: 'with semicolons', to: ({ text }) => text.replaceAll('\t', ';'), but: ['pay-crakepay', 'store-dowber'] },
];

describe.each(TABLES.map((change) => [change.says, change] as const))('tables %s', (_says, { to, but = [] }) => {
  it('say what they said', () => {
    const otherwise = withTabs.filter((one) => saidBy(to(one), one.truth).missing.join() !== saidBy(one.text, one.truth).missing.join());
    expect(otherwise.map(({ page }) => page)).toEqual(but);
  });
});
