import { useWriter } from '../locale/locale';
import { CandidateTag } from '../components/candidate-tag';
import { AnswerNotes, AnswerSentence } from './answer-sentence';
import { useWorkbench } from './workbench-context';

/** In view at every place: expected sales, the answer, and how the candidates stand. */
export function StandingStrip() {
  const { priced } = useWorkbench();
  const write = useWriter();
  const { columns, leader } = priced.lineUp;
  return (
    <section className="standing" aria-label="The answer so far">
      <div className="standing-sales">
        <b>{write.whole(priced.average.sales)}</b>
        <span>sales a month, on average</span>
      </div>
      <div className="standing-answer" aria-live="polite">
        <AnswerSentence />
        <AnswerNotes />
        <ol className="standing-row" aria-label="Candidates by total">
          {columns.map((column) => (
            <li key={column.id} className={column.result.usable ? '' : 'not-usable'} title={column.label}>
              <CandidateTag id={column.id} />
              <span className="standing-name">{column.label}</span>
              <b>
                {column.atLeast && 'at least '}
                {write.whole(column.result.total)}
              </b>
              <small>{column === leader ? 'cheapest' : column.difference && write.difference(column.difference)}</small>
            </li>
          ))}
        </ol>
      </div>
    </section>
  );
}
