import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { OpenQuestion } from '#core/proposals/to-find-out';
import { byWorth } from '#core/judgement/worth-of-question';
import { needWords } from '#core/wording/need-words';
import { useWriter } from '../locale/locale';
import { useAskedDecision } from '../what-if/asked-decision';
import { useChance } from '../what-if/chance/use-chance';
import { worthAskingWords } from '../what-if/chance/words';
import { useWorkbench, useWorked } from '../workbench/workbench-context';
import { findOutList as words } from './words';

const SHOWN = 8;

/** What nobody knows yet, the decisive first. */
export function FindOutList({ onShow }: { onShow(question: OpenQuestion): void }) {
  const { decisionId, state } = useWorkbench();
  const { decision } = state.workbench;
  const { file } = useAskedDecision();
  const worked = useWorked();
  const write = useWriter();
  const [isAll, setAll] = useState(false);
  const questions = worked.judged?.questions ?? [];
  // What answering is worth is only asked where there is a question.
  const { answer: chance } = useChance(file, decision, questions.length > 0);
  const ordered = useMemo(() => byWorth(worked.judged?.questions ?? [], chance), [worked.judged, chance]);
  const decisive = questions.filter(({ effect }) => effect.kind !== 'none').length;
  return (
    <section aria-label={words.toFindOut} aria-busy={worked.isJudging}>
      <h2>{words.toFindOut}</h2>
      {worked.problem && <p className="problem">{words.thisCouldNotBeWorked(worked.problem)}</p>}
      {worked.judged === null && !worked.problem && <p className="quiet">{words.workingItOut}</p>}
      {worked.judged && questions.length === 0 && <p className="quiet">{words.nothingEveryNeedIsAnswered}</p>}
      {questions.length > 0 && (
        <p className="quiet">
          {words.inAll(
            questions.length,
            decisive === 0
              ? words.noneOfThemCould
              : words.ofThemCouldChange(decisive === 1 ? words.one : decisive, decisive === 1 ? words.itStands : words.theyStand),
          )}
        </p>
      )}
      <ol className="find-out">
        {(isAll ? ordered : ordered.slice(0, SHOWN)).map(({ question, worth }) => (
          <li
            key={`${question.part} ${question.asks.kind === 'need' ? needWords(question.asks.need) : question.asks.id}`}
            className={`effect-${question.effect.kind}`}
          >
            {question.asks.kind === 'need' ? (
              <button type="button" className="question-title" onClick={() => onShow(question)}>
                {question.partLabel}: {needWords(question.asks.need)}
              </button>
            ) : (
              <Link className="question-title" to={`/decisions/${decisionId}/sheets/${question.sheetId}`}>
                {question.partLabel}: {question.asks.label}
              </Link>
            )}
            <EffectWords question={question} amount={write.amount} />
            {worth !== null && <small className="worth-asking">{worthAskingWords(worth, decision.hourValue, write)}</small>}
          </li>
        ))}
      </ol>
      {questions.length > SHOWN && (
        <Button type="text" size="small" onClick={() => setAll(!isAll)}>
          {isAll ? words.theFirstOnesOnly : words.all(questions.length)}
        </Button>
      )}
    </section>
  );
}

function EffectWords({ question, amount }: { question: OpenQuestion; amount(by: string): string }) {
  const { effect, asks } = question;
  if (effect.kind === 'none') return null;
  if (effect.kind === 'fit') return <small>{words.couldMakeItTheOne}</small>;
  if (effect.by === null) return <small>{words.nothingCanBeUsed}</small>;
  return <small>{asks.kind === 'need' ? words.ifItDoesUp(amount(effect.by)) : words.withoutItBelowTheCheapest(amount(effect.by))}</small>;
}
