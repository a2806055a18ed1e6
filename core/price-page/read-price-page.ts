import type { Statement } from '../price-phrase/statement';
import { findBareGrid } from './bare-grid';
import { findColumnGrid } from './column-grid';
import { feesIn } from './fees';
import { findPlans, type FoundPlans } from './find-plans';
import { type PlainLine, sentencesOf } from './plain-line';
import { htmlBlocks } from './html-blocks';
import { withHeadedPrices } from './headed-prices';
import { readInherited } from './inherited';
import { findLineGrids, findStepGrids, type LineGrid } from './line-grid';
import { findEvenGrid, findNamedGrid, PRICE_HEADING } from './named-grid';
import { isMenu, isPriced, isSentence } from './line-kinds';
import type { PageBlocks, PageTable } from './page-blocks';
import { shownText } from './page-blocks';
import { BY_THE_HOUR, type PageReading } from './page-reading';
import { readCard } from './plan-card';
import { type FigureFormat, figureFormatOf, plainText } from './plain-figures';
import { planTable } from './page-tables';
import { areBelowTable, hasColumns } from './below-tables';
import { goesOn, withNamesAbove } from './table-goes-on';
import { keepRatesApart } from './rates-apart';
import { isRateTable, readRateTable } from './rate-table';
import { narrowToOutside } from './outside-only';
import { readPlanRows } from './plan-rows';
import { readPlanTable, readPriceList } from './read-table';
import { ReadingBuilder, type ReadLine } from './reading-builder';
import { isBesidePayments, readProcessor } from './processor-page';
import { confirmByData, readData } from './data-of-page';
import { nothingSaid, type WholePage } from './page-conditions';
import { readRest } from './rest-of-page';
import { findRowGrid, type RowGrid } from './row-grid';
import { findRowsByName } from './rows-by-name';
import { isPriceOfSeats } from './price-pieces';
import { settlePrices } from './settle-prices';
import { findStepLists } from './step-lists';
import { stepsOfOnePlan } from './steps-of-one-plan';
import { textBlocks } from './text-blocks';
import { vendorOf } from './vendor-name';

/** What is known about a page besides its text. */
export interface PageContext {
  /** The currency that bare figures are in. */
  readonly currency?: string;
}

/** Whether a text is HTML. */
export function isHtml(text: string): boolean {
  return (
    /^\s*(?:<!doctype html|<html|<meta|<div|<table|<body|<!--)/i.test(text) ||
    /<(?:table|div|li|td|dl|dt|h[1-6])\b[^>]*>/i.test(text.slice(0, 200_000))
  );
}

/**
 * Reads a whole pricing page: pasted text, copied or saved HTML.
 *
 * Nothing is guessed in silence: every line with a figure, a tick or a count ends as a fact, as something asked, open,
 * or put aside with a reason.
 *
 * @param source - the page as it was pasted or saved
 */
export function readPricePage(source: string, context: PageContext = {}): PageReading {
  return readBlocks(isHtml(source) ? htmlBlocks(source) : textBlocks(source), context);
}

/** Reads a page that has been cut into its lines and tables. */
export function readBlocks(page: PageBlocks, context: PageContext = {}): PageReading {
  const format = figureFormatOf(allText(page));
  const lines = withHeadedPrices(
    page.blocks.flatMap((block, at): PlainLine[] => {
      if (block.kind !== 'line') return [];
      // What stands below a table begins something new.
      const opens = block.opens === true || page.blocks[at - 1]?.kind === 'table';
      return sentencesOf({ ...block, plain: plainText(block.text, format), ...(opens ? { opens } : {}) });
    }),
  );
  const tables = tablesOf(page);
  const builder = new ReadingBuilder(linesOf(page, format));
  const whole = nothingSaid();
  const isProcessor = isProcessorPage(lines, tables, format);
  const inCards = findPlans(lines);
  const bare = findBareGrid(lines);
  const grid = bare ? null : gridOnly(lines, inCards);
  if (bare) readPlanTable(bare.table, builder, { groups: bare.groups }, whole);
  const rowGrid = grid || bare || tables.some(hasColumns) ? null : (findRowGrid(lines) ?? findColumnGrid(lines));
  const outside = bare ? withoutGrid(lines, bare) : { cards: [], rest: lines };
  const found = bare || grid || rowGrid || areBelowTable(inCards, tables, format) ? outside : inCards;
  // Blocks with a price and nothing in them, among many rates, are things that a processor sells.
  const areThings =
    found.cards.length < 2 ||
    found.cards.every((card) => card.lines.every(({ plain }) => isPriced(plain))) ||
    (!found.cards.some((card) => card.lines.some(({ plain }) => isPaidByTime(plain))) &&
      (!found.cards.every(holdsSomething) || found.cards.some(isNoFee)));
  const { cards, rest } = isProcessor && areThings && !found.areSure ? { cards: [], rest: lines } : found;
  for (const card of cards) readCard(card, builder);
  if (rowGrid) readRowGrid(rowGrid, builder, whole);
  const told = readTables(tables, { format, isProcessor: isProcessor && cards.length === 0 }, builder, whole);
  const data = readData(page, builder);
  if (isProcessor && !grid && !rowGrid && builder.plans.every(({ name }) => name === ''))
    readProcessor([...rest, ...told].sort(inOrder), builder, whole);
  else {
    if (grid) grid.table.names.forEach((name, index) => builder.plan(name, grid.groups[index] ?? grid.table.line));
    if (grid?.counts) readPlanTable({ ...grid.table, rows: [grid.counts] }, builder, { groups: [] });
    if (builder.plans.length === 0) readStepGrids(rest, builder);
    const names = builder.names();
    for (const grid of [...findLineGrids(rest, names), ...findRowsByName(rest, names), ...findStepLists(rest, names)])
      readPlanTable(grid.table, builder, { head: grid.head, groups: grid.groups }, whole);
    readRest([...rest, ...told].sort(inOrder), builder, whole);
  }
  readInherited(cards, builder);
  narrowToOutside(lines, builder);
  return finished(builder, whole, page, lines, format, context, data);
}

