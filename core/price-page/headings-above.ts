import { isPriceTail } from './price-pieces';
import { JOINED } from './typed-text';

const LEAST_ROWS = 4;
const MOST_CELLS = 6;
const MOST_WORDS = 5;
/** How many lines a heading, an empty line and what is said of the prices above take between two rows. */
const MOST_BETWEEN = 3;

/**
 * Rows of cells that gaps part, each below a line with its heading: "Members", and below it "500   5,000   Unlimited". Each row gets
 * its heading in front, with tabs; the lines keep their places.
 */
export function withHeadingsAbove(lines: readonly string[]): readonly string[] {
  const cells = lines.map((line) => (/[\t|]/.test(line) || line.trim() === '' ? [] : line.trim().split(/ {2,}/)));
  const width = commonWidth(cells);
  const rows = cells.flatMap(({ length }, at) => (length === width ? [at] : []));
  const isHeading = (at: number) =>
    cells[at]?.length === 1 && !/\d/.test(lines[at] ?? '') && (lines[at] ?? '').trim().split(' ').length <= MOST_WORDS;
  const headed = rows.filter((at) => isHeading(at - 1) && !isPriceTail(lines[at - 1] ?? ''));
  const isClose = rows.every((at, index) => index === 0 || at - (rows[index - 1] ?? 0) <= MOST_BETWEEN + 1);
  if (width === 0 || rows.length < LEAST_ROWS || headed.length < rows.length / 2 || !isClose) return lines;
  const set = [...lines];
  const [first = 0, last = 0] = [rows[0], rows.at(-1)];
  for (let at = first; at <= last; at += 1) {
    if (!rows.includes(at)) {
      set[at] = JOINED;
      continue;
    }
    const tail = isPriceTail(lines[at + 1]?.trim() ?? '') ? ` ${(lines[at + 1] ?? '').trim()}` : '';
    const heading = headed.includes(at) && at > first ? (lines[at - 1] ?? '').trim() : '';
    set[at] = [heading, ...(cells[at] ?? []).map((cell) => `${cell}${tail}`)].join('\t');
  }
  return set;
}

/** How many cells most lines with gaps have; 0 where too few agree. */
function commonWidth(cells: ReadonlyArray<readonly string[]>): number {
  const counts = new Map<number, number>();
  for (const { length } of cells) if (length >= 2 && length <= MOST_CELLS) counts.set(length, (counts.get(length) ?? 0) + 1);
  const [most = 0] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [];
  return (counts.get(most) ?? 0) >= LEAST_ROWS ? most : 0;
}
