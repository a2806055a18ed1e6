/** Words that head a column; a table has at least so many columns and rows. */
const LEAST_COLUMNS = 4;
const LEAST_ROWS = 2;

/** What a cell of such a table looks like: an amount, a count with its unit, or a word. */
const CELL =
  /(?:[€$£]\s?)?\d[\d.,]*(?:\s?(?:€|\$|£))?(?:\s?(?:[kKMGT]B|vCPUs?|vCores?|cores?|hours?|h|%))?(?:\s?(?:\/|per|a|each|every)\s?(?:mo|month|yr|year|hr|hour|h)\b|\s(?:monthly|yearly|annually|hourly)\b)?|\S+/gu;

/**
 * Puts tabs into tables that were copied with single spaces: a line of words that head columns, one of them the price, and
 * below it lines that fall into exactly as many cells.
 *
 * @example withSpacedTables(['Name vCPU Memory Price', 'S-1 1 2 GB €4/mo', 'S-2 2 4 GB €8/mo']) // in four columns
 */
export function withSpacedTables(lines: readonly string[]): string[] {
  const tabbed = [...lines];
  for (let at = 0; at < lines.length; at += 1) {
    const heads = headsIn(lines[at] ?? '');
    if (heads === null) continue;
    const rows: string[][] = [];
    for (let next = at + 1; next < lines.length; next += 1) {
      const cells = rowIn(lines[next] ?? '', heads.length);
      if (cells === null) break;
      rows.push(cells);
    }
    if (rows.length < LEAST_ROWS) continue;
    for (const [index, cells] of [heads, ...rows].entries()) tabbed[at + index] = cells.join('\t');
    at += rows.length;
  }
  return tabbed;
}

function headsIn(line: string): string[] | null {
  const words = line.trim().split(/\s+/);
  const areWords = words.length >= LEAST_COLUMNS && words.every((word) => /^\p{L}[\p{L}/()-]*$/u.test(word));
  return areWords && words.some((word) => /^(?:prices?|costs?|monthly|fee)$/i.test(word)) && !/\t|\S {3,}\S/.test(line) ? words : null;
}

/** A row's cells: its name, which may be of several words, and a cell for each other column; null where they do not fit. */
function rowIn(line: string, count: number): string[] | null {
  if (/[\t|]/.test(line) || !/[€$£]/.test(line)) return null;
  const cells = line.trim().match(CELL) ?? [];
  const more = cells.length - count;
  if (more < 0 || cells.slice(1, more + 1).some((word) => /^\d/.test(word))) return null;
  const behind = cells.slice(more + 1);
  const counted = behind.filter((cell) => /\d/.test(cell)).length;
  return counted < behind.length - 1 ? null : [cells.slice(0, more + 1).join(' '), ...behind];
}
