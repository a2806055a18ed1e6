import { Select, type SelectProps } from 'antd';
import { useId } from 'react';
import { steady } from './steady';

const SteadySelect = steady<SelectProps<string | null>>(Select);

interface ChoiceFieldProps<Value extends string> {
  label: string;
  labelHidden?: boolean;
  value: Value | undefined;
  options: ReadonlyArray<{ value: Value; label: string }>;
  /** Whether typing narrows a long list. */
  searchable?: boolean;
  placeholder?: string;
  className?: string;
  onChange(value: Value): void;
}

/** One of several things, by name. */
export function ChoiceField<Value extends string>(props: ChoiceFieldProps<Value>) {
  const id = useId();
  const { label, labelHidden, value, options, searchable, placeholder, className, onChange } = props;
  return (
    <span className={`field ${className ?? ''}`}>
      <label htmlFor={id} className={labelHidden ? 'visually-hidden' : 'field-label'}>
        {label}
      </label>
      <SteadySelect
        id={id}
        variant="underlined"
        value={value ?? null}
        options={[...options]}
        showSearch={searchable ? { optionFilterProp: 'label' } : false}
        popupMatchSelectWidth={false}
        placeholder={placeholder}
        onChange={(next) => {
          const chosen = options.find((option) => option.value === next);
          if (chosen) onChange(chosen.value);
        }}
      />
    </span>
  );
}
