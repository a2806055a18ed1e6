import { type PhraseContext, readPhrase } from './read-phrase';
import { headingOf } from './row-kind';
import type { Clause } from './statement';

/** Of a plan's name, as sheets keep it. */
const LONGEST_NAME = 300;

/** What a text says about one plan; null where it names none. */
export interface PlanClauses {
  readonly plan: string | null;
  readonly clauses: readonly Clause[];
}

/**
 * Reads a whole pricing page typed as text.
 *
 * A plan's name on a line of its own, with a colon, begins that plan; a line may also begin with the name of a plan
 * that is there already. A line with bars states something of every plan, from left to right, after a heading or
 * without one; "Plans: Basic | Plus" names them, and so do the plans that the text has begun.
 *
 * @param plans - names of the plans that are there already, from left to right
 * @returns what is said about each plan, in the order in which they first come; places of clauses are those in the text
 * @example readPage('Basic:\n27/mo\nPlus:\n54/mo', []) // two plans with a term each
 * @example readPage('Seats: 2 | 5', ['Basic', 'Plus']) // at most 2 for Basic, at most 5 for Plus
 */
export function readPage(text: string, plans: readonly string[], context: PhraseContext = {}): PlanClauses[] {
  const found = new Map<string | null, Clause[]>();
  const add = (plan: string | null, clauses: readonly Clause[]) => found.set(plan, [...(found.get(plan) ?? []), ...clauses]);
  let named: readonly string[] | null = null;
  const columnsFor = (cells: number) =>
    named ??
    columnsOf(
      [...found.keys()].filter((name) => name !== null),
      plans,
      cells,
    );
  let plan: string | null = null;
  let pending = null as { from: number; to: number } | null;
  const readPending = () => {
    if (pending) add(plan, readAt(text, pending.from, pending.to, context));
    pending = null;
  };
  let at = 0;
  for (const line of text.split('\n')) {
    const end = at + line.length;
    const cells = line.includes('|') ? barCells(line) : null;
    const head = cells ? null : planHead(line, [...plans, ...found.keys()]);
    if (cells) {
      readPending();
      if (/^plans?$/i.test(cells.heading) || (named === null && at === 0 && areNames(cells))) {
        named = cells.cells.map(({ text: name }, column) => name.slice(0, LONGEST_NAME) || `Plan ${column + 1}`);
        for (const name of named) add(name, []);
      } else {
        const columns = columnsFor(cells.cells.length);
        for (const [column, clauses] of rowClauses(cells, at, context)) add(columns[column] || `Plan ${column + 1}`, clauses);
      }
    } else if (head) {
      readPending();
      plan = head.plan;
      pending = { from: at + head.length, to: end };
    } else pending = { from: pending?.from ?? at, to: end };
    at = end + 1;
  }
  readPending();
  return [...found].filter(([name, clauses]) => name !== null || clauses.length > 0).map(([name, clauses]) => ({ plan: name, clauses }));
}

/**
 * The plans that a line with bars is about, from left to right: those that the text has begun so far, where there are
 * as many as cells; else those that are there already, and then those of the text.
 */
function columnsOf(begun: readonly string[], plans: readonly string[], cells: number): readonly string[] {
  if (begun.length === 0) return plans;
  if (begun.length === cells) return begun;
  const there = plans.filter((name) => name !== '');
  return [...there, ...begun.filter((name) => !there.some((one) => one.toLowerCase() === name.toLowerCase()))];
}

function readAt(text: string, from: number, to: number, context: PhraseContext): Clause[] {
  return readPhrase(text.slice(from, to), context).map((clause) => ({ ...clause, from: clause.from + from, to: clause.to + from }));
}

function planHead(line: string, plans: ReadonlyArray<string | null>): { plan: string; length: number } | null {
  const known = plans.find(
    (name): name is string => name !== null && name !== '' && new RegExp(`^\\s*${escaped(name)}\\s*(:|$)`, 'i').test(line),
  );
  if (known) return { plan: known, length: (/^[^:]*:?/.exec(line)?.[0] ?? line).length };
  const onOneLine = /^\s*(\p{L}[\p{L}\p{N} +&’'-]{0,30}?)\s*:\s*(?=\S)/u.exec(line);
  if (onOneLine?.[1] && headingOf(onOneLine[1]) === null && beginsWithPrice(line.slice(onOneLine[0].length)))
    return { plan: onOneLine[1], length: onOneLine[0].length };
  const named = /^\s*(?:plan\s+)?(\p{L}[\p{L}\p{N} +&’'-]{0,40}?)\s*:\s*$/u.exec(line);
  return named?.[1] ? { plan: named[1], length: line.length } : null;
}

/** "Small: 10/mo, 50 labels" is a plan; "Hosting: 10" is not. */
function beginsWithPrice(text: string): boolean {
  const [first] = readPhrase(text);
  return first?.kind === 'read' && first.from === 0 && first.statements.every(({ kind }) => kind === 'term');
}

function escaped(text: string): string {
  return text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
}

interface BarCells {
  readonly heading: string;
  /** Where the heading begins in its line. */
  readonly headingFrom: number;
  readonly cells: ReadonlyArray<{ readonly text: string; readonly from: number }>;
}

/** A line with bars, cut into its heading and its cells; bars at its ends are only decoration. */
function barCells(line: string): BarCells {
  const heading = /^[\s|]*([^|:]*):/.exec(line);
  const start = heading ? heading[0].length : 0;
  let from = start;
  const cells = line
    .slice(start)
    .split('|')
    .map((cell) => {
      const place = from + cell.length - cell.trimStart().length;
      from += cell.length + 1;
      return { text: cell.trim(), from: place };
    });
  const isEdge = (index: number) => (index === 0 && !heading) || index === cells.length - 1;
  const title = heading?.[1]?.trim() ?? '';
  return {
    heading: title,
    headingFrom: Math.max(0, line.indexOf(title)),
    cells: cells.filter(({ text }, index) => text !== '' || !isEdge(index)),
  };
}

/** "Free | Lite | Pro" on the first line names plans: nothing in it is read but, at most, "free". */
function areNames({ heading, cells }: BarCells): boolean {
  if (heading !== '' || cells.length < 2) return false;
  return cells.every(
    ({ text }) =>
      /^\p{L}[^\d|]{0,30}$/u.test(text) && (/^free$/i.test(text) || readPhrase(text).every(({ kind }) => kind === 'not-understood')),
  );
}

/** What each cell states, by its column; empty ones and dashes state nothing. */
function rowClauses(
  { heading, headingFrom, cells }: BarCells,
  lineStart: number,
  context: PhraseContext,
): Array<readonly [column: number, clauses: Clause[]]> {
  const prefix = heading === '' ? '' : `${heading}: `;
  return cells.map(({ text, from }, column) => {
    if (/^([–—-])?$/.test(text)) return [column, []] as const;
    const shift = lineStart + from - prefix.length;
    // What is said of the heading's own words stands there, all else in the cell.
    const placed = (clause: Clause) =>
      clause.to <= prefix.length
        ? { from: lineStart + headingFrom + clause.from, to: lineStart + headingFrom + Math.min(clause.to, heading.length) }
        : { from: Math.max(clause.from, prefix.length) + shift, to: clause.to + shift };
    return [column, readPhrase(prefix + text, context).map((clause) => ({ ...clause, ...placed(clause) }))] as const;
  });
}
