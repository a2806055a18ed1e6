import type { StatedCharge, Statement } from '../price-phrase/statement';
import { isUsualQuantity } from '../price-phrase/vocabulary';
import { bareNoun, countedThing } from './counted-things';
import { nameWords } from './plan-names';
import { isBadge, isButton } from './line-kinds';
import { isPriceTail, wordPrice } from './price-pieces';
import type { PageTable } from './page-blocks';
import { readItem } from './list-items';
import { type CellReading, readCell, type RowCell, rowKindOf } from './table-row';

/** A table with its cells in plain figures, by plan. */
export interface PlanTable {
  readonly names: readonly string[];
  /** The line of each name, where each has its own. */
  readonly nameLines?: readonly number[];
  /** Lines under a name in the table's head: its price, as a card has it. */
  readonly heads: ReadonlyArray<ReadonlyArray<{ readonly line: number; readonly plain: string }>>;
  readonly rows: readonly TableRow[];
  readonly line: number;
}

export interface TableRow {
  readonly heading: string;
  readonly line: number;
  readonly cells: ReadonlyArray<{ readonly plain: string; readonly line: number }>;
}

const PRICE_COLUMN = /^(?:prices?|costs?|fees?|charges?|monthly|yearly|per (?:month|year)|price (?:per|a) (?:month|year))$/i;
const PLAN_HEADING =
  /^(?:name|(?:monthly |yearly |our |your )?plans?|packages?|server|type|size|tarif|tiers?|editions?|models?|instances?|machines?|vm|vps|configurations?|options?|levels?|versions?|bundles?|feature|features|)$/i;
const ATTRIBUTE =
  /\b(?:price|month|monthly|year|yearly|hour|hourly|cpu|vcpu|cores?|ram|memory|disk|ssd|storage|traffic|transfer|bandwidth|users?|labels?|included|contacts|emails?|products|fee|rate|staff|each|further|orders)\b/i;

/**
 * A table as columns of plans: with plans as its rows it is turned. Null where it is not about plans.
 *
 * @param plain - writes a cell in plain figures
 * @param known - names of plans that the page has named before
 */
export function planTable(table: PageTable, plain: (text: string) => string, known: readonly string[]): PlanTable | null {
  const rows = withCorner(table.rows).map(({ line, cells }) => ({
    line,
    cells: cells.map((cell) => cell.split('\n').map(plain).join('\n')),
  }));
  const [head, ...below] = rows;
  // A cell over two rows of headings is in both.
  const body = below.filter(({ cells }, at) => at > 0 || cells[0] === '' || cells[0] !== head?.cells[0]);
  if (!head || body.length === 0) return null;
  const width = Math.max(...rows.map(({ cells }) => cells.length));
  if (width < 2) return null;
  if (arePlansInRows(head.cells, body, known)) return turned(head, body, table.line);
  if (isWithoutHeadings(head.cells, body, width))
    return planTable({ ...table, rows: table.rows.map((row) => ({ ...row, cells: ['', ...row.cells] })) }, plain, known);
  const names = head.cells.slice(1).map(columnName);
  const areNamed = names.length > 0 && names.every((name) => name !== '');
  if (!areNamed || names.every((name) => PRICE_COLUMN.test(name)) || head.cells.slice(1).some((cell) => /^[¤\d]/.test(cell))) return null;
  return {
    names,
    heads: head.cells.slice(1).map((cell) => headLines(cell, head.line)),
    rows: withTails(
      body.map(({ line, cells }) => ({
        heading: (cells[0] ?? '').replaceAll('\n', ' '),
        line,
        cells: names.map((_, column) => ({ plain: (cells[column + 1] ?? '').trim(), line })),
      })),
    ),
    line: table.line,
  };
}

/** "per month" in each cell of a row without a heading belongs to the prices in the row above it. */
function withTails(rows: readonly TableRow[]): TableRow[] {
  const isTail = (row: TableRow | undefined) => row?.heading === '' && row.cells.every(({ plain }) => isPriceTail(plain));
  return rows.flatMap((row, at) => {
    const next = rows[at + 1];
    if (isTail(row) && at > 0) return [];
    if (!next || !isTail(next) || !row.cells.every(({ plain }) => /¤\d/.test(plain) || wordPrice(plain) !== null)) return [row];
    return [
      { ...row, cells: row.cells.map((cell, column) => ({ ...cell, plain: `${cell.plain} ${next.cells[column]?.plain ?? ''}`.trim() })) },
    ];
  });
}

/** Names and prices over rows that have a heading, too, are one cell short: their corner was not copied. */
function withCorner(given: PageTable['rows']): PageTable['rows'] {
  const rows = withNamesFirst(given);
  const width = Math.max(...rows.map(({ cells }) => cells.length));
  const first = rows.findIndex(({ cells }) => cells.length === width);
  const isShort = first > 0 && first <= rows.length / 2 && rows.slice(0, first).every(({ cells }) => cells.length === width - 1);
  return isShort && width > 2 ? rows.map((row, at) => (at < first ? { ...row, cells: ['', ...row.cells] } : row)) : rows;
}

