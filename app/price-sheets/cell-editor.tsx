import Input from 'antd/es/input/Input';
import { type KeyboardEvent, useEffect, useMemo, useState } from 'react';
import type { Clause } from '#core/price-phrase/statement';
import { withCurrencyQuestions } from '#core/price-phrase/currency-questions';
import type { GridRow } from '#core/price-sheet/grid-rows';
import type { Part } from '#core/price-sheet/parts';
import { type CellReading, readCell } from '#core/price-sheet/read-cell';
import { ClauseList } from './clause-list';
import { statedBy } from './phrase-reading';
import { useAnswers } from './use-answers';
import { cellEditor as words } from './words/cell-editor';

/** Where the focus goes after a cell. */
export type Leave = 'down' | 'right' | 'left' | 'stay';

/** Where a key leads that takes what was typed; null for any other. */
function directionOf({ key, shiftKey }: Pick<KeyboardEvent, 'key' | 'shiftKey'>): Leave | null {
  if (key === 'Enter') return 'down';
  if (key !== 'Tab') return null;
  return shiftKey ? 'left' : 'right';
}

interface CellEditorProps {
  name: string;
  row: GridRow;
  part: Part;
  known: readonly string[];
  /** The text to begin with, and whether it says what the cell says already. */
  start: string;
  isAsItStands: boolean;
  /** Whether the column is one of the last, so that there is room at its left only. */
  isAtRight: boolean;
  onTake(reading: Exclude<CellReading, { kind: 'open' }>, leave: Leave): void;
  /** The text could not be read: it is kept as it was typed. */
  onUnread(text: string, problem: string, leave: Leave): void;
  /** Nothing was changed. */
  onLeave(leave: Leave): void;
  onCancel(): void;
  /** What is typed so far, and null once it is taken, kept or given up. */
  onTyping(text: string | null): void;
}

/** A cell being typed into: what is read stands beneath before it counts. */
export function CellEditor({
  name,
  row,
  part,
  known,
  start,
  isAsItStands,
  isAtRight,
  onTake,
  onUnread,
  onLeave,
  onCancel,
  onTyping,
}: CellEditorProps) {
  const [text, setText] = useState(start);
  const reading = useMemo(() => readCell(row, text, known), [row, text, known]);
  const clauses = useMemo(() => clausesOf(reading, part), [reading, part]);
  const answers = useAnswers(text, clauses);
  const statements = statedBy(answers.answered);
  const isPlain = reading.kind === 'state' || (clauses.every(({ kind }) => kind === 'read') && /^[\d.,\s€$£%?]*$/.test(text));
  const leave = (to: Leave) => {
    if (isAsItStands && text === start) return to === 'stay' ? onCancel() : onLeave(to);
    if (reading.kind === 'state') return onTake(reading, to);
    const problem = problemOf(answers.answered.map(({ clause, answer }) => ({ clause, answer })));
    return problem === null ? onTake({ kind: 'statements', statements }, to) : onUnread(text, problem, to);
  };
  const isChanged = !isAsItStands || text !== start;
  useEffect(() => onTyping(isChanged ? text : null), [onTyping, isChanged, text]);
  useEffect(() => () => onTyping(null), [onTyping]);
  return (
    <td role="gridcell" className={`cell is-edited${isAtRight ? ' is-at-right' : ''}`}>
      <Input
        aria-label={name}
        value={text}
        autoFocus
        autoComplete="off"
        spellCheck={false}
        variant="borderless"
        maxLength={500}
        onFocus={({ target }) => target.setSelectionRange(target.value.length, target.value.length)}
        onChange={({ target }) => setText(target.value)}
        onBlur={() => leave('stay')}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (answers.press(event)) return;
          const to = directionOf(event);
          if (event.key === 'Escape') onCancel();
          else if (to) leave(to);
          else return;
          event.preventDefault();
        }}
      />
      {!isPlain && (
        <div className="cell-reading" aria-live="polite">
          {clauses.length === 0 ? (
            <p className="quiet">{words.nothingIsReadFromThisYet}</p>
          ) : (
            <ClauseList clauses={answers.answered} asking={answers.asking} marked={answers.marked} onAnswer={answers.answer} />
          )}
        </div>
      )}
    </td>
  );
}

function clausesOf(reading: CellReading, part: Part): Clause[] {
  if (reading.kind === 'state') return [];
  const clauses: readonly Clause[] =
    reading.kind === 'open' ? reading.clauses : [{ kind: 'read', statements: reading.statements, text: '', from: 0, to: 0 }];
  return withCurrencyQuestions(clauses, { currency: part.currency, isPriced: true });
}

/** Why what was typed does not count yet; null if all of it was read. */
function problemOf(answered: ReadonlyArray<{ clause: Clause; answer: number | null }>): string | null {
  if (answered.length === 0) return words.nothingIsReadFromThis;
  for (const { clause, answer } of answered) {
    if (clause.kind === 'not-understood') return words.isNotUnderstood(clause.text);
    if (clause.kind === 'asked' && answer === null) return clause.question;
  }
  return null;
}
