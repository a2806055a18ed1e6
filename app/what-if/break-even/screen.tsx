import { useState } from 'react';
import { decimal } from '#core/amount/decimal';
import { LEVELS, nearestPoint, type PairBreakEven } from '#core/what-if/break-evens';
import * as places from '../../first-steps/places-in-words';
import { DataTable } from '../../components/data-table';
import { CandidateTag } from '../../components/candidate-tag';
import { ChoiceField } from '../../components/choice-field';
import { Fold } from '../../components/fold';
import { HowLink } from '../../how/how-link';
import { useWriter } from '../../locale/locale';
import type { Writer } from '../../locale/writer';
import { NothingToAsk, useAskedDecision, Working } from '../asked-decision';
import { levelWords, pairSentence, whenWords } from './words';
import { KeepLevel } from '../keep-level';
import { PairChart } from './pair-chart';
import { PairMatrix } from './pair-matrix';
import { UnitsTable } from './units-table';
import { useWhatIf } from '../use-what-if';
import type { ComparedWords } from '../../locale/compared-words';
import { screen as words } from './words';

const QUESTION = { kind: 'break-even' } as const;

/** At which level of sales the cheaper of two candidates changes, for every pair. */
export default function BreakEven() {
  return (
    <NothingToAsk needs="two" place={places.breakEven}>
      <Pairs />
    </NothingToAsk>
  );
}

function Pairs() {
  const { file, priced, nameOf, compared } = useAskedDecision();
  const write = useWriter();
  const { answer: pairs, ...working } = useWhatIf<'break-even'>(file, QUESTION);
  const ids = priced.lineUp.columns.map(({ id }) => id);
  const [against, setAgainst] = useState<string | null>(null);
  const [other, setOther] = useState<string | null>(null);
  const first = against !== null && ids.includes(against) ? against : (priced.lineUp.leader?.id ?? ids[0] ?? '');
  const between = pairsWith(pairs ?? [], first);
  const chosen = between.find((pair) => pair.a === other || pair.b === other) ?? between[0];
  const nearest = chosen ? nearestPoint(chosen.points) : null;
  const sales = decimal(priced.average.sales);
  const [lowest, highest] = [sales.times(LEVELS.from).toFixed(), sales.times(LEVELS.to).toFixed()];
  return (
    <>
      <main className="work" aria-label={words.breakEven} aria-busy={working.isBusy}>
        {chosen && <p className="says">{pairSentence(chosen, nameOf, lowest, highest, write, compared)}</p>}
        {chosen && <PairChart pair={chosen} />}
        {!pairs && working.isBusy && <div className="room-for-answer" />}
        <div className="tools">
          <ChoiceField
            label={words.setAgainstAllOthers}
            value={first}
            searchable
            options={ids.map((id) => ({ value: id, label: `${id} ${nameOf(id)}` }))}
            onChange={setAgainst}
          />
        </div>
        <Working {...working} />
        <DataTable
          className="pair-table"
          rows={between.map((pair) => ({ pair, other: pair.a === first ? pair.b : pair.a, point: nearestPoint(pair.points) }))}
          keyOf={({ pair }) => `${pair.a} ${pair.b}`}
          rowClass={({ pair }) => (pair === chosen ? 'is-chosen' : '')}
          columns={[
            {
              head: words.against(nameOf(first)),
              kind: 'names-row',
              cell: ({ pair, other: one }) => (
                <button type="button" className="candidate-line" aria-pressed={pair === chosen} onClick={() => setOther(one)}>
                  <CandidateTag id={one} /> <b>{nameOf(one)}</b>
                </button>
              ),
            },
            { head: words.changesAtAMonth, kind: 'figures', cell: ({ point }) => (point ? write.whole(point.monthlySales) : '–') },
            { head: words.orders, kind: 'figures', cell: ({ point }) => (point ? write.orders(point.monthlyOrders) : '–') },
            { head: words.reached, cell: ({ point }) => (point ? reachedWords(point.reached, write) : '–') },
            {
              head: words.verdict,
              cell: ({ pair, point }) => (
                <>
                  {point ? words.belowAbove(nameOf(point.below), nameOf(point.above)) : neverTurns(pair.now, first, compared)}
                  {pair.points.length > 1 && <small> {words.times(pair.points.length)}</small>}
                </>
              ),
            },
          ]}
        />
        <Fold summary={words.everyPair((pairs ?? []).length)}>
          <PairMatrix
            pairs={pairs ?? []}
            ids={ids}
            onChoose={(a, b) => {
              setAgainst(a);
              setOther(b);
            }}
          />
        </Fold>
      </main>
      <aside className="margin" aria-label={words.thePair} aria-live="polite">
        {chosen && (
          <>
            <h2>{words.and(nameOf(chosen.a), nameOf(chosen.b))}</h2>
            {chosen.points.length <= 1 && (
              <p>
                {chosen.points[0]
                  ? words.belowThatLevelAbove(nameOf(chosen.points[0].below), nameOf(chosen.points[0].above), write.amount(highest))
                  : words.chooseAnotherPairInTheTable}
              </p>
            )}
            {chosen.points.length > 1 && (
              <ul className="sentences">
                {chosen.points.map((point) => (
                  <li key={point.scale}>
                    {words.from({
                      point: levelWords(point, write),
                      name: nameOf(point.above),
                      isBetter: compared.isBetter,
                      when: whenWords(point, write),
                    })}
                  </li>
                ))}
              </ul>
            )}
          </>
        )}
        {nearest && <UnitsTable pricing={priced.priced.pricing} scale={nearest.scale} />}
        {nearest && <KeepLevel scale={nearest.scale} suggestion={words.salesOfAMonth(write.amount(nearest.monthlySales))} />}
        {(pairs !== null || !working.isBusy) && (
          <>
            <p className="quiet">{words.aBreakEvenIsTheLevel(file.months)}</p>
            <HowLink rule="breakEven" />
          </>
        )}
      </aside>
    </>
  );
}

function pairsWith(pairs: readonly PairBreakEven[], id: string): PairBreakEven[] {
  const distance = (pair: PairBreakEven) => Math.abs(Math.log(nearestPoint(pair.points)?.scale ?? 1e9));
  return pairs.filter(({ a, b }) => a === id || b === id).sort((one, two) => distance(one) - distance(two));
}

function neverTurns(better: string | null, first: string, compared: ComparedWords): string {
  if (better === null) return words.alwaysTheSame;
  return better === first ? words.neverCheaper : compared.isAlwaysBetter.replace(/^is /, '');
}

function reachedWords(reached: { readonly month: string } | null, write: Writer): string {
  return reached ? write.month(reached.month) : words.notInThisForecast;
}
