import { describe, expect, it } from 'vitest';
import { decisionSchema } from '../decision/decision-schema';
import { smallDecision } from '../tests/small-decision';
import { reviewProblem, withMarkGiven, withQualities, withQuality, withReview, withTask, withTried, withVendor } from './edit-qualities';
import { USUAL_QUALITIES } from './usual-qualities';

const empty = smallDecision();

describe('changing qualities', () => {
  it('usual ones are taken once, changed and left out', () => {
    const all = withQualities(empty, USUAL_QUALITIES);
    expect(decisionSchema.safeParse(all).success).toBe(true);
    expect(withQualities(all, USUAL_QUALITIES).qualities).toHaveLength(USUAL_QUALITIES.length);
    expect(withQuality(all, 'ease', (one) => ({ ...one, weight: '9' })).qualities?.[0]?.weight).toBe('9');
    expect(withQuality(all, 'ease', () => null).qualities?.some(({ id }) => id === 'ease')).toBe(false);
  });

  it('a mark keeps its note when it changes, and goes with it', () => {
    const marked = withMarkGiven({ marks: { room: { value: '3', note: 'because' } } }, 'room', '4', '2026-11-25');
    expect(marked.marks).toEqual({ room: { value: '4', note: 'because', on: '2026-11-25' } });
    expect(withMarkGiven(marked, 'room', undefined, '2026-11-25').marks).toEqual({});
  });

  it('what was tried is kept field by field; nothing left of it is nothing tried', () => {
    const one = withTried({}, 'first', { minutes: '12', on: '2026-11-25' });
    const two = withTried(one, 'first', { mark: '7' });
    expect(two.tried).toEqual({ first: { minutes: '12', mark: '7', on: '2026-11-25' } });
    expect(withTried(withTried(two, 'first', { mark: undefined }), 'first', { minutes: undefined }).tried).toEqual({});
  });

  it('removing a quality or task keeps what was noted, should it come back', () => {
    const decision = withVendor({ ...empty, tasks: [{ id: 't', label: 'try' }] }, 'o', (notes) => withTried(notes, 't', { mark: '5' }));
    const without = withTask(decision, 't', () => null);
    expect(without.tasks).toEqual([]);
    expect(without.vendors?.['o']?.tried).toEqual({ t: { mark: '5' } });
  });

  it('reviews are changed and removed; off their scale they are named, in words', () => {
    const review = { id: 'r', source: 's', score: '4', least: '1', most: '5', count: 3 };
    expect(withReview({ reviews: [review] }, 'r', (one) => ({ ...one, count: 9 })).reviews?.[0]?.count).toBe(9);
    expect(withReview({ reviews: [review] }, 'r', () => null).reviews).toEqual([]);
    expect(reviewProblem(review)).toBeNull();
    expect(reviewProblem({ ...review, score: '9.2' })).toBe('Enter a score between 1 and 5; 9.2 is off the scale.');
    expect(reviewProblem({ ...review, most: '1' })).toContain('has no room');
  });
});
