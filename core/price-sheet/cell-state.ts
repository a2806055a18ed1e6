import type { PriceSheet } from '../decision/price-sheet';
import { withMark } from './figure-notes';
import { figureAt } from './grid-cell';
import type { GridRow } from './grid-rows';
import { partsOf, placeOf, withPart } from './parts';
import { ruleOf } from './rows/kinds';
import type { CellState, NoFigure } from './rows/row-rule';

/** The states that one key goes through in a row, in their order; which make sense depends on what the row states. */
export function statesOf({ kind }: GridRow): readonly NoFigure[] {
  return ruleOf(kind).states;
}

/** The state after another one in a row; after a figure comes the first. */
export function nextState(row: GridRow, state: CellState): NoFigure {
  const states = statesOf(row);
  const at = states.findIndex((one) => one === state);
  return states[(at + 1) % states.length] ?? 'empty';
}

/** The sheet with a cell in a state that is no figure: not known, nothing, no limit, not offered, or empty. */
export function withCellState(sheet: PriceSheet, partId: string, row: GridRow, state: NoFigure, newId: () => string): PriceSheet {
  const part = partsOf(sheet).find(({ id }) => id === partId);
  if (!part) return sheet;
  const { kind } = row;
  const next = ruleOf(kind).inState(part, kind, state, newId);
  const mark = ruleOf(kind).marks.find((one) => one === state) ?? null;
  return withMark(
    withPart(sheet, partId, () => next),
    placeOf(partId, figureAt(next, row)),
    mark,
  );
}
