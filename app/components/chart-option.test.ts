import { expect, it } from 'vitest';
import { hoveredLines, plainText } from './chart-option';
import type { ChartColours } from './chart-colours';

const colours = { sheet: '#fff', line: '#ccc', ink: '#111' } as ChartColours;

it('a name in a chart’s box stays text', () => {
  expect(plainText('<b>Kites & Co</b>')).toBe('&lt;b>Kites &amp; Co&lt;/b>');
});

it('over lines by category the box names the place by its index, leaves marks out and keeps names text', () => {
  const { formatter } = hoveredLines(
    colours,
    (index) => `month ${index + 1}`,
    ({ figure }) => `${figure} EUR`,
  );
  expect(
    formatter([
      { seriesName: 'crossing', seriesType: 'scatter', dataIndex: 0, value: 9 },
      { seriesName: 'A <i>Grow', seriesType: 'line', dataIndex: 2, value: 120 },
      { seriesName: 'B Trade', seriesType: 'line', dataIndex: 2, value: 80 },
    ]),
  ).toBe('month 3<br>A &lt;i>Grow: 120 EUR<br>B Trade: 80 EUR');
});

it('over lines by value the box names the value below, not where the point stands in its list', () => {
  const { formatter } = hoveredLines(
    colours,
    (sales) => `${sales} a month`,
    ({ figure }) => String(figure),
  );
  expect(formatter([{ seriesName: 'A', seriesType: 'line', dataIndex: 4, value: [2500, 61] }])).toBe('2500 a month<br>A: 61');
});
