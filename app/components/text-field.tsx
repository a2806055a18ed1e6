import { useId } from 'react';
import { SteadyInput } from './steady-input';
import { Labelled } from './labelled';

interface TextFieldProps {
  label: string;
  labelHidden?: boolean;
  value: string;
  placeholder?: string;
  className?: string;
  autoFocus?: boolean;
  onChange(value: string): void;
}

/** A text for people, of one line. */
export function TextField({ label, labelHidden, value, className, onChange, ...rest }: TextFieldProps) {
  const id = useId();
  return (
    <Labelled id={id} label={label} labelHidden={labelHidden} className={className}>
      <SteadyInput
        id={id}
        value={value}
        variant="underlined"
        autoComplete="off"
        maxLength={300}
        onChange={({ target }) => onChange(target.value)}
        {...rest}
      />
    </Labelled>
  );
}
