import { statementSentence } from '#core/price-phrase/price-sentence';
import type { Statement } from '#core/price-phrase/statement';
import { useWriter } from '../locale/locale';
import type { AnsweredClause } from './phrase-reading';
import { clauseList as words } from './words/clause-list';

interface ClauseListProps {
  clauses: readonly AnsweredClause[];
  /** The question that keys answer, and the option that Enter takes. */
  asking: number;
  marked: number;
  onAnswer(clause: number, option: number): void;
}

const NONE_OF_THESE = words.noneOfTheseLeave;

/** What was read, in plain words: sentences, questions with their answers, and what was not understood. */
export function ClauseList({ clauses, asking, marked, onAnswer }: ClauseListProps) {
  const write = useWriter();
  const sentence = (statement: Statement) => statementSentence(statement, (decimal) => write.field(decimal));
  return (
    <ul className="clauses">
      {clauses.map(({ clause, answer }, index) => (
        <li key={`${clause.from} ${clause.kind}`} className={`clause is-${clause.kind}`}>
          {clause.kind === 'read' && (
            <>
              {clause.statements.map((statement, at) => (
                <span key={at}>{sentence(statement)}</span>
              ))}
              {clause.remark && <small>{clause.remark}</small>}
            </>
          )}
          {clause.kind === 'not-understood' && (
            <>
              <q>{clause.text}</q> <small>{clause.why ? words.cannotBe(clause.why) : words.isNotUnderstoodAndLeft}</small>
            </>
          )}
          {clause.kind === 'asked' && answer !== null && (
            <>
              {clause.options[answer]?.statements.map((statement, at) => (
                <span key={at}>{sentence(statement)}</span>
              ))}
              <small>{clause.options[answer]?.label ?? words.isLeftOut(clause.text)}</small>
            </>
          )}
          {clause.kind === 'asked' && answer === null && (
            <div role="group" aria-label={clause.question}>
              <b>{clause.question}</b>
              {[...clause.options, { label: NONE_OF_THESE }].map((option, at) => (
                <button
                  key={option.label}
                  type="button"
                  tabIndex={-1}
                  className={`answer-option${index === asking && at === marked ? ' is-marked' : ''}`}
                  onMouseDown={(event) => event.preventDefault()}
                  onClick={() => onAnswer(index, at)}
                >
                  {option.label}
                </button>
              ))}
            </div>
          )}
        </li>
      ))}
    </ul>
  );
}
