import type { ReactNode } from 'react';
import type { Bucket } from '#core/pricing/ledger-line';
import { figureButton as words } from './words/figure-button';

/** What is open beside the line-up: how a figure came about, what a candidate is made of, or two set against each other. */
export type OpenFigure =
  | {
      readonly kind: 'figure';
      readonly candidate: string;
      readonly bucket?: Bucket;
      readonly year?: number;
      readonly rate?: 'per-order' | 'of-sales' | 'keep';
    }
  | { readonly kind: 'make-up'; readonly candidate: string }
  | { readonly kind: 'pair'; readonly a: string; readonly b: string };

/** Whether two are the same. */
export function isSameFigure(a: OpenFigure | null, b: OpenFigure): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

interface FigureButtonProps {
  figure: OpenFigure;
  label: string;
  text: ReactNode;
  open: OpenFigure | null;
  onOpen(figure: OpenFigure): void;
}

/** A figure that opens how it came about. */
export function FigureButton({ figure, label, text, open, onOpen }: FigureButtonProps) {
  return (
    <button
      type="button"
      className="figure"
      aria-expanded={isSameFigure(open, figure)}
      aria-label={words.howItCameAbout(label)}
      onClick={() => onOpen(figure)}
    >
      {text}
    </button>
  );
}
