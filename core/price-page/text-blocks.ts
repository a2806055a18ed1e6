import { withTabs } from './tables-of-text';
import { asCopied, JOINED, placesWithoutSpacing } from './typed-text';
import { isMenuRow } from './line-kinds';
import { MOST_LINES, type PageBlock, type PageBlocks, type PageRow } from './page-blocks';

/** Rows of a table in a text have at least so many cells. */
const LEAST_CELLS = 2;

/**
 * Cuts a pasted text into lines and tables: lines with tabs, or with bars, that follow each other are one table.
 *
 * @param text - a page as a browser copies it, or as somebody typed it
 */
export function textBlocks(text: string): PageBlocks {
  const given = asCopied(text);
  const places = placesWithoutSpacing(given);
  const lines = withWholeAmounts(withTabs(places.map((at) => given[at] ?? '')));
  const numberAt = (index: number) => (places[index] ?? index) + 1;
  const read = lines.slice(0, MOST_LINES);
  const blocks: PageBlock[] = [];
  let rows: PageRow[] = [];
  let opens = true;
  /** The first row's cells become lines. */
  const withoutFirst = ([first, ...others]: readonly PageRow[]): PageRow[] => {
    for (const cell of first?.cells ?? [])
      if (cell !== '') blocks.push({ kind: 'line', line: first?.line ?? 0, text: cell, role: 'navigation' });
    return others;
  };
  const closeTable = () => {
    // The site's own links are no row of the table below them.
    while (rows[0] && isMenuRow(rows[0].cells)) rows = withoutFirst(rows);
    const [first] = rows;
    if (first && rows.length === 1 && isNameWithPrice(first)) {
      // What is said of a plan below its name and its price, set apart by a tab.
      for (const [at, text] of first.cells.entries()) blocks.push({ kind: 'line', line: first.line, text, ...(at === 0 ? { opens } : {}) });
    } else if (first && rows.length > 1) blocks.push({ kind: 'table', line: first.line, rows: withHeads(rows) });
    else withoutFirst(rows);
    rows = [];
  };
  const top = read.findIndex((line) => line.trim() !== '');
  const title = isTitle(read[top] ?? '') ? (read[top] ?? '').trim() : '';
  if (title !== '') blocks.push({ kind: 'line', line: numberAt(top), text: title, role: 'navigation' });
  for (const [index, raw] of read.entries()) {
    if (isRule(raw) || raw === JOINED || (index === top && title !== '')) continue;
    const cells = arePricesOfOne(raw) ? [raw] : cellsOf(raw);
    if (cells.length >= LEAST_CELLS || headsRows(cells, rows, read[index + 1])) rows.push({ line: numberAt(index), cells });
    else {
      closeTable();
      const whole = raw.replace(/\s+/g, ' ').trim();
      const shown = whole.replace(A_HEADING, '');
      const role = shown !== whole ? { role: 'heading' as const } : {};
      if (shown !== '') blocks.push({ kind: 'line', line: numberAt(index), text: shown, ...(opens ? { opens } : {}), ...role });
      opens = shown === '';
    }
  }
  closeTable();
  const leftOut = lines.length > MOST_LINES ? `${lines.length - MOST_LINES} lines after the first ${MOST_LINES}` : null;
  return { blocks, linkedData: [], scriptData: [], title, leftOut };
}

const A_PRICE = String.raw`(?:[€$£¥]\s?\d[\d.,]*|\d[\d.,]*\s?[€$£¥])\s?(?:\/|per |a )\s?`;
/** "$35/mo | $350/yr" is one plan's price by the month and by the year, and no row. */
const A_MONTH_AND_A_YEAR = new RegExp(String.raw`^\s*${A_PRICE}(?:month|mo)\s*\|\s*${A_PRICE}(?:year|yr)\s*$`, 'i');

function arePricesOfOne(line: string): boolean {
  return A_MONTH_AND_A_YEAR.test(line);
}

/** "## Starter", as Markdown writes a heading. */
const A_HEADING = /^#{1,6} (?=\p{L})/u;

const A_LABELLED_CELL = /^(\p{L}[\p{L} ]{1,20}):\s*(\S.*)$/u;

/** "Small site", a tab, and "£7.50 / month". */
function isNameWithPrice({ cells: [name = '', price = '', ...others] }: PageRow): boolean {
  const isPrice = /^(?:from )?(?:[€$£¥]\s?\d[\d.,]*|\d[\d.,]*\s?[€$£¥])\s*(?:(?:\/|per|a)\s*(?:month|mo|year|yr)\b.*)?$/i.test(price);
  return others.length === 0 && isPrice && /^\p{L}[^\d:]{1,30}$/u.test(name);
}

