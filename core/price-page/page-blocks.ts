/** What a page's markup, or a heading's or list's sign in its text, says a line is. */
export type LineRole = 'heading' | 'item' | 'button' | 'navigation' | 'footer';

/** A line of a page in reading order, whichever way the page came in. */
export interface PageLine {
  readonly kind: 'line';
  /** From 1: the line of a pasted text, or which of the lines that a web page was cut into. */
  readonly line: number;
  readonly text: string;
  readonly role?: LineRole;
  /** Whether an empty line, or the beginning of a block, stands before it. */
  readonly opens?: boolean;
}

export interface PageRow {
  readonly line: number;
  /** A cell may hold several lines. */
  readonly cells: readonly string[];
}

/** A table of a page: of its markup, or of tabs or bars in its text. */
export interface PageTable {
  readonly kind: 'table';
  readonly line: number;
  readonly caption?: string;
  readonly rows: readonly PageRow[];
}

export type PageBlock = PageLine | PageTable;

/** A page in the form that all ways in lead to: pasted text, copied or saved HTML, a fetched page. */
export interface PageBlocks {
  readonly blocks: readonly PageBlock[];
  /** Texts of JSON-LD scripts. */
  readonly linkedData: readonly string[];
  /** Texts of other scripts and attributes that hold JSON. */
  readonly scriptData: readonly string[];
  readonly title: string;
  /** What was not looked at, in words; null if all was. */
  readonly leftOut: string | null;
}

/** Stand around a price that is crossed out. */
export const CROSSED_OUT = { open: '\uE000', close: '\uE001' } as const;

/** The page's words without the marks that stand for what is crossed out. */
export function shownText(text: string): string {
  return text.replace(/[\uE000\uE001]/g, '').replace(/[^\S\n]+/g, ' ');
}

/** Lines that are looked at; no page that states prices is longer. */
export const MOST_LINES = 4_000;
