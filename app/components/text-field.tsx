import { Input } from 'antd';
import type { TextAreaProps } from 'antd/es/input';
import { useId } from 'react';
import { steady } from './steady';
import { SteadyInput } from './steady-input';

const SteadyTextArea = steady<TextAreaProps>(Input.TextArea);

interface TextFieldProps {
  label: string;
  labelHidden?: boolean;
  value: string;
  placeholder?: string;
  /** Several lines; a number says with how many it begins. */
  long?: boolean | number;
  className?: string;
  autoFocus?: boolean;
  onChange(value: string): void;
}

/** A text for people. */
export function TextField({ label, labelHidden, value, long, className, onChange, ...rest }: TextFieldProps) {
  const id = useId();
  const shared = {
    id,
    value,
    variant: 'underlined' as const,
    autoComplete: 'off',
    maxLength: long ? 10_000 : 300,
    onChange: (event: { target: { value: string } }) => onChange(event.target.value),
    ...rest,
  };
  return (
    <span className={`field ${className ?? ''}`}>
      <label htmlFor={id} className={labelHidden ? 'visually-hidden' : 'field-label'}>
        {label}
      </label>
      {long ? <SteadyTextArea autoSize={{ minRows: long === true ? 3 : long }} {...shared} /> : <SteadyInput {...shared} />}
    </span>
  );
}
