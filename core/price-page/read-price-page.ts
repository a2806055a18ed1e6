import { isSameAmount } from '../amount/decimal';
import type { Statement } from '../price-phrase/statement';
import { feesIn } from './fees';
import { findPlans, type FoundPlans } from './find-plans';
import { type PlainLine, sentencesOf } from './plain-line';
import { htmlBlocks } from './html-blocks';
import { readInherited } from './inherited';
import { type LinkedOffers, readLinkedData } from './linked-data';
import { findLineGrids, findStepGrids, type LineGrid } from './line-grid';
import { findNamedGrid, PRICE_HEADING } from './named-grid';
import { isMenu, isPriced, isSentence } from './line-kinds';
import type { PageBlocks, PageTable } from './page-blocks';
import { shownText } from './page-blocks';
import { readScriptData } from './page-data';
import type { PageReading } from './page-reading';
import { readCard } from './plan-card';
import { type FigureFormat, figureFormatOf, plainText } from './plain-figures';
import { planTable } from './page-tables';
import { isRateTable, readRateTable } from './rate-table';
import { readPlanTable, readPriceList } from './read-table';
import { ReadingBuilder, type ReadLine } from './reading-builder';
import { readProcessor } from './processor-page';
import type { WholePage } from './page-conditions';
import { readRest } from './rest-of-page';
import { findRowGrid, type RowGrid } from './row-grid';
import { isPriceOfSeats } from './price-pieces';
import { settlePrices } from './settle-prices';
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
  const lines = page.blocks.flatMap((block): PlainLine[] =>
    block.kind === 'line' ? sentencesOf({ ...block, plain: plainText(block.text, format) }) : [],
  );
  const tables = page.blocks.filter((block): block is PageTable => block.kind === 'table');
  const builder = new ReadingBuilder(linesOf(page, format));
  const whole = nothingSaid();
  const isProcessor = isProcessorPage(lines, tables, format);
  const inCards = findPlans(lines);
  const grid = gridOnly(lines, inCards);
  const rowGrid = grid || tables.some(hasColumns) ? null : findRowGrid(lines);
  const found = grid || rowGrid ? { cards: [], rest: lines } : inCards;
  // Blocks with a price and nothing in them, among many rates, are things that a processor sells.
  const areThings =
    found.cards.length < 2 ||
    found.cards.every((card) => card.lines.every(({ plain }) => isPriced(plain))) ||
    (!found.cards.some((card) => card.lines.some(({ plain }) => isPaidByTime(plain))) && !found.cards.every(holdsSomething));
  const { cards, rest } = isProcessor && areThings ? { cards: [], rest: lines } : found;
  for (const card of cards) readCard(card, builder);
  if (rowGrid) readRowGrid(rowGrid, builder, whole);
  readTables(tables, { rest, format, isProcessor: isProcessor && cards.length === 0 }, builder, whole);
  const data = readData(page, builder);
  if (isProcessor && !grid && !rowGrid && builder.plans.every(({ name }) => name === '')) readProcessor(rest, builder, whole);
  else {
    if (grid) grid.table.names.forEach((name, index) => builder.plan(name, grid.groups[index] ?? grid.table.line));
    if (builder.plans.length === 0) readStepGrids(rest, builder);
    for (const grid of findLineGrids(rest, builder.names()))
      readPlanTable(grid.table, builder, { head: grid.head, groups: grid.groups }, whole);
    readRest(rest, builder, whole);
  }
  readInherited(cards, builder);
  return finished(builder, whole, page, lines, format, context, data);
}

/** A table of more than names and prices, which may be the one of the plans. */
function hasColumns({ rows }: PageTable): boolean {
  return rows.some(({ cells }) => cells.length > 2);
}

/** Whether a card lists more than a price: what a plan has, and a card reader has not. */
function holdsSomething({ lines }: FoundPlans['cards'][number]): boolean {
  return lines.filter(({ plain }) => !isPriced(plain) && !isSentence(plain)).length >= 3;
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
  const grid = cards.length === 1 ? findNamedGrid(lines) : null;
  return grid?.table.names.includes(cards[0]?.name ?? '') ? grid : null;
}

