import { useEffect, useId, useRef, useState } from 'react';
import { type NumberRange, readTypedNumber, type TypedNumber } from '#core/amount/typed-number';
import { useWriter } from '../locale/locale';
import { useStore, useUnread } from '../workbench/workbench-context';
import { SteadyInput } from './steady-input';

interface NumberFieldProps {
  /** Unique in the decision; texts that cannot be read are kept under it. */
  fieldKey: string;
  label: string;
  /** Whether the label stands elsewhere, such as in a table's headers. */
  labelHidden?: boolean;
  /** A decimal; null = charged but not known; undefined = nothing stated. */
  value: string | null | undefined;
  range: NumberRange;
  /** Whether the field may be left empty, and whether "?" may stand for not known. */
  optional?: boolean;
  mayBeUnknown?: boolean;
  prefix?: string | undefined;
  suffix?: string | undefined;
  placeholder?: string | undefined;
  hint?: string | undefined;
  large?: boolean;
  /** How what is typed is read; as a number unless the field says otherwise. */
  reader?(text: string, range: NumberRange): TypedNumber;
  /**
   * @param typed - the text that was read
   * @param isLeft - whether the field was left with it, so that no more is typed
   */
  onChange(value: string | null | undefined, typed: string, isLeft: boolean): void;
}

/**
 * A number as people type it, with point or comma. Every readable figure counts at once; one that cannot be read
 * keeps the last good figure, says what is wanted and stays as it was typed.
 */
export function NumberField(props: NumberFieldProps) {
  const { fieldKey, label, labelHidden, value, range, optional, mayBeUnknown, reader = readTypedNumber, onChange } = props;
  const { store } = useStore();
  const write = useWriter();
  const id = useId();
  const [typing, setTyping] = useState<string | null>(null);
  const before = useRef(value);
  // What was typed last, which may be a frame ahead of what is drawn.
  const taken = useRef(value);
  useEffect(() => {
    taken.current = value;
  }, [value]);
  const unread = useUnread(fieldKey);
  const stated = value === undefined ? '' : write.field(value ?? '?');
  const shown = unread?.text ?? typing ?? (value === null ? '?' : stated);

  const read = (text: string, leaving: boolean) => {
    const trimmed = text.trim();
    if (trimmed === '' && !leaving) return store.setUnread(fieldKey, null);
    if (trimmed === '' && optional) return accept(undefined, text, leaving);
    if (trimmed === '?' && mayBeUnknown) return accept(null, text, leaving);
    const typed = reader(text, range);
    if (typed.ok) return accept(typed.value, text, leaving);
    store.setUnread(fieldKey, { text, problem: typed.problem, label });
    // What could be read of its beginning on the way (“30” of “30 a year”) is not what was meant.
    if (leaving && before.current !== taken.current) onChange(before.current, '', true);
  };
  const accept = (next: string | null | undefined, text: string, leaving: boolean) => {
    store.setUnread(fieldKey, null);
    // A text that says more than a figure is told once it is whole.
    if (next === taken.current && !(leaving && props.reader)) return;
    const { workbench } = store.state();
    onChange(next, text, leaving);
    // Whoever asked for it may refuse it after all, and has to be asked again.
    if (store.state().workbench !== workbench) taken.current = next;
  };

  return (
    <span className={`field${props.large ? ' field-large' : ''}`}>
      <label htmlFor={id} className={labelHidden ? 'visually-hidden' : 'field-label'}>
        {label}
      </label>
      <SteadyInput
        id={id}
        variant="underlined"
        inputMode="decimal"
        autoComplete="off"
        value={shown}
        prefix={props.prefix}
        suffix={props.suffix}
        placeholder={props.placeholder}
        {...(unread ? { status: 'error' as const, 'aria-invalid': true } : {})}
        aria-describedby={unread || props.hint ? `${id}-note` : undefined}
        onFocus={(event) => {
          before.current = value;
          taken.current = value;
          event.target.select();
        }}
        onChange={(event) => {
          setTyping(event.target.value);
          store.whileTyping(() => read(event.target.value, false));
        }}
        onBlur={() => {
          if (typing !== null) read(typing, true);
          setTyping(null);
          store.tell();
        }}
      />
      {(unread ?? props.hint) && (
        <span id={`${id}-note`} className={unread ? 'field-problem' : 'field-hint'} role={unread ? 'alert' : undefined}>
          {unread ? unread.problem : props.hint}
        </span>
      )}
    </span>
  );
}
