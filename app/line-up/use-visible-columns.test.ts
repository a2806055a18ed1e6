import { describe, expect, it } from 'vitest';
import { drawnIndexes, widthsIn } from './use-visible-columns';

describe('the widths of columns', () => {
  it('fill the room where there are few, and are the least that can be read where there are many', () => {
    expect(widthsIn(750, 3, 0)).toEqual({ headWidth: 156, columnWidth: 198, keepsPinned: true });
    expect(widthsIn(750, 20, 0)).toEqual({ headWidth: 156, columnWidth: 132, keepsPinned: true });
  });

  it('are less in a narrow window, where pinned columns that would fill the view scroll like all others', () => {
    expect(widthsIn(390, 20, 1)).toEqual({ headWidth: 128, columnWidth: 118, keepsPinned: true });
    expect(widthsIn(390, 20, 2)).toMatchObject({ keepsPinned: false });
  });
});

describe('the columns that are drawn', () => {
  const inView = { startIndex: 4, endIndex: 9, overscan: 1, count: 20 };

  it('are those in view, and one more at either side', () => {
    expect(drawnIndexes(inView, 0)).toEqual([3, 4, 5, 6, 7, 8, 9, 10]);
    expect(drawnIndexes({ ...inView, startIndex: 0, endIndex: 19 }, 0)).toHaveLength(20);
  });

  it('leave out what pinned columns cover', () => {
    expect(drawnIndexes(inView, 2)).toEqual([5, 6, 7, 8, 9, 10]);
    expect(drawnIndexes({ ...inView, startIndex: 8 }, 4)).toEqual([8, 9, 10]);
  });
});
