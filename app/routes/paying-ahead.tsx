import { Button } from 'antd';
import { useState } from 'react';
import { withOtherTerm } from '#core/decision/candidates';
import type { PayingOption } from '#core/what-if/paying-ahead';
import { termWords } from '#core/wording/term-words';
import { addMonths } from '#core/calendar/month';
import { ChoiceField } from '../components/choice-field';
import { FiguresTable } from '../components/figures-table';
import { Fold } from '../components/fold';
import { useWriter } from '../locale/locale';
import type { Writer } from '../locale/writer';
import { NothingToAsk, useAskedDecision, Working } from '../what-if/asked-decision';
import { payingSentence } from '../what-if/answer-words';
import { LeavingChart } from '../what-if/leaving-chart';
import { useWhatIf } from '../what-if/use-what-if';
import { useEdits } from '../workbench/use-edits';

const QUESTION = { kind: 'paying' } as const;

/** Month, year or longer for the same plan: what it saves, and what it costs if one leaves early. */
export default function PayingAheadPlace() {
  return (
    <NothingToAsk needs="one">
      <Paying />
    </NothingToAsk>
  );
}

function Paying() {
  const { file, priced, nameOf } = useAskedDecision();
  const write = useWriter();
  const edits = useEdits();
  const { answer: all, ...working } = useWhatIf<'paying'>(file, QUESTION);
  const [chosen, setChosen] = useState<string | null>(null);
  const leader = priced.lineUp.leader?.id;
  const samePlan = (id: string | null | undefined) =>
    all?.find((one) => one.candidate === id) ??
    all?.find((one) => file.candidates.find((candidate) => candidate.id === id)?.plans[0]?.plan === one.plan);
  const shown = samePlan(chosen) ?? samePlan(leader) ?? all?.[0];
  if (all && all.length === 0)
    return (
      <main className="work" aria-label="Paying ahead">
        <h2>Every plan here is paid in one way only</h2>
        <p>
          Where a price sheet states more than one term for a plan, by the month and by the year say, what paying ahead saves and risks
          stands here.
        </p>
      </main>
    );
  return (
    <>
      <main className="work" aria-label="Paying ahead" aria-busy={working.isBusy}>
        {shown && (
          <>
            <p className="says">{payingSentence(shown, nameOf(shown.candidate), file.months, write)}</p>
            <ChoiceField
              label="Plan of"
              searchable
              value={shown.candidate}
              options={(all ?? []).map(({ candidate }) => ({ value: candidate, label: `${candidate} ${nameOf(candidate)}` }))}
              onChange={setChosen}
            />
            <div className="wide-scroll">
              <table className="plain-table">
                <thead>
                  <tr>
                    <th scope="col">Paid</th>
                    <th scope="col" className="figure-cell">
                      Over {file.months} months
                    </th>
                    <th scope="col" className="figure-cell">
                      Saves
                    </th>
                    <th scope="col" className="figure-cell">
                      Out of pocket early
                    </th>
                    <th scope="col" className="figure-cell">
                      Lost at worst, leaving early
                    </th>
                    <th scope="col">Pays from</th>
                  </tr>
                </thead>
                <tbody>
                  {shown.options.map((option, index) => (
                    <OptionRow
                      key={option.term}
                      option={option}
                      isShortest={index === 0}
                      isNow={option.term === shown.now}
                      isStanding={file.candidates.some(({ plans }) => plans[0]?.plan === shown.plan && plans[0].term === option.term)}
                      onTake={() =>
                        edits.decision(`candidates.${shown.plan}.${option.term}`, 'another way of paying', (one) =>
                          withOtherTerm(one, shown.candidate, option.term),
                        )
                      }
                    />
                  ))}
                </tbody>
              </table>
            </div>
            <LeavingChart paying={shown} />
            <Fold summary="Month by month">
              <FiguresTable
                head="If you leave after"
                columns={shown.options.slice(1).map(({ term, months }) => ({ key: term, name: `paid ${termWords(months)}` }))}
                rows={Array.from({ length: file.months }, (_, index) => ({
                  name: `${index + 1} ${index === 0 ? 'month' : 'months'}`,
                  figures: shown.options.slice(1).map(({ ifLeft }) => write.difference(ifLeft[index] ?? '0')),
                }))}
              />
            </Fold>
          </>
        )}
        <Working {...working} />
      </main>
      <aside className="margin" aria-label="How it is worked out">
        <h2>How it is worked out</h2>
        <p>
          The same plan with everything beside it, joined in {write.month(file.start)}, paid in each of its ways. What is paid ahead and not
          used when one leaves is lost, unless the price sheet says the vendor gives it back.
        </p>
        <p className="quiet">
          Out of pocket early: by how much more has been paid at the worst moment than with the shortest term. Pays from: whenever one
          leaves from then on, nothing has been lost by paying ahead.
        </p>
      </aside>
    </>
  );
}

function OptionRow({
  option,
  isShortest,
  isNow,
  isStanding,
  onTake,
}: {
  option: PayingOption;
  isShortest: boolean;
  isNow: boolean;
  isStanding: boolean;
  onTake(): void;
}) {
  const { file } = useAskedDecision();
  const write = useWriter();
  const { months, total, saving, outEarly, worst, breakEven } = option;
  return (
    <tr className={isNow ? 'is-chosen' : ''}>
      <th scope="row">
        {termWords(months)} {isNow && <small>as it stands in the line-up</small>}
      </th>
      <td className="figure-cell">{write.money(total, file.currency)}</td>
      {isShortest ? (
        <td colSpan={4} className="quiet">
          the others are set against this
        </td>
      ) : (
        <>
          <td className="figure-cell">{write.difference(saving)}</td>
          <td className="figure-cell">{write.whole(outEarly)}</td>
          <td className="figure-cell">
            {worst ? `${write.whole(worst.loss)} after ${worst.months} ${worst.months === 1 ? 'month' : 'months'}` : 'nothing'}
          </td>
          <td>
            {breakEvenWords(breakEven, file.start, write)}
            {!isStanding && (
              <Button type="link" size="small" onClick={onTake}>
                put it into the line-up
              </Button>
            )}
          </td>
        </>
      )}
    </tr>
  );
}

function breakEvenWords(breakEven: number | null, start: string, write: Writer): string {
  if (breakEven === null) return 'never in this time';
  return breakEven <= 1 ? 'the first month' : `${write.month(addMonths(start, breakEven - 1))}, month ${breakEven}`;
}
