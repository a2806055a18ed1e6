import { useMemo } from 'react';
import type { InvestmentJudged } from '#core/what-if/investment';
import { Chart } from '../../components/chart';
import { amountAxis, baseOption, hoveredLines, monthAxis } from '../../components/chart-option';
import { useChartColours } from '../../components/chart-colours';
import { FiguresTable } from '../../components/figures-table';
import { Fold } from '../../components/fold';
import { useWriter } from '../../locale/locale';
import { useAskedDecision } from '../asked-decision';
import { investmentChart as words } from './words';

const LINES = { cautious: 'dotted', expected: 'solid', hopeful: 'dashed' } as const;

/** What is kept more or less, added up month by month; it has paid for itself where it stays above the line. */
export function InvestmentChart({ judged }: { judged: InvestmentJudged }) {
  const { priced, file } = useAskedDecision();
  const { currency } = file;
  const colours = useChartColours();
  const write = useWriter();
  const { months } = priced.priced.result;
  const option = useMemo(
    () => ({
      ...baseOption(colours),
      grid: { left: 8, right: 24, top: 30, bottom: 8, containLabel: true },
      legend: { top: 0, left: 0, itemWidth: 26, textStyle: { color: colours.ink } },
      tooltip: hoveredLines(
        colours,
        (index) => write.month(months[index] ?? ''),
        ({ figure }) => write.difference(String(figure)),
      ),
      xAxis: { ...monthAxis(colours, months, write.month), axisLine: { onZero: true, lineStyle: { color: colours.ink } } },
      yAxis: amountAxis(colours, (amount) => write.onAxis(amount, currency, true)),
      series: judged.outcomes.map(({ version, cumulative }) => ({
        name: version,
        type: 'line' as const,
        symbol: 'none',
        color: colours.ink,
        lineStyle: { width: version === 'expected' ? 2.5 : 1.5, type: LINES[version] },
        data: cumulative.map(Number),
      })),
    }),
    [judged, months, colours, write, currency],
  );
  return (
    <>
      <Chart label={words.whatIsKeptMore} height={230} option={option} />
      <Fold summary={words.monthByMonth}>
        <FiguresTable
          head={words.upTo}
          columns={judged.outcomes.map(({ version }) => ({ key: version, name: version }))}
          rows={months.map((month, index) => ({
            name: write.month(month),
            figures: judged.outcomes.map(({ cumulative }) => write.difference(cumulative[index] ?? '0')),
          }))}
        />
      </Fold>
    </>
  );
}
