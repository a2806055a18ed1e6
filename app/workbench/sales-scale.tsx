import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { type SalesScale as Scale, salesAt } from '#core/comparison/sales-scale';
import { candidateColour } from '../components/candidate-tag';
import { useWriter } from '../locale/locale';
import { useLevel, useWorkbench } from './workbench-context';

/** Labels closer together than this, in percent of the scale, would run into each other. */
const LABEL_WIDTH = 5.5;
const SMALL_STEP = 1.01;
const LARGE_STEP = 1.1;

/**
 * The sales scale: a band that shows who is cheapest at which level of monthly sales, with the break-evens as its
 * joints and a pointer at the forecast. Dragging the pointer, or arrow keys, tries another level.
 */
export function SalesScale() {
  const { salesScale: shown } = useWorkbench();
  const { scale, setScale } = useLevel();
  const track = useRef<HTMLDivElement>(null);
  const frame = useRef(0);
  if (!shown) return <p className="quiet scale-empty">The scale of sales stands here once there is a candidate with a price and something is sold.</p>;

  const place = placeOn(shown);
  const set = (wanted: number) => setScale(Math.min(Math.max(wanted, shown.from), shown.to));
  const follow = (event: PointerEvent) => {
    const box = track.current?.getBoundingClientRect();
    if (!box) return;
    const share = Math.min(Math.max((event.clientX - box.left) / box.width, 0), 1);
    const wanted = shown.from * (shown.to / shown.from) ** share;
    cancelAnimationFrame(frame.current);
    // Close to the forecast the pointer settles on it.
    frame.current = requestAnimationFrame(() => set(Math.abs(Math.log(wanted)) < 0.012 ? 1 : wanted));
  };
  const press = (event: KeyboardEvent) => {
    const steps: Partial<Record<string, number>> = {
      ArrowRight: scale * (event.shiftKey ? LARGE_STEP : SMALL_STEP),
      ArrowUp: scale * SMALL_STEP,
      ArrowLeft: scale / (event.shiftKey ? LARGE_STEP : SMALL_STEP),
      ArrowDown: scale / SMALL_STEP,
      PageUp: scale * LARGE_STEP,
      PageDown: scale / LARGE_STEP,
      Home: shown.from,
      End: shown.to,
      Escape: 1,
    };
    const wanted = steps[event.key];
    if (wanted === undefined) return;
    event.preventDefault();
    set(wanted);
  };

  return (
    <div
      className="scale"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        follow(event);
      }}
      onPointerMove={(event) => event.buttons > 0 && follow(event)}
    >
      <div className="scale-track" ref={track}>
        <Stretches shown={shown} place={place} />
        <span className={`scale-forecast${scale === 1 ? ' is-here' : ''}`} style={{ left: `${place(1)}%` }}>
          your forecast
        </span>
        <Pointer shown={shown} left={place(scale)} onKeyDown={press} />
      </div>
      <div className="scale-axis" aria-hidden="true">
        <Labels shown={shown} place={place} />
      </div>
    </div>
  );
}

type Place = (scale: number) => number;

/** Where a scale stands, in percent of the track; equal factors are equal lengths. */
function placeOn({ from, to }: Scale): Place {
  return (scale) => (100 * Math.log(scale / from)) / Math.log(to / from);
}

function Stretches({ shown, place }: { shown: Scale; place: Place }) {
  const { state } = useWorkbench();
  const nameOf = (id: string) => state.bench.decision.candidates.find((one) => one.id === id)?.label ?? '';
  return (
    <>
      {shown.stretches.map(({ candidate, from, to }) => (
        <span
          key={from}
          className={`scale-stretch${candidate === null ? ' is-nobody' : ''}`}
          style={{ left: `${place(from)}%`, width: `${place(to) - place(from)}%`, ...(candidate ? { '--candidate': candidateColour(candidate) } : {}) }}
          title={candidate === null ? 'No candidate can be chosen here' : `${candidate} ${nameOf(candidate)} is cheapest here`}
        >
          {candidate === null ? 'nobody' : <b>{candidate}</b>} <span>{candidate !== null && nameOf(candidate)}</span>
        </span>
      ))}
    </>
  );
}

function Pointer({ shown, left, onKeyDown }: { shown: Scale; left: number; onKeyDown(event: KeyboardEvent): void }) {
  const { atForecast } = useWorkbench();
  const { scale } = useLevel();
  const { pricing } = atForecast.priced;
  return (
    <span
      className="scale-pointer"
      style={{ left: `${left}%` }}
      role="slider"
      tabIndex={0}
      aria-label="Sales a month"
      aria-valuemin={Math.round(Number(salesAt(pricing, shown.from)))}
      aria-valuemax={Math.round(Number(salesAt(pricing, shown.to)))}
      aria-valuenow={Math.round(Number(salesAt(pricing, scale)))}
      aria-valuetext={useSpokenValue()}
      onKeyDown={onKeyDown}
    />
  );
}

/** "4,300 a month: Marlpit Grow is cheapest, 212 less than Tidewrack Plus". */
function useSpokenValue(): string {
  const { priced } = useLevel();
  const write = useWriter();
  const { leader, runnerUp } = priced.lineUp;
  const level = `${write.whole(priced.average.sales)} a month`;
  if (!leader) return `${level}: no candidate can be chosen`;
  return `${level}: ${leader.label} is cheapest${runnerUp ? `, ${write.whole(runnerUp.margin)} less than ${runnerUp.column.label}` : ''}`;
}

/** Break-evens in figures, and round figures of sales between them where there is room. */
function Labels({ shown, place }: { shown: Scale; place: Place }) {
  const write = useWriter();
  const joints = shown.stretches.slice(0, -1).map(({ to, salesTo }) => ({ at: place(to), text: write.whole(salesTo), isJoint: true }));
  const ticks = shown.ticks.map(({ sales, scale }) => ({ at: place(scale), text: write.whole(sales), isJoint: false }));
  const kept: typeof joints = [];
  for (const label of [...joints, ...ticks]) if (kept.every(({ at }) => Math.abs(at - label.at) > LABEL_WIDTH)) kept.push(label);
  return (
    <>
      {joints.map(({ at }) => (
        <i key={at} className="scale-joint" style={{ left: `${at}%` }} />
      ))}
      {kept.map(({ at, text, isJoint }) => (
        <span key={at} className={isJoint ? 'scale-label is-joint' : 'scale-label'} style={{ left: `${at}%` }}>
          {text}
        </span>
      ))}
    </>
  );
}
