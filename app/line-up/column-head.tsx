import type { CSSProperties, KeyboardEvent } from 'react';
import { withMoved, withPinned } from '#core/comparison/arrangement';
import { withOpened } from '#core/comparison/fold';
import type { LineUpColumn } from '#core/comparison/line-up';
import { candidateSummary } from '#core/wording/candidate-summary';
import { CandidateTag } from '../components/candidate-tag';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { useColumnDrag } from './column-drag';
import { columnHead as words } from './words/column-head';

/** With Alt they move a column by so many places. */
const ARROWS: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1 };

interface ColumnHeadProps {
  column: LineUpColumn;
  index: number;
  shown: readonly string[];
  isLeader: boolean;
  isPinned: boolean;
  style: CSSProperties | undefined;
  width: number | undefined;
  onOpen(): void;
}

/** A candidate's name above its column; dragged, or moved with Alt and an arrow key, it stands elsewhere. */
export function ColumnHead({ column, index, shown, isLeader, isPinned, style, width, onOpen }: ColumnHeadProps) {
  const { state } = useWorkbench();
  const edits = useEdits();
  const candidate = state.workbench.decision.candidates.find(({ id }) => id === column.id);
  const move = (by: number) => edits.decision('lineUp.order', words.moved(column.label), (one) => withMoved(one, shown, column.id, by));
  const press = (event: KeyboardEvent) => {
    const by = event.altKey ? (ARROWS[event.key] ?? 0) : 0;
    if (by === 0) return;
    event.preventDefault();
    move(by);
  };
  const { head, handle, describedBy, listeners, lifted, className } = useColumnDrag(column.id);
  return (
    <th
      scope="col"
      aria-colindex={index + 2}
      ref={head}
      {...listeners}
      className={`${isLeader ? 'is-leader' : ''} ${style ? 'is-pinned' : ''} ${className}`}
      style={{ ...style, ...(width ? { width } : {}), ...lifted }}
    >
      <button type="button" className="candidate-head" onClick={onOpen} onKeyDown={press} title={words.whatThisCandidateIsPut}>
        <CandidateTag id={column.id} />
        <b>{column.label}</b>
        <small>{candidate && candidateSummary(state.workbench, candidate)}</small>
      </button>
      <button
        type="button"
        className="pin"
        aria-pressed={isPinned}
        aria-label={words.keepInViewColumn(column.label)}
        onClick={() =>
          edits.decision('lineUp.pinned', `${column.label} ${isPinned ? words.letGo : words.keptInView}`, (one) =>
            withPinned(one, column.id, !isPinned),
          )
        }
      >
        {isPinned ? words.keptInView : words.keepInView}
      </button>{' '}
      <button type="button" className="pin" aria-label={words.moveColumn(column.label)} ref={handle} aria-describedby={describedBy}>
        {words.move}
      </button>
      {state.workbench.decision.lineUp?.opened?.includes(column.id) && (
        <button
          type="button"
          className="pin"
          aria-label={words.foldAwayColumn(column.label)}
          onClick={() => edits.decision('lineUp.opened', words.foldedAway(column.label), (one) => withOpened(one, column.id, false))}
        >
          {words.foldAway}
        </button>
      )}
    </th>
  );
}
