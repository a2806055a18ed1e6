import { useId, useRef, useState } from 'react';
import { readTypedDay } from '#core/calendar/typed-day';
import { useWriter } from '../locale/locale';
import { SteadyInput } from './steady-input';

interface DayFieldProps {
  label: string;
  /** `YYYY-MM-DD`; undefined if none is stated. */
  value: string | undefined;
  onChange(value: string | undefined): void;
}

/** A calendar day, written as everywhere else; typed in any clear form, or picked from the browser's calendar. */
export function DayField({ label, value, onChange }: DayFieldProps) {
  const id = useId();
  const write = useWriter();
  const [typing, setTyping] = useState<string | null>(null);
  const [isLeft, setLeft] = useState(false);
  const picker = useRef<HTMLInputElement>(null);
  const typed = typing === null || typing.trim() === '' ? null : readTypedDay(typing);
  const problem = isLeft && typed && !typed.ok ? typed.problem : null;
  const take = (text: string) => {
    setTyping(text);
    setLeft(false);
    const read = readTypedDay(text);
    if (text.trim() === '') onChange(undefined);
    else if (read.ok) onChange(read.value);
  };
  return (
    <span className="field day-field">
      <label htmlFor={id} className="field-label">
        {label}
      </label>
      <SteadyInput
        id={id}
        variant="underlined"
        autoComplete="off"
        value={typing ?? (value === undefined ? '' : write.day(value))}
        {...(problem === null ? {} : { status: 'error' as const, 'aria-invalid': true, 'aria-describedby': `${id}-note` })}
        onChange={({ target }) => take(target.value)}
        onBlur={() => {
          setLeft(true);
          // A day that could be read is written like all others; what could not stays as it was typed.
          if (typed === null || typed.ok) setTyping(null);
        }}
      />
      <button type="button" className="day-picker" aria-label="Choose from a calendar" onClick={() => picker.current?.showPicker()}>
        <span aria-hidden="true">▾</span>
      </button>
      <input
        ref={picker}
        type="date"
        className="day-picked"
        tabIndex={-1}
        aria-hidden="true"
        value={value ?? ''}
        onChange={({ target }) => {
          setTyping(null);
          onChange(target.value === '' ? undefined : target.value);
        }}
      />
      {problem !== null && (
        <span id={`${id}-note`} className="field-problem" role="alert">
          {problem}
        </span>
      )}
    </span>
  );
}
