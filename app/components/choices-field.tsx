import { Select, type SelectProps } from 'antd';
import { useId } from 'react';
import { steady } from './steady';
import { Labelled } from './labelled';

const SteadySelect = steady<SelectProps<string[]>>(Select);

interface ChoicesFieldProps {
  label: string;
  labelHidden?: boolean;
  values: readonly string[];
  options: ReadonlyArray<{ value: string; label: string }>;
  placeholder?: string;
  /** Whether others than those listed can be named. */
  isOpen?: boolean;
  onChange(values: string[]): void;
}

/** Any number of several things, by name; none chosen means what the placeholder says. */
export function ChoicesField({ label, labelHidden, values, options, placeholder, isOpen, onChange }: ChoicesFieldProps) {
  const id = useId();
  const unlisted = values.filter((value) => !options.some((option) => option.value === value)).map((value) => ({ value, label: value }));
  return (
    <Labelled id={id} label={label} labelHidden={labelHidden}>
      <SteadySelect
        id={id}
        mode={isOpen ? 'tags' : 'multiple'}
        variant="underlined"
        value={[...values]}
        options={[...options, ...unlisted]}
        popupMatchSelectWidth={false}
        placeholder={placeholder}
        onChange={onChange}
      />
    </Labelled>
  );
}
