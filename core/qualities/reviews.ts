import type { Review } from '../decision/quality-schema';

/** As if so many more people had given the average of all reviews in the decision. */
export const ADDED_REVIEWS = 10;
/** How far single opinions lie apart, in points of 100. */
const SPREAD = 30;
/** The score is at least this high with nineteen chances in twenty. */
const NINETEEN_IN_TWENTY = 1.645;

/** Reviews of one vendor, on a scale of 0 to 100. */
export interface ReviewScore {
  /** As given, all sources together; and their number. */
  readonly given: number;
  readonly count: number;
  /** Pulled towards the average of all vendors. */
  readonly pulled: number;
  /** The lower end of where the score then lies: what counts. */
  readonly counts: number;
}

/** A score of 4.6 between 1 and 5 as points of 100: 90. */
export function reviewPoints({ score, least, most }: Pick<Review, 'score' | 'least' | 'most'>): number {
  return ((Number(score) - Number(least)) / (Number(most) - Number(least))) * 100;
}

/** The average of all single opinions in the decision, points of 100; null where nobody has reviewed anything. */
export function averageReview(vendors: ReadonlyArray<readonly Review[]>): number | null {
  return weightedMean(vendors.flat());
}

/**
 * What a vendor's reviews are worth. Few opinions say little: the score is taken as if ten more people had given the
 * average of all reviews here, and of the range in which it then lies the lower end counts. So 4.9 from 11 does not
 * beat 4.6 from 240.
 *
 * @param average - of all vendors, points of 100
 * @returns null without reviews
 */
export function reviewScore(reviews: readonly Review[], average: number): ReviewScore | null {
  const given = weightedMean(reviews);
  if (given === null) return null;
  const count = reviews.reduce((sum, review) => sum + review.count, 0);
  const pulled = (given * count + average * ADDED_REVIEWS) / (count + ADDED_REVIEWS);
  const margin = (NINETEEN_IN_TWENTY * SPREAD) / Math.sqrt(count + ADDED_REVIEWS);
  return { given, count, pulled, counts: Math.max(0, pulled - margin) };
}

function weightedMean(reviews: readonly Review[]): number | null {
  const count = reviews.reduce((sum, review) => sum + review.count, 0);
  return count === 0 ? null : reviews.reduce((sum, review) => sum + reviewPoints(review) * review.count, 0) / count;
}