/** "Plan: Solo | Price: 25/mo" in every row: what all rows call their cells heads the columns. */
function withHeads(rows: readonly PageRow[]): readonly PageRow[] {
  const told = rows.map(({ cells }) => cells.map((cell) => A_LABELLED_CELL.exec(cell)));
  const labels = told[0]?.map((cell) => cell?.[1] ?? '') ?? [];
  const areAlike =
    rows.length >= 2 && told.every((cells) => cells.length === labels.length && cells.every((cell, at) => cell?.[1] === labels[at]));
  if (!areAlike) return rows;
  const [first] = rows;
  return [
    { line: first?.line ?? 0, cells: labels },
    ...rows.map(({ line }, at) => ({ line, cells: told[at]?.map((cell) => cell?.[2] ?? '') ?? [] })),
  ];
}

/** "Havenpost Shop — pricing", "Prices | Havenpost Shop": what a browser has in its title, on top of what was pasted. */
function isTitle(line: string): boolean {
  const parts = line.trim().split(/\s*[|–—·:]\s*|\s+-\s+/);
  return (
    parts.length === 2 && !/\d/.test(line) && parts.some((part) => ABOUT_PRICES.test(part)) && parts.some((part) => /^\p{Lu}/u.test(part))
  );
}

const ABOUT_PRICES =
  /^(?:(?:our )?(?:plans|prices|pricing|fees|rates)(?: (?:and|&) (?:plans|prices|pricing|fees))?|preise|tarife|prix|tarifs|precios|prezzi|prijzen)$/i;

/** "Members" alone between rows of a table that go on below it heads a group of them. */
function headsRows([text = '']: readonly string[], rows: readonly PageRow[], next: string | undefined): boolean {
  const width = rows.at(-1)?.cells.length ?? 0;
  const isShort = text.trim() !== '' && text.trim().split(/\s+/).length <= 4 && !/[.?!:\d]/.test(text);
  return width > LEAST_CELLS && rows.length > 1 && isShort && next !== undefined && cellsOf(next).length === width;
}

const A_SIGN = /^\s*(?:[€$£¥]|[A-Z]{1,2}\$)\s*$/;

const AN_AMOUNT = /^\s*\d[\d.,]*\s*$/;
/** "EUR/month", "€ per month" under the amount. */
const A_SIGN_AND_TIME = /^\s*(?:[€$£¥]|EUR|USD|GBP|CHF|CAD|AUD|SEK|NOK|DKK|PLN)\s*(?:\/|per\b|a\b|each\b)\s*(?:month|mo|year|yr)\b/i;

/** "$", "7" and ".50" in lines of their own, as some pages set a price, are one amount in the line of its sign. */
function withWholeAmounts(lines: readonly string[]): string[] {
  const whole = [...lines];
  for (let at = 0; at + 1 < whole.length; at += 1) {
    if (AN_AMOUNT.test(whole[at] ?? '') && A_SIGN_AND_TIME.test(whole[at + 1] ?? '')) {
      whole[at] = `${(whole[at] ?? '').trim()} ${(whole[at + 1] ?? '').trim()}`;
      whole[at + 1] = JOINED;
    }
    if (!A_SIGN.test(whole[at] ?? '') || !/^\s*\d[\d.,]*\s*$/.test(whole[at + 1] ?? '')) continue;
    const cents = /^\s*[.,]?\d{2}\s*$/.test(whole[at + 2] ?? '') ? (whole[at + 2] ?? '').trim().replace(/^(?=\d)/, '.') : '';
    whole[at] = `${(whole[at] ?? '').trim()}${(whole[at + 1] ?? '').trim()}${cents}`;
    // The lines keep their places, since what became of each is shown beside it.
    whole.splice(at + 1, cents === '' ? 1 : 2, ...Array<string>(cents === '' ? 1 : 2).fill(JOINED));
  }
  return whole;
}

/** The line between a table's head and its rows, as tables of bars have it. */
function isRule(line: string): boolean {
  return line.includes('|') && /^[\s|:-]+$/.test(line);
}

/** The cells of a line with tabs or bars; one cell for any other line. */
function cellsOf(line: string): string[] {
  const tidy = (cell: string) => cell.replace(/\s+/g, ' ').trim();
  if (line.includes('\t'))
    return line
      .replace(/[\r\n]+$/, '')
      .split('\t')
      .map(tidy);
  if (!line.includes('|')) return [line];
  const whole = line.trim();
  // Bars on both sides are a frame; one at the start alone leaves the corner empty.
  const inner = whole.startsWith('|') && !whole.endsWith('|') ? whole : whole.replace(/^\||\|$/g, '');
  return inner.split('|').map(tidy);
}
