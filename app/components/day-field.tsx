import { useId } from 'react';
import { SteadyInput } from './steady-input';

interface DayFieldProps {
  label: string;
  /** `YYYY-MM-DD`; undefined if none is stated. */
  value: string | undefined;
  onChange(value: string | undefined): void;
}

/** A calendar day. */
export function DayField({ label, value, onChange }: DayFieldProps) {
  const id = useId();
  return (
    <span className="field">
      <label htmlFor={id} className="field-label">
        {label}
      </label>
      <SteadyInput
        id={id}
        type="date"
        variant="underlined"
        value={value ?? ''}
        onChange={({ target }) => onChange(target.value === '' ? undefined : target.value)}
      />
    </span>
  );
}