const inOrder = (one: PlainLine, other: PlainLine) => one.line - other.line;

/** The page's tables, each headed by the line right above it where it has no heading of its own. */
function tablesOf({ blocks }: PageBlocks): PageTable[] {
  return blocks.flatMap((block, at): PageTable[] => {
    if (block.kind !== 'table') return [];
    const above = blocks[at - 1];
    const isHeading = block.caption === undefined && above?.kind === 'line' && above.line >= block.line - LINES_ABOVE;
    return [isHeading && !isSentence(above.text) && !/\d/.test(above.text) ? { ...block, caption: above.text } : block];
  });
}

/** The lines outside of a table. */
function withoutGrid(lines: readonly PlainLine[], { from, to }: LineGrid): FoundPlans {
  return { cards: [], rest: [...lines.slice(0, from), ...lines.slice(to)], areSure: true };
}

/** A table's heading stands in the line above it, perhaps with an empty one between. */
const LINES_ABOVE = 2;

/** Whether a card lists more than a price: what a plan has, and a card reader has not. */
function holdsSomething({ lines }: FoundPlans['cards'][number]): boolean {
  return lines.filter(({ plain }) => !isPriced(plain) && !isSentence(plain)).length >= 3;
}

/** "No monthly fee" is said of the whole of a processor's page, and heads no plan. */
function isNoFee({ lines: [first] }: FoundPlans['cards'][number]): boolean {
  return /^no (?:monthly|fixed|set-?up) (?:fees?|costs?|charges?)\b/i.test(first?.plain ?? '');
}

/** A price for a month or a year, or none at all: what a plan has, and a thing has not. */
function isPaidByTime(plain: string): boolean {
  return (
    isPriceOfSeats(plain) ||
    (isPriced(plain) &&
      !/^no /i.test(plain) &&
      /\b(?:months?|monthly|mo|years?|yearly|yr|annual(?:ly)?|weeks?|free)\b|^¤0(?:\.0+)?(?![\d.])/i.test(plain))
  );
}

/** A table a cell a line of which nothing else says what its plans cost: what look like cards are its rows. */
function gridOnly(lines: readonly PlainLine[], { cards }: FoundPlans): LineGrid | null {
  if (cards.every(({ name }) => PRICE_HEADING.test(name))) return findNamedGrid(lines);
  const only = cards.length === 1 ? findNamedGrid(lines) : null;
  if (only && (only.counts || only.table.names.includes(cards[0]?.name ?? ''))) return only;
  const grid = findEvenGrid(lines);
  if (!grid) return null;
  // Headings of rows with a price below them look like cards.
  const headings = new Set(grid.table.rows.map(({ heading }) => heading.toLowerCase()));
  const end = grid.table.rows.at(-1)?.cells.at(-1)?.line ?? 0;
  const isOfRows = ({ name, lines: [first] }: FoundPlans['cards'][number]) =>
    headings.has(name.toLowerCase()) ||
    ((first?.line ?? 0) >= grid.table.line && ((first?.line ?? 0) <= end || !grid.table.names.includes(name)));
  return cards.every(isOfRows) ? grid : null;
}

function allText({ blocks, title }: PageBlocks): string {
  const texts = blocks.map((block) => (block.kind === 'line' ? block.text : block.rows.map(({ cells }) => cells.join('\n')).join('\n')));
  return [title, ...texts].join('\n');
}

/** Every line of the page in its own words, whole, beside its plain figures. */
function linesOf({ blocks }: PageBlocks, format: FigureFormat): Map<number, ReadLine> {
  const all = new Map<number, ReadLine>();
  const add = (line: number, text: string) => all.set(line, { text: shownText(text), plain: plainText(text, format) });
  for (const block of blocks) {
    if (block.kind === 'line') add(block.line, block.text);
    else for (const { line, cells } of block.rows) add(line, cells.join(' | ').replaceAll('\n', ' '));
  }
  return all;
}

