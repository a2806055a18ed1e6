import { decimal, HUNDRED, sum } from '../amount/decimal';
import type { Stream } from '../decision-file/forecast-schema';

/** Orders of one size: so many percent of a stream's orders, relative to the average order value. */
export type OrderSize = NonNullable<Stream['orderSizes']>[number];

/** What a stream's sizes begin with: some smaller orders, and the rest as they were. */
const FIRST_SIZES: readonly OrderSize[] = [
  { share: '50', times: '1' },
  { share: '50', times: '0.5' },
];

/** The sizes of a stream's orders; the first has the remainder. None where all orders are alike. */
export function orderSizesOf({ orderSizes = [] }: Stream): readonly OrderSize[] {
  return orderSizes;
}

/** The most percent that a size can have while the others keep theirs. */
export function mostForSize(stream: Stream, index: number): string {
  const others = orderSizesOf(stream).filter((_, at) => at !== index && at !== 0);
  return HUNDRED.minus(sum(others.map(({ share }) => decimal(share)))).toFixed();
}

/** The stream with one size more: half of the usual value, without any orders yet; or with the first two. */
export function withMoreSizes(stream: Stream): Stream {
  const sizes = orderSizesOf(stream);
  return { ...stream, orderSizes: sizes.length === 0 ? [...FIRST_SIZES] : [...sizes, { share: '0', times: '2' }] };
}

/**
 * The stream with one of its sizes changed, or taken away with null; the first has the remainder.
 *
 * @throws RangeError if the others would have more than 100% together
 */
export function withOrderSize(stream: Stream, index: number, change: Partial<OrderSize> | null): Stream {
  const sizes = orderSizesOf(stream).flatMap((size, at) => {
    if (at !== index) return [size];
    return change === null ? [] : [{ ...size, ...change }];
  });
  const [first, ...others] = sizes;
  const { orderSizes: _former, ...alike } = stream;
  if (!first || others.length === 0) return alike;
  const left = HUNDRED.minus(sum(others.map(({ share }) => decimal(share))));
  if (left.isNegative()) throw new RangeError('Sizes of orders have more than 100% together');
  return { ...stream, orderSizes: [{ ...first, share: left.toFixed() }, ...others] };
}
