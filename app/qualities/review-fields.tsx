import { Button, Checkbox } from 'antd';
import { reviewProblem, withReview } from '#core/qualities/edit-qualities';
import type { Review, VendorNotes } from '#core/decision/quality-schema';
import { ADDED_REVIEWS, averageReview, reviewScore } from '#core/qualities/reviews';
import { DayField } from '../components/day-field';
import { NumberField } from '../components/number-field';
import { TextField } from '../components/text-field';
import { useWriter } from '../locale/locale';
import { newId } from '../workbench/new-id';
import { useWorkbench } from '../workbench/workbench-context';
import { reviewFields as words } from './words';

type ChangeNotes = (field: string, recipe: (notes: VendorNotes) => VendorNotes) => void;

const COUNT = { least: 0, most: 1e8, whole: true, wanted: words.aNumberOfReviews };
const SCORE = { least: 0, most: 1000, wanted: words.aScore };

/** What people say about a vendor, place by place, and what it is worth. */
export function ReviewFields({ notes, onChange }: { notes: VendorNotes; onChange: ChangeNotes }) {
  const { decision } = useWorkbench().state.workbench;
  const write = useWriter();
  const reviews = notes.reviews ?? [];
  const average = averageReview(Object.values(decision.vendors ?? {}).map((one) => one.reviews ?? []));
  const score = average === null ? null : reviewScore(reviews, average);
  const points = (value: number) => write.number(String(value), 0);
  return (
    <>
      {reviews.map((review) => (
        <ReviewForm
          key={review.id}
          review={review}
          onChange={(field, recipe) => onChange(`review.${review.id}.${field}`, (one) => withReview(one, review.id, recipe))}
        />
      ))}
      <Button
        size="small"
        onClick={() =>
          onChange(`review.${newId()}`, (one) => ({
            ...one,
            reviews: [...(one.reviews ?? []), { id: newId(), source: '', score: '4', least: '1', most: '5', count: 0 }],
          }))
        }
      >
        {words.reviewsFromOneMore}
      </Button>
      {score && average !== null && (
        <p className="method">
          {words.of100FromFew({
            given: points(score.given),
            count: score.count,
            people: score.count === 1 ? words.person : words.people,
            addedReviews: ADDED_REVIEWS,
            average: points(average),
            pulled: points(score.pulled),
            counts: <b>{points(score.counts)}</b>,
          })}
        </p>
      )}
    </>
  );
}

function ReviewForm({ review, onChange }: { review: Review; onChange(field: string, recipe: (review: Review) => Review | null): void }) {
  const { store, state } = useWorkbench();
  const keyOf = (name: string) => `review.${review.id}.${name}`;
  /** A score off its scale is kept as it was typed, and counts as soon as the scale fits it. */
  const set = (field: 'score' | 'least' | 'most', value: string) => {
    const waiting = state.unread[keyOf('score')]?.text;
    const next = { ...review, [field]: value };
    const fitting =
      field !== 'score' && waiting !== undefined && reviewProblem({ ...next, score: waiting }) === null
        ? { ...next, score: waiting }
        : next;
    const problem = reviewProblem(fitting);
    if (problem) return store.setUnread(keyOf(field), { text: value, problem, label: words.theReviewsOf(review.source || words.onePlace) });
    if (fitting !== next) store.setUnread(keyOf('score'), null);
    onChange(field, () => fitting);
  };
  const field = (name: 'score' | 'least' | 'most', label: string) => (
    <NumberField fieldKey={keyOf(name)} label={label} value={review[name]} range={SCORE} onChange={(value) => value && set(name, value)} />
  );
  return (
    <div className="review">
      <TextField
        label={words.where}
        value={review.source}
        placeholder={words.sellersForum}
        onChange={(source) => onChange('source', (one) => ({ ...one, source }))}
      />
      <div className="review-figures">
        {field('score', 'Score')}
        {field('least', 'from')}
        {field('most', 'to')}
        <NumberField
          fieldKey={`review.${review.id}.count`}
          label={words.peopleLabel}
          value={String(review.count)}
          range={COUNT}
          onChange={(count) => onChange('count', (one) => ({ ...one, count: Number(count ?? 0) }))}
        />
      </div>
      <DayField
        fieldKey={`review.${review.id}.seen`}
        label={words.seenOn}
        value={review.seen}
        onChange={(seen) => onChange('seen', ({ seen: _former, ...one }) => (seen === undefined ? one : { ...one, seen }))}
      />
      <Checkbox
        checked={review.earns === true}
        onChange={({ target }) => onChange('earns', ({ earns: _former, ...one }) => (target.checked ? { ...one, earns: true } : one))}
      >
        {words.thisSourceEarnsACommission}
      </Checkbox>
      <Button
        type="text"
        size="small"
        aria-label={words.removeTheReviewsOf(review.source || words.thisPlace)}
        onClick={() => onChange('removed', () => null)}
      >
        {words.remove}
      </Button>
    </div>
  );
}
