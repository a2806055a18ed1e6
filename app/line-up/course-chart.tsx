import { memo, useMemo } from 'react';
import { coursesOf } from '#core/comparison/course';
import { Chart } from '../components/chart';
import { amountAxis, baseOption, hoveredLines, monthAxis } from '../components/chart-option';
import { candidateColourName } from '../components/candidate-tag';
import { useChartColours } from '../components/chart-colours';
import { FiguresTable } from '../components/figures-table';
import { Fold } from '../components/fold';
import { useWriter } from '../locale/locale';
import { useSettled } from '../workbench/use-settled';
import { type Priced, useLevel } from '../workbench/workbench-context';
import { courseEvents, courseSentence } from './course-words';
import { useArranged } from './use-arranged';
import { courseChart as texts } from './words/course-chart';

/** More lines than these could not be told apart; those that stand furthest to the left are drawn. */
const MOST_LINES = 6;
const DASHES = ['solid', 'dashed', 'dotted'] as const;

/** What candidates have cost so far, month by month: renewals, outgrown months and crossings marked. */
export function CourseChart() {
  const { priced } = useLevel();
  const { columns } = useArranged();
  const ids = columns
    .slice(0, MOST_LINES)
    .map(({ id }) => id)
    .join(' ');
  // The picture follows a moment after the figures, so that dragging stays quick.
  return <Drawing {...useSettled(useMemo(() => ({ priced, ids, isAll: columns.length <= MOST_LINES }), [priced, ids, columns.length]))} />;
}

const Drawing = memo(function Drawing({ priced, ids, isAll }: { priced: Priced; ids: string; isAll: boolean }) {
  const colours = useChartColours();
  const write = useWriter();
  const { currency } = priced.priced.pricing.file;
  const names = useMemo(() => new Map(priced.lineUp.columns.map(({ id, label }) => [id, label])), [priced]);
  const courses = useMemo(() => coursesOf(priced.priced, ids.split(' ')), [priced, ids]);
  const option = useMemo(() => {
    const { months } = courses;
    return {
      ...baseOption(colours),
      grid: { left: 8, right: 24, top: 50, bottom: 8, containLabel: true },
      legend: {
        top: 0,
        left: 0,
        itemWidth: 26,
        textStyle: { color: colours.ink },
        data: courses.courses.map(({ candidate }) => `${candidate} ${names.get(candidate) ?? ''}`),
      },
      tooltip: hoveredLines(
        colours,
        (index) => write.month(months[index] ?? ''),
        ({ figure }) => write.whole(String(figure)),
      ),
      xAxis: { ...monthAxis(colours, months, write.month), boundaryGap: false },
      yAxis: amountAxis(colours, (amount) => write.onAxis(amount, currency)),
      series: [
        {
          name: 'crossing',
          type: 'scatter' as const,
          silent: true,
          z: 6,
          symbol: 'circle',
          symbolSize: 8,
          itemStyle: { color: colours.sheet, borderColor: colours.ink, borderWidth: 1.5 },
          data: courses.crossings.map(({ index, cheaper }) => [
            months[index] ?? '',
            Number(courses.courses.find(({ candidate }) => candidate === cheaper)?.cumulative[index] ?? 0),
          ]),
        },
        ...courses.courses.flatMap(({ candidate, cumulative, renewals, outgrown }, at) => {
          const color = colours.candidate(candidateColourName(candidate));
          const place = (index: number) => [months[index] ?? '', Number(cumulative[index] ?? 0)];
          return [
            {
              name: `${candidate} ${names.get(candidate) ?? ''}`,
              type: 'line' as const,
              symbol: 'none',
              color,
              lineStyle: { width: 2, type: DASHES[at % DASHES.length] ?? 'solid' },
              data: cumulative.map(Number),
            },
            {
              name: 'renewal',
              type: 'scatter' as const,
              silent: true,
              symbol: 'triangle',
              symbolSize: 10,
              itemStyle: { color },
              data: renewals.map(({ index }) => place(index)),
            },
            {
              name: 'outgrown',
              type: 'scatter' as const,
              silent: true,
              symbol: 'rect',
              symbolSize: [7, 2],
              itemStyle: { color: colours.ink },
              data: outgrown.map(place),
            },
          ];
        }),
      ],
    };
  }, [courses, colours, write, names, currency]);
  const nameOf = (id: string) => names.get(id) ?? id;
  const events = courseEvents(courses, nameOf, write);
  if (courses.courses.length === 0) return null;
  return (
    <section className="courses" aria-label={texts.costSoFarMonth}>
      <h2>{texts.costSoFarMonth}</h2>
      <p className="says-small">{courseSentence(courses, nameOf, write)}</p>
      <Chart label={texts.whatCandidatesHaveCost} height={300} option={option} />
      <p className="quiet">{texts.aTriangleMarksARenewal(!isAll && texts.theFirstCandidatesAreDrawn(MOST_LINES))}</p>
      {events.length > 0 && (
        <ul className="sentences course-events">
          {events.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      <Fold summary={texts.theSameInFigures}>
        <FiguresTable
          head={texts.upTo}
          columns={courses.courses.map(({ candidate }) => ({ key: candidate, name: nameOf(candidate) }))}
          rows={courses.months.map((month, index) => ({
            name: write.month(month),
            figures: courses.courses.map(({ cumulative }) => write.whole(cumulative[index] ?? '0')),
          }))}
        />
      </Fold>
    </section>
  );
});
