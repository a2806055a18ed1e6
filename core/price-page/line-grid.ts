import type { PlainLine } from './plain-line';
import { nameWords } from './plan-names';
import { isUsualQuantity } from '../price-phrase/vocabulary';
import { bareNoun } from './counted-things';
import { canBeName, isButton, isCell, isMark, isQuestion, isSentence, type SectionKind, sectionOf } from './line-kinds';
import type { PlanTable, TableRow } from './page-tables';

/** A table that was copied a cell a line, and the lines it takes up. */
export interface LineGrid {
  readonly table: PlanTable;
  readonly from: number;
  readonly to: number;
  /** What stands in its corner, right above the names. */
  readonly head: string;
  /** Lines of its head and of headings of groups of rows. */
  readonly groups: readonly number[];
  /** How many each plan is for, where that is its name. */
  readonly counts?: TableRow;
}

/**
 * Finds tables that a browser copied a cell a line: a run of plans' names, then again and again a heading with exactly
 * as many cells.
 */
export function findLineGrids(lines: readonly PlainLine[], plans: readonly string[]): LineGrid[] {
  const grids: LineGrid[] = [];
  for (let at = 0; at < lines.length; at += 1) {
    const names = namesFrom(lines, at, plans);
    if (names.length < 2) continue;
    const grid = gridFrom(lines, at, names);
    if (!grid) continue;
    grids.push(grid);
    at = grid.to - 1;
  }
  return grids;
}

/** Steps of a price that were copied a cell a line, with the names of their columns. */
export interface StepGrid {
  readonly table: PlanTable;
  /** What is counted, in the page's words. */
  readonly heading: string;
  readonly lines: readonly PlainLine[];
}

const LEAST_STEPS = 2;
const MOST_COLUMNS = 6;

/**
 * Finds prices by steps on a page whose plans are named nowhere else: a line that names what is counted, a few names, then
 * again and again a figure with as many prices.
 */
export function findStepGrids(lines: readonly PlainLine[]): StepGrid[] {
  return lines.flatMap((line, at): StepGrid[] => {
    if (/\d/.test(line.plain) || !isUsualQuantity(bareNoun(line.plain))) return [];
    for (let count = 1; count <= MOST_COLUMNS; count += 1) {
      const names = lines.slice(at + 1, at + 1 + count);
      if (!names.every(({ text, plain }) => canBeName(text, plain, true))) return [];
      const rows = stepRows(lines, at + 1 + count, count);
      if (rows.length >= LEAST_STEPS)
        return [
          {
            heading: line.plain,
            lines: lines.slice(at, at + 1 + count + rows.length * (count + 1)),
            table: { names: names.map(({ text }) => nameWords(text)), heads: names.map(() => []), rows, line: line.line },
          },
        ];
    }
    return [];
  });
}

function stepRows(lines: readonly PlainLine[], start: number, count: number): TableRow[] {
  const rows: TableRow[] = [];
  for (let at = start; at + count < lines.length; at += count + 1) {
    const isStep = /^(?:up to |\d+ ?[-–] ?)?\d+\+?$/.test(lines[at]?.plain ?? '');
    const isPriced = cellsOf(lines, at, count).every(({ plain }) => /^¤\d/.test(plain) || /^(?:free|[–—-])$/i.test(plain));
    if (!isStep || !isPriced) break;
    rows.push(rowAt(lines, at, count));
  }
  return rows;
}

/** The run of different plans' names that begins at a line. */
function namesFrom(lines: readonly PlainLine[], start: number, plans: readonly string[]): string[] {
  const names: string[] = [];
  for (let at = start; at < lines.length && names.length < plans.length; at += 1) {
    const said = nameWords(lines[at]?.text ?? '').toLowerCase();
    const plan = plans.find((name) => name.toLowerCase() === said);
    if (plan === undefined || names.includes(plan)) break;
    names.push(plan);
  }
  return names;
}

/** No table of plans is longer. */
const MOST_ROWS = 250;

/** What a line can be in a table. */
interface LineTraits {
  readonly name: string;
  readonly section: SectionKind | null;
  readonly isCell: boolean;
  /** Whether it reads as nothing but a cell. */
  readonly isNothingElse: boolean;
  readonly isButton: boolean;
}

/** Each line is looked at from many places: what it can be is found once. */
const TRAITS = new WeakMap<PlainLine, LineTraits>();

