import type { OpenFigure } from './figure-button';
import { FigurePanel } from './figure-panel';
import { MakeUpPanel } from './make-up-panel';
import { PairPanel } from './pair-panel';
import { RatePanel } from './rate-panel';

/**
 * What stands beside the columns once a figure, a name or two candidates were chosen. Loaded apart: the first page is
 * shown without it.
 */
export default function OpenPanel({ open, onOpen }: { open: OpenFigure; onOpen(figure: OpenFigure | null): void }) {
  switch (open.kind) {
    case 'figure':
      return open.rate ? <RatePanel candidate={open.candidate} rate={open.rate} /> : <FigurePanel figure={open} />;
    case 'pair':
      return <PairPanel a={open.a} b={open.b} onChange={(a, b) => onOpen({ kind: 'pair', a, b })} />;
    case 'make-up':
      return <MakeUpPanel candidateId={open.candidate} onRemoved={() => onOpen(null)} />;
  }
}
