import { Select } from 'antd';
import { useId } from 'react';

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
      <Select
        id={id}
        variant="underlined"
        value={value ?? null}
        options={[...options]}
        showSearch={searchable ? { optionFilterProp: 'label' } : false}
        popupMatchSelectWidth={false}
        placeholder={placeholder}
        onChange={(next) => next !== null && onChange(next)}
      />
    </span>
  );
}
