import { memo } from 'react';
import type { CellState } from '#core/price-sheet/rows/row-rule';
import { CandidateTag } from '../components/candidate-tag';
import { gridCellView as words } from './words/grid-cell-view';

interface GridCellViewProps {
  row: number;
  column: number;
  /** Read to those who do not see the headers. */
  name: string;
  state: CellState;
  text: string;
  /** What else belongs to the figure, one note a line. */
  notes: string;
  /** Candidates that take this, by their marks, with spaces between. */
  candidates: string;
  /** Open questions about the figure. */
  questions: number;
  isFocused: boolean;
  /** A text that could not be read, and why. */
  unread: string | undefined;
  problem: string | undefined;
}

/** One cell as it stands; nothing of it is drawn anew while it says the same. */
export const GridCellView = memo(function GridCellView(props: GridCellViewProps) {
  const { row, column, name, state, text, notes, candidates, questions, isFocused, unread, problem } = props;
  const shown = unread ?? text;
  return (
    <td
      role="gridcell"
      data-at={`${row} ${column}`}
      tabIndex={isFocused ? 0 : -1}
      aria-label={[name, shown || 'empty', notes.replaceAll('\n', ', '), questions > 0 ? words.hasAQuestion : '']
        .filter(Boolean)
        .join(': ')}
      {...(problem ? { 'aria-invalid': true } : {})}
      className={`cell is-${state}${unread === undefined ? '' : ' is-unread'}${questions > 0 ? ' has-question' : ''}`}
    >
      <span className="cell-figure">
        {shown || '–'}
        {candidates !== '' && (
          <span className="in-line-up" title={words.beingCompared}>
            {candidates.split(' ').map((id) => (
              <CandidateTag key={id} id={id} />
            ))}
          </span>
        )}
      </span>
      {problem && <small className="field-problem">{problem}</small>}
      {notes !== '' && notes.split('\n').map((note) => <small key={note}>{note}</small>)}
    </td>
  );
});
