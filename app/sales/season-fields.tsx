import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { MONTH_NAMES } from '#core/calendar/month';
import { NumberField } from '../components/number-field';
import { useWriter } from '../locale/locale';
import { seasonFields as words } from './words';

const LONG_MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];
/** Height of the drawing in pixels. */
const HEIGHT = 112;
const MOST = 100;
const STEPS: Readonly<Record<string, number>> = {
  ArrowUp: 0.05,
  ArrowRight: 0.05,
  ArrowDown: -0.05,
  ArrowLeft: -0.05,
  PageUp: 0.25,
  PageDown: -0.25,
};

interface SeasonFieldsProps {
  /** What the fields' keys begin with: `stream.kites`. */
  of: string;
  /** What there is so much of: "orders". */
  what: string;
  /** Twelve factors, January first; undefined = the same all year. */
  season: readonly string[] | undefined;
  onChange(season: string[] | undefined): void;
}

/** How strong each month of the year is: drawn by dragging twelve bars, or typed. 1 is an average month. */
export function SeasonFields({ of, what, season, onChange }: SeasonFieldsProps) {
  const factors = MONTH_NAMES.map((_, month) => season?.[month] ?? '1');
  const highest = Math.max(2, ...factors.map((factor) => Number(factor) * 1.15));
  // While a bar is drawn the scale stands still, or it would run away under the pointer.
  const [held, setHeld] = useState<number | null>(null);
  const top = held ?? highest;
  const change = (month: number, value: string) => {
    const changed = factors.map((factor, index) => (index === month ? value : factor));
    onChange(changed.every((factor) => Number(factor) === 1) ? undefined : changed);
  };
  const isAllZero = factors.every((factor) => Number(factor) === 0);
  return (
    <fieldset className="season">
      <legend>{words.season(<span className="quiet">{words.oneIsAnAverage(what)}</span>)}</legend>
      <div className="season-months">
        {MONTH_NAMES.map((name, month) => (
          <span key={name} className="season-month">
            <SeasonBar
              name={LONG_MONTHS[month] ?? name}
              factor={Number(factors[month])}
              top={top}
              onHold={(isHeld) => setHeld(isHeld ? highest : null)}
              onChange={(factor) => change(month, factor)}
            />
            <NumberField
              fieldKey={`${of}.season.${month}`}
              label={name}
              value={factors[month]}
              range={{ least: 0, most: MOST, wanted: words.aFactorSuchAs1 }}
              onChange={(value) => change(month, value ?? '1')}
            />
          </span>
        ))}
      </div>
      {isAllZero && (
        <p className="field-problem" role="alert">
          {words.aSeasonOfZeros(what)}
        </p>
      )}
    </fieldset>
  );
}

const ENDS: Readonly<Record<string, number>> = { Home: 0, End: 1 };

interface SeasonBarProps {
  name: string;
  factor: number;
  top: number;
  onHold(isHeld: boolean): void;
  onChange(factor: string): void;
}

function SeasonBar({ name, factor, top, onHold, onChange }: SeasonBarProps) {
  const write = useWriter();
  const track = useRef<HTMLSpanElement>(null);
  const drawn = (event: PointerEvent) => {
    const box = track.current?.getBoundingClientRect();
    if (!box) return;
    const share = (box.bottom - event.clientY) / box.height;
    onChange(rounded(share * top));
  };
  const press = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    const next = ENDS[event.key] ?? (step === undefined ? undefined : factor + step);
    if (next === undefined) return;
    event.preventDefault();
    onChange(rounded(next));
  };
  return (
    <span
      ref={track}
      className="season-track"
      style={{ height: HEIGHT }}
      role="slider"
      tabIndex={0}
      aria-label={words.seasonName(name)}
      aria-orientation="vertical"
      aria-valuemin={0}
      aria-valuemax={MOST}
      aria-valuenow={factor}
      aria-valuetext={write.number(String(factor))}
      onKeyDown={press}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        onHold(true);
        drawn(event);
      }}
      onPointerMove={(event) => event.currentTarget.hasPointerCapture(event.pointerId) && drawn(event)}
      onPointerUp={() => onHold(false)}
      onPointerCancel={() => onHold(false)}
    >
      <span className="season-average" style={{ bottom: `${(1 / top) * 100}%` }} />
      <span className="season-bar" style={{ height: `${Math.min(1, factor / top) * 100}%` }} />
    </span>
  );
}

/** Drawn factors go in steps of a twentieth. */
function rounded(factor: number): string {
  return String(Math.round(Math.max(0, Math.min(MOST, factor)) * 20) / 20);
}