function nothingSaid(): WholePage {
  return { taxExcluded: null, saving: null, returnsToFull: false, paidAtOnce: null, shortestTerm: null, usualPer: null, hasMonthly: false };
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

function readRowGrid({ table, lines }: RowGrid, builder: ReadingBuilder, whole: WholePage): void {
  readPlanTable(table, builder, { groups: [] }, whole);
  builder.use(...lines.map(({ line }) => line));
}

function readStepGrids(rest: readonly PlainLine[], builder: ReadingBuilder): void {
  for (const { table, heading, lines } of findStepGrids(rest)) {
    readPlanTable(table, builder, { head: heading, groups: [] });
    builder.use(...lines.map(({ line }) => line));
  }
}

interface TablesAround {
  readonly rest: readonly PlainLine[];
  readonly format: FigureFormat;
  readonly isProcessor: boolean;
}

/** Tables: plans in columns or rows, steps of a price, rates by card and channel, or a list of names with prices. */
function readTables(tables: readonly PageTable[], { format, isProcessor }: TablesAround, builder: ReadingBuilder, whole: WholePage): void {
  const plain = (text: string) => plainText(text, format);
  for (const table of tables) {
    if (isRateTable(table)) {
      readRateTable(table, plain, builder, isProcessor);
      continue;
    }
    const plans = planTable(table, plain, builder.names());
    if (plans) readPlanTable(plans, builder, { head: plain(table.rows[0]?.cells[0] ?? ''), groups: [] }, whole);
    else readPriceList(table, plain, builder);
  }
}

/** Data in the page's scripts: where the page itself shows no plans they are read from it. */
function readData(page: PageBlocks, builder: ReadingBuilder): { vendor: string; currency: string | null } {
  const linked = readLinkedData(page.linkedData);
  const vendor = linked?.vendor ?? '';
  if (builder.plans.length > 0) return { vendor, currency: null };
  if (linked) {
    readOffers(linked, builder);
    return { vendor, currency: null };
  }
  const script = readScriptData(page.scriptData);
  for (const [which, parts] of [['plan', script.plans] as const, ['addon', script.addons] as const])
    for (const { name, statements } of parts) {
      const line = builder.addLine(`In the page’s data: ${name}`);
      const added = builder[which](name, line);
      for (const statement of statements) builder.state(added, statement, line);
    }
  readAnswers(script.answers, builder);
  return { vendor: script.vendor, currency: script.currency };
}

/**
 * Data beside what a page shows are further evidence: the same price confirms, another one is asked, and a plan that shows
 * no price at all takes the one of its data.
 */
function confirmByData({ linkedData }: PageBlocks, builder: ReadingBuilder): void {
  for (const { plan: name, clauses } of readLinkedData(linkedData)?.plans ?? []) {
    const plan = builder.plans.find((one) => one.name.toLowerCase() === name.toLowerCase());
    if (!plan || builder.isOfData(plan)) continue;
    const terms = clauses.flatMap((clause) => (clause.kind === 'read' ? clause.statements : [])).filter((one) => one.kind === 'term');
    for (const statement of terms) {
      const at = plan.facts.findIndex((fact) => fact.statement.kind === 'term' && fact.statement.term.months === statement.term.months);
      const shown = plan.facts[at];
      const hasNone = !plan.facts.some((fact) => fact.statement.kind === 'term') && plan.pieces.length === 0;
      if (hasNone) builder.state(plan, statement, builder.addLine(`In the page’s data: ${name}, ${statement.term.price ?? ''}`));
      if (shown?.statement.kind !== 'term' || isSameAmount(shown.statement.term.price, statement.term.price) || shown.statement.term.intro)
        continue;
      plan.facts.splice(at, 1);
      const line = builder.addLine(`In the page’s data: ${name}, ${statement.term.price ?? ''}`);
      builder.ask(
        'The page shows another price than its data state. Which one holds?',
        [...shown.lines, line],
        [name],
        [shown.statement, statement].map((one) => ({
          label: one.term.price ?? 'not stated',
          statements: [{ plan: name, statement: one }],
        })),
      );
    }
  }
}

/** Offers of schema.org data, each price with what it says, or a question where it does not say how often it is paid. */
function readOffers({ plans }: LinkedOffers, builder: ReadingBuilder): void {
  for (const { plan, clauses } of plans) {
    const added = builder.plan(plan, builder.addLine(`In the page’s data: ${plan}`), true);
    for (const clause of clauses) {
      const line = builder.addLine(`${plan}: ${clause.text}`);
      if (clause.kind === 'read') for (const statement of clause.statements) builder.state(added, statement, line);
      else if (clause.kind === 'not-understood') builder.leaveOpen(line);
      else
        builder.ask(
          clause.question,
          [line],
          [plan],
          clause.options.map(({ label, statements }) => ({ label, statements: statements.map((statement) => ({ plan, statement })) })),
        );
    }
  }
}

function readAnswers(answers: ReadonlyArray<{ readonly question: string; readonly answer: string }>, builder: ReadingBuilder): void {
  const lines = answers
    .flatMap(({ question, answer }) => [question, answer])
    .map((text): PlainLine => ({ kind: 'line', line: builder.addLine(text), text, plain: text }));
  readRest(lines, builder, nothingSaid());
}

/** A page without plans but with several rates is a payment processor's. */
function isProcessorPage(lines: readonly PlainLine[], tables: readonly PageTable[], format: FigureFormat): boolean {
  if (tables.some((table) => !isRateTable(table))) return false;
  if (tables.some(({ rows }) => rows.filter(({ cells }) => cells.some((cell) => /\d%/.test(plainText(cell, format)))).length >= 2))
    return true;
  return lines.filter(({ plain }) => feesIn(plain, { heading: 'card', isProcessor: true }).length > 0).length >= 2;
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
  settlePrices(builder, whole);
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
    currency: data.currency ?? format.currency ?? context.currency ?? null,
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
