import { memo } from 'react';
import type { SalesScale as Scale } from '#core/comparison/sales-scale';
import { candidateColour } from '../components/candidate-tag';
import { useWriter } from '../locale/locale';
import { useWorkbench } from './workbench-context';
import { COMPARED_WORDS, type ComparedWords } from '../locale/compared-words';
import { scaleBand as words } from './words/scale-band';

/** Labels closer together than this, in percent of the scale, would run into each other. */
const LABEL_WIDTH = 5.5;
/** On a telephone, where the scale is a third as long. */
const TIGHT_WIDTH = 14;

/** Where a scale stands, in percent of the track; equal factors are equal lengths. */
export function placeOn({ from, to }: Scale): (scale: number) => number {
  return (scale) => (100 * Math.log(scale / from)) / Math.log(to / from);
}

/** How it is said that somebody is better than others. */
function useCompared(): ComparedWords {
  return COMPARED_WORDS[useWorkbench().atForecast.lineUp.by];
}

function useNames(): (id: string) => string {
  const { candidates } = useWorkbench().state.workbench.decision;
  return (id) => candidates.find((one) => one.id === id)?.label ?? '';
}

/** Who is cheapest at which level; drawn anew only when that changes. */
export const Stretches = memo(function Stretches({ shown }: { shown: Scale }) {
  const nameOf = useNames();
  const compared = useCompared();
  const place = placeOn(shown);
  return (
    <>
      {shown.stretches.map(({ candidate, from, to }) => (
        <span
          key={from}
          className={`scale-stretch${candidate === null ? ' is-nobody' : ''}`}
          style={{
            left: `${place(from)}%`,
            width: `${place(to) - place(from)}%`,
            ...(candidate ? { '--candidate': candidateColour(candidate) } : {}),
          }}
          title={candidate === null ? words.noCandidateCanBeChosen : words.here(candidate, nameOf(candidate), compared.isBest)}
        >
          {candidate === null ? <span>{words.nobody}</span> : <b>{candidate}</b>}
          {candidate !== null && <span>{nameOf(candidate)}</span>}
        </span>
      ))}
    </>
  );
});

/** Hatched where somebody else would be cheaper, were it not outgrown there, or a price of it not known. */
export const Doubts = memo(function Doubts({ shown }: { shown: Scale }) {
  const nameOf = useNames();
  const compared = useCompared();
  const place = placeOn(shown);
  return (
    <>
      {shown.doubtful.map(({ candidate, from, to, why }) => (
        <span
          key={`${candidate} ${from}`}
          className="scale-doubt"
          style={{ left: `${place(from)}%`, width: `${place(to) - place(from)}%` }}
          title={
            why === 'outgrown'
              ? words.hereButIsOutgrown(candidate, nameOf(candidate), compared.wouldBeBetter)
              : words.hereSomethingOnItsPrice(candidate, nameOf(candidate), compared.mayBeBetter)
          }
        />
      ))}
    </>
  );
});

/** Break-evens in figures, and round figures of sales between them where there is room. */
export const Labels = memo(function Labels({ shown }: { shown: Scale }) {
  const write = useWriter();
  const place = placeOn(shown);
  const joints = shown.stretches.slice(0, -1).map(({ to, salesTo }) => ({ at: place(to), text: write.whole(salesTo), isJoint: true }));
  const ticks = shown.ticks.map(({ sales, scale }) => ({ at: place(scale), text: write.whole(sales), isJoint: false }));
  const kept: typeof joints = [];
  for (const label of [...joints, ...ticks]) if (kept.every(({ at }) => Math.abs(at - label.at) > LABEL_WIDTH)) kept.push(label);
  const roomy: number[] = [];
  for (const { at } of kept) if (roomy.every((other) => Math.abs(other - at) > TIGHT_WIDTH)) roomy.push(at);
  const isTight = new Set(kept.map(({ at }) => at).filter((at) => !roomy.includes(at)));
  return (
    <>
      {joints.map(({ at }) => (
        <i key={at} className="scale-joint" style={{ left: `${at}%` }} />
      ))}
      {kept.map(({ at, text, isJoint }) => (
        <span
          key={at}
          className={['scale-label', isJoint && 'is-joint', isTight.has(at) && 'is-tight'].filter(Boolean).join(' ')}
          style={{ left: `${at}%` }}
        >
          {text}
        </span>
      ))}
    </>
  );
});