const NAMES_HEADING = /^(?:(?:plan )?names?|plans?|packages?|tiers?|tarif)$/i;

/** What tells the plans apart, or a row of prices, may stand above the names. */
function withNamesFirst(rows: PageTable['rows']): PageTable['rows'] {
  const named = rows
    .slice(0, 3)
    .findIndex(({ cells: [heading = '', ...names] }) => NAMES_HEADING.test(heading) && names.length > 1 && names.every(isWordOnly));
  const own = named > 0 ? rows[named] : undefined;
  if (own) return [own, ...rows.filter((row) => row !== own)];
  const [first, second, ...others] = rows;
  const priced =
    first?.cells
      .slice(1)
      .filter((cell) =>
        /[€$£¥]\s?\d|\d\s?(?:[€$£¥]|zł|Kč)|\d\s?(?:dollars|euros?|pounds|USD|EUR|GBP|CHF)\b|\b(?:USD|EUR|GBP|CHF) ?\d|^(?:free|gratis|kostenlos)$/i.test(
          cell,
        ),
      ).length ?? 0;
  const areNames = second?.cells[0] === '' && second.cells.length > 2 && second.cells.slice(1).every(isWordOnly);
  return first && second && priced >= 2 && areNames ? [second, first, ...others] : rows;
}

const isWordOnly = (cell: string) => /^\p{L}[^\d%€$£¥]*$/u.test(cell);

/** "Free | Lite | Pro" over rows that begin with a figure: there is no column of headings. */
function isWithoutHeadings(head: readonly string[], body: ReadonlyArray<{ readonly cells: readonly string[] }>, width: number): boolean {
  // "Storage: 100 GB" and "per month" say by themselves what they are.
  const isData = (cell: string) => /^[✓✔✗✘¤\d–—-]|^\p{L}[\p{L} ]{1,20}: \S/u.test(cell) || isPriceTail(cell);
  return (
    head[0] !== '' &&
    head.length === width &&
    !PLAN_HEADING.test(head[0] ?? '') &&
    !countedThingHeading(head[0] ?? '') &&
    body.filter(({ cells }) => isData(cells[0] ?? '')).length > body.length / 2
  );
}

function countedThingHeading(cell: string): boolean {
  return ATTRIBUTE.test(cell) || isUsualQuantity(bareNoun(cell));
}

/** What a column is called: its first line, without a badge beside it. */
function columnName(cell: string): string {
  const [first = '', second = ''] = cell.split('\n');
  const name = isBadge(first) ? second : first;
  return nameWords(name.replace(/\s+(?:most popular|best value|popular|recommended|best seller|our tip|new)$/i, '').trim());
}

function headLines(cell: string, line: number): Array<{ line: number; plain: string }> {
  return cell
    .split('\n')
    .slice(1)
    .filter((one) => !isBadge(one) && !isButton(one))
    .map((plain) => ({ line, plain }));
}

function arePlansInRows(
  head: readonly string[],
  body: ReadonlyArray<{ readonly cells: readonly string[] }>,
  known: readonly string[],
): boolean {
  const isKnown = (name: string) => known.some((one) => one.toLowerCase() === nameWords(name).toLowerCase());
  const firsts = body.map(({ cells }) => cells[0] ?? '');
  if (firsts.length > 0 && known.length > 0 && firsts.filter(isKnown).length >= Math.ceil(firsts.length / 2)) return true;
  if (head.slice(1).some((cell) => isKnown(columnName(cell)))) return false;
  // "Plan | Price" over names with what each costs.
  if (
    /^(?:plans?|packages?|tarif|tiers?|editions?)$/i.test(head[0] ?? '') &&
    head.slice(1).every((cell) => PRICE_COLUMN.test(columnName(cell)))
  )
    return true;
  const attributes = head.slice(1).filter((cell) => ATTRIBUTE.test(columnName(cell))).length;
  const inFirst = firsts.filter((cell) => ATTRIBUTE.test(cell)).length;
  return (
    PLAN_HEADING.test(head[0] ?? '') &&
    attributes >= 2 &&
    inFirst < firsts.length / 2 &&
    firsts.every((name) => name !== '' && !/^[¤\d]/.test(name))
  );
}

function turned(
  head: { readonly cells: readonly string[] },
  body: ReadonlyArray<{ readonly line: number; readonly cells: readonly string[] }>,
  line: number,
): PlanTable {
  return {
    names: body.map(({ cells }) => columnName(cells[0] ?? '')),
    heads: body.map(() => []),
    rows: head.cells.slice(1).map((heading, column) => ({
      heading: withBilling(heading, head.cells[0] ?? ''),
      line,
      cells: body.map((row) => ({ plain: (row.cells[column + 1] ?? '').trim(), line: row.line })),
    })),
    line,
  };
}

