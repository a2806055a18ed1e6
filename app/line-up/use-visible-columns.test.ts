import { describe, expect, it } from 'vitest';
import { visibleIn } from './use-visible-columns';

const wide = (scrollLeft: number, count: number, pinned = 0) => visibleIn({ clientWidth: 750, scrollLeft }, count, pinned);

describe('the columns in view', () => {
  it('are all of them where there are few, as wide as there is room', () => {
    expect(wide(0, 3)).toEqual({ headWidth: 156, columnWidth: 198, from: 0, to: 3, keepsPinned: true });
    expect(wide(0, 10)).toMatchObject({ columnWidth: 132, from: 0, to: 10 });
  });

  it('are those that can be seen of many, and one more at either side', () => {
    // (750 − 156) ÷ 132 is room for four and a half.
    expect(wide(0, 20)).toMatchObject({ from: 0, to: 7 });
    expect(wide(660, 20)).toMatchObject({ from: 4, to: 12 });
    expect(wide(2100, 20)).toMatchObject({ from: 14, to: 20 });
  });

  it('begin behind pinned ones, which leave less room', () => {
    expect(wide(0, 20, 2)).toMatchObject({ from: 2, to: 7, keepsPinned: true });
    expect(wide(660, 20, 2)).toMatchObject({ from: 6, to: 12 });
  });

  it('include pinned ones like all others where these alone would fill the view', () => {
    expect(visibleIn({ clientWidth: 390, scrollLeft: 0 }, 20, 3)).toMatchObject({
      headWidth: 128,
      columnWidth: 118,
      keepsPinned: false,
      from: 3,
    });
  });
});
