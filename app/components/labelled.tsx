import type { ReactNode } from 'react';

interface LabelledProps {
  /** Of the control. */
  id: string;
  label: string;
  labelHidden?: boolean | undefined;
  className?: string | undefined;
  children: ReactNode;
}

/** A control below its name. */
export function Labelled({ id, label, labelHidden, className = '', children }: LabelledProps) {
  return (
    <span className={`field ${className}`}>
      <label htmlFor={id} className={labelHidden ? 'visually-hidden' : 'field-label'}>
        {label}
      </label>
      {children}
    </span>
  );
}
