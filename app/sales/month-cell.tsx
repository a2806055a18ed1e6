import { memo, useState } from 'react';
import { type NumberRange, readTypedNumber } from '#core/amount/typed-number';
import { useWriter } from '../locale/locale';
import { monthCell as words } from './words';

const COUNT: NumberRange = { least: 0, most: 1e9, wanted: words.aNumber };

interface MonthCellProps {
  name: string;
  /** How many there are. */
  count: string;
  isSet: boolean;
  /** Sets the month by hand, or with null back on its course. */
  onSet(count: string | null): void;
}

/** One month of a stream or another quantity: a figure that can be typed over; one set by hand is marked and can be given back. */
export const MonthCell = memo(function MonthCell({ name, count, isSet, onSet }: MonthCellProps) {
  const write = useWriter();
  const [text, setText] = useState<string | null>(null);
  const typed = text === null || text.trim() === '' ? null : readTypedNumber(text, COUNT);
  const problem = typed && !typed.ok ? typed.problem : null;
  const take = () => {
    if (text !== null && text.trim() === '') onSet(null);
    else if (typed?.ok) onSet(typed.value);
    if (!problem) setText(null);
  };
  if (text === null)
    return (
      <td className={isSet ? 'is-set' : ''}>
        <button
          type="button"
          className="month-figure"
          aria-label={`${name}: ${write.number(count, 1)}${isSet ? words.setByHand : ''}`}
          title={isSet ? words.enteredByHandClear : words.setThisMonthByHand}
          onClick={() => setText(isSet ? write.field(count) : '')}
        >
          {write.number(count, 1)}
        </button>
      </td>
    );
  return (
    <td className="is-edited">
      <input
        className="month-input"
        aria-label={name}
        aria-invalid={problem !== null}
        inputMode="decimal"
        autoFocus
        value={text}
        placeholder={write.number(count, 1)}
        onFocus={({ target }) => target.select()}
        onChange={({ target }) => setText(target.value)}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Enter') take();
          else if (event.key === 'Escape') setText(null);
        }}
      />
      {problem && (
        <span className="field-problem" role="alert">
          {problem}
        </span>
      )}
    </td>
  );
});
