import type { Courses } from '#core/comparison/course';
import type { Writer } from '../locale/writer';

/** What the courses show, in one sentence, of those that can be chosen. */
export function courseSentence({ courses: all, crossings }: Courses, nameOf: (id: string) => string, write: Writer): string {
  const courses = all.filter(({ usable }) => usable);
  const isUsable = (id: string) => courses.some(({ candidate }) => candidate === id);
  const [cheapest] = [...courses].sort((a, b) => Number(a.cumulative.at(-1)) - Number(b.cumulative.at(-1)));
  if (!cheapest) return '';
  const passed = crossings.filter(({ cheaper, dearer }) => cheaper === cheapest.candidate && isUsable(dearer));
  const last = passed.at(-1);
  const name = nameOf(cheapest.candidate);
  if (courses.length === 1) return `${name} has cost ${write.amount(cheapest.cumulative.at(-1) ?? '0')} by the end.`;
  if (!last) return `${name} has cost least from the first month to the last.`;
  return `${name} has cost least by the end; it has been ahead of all others since ${write.month(last.month)}, when it passed ${nameOf(last.dearer)}.`;
}

/** Everything that is marked in the chart, in words. */
export function courseEvents({ courses, crossings, months }: Courses, nameOf: (id: string) => string, write: Writer): string[] {
  const renewals = courses.flatMap(({ candidate, renewals: jumps }) =>
    jumps.map(({ month, from, to, currency }) => ({
      month,
      words: `${nameOf(candidate)}: the price goes from ${write.price(from, currency)} to ${write.price(to, currency)} in ${write.month(month)}.`,
    })),
  );
  const outgrown = courses.flatMap(({ candidate, outgrown: indexes }) => {
    const month = months[indexes[0] ?? -1];
    return month === undefined
      ? []
      : [
          {
            month,
            words: `${nameOf(candidate)} is outgrown in ${indexes.length} ${indexes.length === 1 ? 'month' : 'months'}, first in ${write.month(month)}.`,
          },
        ];
  });
  const passing = crossings.map(({ month, cheaper, dearer }) => ({
    month,
    words: `${nameOf(cheaper)} has cost less than ${nameOf(dearer)} from ${write.month(month)}.`,
  }));
  return [...renewals, ...outgrown, ...passing].sort((a, b) => a.month.localeCompare(b.month)).map(({ words }) => words);
}