function traitsOf(line: PlainLine): LineTraits {
  const known = TRAITS.get(line);
  if (known) return known;
  const { plain, text } = line;
  const isNothingElse = isMark(plain) || /^[^\p{L}]*\d/u.test(plain) || /^(?:up to|free|custom|add-?on|none|¤)/i.test(plain);
  const traits = { name: nameWords(text), section: sectionOf(plain), isCell: isCell(plain), isNothingElse, isButton: isButton(plain) };
  TRAITS.set(line, traits);
  return traits;
}

/** The rows behind a run of names, each a heading with as many cells; null where there are none. */
export function gridFrom(lines: readonly PlainLine[], start: number, names: readonly string[]): LineGrid | null {
  const count = names.length;
  const rows: TableRow[] = [];
  const groups = lines.slice(start, start + count).map(({ line }) => line);
  let at = start + count;
  while (at + count < lines.length && rows.length < MOST_ROWS) {
    const heading = lines[at];
    const again = [0, 1, 2].find((more) => areNames(lines, at + more, names));
    if (again !== undefined) {
      groups.push(...lines.slice(at, at + again + count).map(({ line }) => line));
      at += again + count;
      continue;
    }
    // A name by itself heads a list of its own.
    if (!heading || names.includes(traitsOf(heading).name)) break;
    if (rows.length > 0 && lines.slice(at, at + count).every((line) => traitsOf(line).isButton)) {
      groups.push(...lines.slice(at, at + count).map(({ line }) => line));
      at += count;
      continue;
    }
    const { section: kind } = traitsOf(heading);
    if (kind !== null && kind !== 'fees' && kind !== 'comparison') break;
    if (isQuestion(heading.plain) || isMark(heading.plain) || heading.role === 'footer' || endsTable(lines, at, count)) break;
    const [own, next] = [cellScore(lines, at, count), cellScore(lines, at + 1, count)];
    if (own < count && next > own && next > 0 && isShort(heading)) {
      groups.push(heading.line);
      at += 1;
      continue;
    }
    if (own < 1 || !cellsOf(lines, at, count).every((cell) => traitsOf(cell).isCell)) {
      if (own === 0 && areWords(lines, at, count) && cellScore(lines, at + count + 1, count) > 0) {
        rows.push(rowAt(lines, at, count));
        at += count + 1;
        continue;
      }
      break;
    }
    rows.push(rowAt(lines, at, count));
    at += count + 1;
  }
  const nameLines = lines.slice(start, start + count).map(({ line }) => line);
  const table: PlanTable = { names, nameLines, heads: names.map(() => []), rows, line: lines[start]?.line ?? 0 };
  return rows.length === 0 ? null : { table, from: start, to: at, head: lines[start - 1]?.plain ?? '', groups };
}

/** A sentence heads no row, and no row reaches over the heading of what is sold beside the plans. */
function endsTable(lines: readonly PlainLine[], at: number, count: number): boolean {
  return (
    /^\p{Lu}.*\p{L}\.$/u.test(lines[at]?.text ?? '') ||
    cellsOf(lines, at, count).some((cell) => traitsOf(cell).section === 'addons' && !/^add-?on$/i.test(cell.plain))
  );
}

/** Whether all names stand here again, as above a further part of the table. */
function areNames(lines: readonly PlainLine[], at: number, names: readonly string[]): boolean {
  return names.every((name, index) => {
    const line = lines[at + index];
    return line !== undefined && traitsOf(line).name === name;
  });
}

function rowAt(lines: readonly PlainLine[], at: number, count: number): TableRow {
  const { plain, line } = lines[at] ?? { plain: '', line: 0 };
  return { heading: plain, line, cells: cellsOf(lines, at, count).map((cell) => ({ plain: cell.plain, line: cell.line })) };
}

function cellsOf(lines: readonly PlainLine[], at: number, count: number): readonly PlainLine[] {
  return lines.slice(at + 1, at + 1 + count);
}

/** How many of the lines behind a heading read as nothing but cells. */
function cellScore(lines: readonly PlainLine[], at: number, count: number): number {
  const cells = cellsOf(lines, at, count);
  if (cells.length < count) return 0;
  return cells.filter((cell) => traitsOf(cell).isNothingElse).length;
}

function areWords(lines: readonly PlainLine[], at: number, count: number): boolean {
  return cellsOf(lines, at, count).every((cell) => traitsOf(cell).isCell && !isSentence(cell.plain) && traitsOf(cell).section === null);
}

function isShort({ plain }: PlainLine): boolean {
  return plain.split(' ').length <= 6 && !isSentence(plain);
}
