import { useId, useRef, useState } from 'react';
import { readTypedDay } from '#core/calendar/typed-day';
import { useWriter } from '../locale/locale';
import { useStore, useUnread } from '../workbench/workbench-context';
import { SteadyInput } from './steady-input';
import { dayField as words } from './words/day-field';

interface DayFieldProps {
  /** Unique in the decision; texts that cannot be read are kept under it. */
  fieldKey: string;
  label: string;
  /** `YYYY-MM-DD`; undefined if none is stated. */
  value: string | undefined;
  onChange(value: string | undefined): void;
}

/** A calendar day, written as everywhere else; typed in any clear form, or picked from the browser's calendar. */
export function DayField({ fieldKey, label, value, onChange }: DayFieldProps) {
  const id = useId();
  const write = useWriter();
  const { store } = useStore();
  const [typing, setTyping] = useState<string | null>(null);
  const picker = useRef<HTMLInputElement>(null);
  const unread = useUnread(fieldKey);
  const take = (text: string) => {
    setTyping(text);
    const read = readTypedDay(text);
    if (text.trim() !== '' && !read.ok) return store.setUnread(fieldKey, { text, problem: read.problem, label });
    store.setUnread(fieldKey, null);
    onChange(read.ok ? read.value : undefined);
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
        value={unread?.text ?? typing ?? (value === undefined ? '' : write.day(value))}
        {...(unread ? { status: 'error' as const, 'aria-invalid': true, 'aria-describedby': `${id}-note` } : {})}
        onChange={({ target }) => take(target.value)}
        // A day that could be read is written like all others; what could not stays as it was typed.
        onBlur={() => setTyping(null)}
      />
      <button type="button" className="day-picker" aria-label={words.chooseFromACalendar} onClick={() => picker.current?.showPicker()}>
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
          take(target.value);
          setTyping(null);
        }}
      />
      {unread && (
        <span id={`${id}-note`} className="field-problem" role="alert">
          {unread.problem}
        </span>
      )}
    </span>
  );
}
