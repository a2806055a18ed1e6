import { describe, expect, it } from 'vitest';
import type { Stream } from '../decision-file/forecast-schema';
import { mostForSize, withMoreSizes, withOrderSize } from './edit-order-sizes';

const alike: Stream = { id: 'kites', label: 'Kites', kind: 'goods', orders: '100', orderValue: '40' };

describe('sizes of orders', () => {
  it('begin with two halves, one of them half as large, and add up whatever is changed', () => {
    const two = withMoreSizes(alike);
    expect(two.orderSizes).toEqual([
      { share: '50', times: '1' },
      { share: '50', times: '0.5' },
    ]);
    const three = withOrderSize(withMoreSizes(two), 2, { share: '20', times: '3' });
    expect(three.orderSizes).toEqual([
      { share: '30', times: '1' },
      { share: '50', times: '0.5' },
      { share: '20', times: '3' },
    ]);
    expect(mostForSize(three, 1)).toBe('80');
  });

  it('are refused beyond all orders', () => {
    expect(() => withOrderSize(withMoreSizes(alike), 1, { share: '101' })).toThrow(RangeError);
  });

  it('are gone with the last but one', () => {
    expect(withOrderSize(withMoreSizes(alike), 1, null)).toEqual(alike);
  });
});
