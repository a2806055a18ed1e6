import type { Bucket } from '#core/pricing/ledger-line';

/** What is open beside the line-up: how a figure came about, or what a candidate is made of. */
export type OpenFigure =
  | { readonly kind: 'figure'; readonly candidate: string; readonly bucket?: Bucket; readonly year?: number }
  | { readonly kind: 'make-up'; readonly candidate: string };

/** Whether two are the same. */
export function isSameFigure(a: OpenFigure | null, b: OpenFigure): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
