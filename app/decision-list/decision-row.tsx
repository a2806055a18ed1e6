import { Button } from 'antd';
import { Form, Link } from 'react-router';
import { useWriter } from '../locale/locale';
import { writerFor } from '../locale/writer';
import type { ListedRow } from '../server/decision-list.server';
import { SmallScale } from './small-scale';
import { answerWords, toFindOutWords, verdictWords } from './summary-words';

/** One decision with its bottom line, its state, and what can be done with it. */
export function DecisionRow({ decision: one }: { decision: ListedRow }) {
  const name = one.name || 'Untitled decision';
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
          {one.state.kind === 'unreadable' ? 'export what is stored' : 'export'}
        </a>
        {one.state.kind !== 'unreadable' && (
          <Button type="text" size="small" htmlType="submit" name="intent" value="duplicate" aria-label={`Duplicate ${name}`}>
            duplicate
          </Button>
        )}
        {one.state.kind !== 'unreadable' && (
          <Button
            type="text"
            size="small"
            htmlType="submit"
            name="intent"
            value="again"
            title="The same vendors and needs, with sales of its own"
            aria-label={`Use ${name} again with new sales`}
          >
            use again with new sales
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
          {one.isArchived ? 'unarchive' : 'archive'}
        </Button>
        <Button type="text" size="small" htmlType="submit" name="intent" value="delete" aria-label={`Delete ${name}`}>
          delete
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
  const changed = `changed ${write.day(changedOn)}`;
  if (state.kind === 'unreadable')
    return <span className="problem">This decision can’t be read any more. Everything else is as it was.</span>;
  if (state.kind === 'unfinished') return <span>too large to be worked out here · {changed}</span>;
  if (state.kind === 'unknown') return <span className="quiet">working it out … · {changed}</span>;
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
