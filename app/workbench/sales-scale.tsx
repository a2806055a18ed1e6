import { type KeyboardEvent, memo, type PointerEvent, useRef } from 'react';
import { flushSync } from 'react-dom';
import { type SalesScale as Scale, salesAt } from '#core/comparison/sales-scale';
import { useWriter } from '../locale/locale';
import { Doubts, Labels, placeOn, Stretches } from './scale-band';
import { useLevel, useWorkbench } from './workbench-context';
import { COMPARED_WORDS } from '../locale/compared-words';
import { salesScale as words } from './words/sales-scale';

const SMALL_STEP = 1.01;
const LARGE_STEP = 1.1;
/** Closer to the forecast than this factor, the pointer settles on it. */
const SETTLES = 1.012;

/**
 * The sales scale: a band that shows who is cheapest at which level of monthly sales, with the break-evens as its
 * joints and a pointer at the forecast. Dragging the pointer, or arrow keys, tries another level.
 */
export function SalesScale({ onType }: { onType(digit: string): void }) {
  const { salesScale: shown } = useWorkbench();
  const { scale, setScale } = useLevel();
  const track = useRef<HTMLDivElement>(null);
  if (!shown) return <p className="quiet scale-empty">{words.theSalesScaleAppears}</p>;

  const place = placeOn(shown);
  const set = (wanted: number) => setScale(Math.min(Math.max(wanted, shown.from), shown.to));
  const follow = (event: PointerEvent) => {
    const box = track.current?.getBoundingClientRect();
    if (!box) return;
    const share = Math.min(Math.max((event.clientX - box.left) / box.width, 0), 1);
    const wanted = shown.from * (shown.to / shown.from) ** share;
    // Drawn before the next frame: browsers hand over one move a frame, and a later one overtakes those before.
    flushSync(() => set(Math.abs(Math.log(wanted)) < Math.log(SETTLES) ? 1 : wanted));
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
    if (/^\d$/.test(event.key) && !event.ctrlKey && !event.altKey && !event.metaKey) {
      event.preventDefault();
      return onType(event.key);
    }
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
        <Stretches shown={shown} />
        <Doubts shown={shown} />
        <span className={`scale-forecast${scale === 1 ? ' is-here' : ''}`} style={{ left: `${place(1)}%` }}>
          {words.yourForecast}
        </span>
        <Pointer shown={shown} left={place(scale)} onKeyDown={press} />
      </div>
      <div className="scale-axis" aria-hidden="true">
        <Labels shown={shown} />
      </div>
    </div>
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
      aria-label={words.salesAMonth}
      aria-valuemin={Math.round(Number(salesAt(pricing, shown.from)))}
      aria-valuemax={Math.round(Number(salesAt(pricing, shown.to)))}
      aria-valuenow={Math.round(Number(salesAt(pricing, scale)))}
      aria-valuetext={useSpokenValue()}
      aria-describedby="scale-keys"
      onKeyDown={onKeyDown}
    >
      <KeysOfScale />
    </span>
  );
}

const KeysOfScale = memo(function KeysOfScale() {
  return (
    <span id="scale-keys" className="visually-hidden">
      {words.arrowKeysAndPage}
    </span>
  );
});

/** "4,300 a month: Marlpit Grow is cheapest, 212 less than Tidewrack Plus". */
function useSpokenValue(): string {
  const { priced } = useLevel();
  const write = useWriter();
  const { leader, runnerUp, by } = priced.lineUp;
  const compared = COMPARED_WORDS[by];
  const level = words.aMonth(write.amount(priced.average.sales));
  if (!leader) return words.noCandidateCanBeChosen(level);
  return `${level}: ${leader.label} ${compared.isBest}${runnerUp ? words.than(write.amount(runnerUp.margin), compared.by, runnerUp.column.label) : ''}`;
}
