import { useMemo, useState } from 'react';
import type { GapAt } from '#core/what-if/turns-it';
import { plain } from '#core/what-if/turns-it';
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

/** Which assumption turns the answer, and by how much. */
export default function TurnsItPlace() {
  return (
    <NothingToAsk needs="two" place="turns-it">
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
      <main className="work" aria-label="What would change it" aria-busy={working.isBusy}>
        {found && found.first === null && <NobodyToChoose />}
        {found && found.first !== null && (
          <>
            <p className="says">{turnsSentence(found, find, nameOf, write, compared)}</p>
            {found.mayWin.length > 0 && (
              <p className="too-close">
                Too close to call: what is not known could make {found.mayWin.map((id) => nameOf(id)).join(' or ')} {compared.best}.{' '}
                {found.gap !== null && `The gap of ${write.amount(found.gap)} is smaller than that.`}
              </p>
            )}
            {found.second === null ? (
              <p>
                No other candidate can be chosen, so there is no gap that could be turned; below stands when {nameOf(found.first)} itself
                can no longer be chosen.
              </p>
            ) : (
              <TurnsChart found={found} varied={varied} />
            )}
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
                  head: 'Assumption',
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
                { head: 'Now', cell: ({ of }) => nowWords(of.assumption, write) },
                {
                  head: 'At the lower end',
                  cell: ({ turn, of }) => <End at={turn.low} words={changeWords(of.assumption, of.low, write)} first={found.first} />,
                },
                {
                  head: 'At the upper end',
                  cell: ({ turn, of }) => <End at={turn.high} words={changeWords(of.assumption, of.high, write)} first={found.first} />,
                },
                {
                  head: 'Turns at',
                  cell: ({ turn, of }) =>
                    [turn.below, turn.above]
                      .flatMap((turning) => (turning ? [turningWords(of.assumption, turning, nameOf, write, compared)] : []))
                      .join('; ') || 'not in this range',
                },
              ]}
            />
          </>
        )}
        <Working {...working} />
      </main>
      <aside className="margin" aria-label="The range" aria-live="polite">
        {opened && (
          <>
            <h2>{opened.assumption.label}</h2>
            <p>Now {nowWords(opened.assumption, write)}. Looked at over this range:</p>
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
        <p className="quiet">
          One assumption is varied at a time, all others stay. Values at which the answer turns are exact for unrounded totals, like
          break-evens.
        </p>
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
  if (winner === null) return 'no candidate can be chosen';
  if (winner !== first) return `${nameOf(winner)}${gap === null ? '' : `, by ${write.amount(gap.replace('-', ''))}`}`;
  return gap === null ? 'the only one' : `ahead by ${write.amount(gap)}`;
}