function readRowGrid({ table, lines, hourly }: RowGrid, builder: ReadingBuilder, whole: WholePage): void {
  readPlanTable(table, builder, { groups: [] }, whole);
  builder.use(...lines.map(({ line }) => line));
  for (const { line } of hourly) builder.putAside(line, BY_THE_HOUR);
}

function readStepGrids(rest: readonly PlainLine[], builder: ReadingBuilder): void {
  for (const { table, heading, lines } of findStepGrids(rest)) {
    // "Price per month" heads the only column: there is one plan, and it has no name.
    const names = table.names.map((name) => (PRICE_HEADING.test(name) ? 'Plan' : name));
    readPlanTable({ ...table, names }, builder, { head: heading, groups: [] });
    builder.use(...lines.map(({ line }) => line));
  }
}

interface TablesAround {
  readonly format: FigureFormat;
  readonly isProcessor: boolean;
}

/**
 * Tables: plans in columns or rows, steps of a price, rates by card and channel, or a list of names with prices.
 *
 * @returns rows of theirs that say what sentences could
 */
function readTables(
  tables: readonly PageTable[],
  { format, isProcessor }: TablesAround,
  builder: ReadingBuilder,
  whole: WholePage,
): PlainLine[] {
  const plain = (text: string) => plainText(text, format);
  let above: readonly string[] = [];
  return tables.flatMap((given): PlainLine[] => {
    const table = goesOn(given, above) ? withNamesAbove(given, above) : given;
    if (isRateTable(table)) {
      readRateTable(table, plain, builder, isProcessor);
      return [];
    }
    const onlyPlan = isProcessor || builder.plans.length > 0 ? null : stepsOfOnePlan(table, plain);
    const plans = isProcessor ? null : (onlyPlan ?? planTable(table, plain, builder.names()));
    if (!plans && readPlanRows(table, plain, builder)) return [];
    if (!plans) return readPriceList(isProcessor ? ofPayments(table) : table, plain, builder);
    readPlanTable(plans, builder, { head: plain(table.rows[0]?.cells[0] || (table.caption ?? '')), groups: [] }, whole);
    above = plans.names;
    return [];
  });
}

/** A processor's table without what is no price of taking a payment; that stays open. */
function ofPayments(table: PageTable): PageTable {
  return { ...table, rows: table.rows.filter(({ cells }) => !isBesidePayments(cells[0] ?? '')) };
}

/** A page without plans but with several rates is a payment processor's. */
function isProcessorPage(lines: readonly PlainLine[], tables: readonly PageTable[], format: FigureFormat): boolean {
  const others = tables.filter((table) => !isRateTable(table));
  if (others.some((table) => !isOfThings(table))) return false;
  if (tables.some(({ rows }) => rows.filter(({ cells }) => cells.some((cell) => /\d%/.test(plainText(cell, format)))).length >= 2))
    return true;
  return lines.filter(({ plain }) => feesIn(plain, { heading: 'card', isProcessor: true }).length > 0).length >= 2;
}

/** "Chargeback | £15", "Card reader | £29": what a processor charges beside its rates, a row a thing. */
function isOfThings({ rows }: PageTable): boolean {
  return rows.every(({ cells: [name = '', price = '', ...more] }) => more.length === 0 && !/\d/.test(name) && /\d/.test(price));
}

function finished(
  builder: ReadingBuilder,
  whole: WholePage,
  page: PageBlocks,
  lines: readonly PlainLine[],
  format: FigureFormat,
  context: PageContext,
  data: { vendor: string; currency: string | null },
): PageReading {
  const currency = data.currency ?? format.currency ?? context.currency ?? null;
  settlePrices(builder, whole);
  keepRatesApart(builder, currency);
  confirmByData(page, builder);
  const said = new Set(
    [...builder.plans, ...builder.addons].flatMap(({ facts }) => facts.flatMap(({ statement }) => amountsOf(statement))),
  );
  const known = (amount: string) => said.has(amount) || builder.plans.some(({ pieces }) => pieces.some((piece) => piece.amount === amount));
  const { open, aside } = builder.remainder(known);
  const shown = lines.filter(({ plain, role }) => role !== 'navigation' && !isMenu(plain));
  return {
    vendor: data.vendor || vendorOf(shown, page.title, builder.names()),
    isProcessor: builder.plans.length === 1 && builder.plans[0]?.name === '',
    currency,
    sign: format.isDollar ? '$' : null,
    taxExcluded: whole.taxExcluded,
    plans: builder.finishedPlans(),
    addons: builder.finishedAddons(),
    asked: builder.asked,
    open,
    aside,
    lines: builder.shownLines(),
    leftOut: page.leftOut,
  };
}

function amountsOf(statement: Statement): string[] {
  if (statement.kind === 'term')
    return [statement.term.price ?? '', statement.term.intro && 'price' in statement.term.intro ? (statement.term.intro.price ?? '') : ''];
  return statement.kind === 'joining' ? [statement.amount] : [];
}
