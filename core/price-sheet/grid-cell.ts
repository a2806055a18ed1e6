import type { PriceSheet } from '../decision/price-sheet';
import type { GridRow } from './grid-rows';
import { type FigurePlace, type Part, placeOf } from './parts';
import { ruleOf } from './rows/kinds';
import { type CellContent, type CellWriter, marked } from './rows/row-rule';

/** What a cell of a price sheet shows, and the text with which it is edited. */
export interface GridCell extends CellContent {
  /** Where evidence and questions about the figure are kept. */
  readonly place: string;
}

const EMPTY: CellContent = { state: 'empty', text: '', notes: [], edit: '' };

/** The cell of a part in a row of its sheet. */
export function gridCell(sheet: PriceSheet, part: Part, { kind }: GridRow, write: CellWriter): GridCell {
  const rule = ruleOf(kind);
  const place = placeOf(part.id, rule.place(part, kind));
  const mark = sheet.marks?.[place];
  const stated = rule.cell(part, kind, write, sheet);
  return { ...(mark === undefined ? (stated ?? EMPTY) : marked(mark, stated?.notes)), place };
}

/** Where the figure of a part in a row is kept. */
export function figureAt(part: Part, { kind }: GridRow): FigurePlace {
  return ruleOf(kind).place(part, kind);
}
