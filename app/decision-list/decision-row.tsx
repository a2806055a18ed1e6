import { Button } from 'antd';
import { Form, Link } from 'react-router';
import { useWriter } from '../locale/locale';
import { writerFor } from '../locale/writer';
import type { ListedRow } from '../server/decision-list.server';
import { SmallScale } from './small-scale';
import { answerWords, toFindOutWords, verdictWords } from './summary-words';
import { decisionRow as words } from './words';

/** One decision with its bottom line, its state, and what can be done with it. */
export function DecisionRow({ decision: one }: { decision: ListedRow }) {
  const name = one.name || words.untitledDecision;
  return (
    <li>
      {one.state.kind === 'unreadable' ? (
        <b>{name}</b>
      ) : (
        <Link to={`/decisions/${one.id}/line-up`}>
          <b>{name}</b>
        </Link>
      )}
      <BottomLine row={one} />
      <Form method="post" className="decision-tools">
        <input type="hidden" name="id" value={one.id} />
        <a href={`/decisions/${one.id}/${one.state.kind === 'unreadable' ? 'stored' : 'export'}`} download>
          {one.state.kind === 'unreadable' ? words.exportWhatIsStored : words.export}
        </a>
        {one.state.kind !== 'unreadable' && (
          <Button type="text" size="small" htmlType="submit" name="intent" value="duplicate" aria-label={words.duplicateName(name)}>
            {words.duplicate}
          </Button>
        )}
        {one.state.kind !== 'unreadable' && (
          <Button
            type="text"
            size="small"
            htmlType="submit"
            name="intent"
            value="again"
            title={words.theSameVendorsAndNeeds}
            aria-label={words.useAgainWithNewSales(name)}
          >
            {words.useAgainWithNew}
          </Button>
        )}
        <Button
          type="text"
          size="small"
          htmlType="submit"
          name="intent"
          value={one.isArchived ? 'unarchive' : 'archive'}
          aria-label={`${one.isArchived ? 'Unarchive' : 'Archive'} ${name}`}
        >
          {one.isArchived ? words.unarchive : words.archive}
        </Button>
        <Button type="text" size="small" htmlType="submit" name="intent" value="delete" aria-label={words.deleteName(name)}>
          {words.delete}
        </Button>
      </Form>
    </li>
  );
}

/** What a decision comes to, or why that is not said. */
function BottomLine({ row: { state, changedOn } }: { row: ListedRow }) {
  const { locale } = useWriter();
  const currency = state.kind === 'known' ? state.summary.currency : null;
  const write = writerFor(locale, currency);
  const changed = words.changed(write.day(changedOn));
  if (state.kind === 'unreadable') return <span className="problem">{words.thisDecisionCantBeRead}</span>;
  if (state.kind === 'unfinished') return <span>{words.tooLargeToBeWorked(changed)}</span>;
  if (state.kind === 'unknown') return <span className="quiet">{words.workingItOut(changed)}</span>;
  const { summary } = state;
  const { verdict } = summary;
  const isShaken = verdict !== null && verdict.since.standing !== 'holds';
  return (
    <>
      <span className="decision-answer">{answerWords(summary, write)}</span>
      {summary.scale && <SmallScale scale={summary.scale} />}
      <small className={isShaken ? 'is-shaken' : undefined}>{verdictWords(summary, write)}</small>
      <small>{[toFindOutWords(summary), changed].filter(Boolean).join(' · ')}</small>
    </>
  );
}
