import { compareVerdicts } from '#core/verdict/compare-verdicts';
import type { GivenVerdict } from '#core/decision/verdict-schema';
import { DataTable } from '../components/data-table';
import { useWriter } from '../locale/locale';
import { ofHundred } from '../what-if/chance/words';
import { conditionWords, partsWords, thresholdWords, winnerWords } from './verdict-words';
import { verdictDifference as words } from './words';

/** What differs between an earlier verdict and a later one. */
export function VerdictDifferenceView({ before, after }: { before: GivenVerdict; after: GivenVerdict }) {
  const write = useWriter();
  const difference = compareVerdicts(before, after);
  const nameIn = (verdict: GivenVerdict) => (id: string | null) =>
    id === null ? 'nobody' : (verdict.totals.find(({ candidate }) => candidate === id)?.label ?? id);
  const lines: string[] = [];
  lines.push(
    difference.isOtherChoice
      ? words.theChoiceWasAndIs(partsWords(before.parts, write), partsWords(after.parts, write))
      : words.theChoiceIsTheSame,
  );
  if (difference.isOtherMeasure) lines.push(words.theyAreInDifferent);
  if (difference.margin) lines.push(words.theLeadOverTheNext(figure(difference.margin[0]), figure(difference.margin[1])));
  if (difference.sales) lines.push(words.expectedSalesWereAMonth(write.amount(difference.sales[0]), write.amount(difference.sales[1])));
  if (difference.chance) lines.push(words.itCameFirstInFutures(ofHundred(difference.chance[0]), ofHundred(difference.chance[1])));
  if (difference.version) lines.push(words.salesWereAndAre(difference.version[0], difference.version[1]));
  for (const { label, change, after: seen } of difference.sheets)
    lines.push(
      {
        added: words.thePriceSheetOfCame(label),
        gone: words.thePriceSheetOfIsNot(label),
        newer: words.thePriceSheetOfIsA(label, seen ? words.seen(write.day(seen)) : ''),
      }[change],
    );
  if (difference.settled.length > 0) lines.push(words.knownSince(difference.settled.join(', ')));
  if (difference.newlyOpen.length > 0) lines.push(words.notKnownAnyMore(difference.newlyOpen.join(', ')));
  const [then, now] = difference.thresholds;
  if (now && then?.at !== now.at) lines.push(words.whatWouldChangeItFirst(thresholdWords(now, nameIn(after), write, after.comparedBy)));

  function figure(margin: string | null) {
    return margin === null ? words.nothingToSetAgainst : write.whole(margin);
  }

  const thereOrNot = (total: string | null) => (total === null ? words.notThere : write.whole(total));
  return (
    <section className="verdict-difference" aria-label={words.fromTo(write.day(before.on), write.day(after.on))}>
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
            { head: words.total, kind: 'names-row', cell: ({ label }) => label },
            { key: 'before', head: write.day(before.on), kind: 'figures', cell: (one) => thereOrNot(one.before) },
            { key: 'after', head: write.day(after.on), kind: 'figures', cell: (one) => thereOrNot(one.after) },
            { head: words.difference, kind: 'figures', cell: (one) => (one.difference === null ? '' : write.difference(one.difference)) },
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
                {former ? words.was(winnerWords(former, nameIn(before))) : words.wasNotSaid},{' '}
                {later ? words.is(winnerWords(later, nameIn(after))) : words.isNotSaidAny}
              </li>
            );
          })}
        </ul>
      )}
    </section>
  );
}
