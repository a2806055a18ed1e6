import { useMemo, useState } from 'react';
import type { GapAt } from '#core/what-if/turns-it';
import { plain } from '#core/what-if/turns-it';
import * as places from '../../first-steps/places-in-words';
import { DataTable } from '../../components/data-table';
import { useWriter } from '../../locale/locale';
import type { Writer } from '../../locale/writer';
import { NobodyToChoose, NothingToAsk, useAskedDecision, Working } from '../asked-decision';
import { turningWords, turnsSentence } from './words';
import { changeWords, nowWords } from '../assumption-words';
import { KeepScenario } from '../keep-scenario';
import { RangeFields } from '../range-fields';
import { TurnsChart } from './turns-chart';
import { useAssumptions } from '../use-assumptions';
import { useWhatIf } from '../use-what-if';
import { screen as texts } from './words';

/** Which assumption turns the answer, and by how much. */
export default function TurnsItPlace() {
  return (
    <NothingToAsk needs="two" place={places.turnsIt}>
      <Turns />
    </NothingToAsk>
  );
}

function Turns() {
  const { file, nameOf, compared } = useAskedDecision();
  const { varied, find, setRange } = useAssumptions();
  const write = useWriter();
  const [open, setOpen] = useState<string | null>(null);
  const question = useMemo(() => ({ kind: 'turns' as const, varied }), [varied]);
  const { answer: found, ...working } = useWhatIf<'turns'>(file, question);
  const opened = varied.find(({ assumption }) => assumption.key === (open ?? found?.turns[0]?.key));
  const turn = found?.turns.find(({ key }) => key === opened?.assumption.key);
  const point = turn?.above ?? turn?.below ?? null;
  return (
    <>
      <main className="work" aria-label={texts.whatWouldChangeIt} aria-busy={working.isBusy}>
        {found && found.first === null && <NobodyToChoose />}
        {found && found.first !== null && (
          <>
            <p className="says">{turnsSentence(found, find, nameOf, write, compared)}</p>
            {found.mayWin.length > 0 && (
              <p className="too-close">
                {texts.tooCloseToCall(
                  found.mayWin.map((id) => nameOf(id)).join(' or '),
                  compared.best,
                  found.gap !== null && texts.theGapOfIsSmaller(write.amount(found.gap)),
                )}
              </p>
            )}
            {found.second === null ? <p>{texts.noOtherCandidateCan(nameOf(found.first))}</p> : <TurnsChart found={found} varied={varied} />}
            <DataTable
              className="turns"
              rows={found.turns.flatMap((turn) => {
                const of = varied.find(({ assumption }) => assumption.key === turn.key);
                return of ? [{ turn, of }] : [];
              })}
              keyOf={({ turn }) => turn.key}
              rowClass={({ turn }) => (turn.key === opened?.assumption.key ? 'is-chosen' : '')}
              columns={[
                {
                  head: texts.assumption,
                  kind: 'names-row',
                  cell: ({ turn, of }) => (
                    <button
                      type="button"
                      className="candidate-line"
                      aria-pressed={turn.key === opened?.assumption.key}
                      onClick={() => setOpen(turn.key)}
                    >
                      {of.assumption.label}
                    </button>
                  ),
                },
                { head: texts.now, cell: ({ of }) => nowWords(of.assumption, write) },
                {
                  head: texts.atTheLowerEnd,
                  cell: ({ turn, of }) => <End at={turn.low} words={changeWords(of.assumption, of.low, write)} first={found.first} />,
                },
                {
                  head: texts.atTheUpperEnd,
                  cell: ({ turn, of }) => <End at={turn.high} words={changeWords(of.assumption, of.high, write)} first={found.first} />,
                },
                {
                  head: texts.turnsAt,
                  cell: ({ turn, of }) =>
                    [turn.below, turn.above]
                      .flatMap((turning) => (turning ? [turningWords(of.assumption, turning, nameOf, write, compared)] : []))
                      .join('; ') || texts.notInThisRange,
                },
              ]}
            />
          </>
        )}
        <Working {...working} />
      </main>
      <aside className="margin" aria-label={texts.theRange} aria-live="polite">
        {opened && (
          <>
            <h2>{opened.assumption.label}</h2>
            <p>{texts.nowLookedAtOver(nowWords(opened.assumption, write))}</p>
            <RangeFields
              key={opened.assumption.key}
              varied={opened}
              labelHidden
              onChange={(low, high) => {
                // It stays open although its place among the others changes.
                setOpen(opened.assumption.key);
                setRange(opened.assumption.key, low, high);
              }}
            />
            {point && (
              <>
                <p className="turning-point">{turningWords(opened.assumption, point, nameOf, write, compared)}.</p>
                <KeepScenario
                  key={`${opened.assumption.key} ${point.at}`}
                  suggestion={`${opened.assumption.label} ${changeWords(opened.assumption, point.at, write)}`}
                  changes={[{ key: opened.assumption.key, value: plain(point.at) }]}
                />
              </>
            )}
          </>
        )}
        <p className="quiet">{texts.oneAssumptionIsVaried}</p>
      </aside>
    </>
  );
}

function End({ at: { gap, winner }, words, first }: { at: GapAt; words: string; first: string | null }) {
  const { nameOf } = useAskedDecision();
  const write = useWriter();
  return (
    <>
      <small>{words}</small>
      <br />
      {endWords({ winner, first, gap }, nameOf, write)}
    </>
  );
}

function endWords({ winner, first, gap }: GapAt & { first: string | null }, nameOf: (id: string) => string, write: Writer): string {
  if (winner === null) return texts.noCandidateCanBeChosen;
  if (winner !== first) return `${nameOf(winner)}${gap === null ? '' : texts.by(write.amount(gap.replace('-', '')))}`;
  return gap === null ? texts.theOnlyOne : texts.aheadBy(write.amount(gap));
}
