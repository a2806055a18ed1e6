import { memo, useState } from 'react';
import { type NumberRange, readTypedNumber } from '#core/amount/typed-number';
import { useWriter } from '../locale/locale';

const ORDERS: NumberRange = { least: 0, most: 1e9, wanted: 'a number of orders' };

interface MonthCellProps {
  name: string;
  orders: string;
  isSet: boolean;
  /** Sets the month by hand, or with null back on its course. */
  onSet(orders: string | null): void;
}

/** One month of one stream: a figure that can be typed over; one set by hand is marked and can be given back. */
export const MonthCell = memo(function MonthCell({ name, orders, isSet, onSet }: MonthCellProps) {
  const write = useWriter();
  const [text, setText] = useState<string | null>(null);
  const typed = text === null || text.trim() === '' ? null : readTypedNumber(text, ORDERS);
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
          aria-label={`${name}: ${write.number(orders, 1)}${isSet ? ', set by hand' : ''}`}
          title={isSet ? 'Entered by hand. Clear it to use the calculated figure.' : 'Set this month by hand'}
          onClick={() => setText(isSet ? write.field(orders) : '')}
        >
          {write.number(orders, 1)}
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
        placeholder={write.number(orders, 1)}
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
