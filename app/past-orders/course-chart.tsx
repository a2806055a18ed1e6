import { useMemo } from 'react';
import { SteadyButton as Button } from '../components/steady-button';
import { actualsOf, type CourseMonth, withActuals, yearsOf } from '#core/past-orders/course';
import { Chart } from '../components/chart';
import { useChartColours } from '../components/chart-colours';
import { baseOption, hoverOption, monthAxis } from '../components/chart-option';
import { Fold } from '../components/fold';
import { DataTable } from '../components/data-table';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { courseWords } from './past-orders-words';
import { courseChart as words } from './words';

/** Past months before the expected ones: filled what was, outlined what is expected. */
export function CourseChart({ course }: { course: readonly CourseMonth[] }) {
  const colours = useChartColours();
  const write = useWriter();
  const option = useMemo(() => {
    const bar = (name: string, isExpected: boolean, of: (month: CourseMonth) => string | number | null) => ({
      name,
      type: 'bar' as const,
      stack: 'orders',
      barMaxWidth: 22,
      itemStyle: isExpected ? { color: colours.sheet, borderColor: colours.ink, borderWidth: 1.5 } : { color: colours.ink },
      data: course.map((month) => {
        const value = of(month);
        return value === null ? null : Number(value);
      }),
    });
    return {
      ...baseOption(colours),
      grid: { left: 8, right: 16, top: 32, bottom: 8, containLabel: true },
      legend: { top: 0, left: 0, textStyle: { color: colours.ink } },
      tooltip: {
        ...hoverOption(colours, 'axis'),
        valueFormatter: (value: unknown) => (typeof value === 'number' ? write.orders(String(value)) : ''),
      },
      xAxis: monthAxis(
        colours,
        course.map(({ month }) => month),
        write.month,
      ),
      yAxis: { type: 'value' as const, splitLine: { lineStyle: { color: colours.line } }, axisLabel: { color: colours.quiet } },
      series: [
        bar(words.ordersThatWerePlaced, false, ({ past }) => past),
        // A month that was counted already is not expected any more.
        bar('expected', true, ({ past, expected }) => (past === null ? expected : null)),
      ],
    };
  }, [course, colours, write]);
  return (
    <section aria-label={words.pastMonthsBeforeTheExpected}>
      <h2>{courseWords(yearsOf(course), write)}</h2>
      <Chart label={words.ordersOfPastMonths} height={220} option={option} />
      <IntoAfterwards course={course} />
      <Fold summary={words.theSameInFigures}>
        <DataTable
          label={words.ordersByMonth}
          rows={course}
          keyOf={({ month }) => month}
          columns={[
            { head: words.month, kind: 'names-row', cell: ({ month }) => write.month(month) },
            { head: words.placed, kind: 'figures', cell: ({ past }) => (past === null ? '' : write.orders(String(past))) },
            { head: words.expected, kind: 'figures', cell: ({ expected }) => (expected === null ? '' : write.orders(expected)) },
          ]}
        />
      </Fold>
    </section>
  );
}

/** Months of the horizon that have been become real months, where they are not yet. */
function IntoAfterwards({ course }: { course: readonly CourseMonth[] }) {
  const { actuals = {} } = useWorkbench().state.workbench.decision;
  const edits = useEdits();
  const taken = actualsOf(course);
  const open = Object.entries(taken).filter(
    ([month, { orders, sales }]) => actuals[month]?.orders !== orders || actuals[month]?.sales !== sales,
  );
  if (open.length === 0) return null;
  const months = open.length === 1 ? words.oneMonth : words.severalMonths;
  return (
    <p>
      {words.thatYouExpectedBeen(open.length, months, open.length === 1 ? words.has : words.have)}{' '}
      <Button
        onClick={() =>
          edits.decision('actuals.past-orders', words.realFromPastOrders(months), (one) => ({
            ...one,
            actuals: withActuals(one.actuals ?? {}, Object.fromEntries(open)),
          }))
        }
      >
        {words.useInAfterwards(open.length === 1 ? words.it : words.them)}
      </Button>
    </p>
  );
}
