import { Button } from 'antd';
import { Form, Link } from 'react-router';
import { useWriter } from '../locale/locale';

/** A decision as the list shows it. */
export interface ListedDecisionRow {
  readonly id: string;
  readonly name: string;
  /** `YYYY-MM-DD`. */
  readonly changedOn: string;
  readonly isArchived: boolean;
  readonly candidates: number;
  readonly leader: string | null;
  readonly total: string | null;
  readonly margin: string | null;
  readonly currency: string;
  readonly choice: string | null;
}

/** One decision with its bottom line, its state, and what can be done with it. */
export function DecisionRow({ decision: one }: { decision: ListedDecisionRow }) {
  const write = useWriter();
  const name = one.name || 'A decision without a question';
  return (
    <li>
      <Link to={`/decisions/${one.id}/line-up`}>
        <b>{name}</b>
      </Link>
      <span>
        {one.leader && one.total
          ? `${one.leader} costs least: ${write.money(one.total, one.currency)} ${one.currency}${one.margin ? `, ${write.whole(one.margin)} less than the next` : ''}`
          : 'no answer yet'}
      </span>
      <small>
        {one.choice ? `chosen: ${one.choice}` : `${one.candidates} ${one.candidates === 1 ? 'candidate' : 'candidates'}, open`} · changed {write.day(one.changedOn)}
      </small>
      <Form method="post" className="decision-tools">
        <input type="hidden" name="id" value={one.id} />
        <a href={`/decisions/${one.id}/export`} download>
          export
        </a>
        <Button type="text" size="small" htmlType="submit" name="intent" value="duplicate" aria-label={`Duplicate ${name}`}>
          duplicate
        </Button>
        <Button type="text" size="small" htmlType="submit" name="intent" value={one.isArchived ? 'unarchive' : 'archive'} aria-label={`${one.isArchived ? 'Take out of the archive:' : 'Archive'} ${name}`}>
          {one.isArchived ? 'take out of the archive' : 'archive'}
        </Button>
        <Button type="text" size="small" htmlType="submit" name="intent" value="delete" aria-label={`Delete ${name}`}>
          delete
        </Button>
      </Form>
    </li>
  );
}
