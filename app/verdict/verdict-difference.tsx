import { compareVerdicts } from '#core/verdict/compare-verdicts';
import type { GivenVerdict } from '#core/decision/verdict-schema';
import { DataTable } from '../components/data-table';
import { useWriter } from '../locale/locale';
import { ofHundred } from '../what-if/chance/words';
import { conditionWords, partsWords, thresholdWords, winnerWords } from './verdict-words';

/** What differs between an earlier verdict and a later one. */
export function VerdictDifferenceView({ before, after }: { before: GivenVerdict; after: GivenVerdict }) {
  const write = useWriter();
  const difference = compareVerdicts(before, after);
  const nameIn = (verdict: GivenVerdict) => (id: string | null) =>
    id === null ? 'nobody' : (verdict.totals.find(({ candidate }) => candidate === id)?.label ?? id);
  const lines: string[] = [];
  lines.push(
    difference.isOtherChoice
      ? `The choice was ${partsWords(before.parts, write)}, and is ${partsWords(after.parts, write)}.`
      : 'The choice is the same.',
  );
  if (difference.isOtherMeasure)
    lines.push('They are in different currencies or over different times, so totals are not set against each other.');
  if (difference.margin) lines.push(`The lead over the next was ${figure(difference.margin[0])}, and is ${figure(difference.margin[1])}.`);
  if (difference.sales)
    lines.push(`Expected sales were ${write.amount(difference.sales[0])} a month, and are ${write.amount(difference.sales[1])}.`);
  if (difference.chance)
    lines.push(`It came first in ${ofHundred(difference.chance[0])} futures, and comes first in ${ofHundred(difference.chance[1])}.`);
  if (difference.version) lines.push(`Sales were ${difference.version[0]}, and are ${difference.version[1]}.`);
  for (const { label, change, after: seen } of difference.sheets)
    lines.push(
      {
        added: `The price sheet of ${label} came in.`,
        gone: `The price sheet of ${label} is not used any more.`,
        newer: `The price sheet of ${label} is a newer one${seen ? `, seen ${write.day(seen)}` : ''}.`,
      }[change],
    );
  if (difference.settled.length > 0) lines.push(`Known since: ${difference.settled.join(', ')}.`);
  if (difference.newlyOpen.length > 0) lines.push(`Not known any more: ${difference.newlyOpen.join(', ')}.`);
  const [then, now] = difference.thresholds;
  if (now && then?.at !== now.at) lines.push(`What would change it first: ${thresholdWords(now, nameIn(after), write, after.comparedBy)}.`);

  function figure(margin: string | null) {
    return margin === null ? 'nothing to set against' : write.whole(margin);
  }

  const thereOrNot = (total: string | null) => (total === null ? 'not there' : write.whole(total));
  return (
    <section className="verdict-difference" aria-label={`From ${write.day(before.on)} to ${write.day(after.on)}`}>
      <ul className="plain-list">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {difference.totals.length > 0 && (
        <DataTable
          rows={difference.totals}
          keyOf={({ candidate }) => candidate}
          columns={[
            { head: 'Total', kind: 'names-row', cell: ({ label }) => label },
            { key: 'before', head: write.day(before.on), kind: 'figures', cell: (one) => thereOrNot(one.before) },
            { key: 'after', head: write.day(after.on), kind: 'figures', cell: (one) => thereOrNot(one.after) },
            { head: 'Difference', kind: 'figures', cell: (one) => (one.difference === null ? '' : write.difference(one.difference)) },
          ]}
        />
      )}
      {difference.conditions.length > 0 && (
        <ul className="plain-list">
          {difference.conditions.map(({ before: former, after: later }) => {
            const condition = later ?? former;
            if (!condition) return null;
            return (
              <li key={conditionWords(condition, write)}>
                {later ? conditionWords(later, write) : conditionWords(condition, write)}:{' '}
                {former ? `was ${winnerWords(former, nameIn(before))}` : 'was not said'},{' '}
                {later ? `is ${winnerWords(later, nameIn(after))}` : 'is not said any more'}
              </li>
            );
          })}
        </ul>
      )}
    </section>
  );
}
