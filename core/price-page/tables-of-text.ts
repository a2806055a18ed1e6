import { withHeadingsAbove } from './headings-above';
import { withSpacedTables } from './spaced-table';
import { JOINED } from './typed-text';

/** Fewer rows than this are no table without tabs. */
const LEAST_ALIGNED = 3;
/** Rows whose cells are set apart evenly have more cells than this: two may be a gap within a sentence. */
const CELLS_OF_A_SENTENCE = 2;

/**
 * Puts tabs between the cells of a text's tables, whichever way their columns are set apart: by single spaces, by gaps as an
 * e-mail or a terminal has them, by semicolons, by a line for each cell, or by headings in lines of their own. The lines keep
 * their places; one that was joined to another is {@link JOINED}.
 */
export function withTabs(lines: readonly string[]): string[] {
  return withColumns(withEvenGaps(withHeadingsAbove(withTabsOfCells(withSpacedTables(lines)))));
}

/** Columns that are set with spaces begin at the same place in lines that follow each other. */
function withColumns(lines: readonly string[]): string[] {
  // Two cells may be a gap within a sentence; several spaces in lines that follow each other are none.
  const isInTwo = (line: string) => cellStarts(line).length === 2 && /\S {3,}\S*\d|[A-Z] {3,}\S/.test(line);
  const isSet = lines.map((line) => !/[\t|]/.test(line) && (cellStarts(line).length >= LEAST_ALIGNED || isInTwo(line)));
  const tabbed = [...lines];
  for (let start = 0; start < lines.length;) {
    let end = start;
    while (isSet[end] === true) end += 1;
    const columns = end - start >= LEAST_ALIGNED ? columnsOf(lines.slice(start, end)) : null;
    if (columns) for (let at = start; at < end; at += 1) tabbed[at] = inColumns(lines[at] ?? '', columns);
    start = Math.max(end, start + 1);
  }
  return tabbed;
}

const LEAST_CELLS_APART = 4;

/** A cell a line, each but the last of its row with a tab behind it: the row in the line of its first cell. */
function withTabsOfCells(lines: readonly string[]): readonly string[] {
  const isOpen = (line: string) => /^[^\t]*\t\s*$/.test(line);
  if (lines.filter(isOpen).length < LEAST_CELLS_APART) return lines;
  const rows = [...lines];
  for (let at = 0; at < rows.length; at += 1)
    for (let next = at + 1; next < rows.length && isOpen(lines[next - 1] ?? ''); next += 1) {
      rows[at] = `${(rows[at] ?? '').replace(/\t\s*$/, '')}\t${(rows[next] ?? '').replace(/\t\s*$/, '')}`;
      rows[next] = JOINED;
      if (!isOpen(lines[next] ?? '')) {
        at = next;
        break;
      }
    }
  return rows;
}

/** Rows whose cells stand apart by gaps that are no columns, or by semicolons: as many cells in each, the head perhaps one less. */
function withEvenGaps(lines: readonly string[]): readonly string[] {
  const cells = lines.map((line) =>
    /[\t|]/.test(line) ? [] : line.replace(/^ +(?=\S)/, '').split(line.includes(';') ? / *; ?/ : / {3,}/),
  );
  const rows = [...lines];
  const widthAt = (at: number) => cells[at]?.length ?? 0;
  for (let at = 0; at < lines.length; at += 1) {
    const width = widthAt(at);
    if (width <= CELLS_OF_A_SENTENCE) continue;
    // A row without a cell in its corner is one short; a word alone heads a group of rows.
    const isRow = (row: number) => widthAt(row) === width || (widthAt(row) === width - 1 && /^(?: {3}|;)/.test(lines[row] ?? ''));
    const isGroup = (row: number) => widthAt(row) === 1 && widthAt(row + 1) === width && widthAt(row - 1) > 1;
    let end = at + 1;
    while ((width - 1 > 1 && isRow(end)) || isGroup(end)) end += 1;
    const all = Array.from({ length: end - at }, (_, more) => at + more);
    if (all.filter((row) => widthAt(row) === width).length < LEAST_ALIGNED) continue;
    let top = at;
    while (top > 0 && widthAt(top - 1) === width - 1 && width > CELLS_OF_A_SENTENCE) top -= 1;
    for (let row = top; row < end; row += 1)
      if (widthAt(row) > 1) rows[row] = [...(widthAt(row) < width ? [''] : []), ...(cells[row] ?? [])].join('\t');
    at = end - 1;
  }
  return rows;
}

/** Where the cells of a line begin: at its start, and behind two spaces or more. */
function cellStarts(line: string): number[] {
  const behind = [...line.trimEnd().matchAll(/ {2,}(?=\S)/g)].map(({ index, 0: gap }) => index + gap.length);
  return behind.includes(0) ? behind : [0, ...behind];
}

/** Where the columns of lines begin: as in the line with most cells, if no other has a word there; else null. */
function columnsOf(lines: readonly string[]): readonly number[] | null {
  const columns = lines.map(cellStarts).reduce((most, one) => (one.length > most.length ? one : most));
  const isCut = (line: string) => columns.some((at) => at > 0 && at < line.length && line[at - 1] !== ' ');
  return lines.some(isCut) ? null : columns;
}

function inColumns(line: string, columns: readonly number[]): string {
  return columns.map((start, index) => line.slice(start, columns[index + 1]).trim()).join('\t');
}
