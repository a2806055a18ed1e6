import type { PriceSheet } from '../decision/price-sheet';
import type { Evidence, Mark } from '../decision/sheet-notes';

/** The sheet with more known about one figure; what is given as undefined is forgotten. */
export function noteFigure(
  sheet: PriceSheet,
  place: string,
  evidence: { [Field in keyof Evidence]?: Evidence[Field] | undefined },
): PriceSheet {
  const kept = Object.fromEntries(
    Object.entries({ ...sheet.figures?.[place], ...evidence }).filter(([, value]) => value !== undefined && value !== ''),
  );
  const { [place]: _former, ...others } = sheet.figures ?? {};
  return { ...sheet, figures: Object.keys(kept).length === 0 ? others : { ...sheet.figures, [place]: kept } };
}

/** What is known about a figure: its own evidence, and the sheet's where it has none. */
export function evidenceOf(sheet: PriceSheet, place: string): Evidence {
  return { ...sheet.evidence, ...(sheet.seen ? { seen: sheet.seen } : {}), ...sheet.figures?.[place] };
}

/** The sheet with a figure marked as not known, unlimited or not offered; with null its mark is taken away. */
export function withMark(sheet: PriceSheet, place: string, mark: Mark | null): PriceSheet {
  if (mark === null && sheet.marks?.[place] === undefined) return sheet;
  const { [place]: _former, ...others } = sheet.marks ?? {};
  return { ...sheet, marks: mark === null ? others : { ...sheet.marks, [place]: mark } };
}
