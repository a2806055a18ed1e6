import type { PriceSheet } from '../../decision/price-sheet';
import type { Mark } from '../../decision/sheet-notes';
import type { WritePhraseNumber } from '../../price-phrase/price-sentence';
import type { RowKind } from '../../price-phrase/row-kind';
import type { Statement } from '../../price-phrase/statement';
import type { WriteNumber } from '../../wording/rate-words';
import type { FigurePlace, Part } from '../parts';

/** The sections of a price sheet, in the order in which pricing pages have them. */
export const SECTIONS = ['price', 'sale', 'usage', 'extent', 'features'] as const;
export type Section = (typeof SECTIONS)[number];

/** What the head of a row says. */
export interface RowHeading {
  /** Unique on the sheet, and the same as long as the row means the same. */
  readonly key: string;
  readonly section: Section;
  readonly title: string;
  /** What the title leaves open, in a few words. */
  readonly note: string;
}

/** How cells write figures. */
export interface CellWriter {
  /** An amount with the digits of its currency. */
  money(amount: string, currency: string): string;
  number: WriteNumber;
  /** A number as it can be typed again. */
  phrase: WritePhraseNumber;
}

/** Whether a cell states a figure, one of the four things that are no figure, or nothing yet. */
export type CellState = 'stated' | 'empty' | 'none' | Mark;
export type NoFigure = Exclude<CellState, 'stated'>;

/** What a cell says of its figure. */
export interface CellContent {
  readonly state: CellState;
  readonly text: string;
  /** What else belongs to the figure, such as an introductory price. */
  readonly notes: readonly string[];
  /** The text to edit: reading it again gives the same. */
  readonly edit: string;
}

/** A typed text can replace all that a cell says, or only its figure: an introductory price stays. */
export type CellText = 'all' | 'figure';

/** What the rows of a sheet are chosen from. */
export interface RowsWanted {
  readonly sheet: PriceSheet;
  readonly columns: readonly Part[];
  /** Rows that a person asked for. */
  readonly asked: readonly RowKind[];
  /** Whether the columns are the add-ons beside a vendor's plans. */
  readonly areAddons: boolean;
}

/**
 * All there is to a kind of row of a price sheet: which rows there are, what their cells say, and how they are typed
 * into. What a bare figure means in it stands in `price-phrase/row-figures`.
 */
export interface RowRule<Kind extends RowKind> {
  /** The rows of this kind that state something, and the usual ones. */
  kinds(wanted: RowsWanted): readonly Kind[];
  heading(kind: Kind): RowHeading;
  /** Where evidence and questions about a part's figure are kept. */
  place(part: Part, kind: Kind): FigurePlace;
  /** What the cell of a part says; null where it says nothing yet. */
  cell(part: Part, kind: Kind, write: CellWriter, sheet: PriceSheet): CellContent | null;
  /** The states that one key goes through, in their order. */
  readonly states: readonly NoFigure[];
  /** The states that the part itself cannot hold, so that the sheet marks them. */
  readonly marks: readonly Mark[];
  inState(part: Part, kind: Kind, state: NoFigure, newId: () => string): Part;
  /** What is retyped in its cell is the same thing, corrected: the part with it. Null if it is something else. */
  retyped?(part: Part, kind: Kind, statement: Statement, replaces: CellText, newId: () => string): Part | null;
}

export const STATE_WORDS = { 'not-known': 'not known', none: 'nothing', unlimited: 'no limit', 'not-offered': 'not offered' } as const;

/** A cell with a mark in place of a figure. */
export function marked(mark: Mark, notes: readonly string[] = []): CellContent {
  return { state: mark, text: STATE_WORDS[mark], notes, edit: mark === 'not-known' ? '?' : STATE_WORDS[mark] };
}

/** A cell that states a figure. */
export function figure(text: string, edit: string, notes: readonly string[] = []): CellContent {
  return { state: 'stated', text, edit, notes };
}

/** A cell that says that nothing is charged or allowed. */
export function nothing(edit: string, notes: readonly string[] = []): CellContent {
  return { state: 'none', text: STATE_WORDS.none, edit, notes };
}

/** Whether an amount is given and comes to nothing, or is not there at all. */
export function isNothing(amount: string | null | undefined): boolean {
  return amount === undefined || (amount !== null && /^0+(\.0+)?$/.test(amount));
}