/** Under "Yearly plans | Price" the price is that of a year. */
function withBilling(heading: string, corner: string): string {
  const billing = /^(?:monthly|yearly)\b/i.exec(corner)?.[0];
  return billing !== undefined && /^price$/i.test(heading) ? `${billing} ${heading}` : heading;
}

/** Steps of a price by how many there are: what each plan costs up to so many contacts. */
export interface PriceSteps {
  readonly quantity: string;
  readonly names: readonly string[];
  /** A charge for each plan that has steps, with the lines it stands on. */
  readonly charges: ReadonlyArray<{ readonly plan: string; readonly statement: Statement; readonly lines: readonly number[] }>;
  readonly rows: readonly TableRow[];
  /** Lines of rows without a figure of their own. */
  readonly beyond: readonly number[];
}

const STEP = /^(?:up to |to |≤ ?|\d+ ?[-–] ?)?(\d+)\+?(?: (\p{L}[\p{L} ]*))?$/u;
/** "12 months" is how long one commits to, and no step. */
const A_TIME = /^(?:months?|years?|weeks?|days?)\b/i;
const BEYOND = /^(?:more|over|above|beyond|from \d+|\d+ ?\+|larger|bigger)\b/;

/**
 * Reads the rows of a table that are steps of a quantity: "up to 500 | 7 € | 13 €", under a heading that names it or with
 * its name in each row. Null where there are none.
 */
export function priceSteps(table: PlanTable, quantityHeading: string): PriceSteps | null {
  const isPriced = ({ cells }: TableRow) =>
    cells.every(({ plain }) => plain === '' || /^(?:free|[–—-])$/i.test(plain) || /^\D{0,8}¤\d/.test(plain));
  const steps = table.rows.flatMap((row) => {
    const [, upTo, noun] = STEP.exec(row.heading.trim()) ?? [];
    const thing = upTo === undefined || A_TIME.test(noun ?? '') ? null : countedThing(noun ?? quantityHeading);
    return upTo !== undefined && thing && isPriced(row) ? [{ row, upTo, quantity: thing.quantity }] : [];
  });
  const [first] = steps;
  if (!first || steps.length < 2 || steps.some(({ quantity }) => quantity !== first.quantity)) return null;
  const charges = table.names.flatMap((plan, column) => {
    const bands = steps.flatMap(({ row, upTo }) => {
      const cell = row.cells[column]?.plain ?? '';
      const amount = /^free$/i.test(cell) ? '0' : /¤(\d+(?:\.\d+)?)/.exec(cell)?.[1];
      return amount === undefined ? [] : [{ upTo, flat: amount }];
    });
    return bands.length === 0
      ? []
      : [
          {
            plan,
            statement: stepCharge(first.quantity, bands),
            lines: steps.flatMap(({ row }) => [row.line, row.cells[column]?.line ?? row.line]),
          },
        ];
  });
  return {
    quantity: first.quantity,
    names: table.names,
    charges,
    rows: steps.map(({ row }) => row),
    beyond: table.rows.filter(({ heading }) => BEYOND.test(heading.toLowerCase())).map(({ line }) => line),
  };
}

/** A price for all of a quantity, by the step it falls into (decision-file.md §4, `volume`). */
export function stepCharge(quantity: string, bands: ReadonlyArray<{ readonly upTo: string; readonly flat: string }>): Statement {
  const charge: StatedCharge = {
    label: `Price by ${quantity.replaceAll('-', ' ')}`,
    bucket: 'usage',
    on: quantity,
    how: 'volume',
    bands: bands.map(({ upTo, flat }) => ({ upTo, flat })),
  };
  return { kind: 'charge', charge };
}

/** What all cells of a row state, by column; "unlimited" is of what the other cells of the row count. */
export function readRow({ heading, cells }: TableRow): CellReading[] {
  const kind = rowKindOf(
    heading,
    cells.map(({ plain }) => plain),
  );
  const readings = cells.map((cell) => (heading === '' && kind !== 'price' ? readListed(cell) : readCell(heading, cell, kind)));
  const counted = readings.flatMap(({ statements }) =>
    statements.flatMap((one) => (one.kind === 'limit' && typeof one.most === 'string' ? [one.quantity] : [])),
  );
  const [quantity] = counted;
  if (quantity === undefined || !/hours$|^storage$|^bandwidth$/.test(quantity) || new Set(counted).size > 1) return readings;
  return readings.map((reading) => ({
    ...reading,
    statements: reading.statements.map((one) => (one.kind === 'limit' && one.most === true ? { ...one, quantity } : one)),
  }));
}

/** A cell of a row without a heading reads like an item of a list. */
function readListed(cell: RowCell): CellReading {
  if (/^(?:¤|free$|custom)/i.test(cell.plain)) return readCell('Price', cell, 'price');
  return { statements: readItem(cell.plain).statements, pieces: [] };
}
