import type { PageReading } from '#core/price-page/page-reading';
import type { AppliedReading } from '#core/price-sheet/apply-reading';
import { pageLines as words } from './words/page-lines';

/** What became of a line of a page. */
export type LineState = 'used' | 'asked' | 'open' | 'aside';

/** A line of a page as it is shown beside the sheet. */
export interface ShownLine {
  readonly line: number;
  readonly text: string;
  readonly state: LineState;
  /** Why it is not used; '' where it is. */
  readonly why: string;
  /** The first figure that rests on it. */
  readonly place: string | null;
}

/** Every line of a page in its order, with what became of it. */
export function lineStates(reading: PageReading, linesAt: AppliedReading['linesAt']): ShownLine[] {
  const placeOf = new Map<number, string>();
  for (const [place, lines] of linesAt) for (const line of lines) if (!placeOf.has(line)) placeOf.set(line, place);
  const asked = new Set(reading.asked.flatMap(({ lines }) => lines));
  const open = new Set(reading.open.map(({ line }) => line));
  const aside = new Map(reading.aside.map(({ line, why }) => [line, why]));
  return reading.lines.map(({ line, text }): ShownLine => {
    const place = placeOf.get(line) ?? null;
    if (open.has(line)) return { line, text, state: 'open', why: words.notUnderstood, place };
    if (place !== null) return { line, text, state: 'used', why: '', place };
    if (asked.has(line)) return { line, text, state: 'asked', why: words.askedAbove, place };
    return { line, text, state: aside.has(line) ? 'aside' : 'used', why: aside.get(line) ?? '', place };
  });
}
