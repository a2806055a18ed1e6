import TextArea from 'antd/es/input/TextArea';
import type { TextAreaProps } from 'antd/es/input';
import { useId } from 'react';
import { steady } from './steady';
import { Labelled } from './labelled';

const SteadyTextArea = steady<TextAreaProps>(TextArea);

interface LongTextFieldProps {
  label: string;
  labelHidden?: boolean;
  value: string;
  placeholder?: string;
  /** With so many it begins; it grows with what is typed. */
  lines?: number;
  className?: string;
  autoFocus?: boolean;
  onChange(value: string): void;
}

/** A text for people, of several lines. */
export function LongTextField({ label, labelHidden, lines = 3, className, onChange, ...rest }: LongTextFieldProps) {
  const id = useId();
  return (
    <Labelled id={id} label={label} labelHidden={labelHidden} className={className}>
      <SteadyTextArea
        id={id}
        variant="underlined"
        autoComplete="off"
        autoSize={{ minRows: lines }}
        maxLength={10_000}
        onChange={({ target }) => onChange(target.value)}
        {...rest}
      />
    </Labelled>
  );
}
