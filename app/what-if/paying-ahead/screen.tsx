import { Button } from 'antd';
import { useState } from 'react';
import { withOtherTerm } from '#core/decision/candidates';
import type { PayingOption } from '#core/what-if/paying-ahead';
import { termWords } from '#core/wording/term-words';
import { addMonths } from '#core/calendar/month';
import * as places from '../../first-steps/places-in-words';
import { DataTable } from '../../components/data-table';
import { ChoiceField } from '../../components/choice-field';
import { FiguresTable } from '../../components/figures-table';
import { Fold } from '../../components/fold';
import { HowLink } from '../../how/how-link';
import { useWriter } from '../../locale/locale';
import type { Writer } from '../../locale/writer';
import { NothingToAsk, useAskedDecision, Working } from '../asked-decision';
import { payingSentence } from './words';
import { LeavingChart } from './leaving-chart';
import { useWhatIf } from '../use-what-if';
import { useEdits } from '../../workbench/use-edits';
import { screen as words } from './words';

const QUESTION = { kind: 'paying' } as const;

/** Month, year or longer for the same plan: what it saves, and what it costs if one leaves early. */
export default function PayingAheadPlace() {
  return (
    <NothingToAsk needs="one" place={places.payingAhead}>
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
      <main className="work" aria-label={words.payingAhead}>
        <h2>{words.everyPlanHereIsPaid}</h2>
        <p>{words.onceAPriceSheet}</p>
      </main>
    );
  return (
    <>
      <main className="work" aria-label={words.payingAhead} aria-busy={working.isBusy}>
        {shown && (
          <>
            <p className="says">{payingSentence(shown, nameOf(shown.candidate), file.months, write)}</p>
            <ChoiceField
              label={words.planOf}
              searchable
              value={shown.candidate}
              options={(all ?? []).map(({ candidate }) => ({ value: candidate, label: `${candidate} ${nameOf(candidate)}` }))}
              onChange={setChosen}
            />
            <DataTable
              rows={shown.options}
              keyOf={({ term }) => term}
              rowClass={({ term }) => (term === shown.now ? 'is-chosen' : '')}
              insteadOf={(option) => (option === shown.options[0] ? { from: 2, content: words.theOthersAreSet } : null)}
              columns={[
                {
                  head: words.paid,
                  kind: 'names-row',
                  cell: ({ months, term }) => (
                    <>
                      {termWords(months)} {term === shown.now && <small>{words.asCompared}</small>}
                    </>
                  ),
                },
                { head: words.overMonths(file.months), kind: 'figures', cell: ({ total }) => write.money(total, file.currency) },
                { head: words.saves, kind: 'figures', cell: ({ saving }) => write.difference(saving) },
                { head: words.extraPaidUpFront, kind: 'figures', cell: ({ outEarly }) => write.whole(outEarly) },
                { head: words.mostYouCouldLose, kind: 'figures', cell: ({ worst }) => worstWords(worst, write) },
                {
                  head: words.aheadFrom,
                  cell: ({ term, breakEven }) => (
                    <>
                      {breakEvenWords(breakEven, file.start, write)}
                      {!file.candidates.some(({ plans }) => plans[0]?.plan === shown.plan && plans[0].term === term) && (
                        <Button
                          type="link"
                          size="small"
                          onClick={() =>
                            edits.decision(`candidates.${shown.plan}.${term}`, words.anotherWayOfPaying, (one) =>
                              withOtherTerm(one, shown.candidate, term),
                            )
                          }
                        >
                          {words.compareItToo}
                        </Button>
                      )}
                    </>
                  ),
                },
              ]}
            />
            <LeavingChart paying={shown} />
            <Fold summary={words.monthByMonth}>
              <FiguresTable
                head={words.ifYouLeaveAfter}
                columns={shown.options.slice(1).map(({ term, months }) => ({ key: term, name: words.paidMonths(termWords(months)) }))}
                rows={Array.from({ length: file.months }, (_, index) => ({
                  name: words.soManyMonths(index + 1),
                  figures: shown.options.slice(1).map(({ ifLeft }) => write.difference(ifLeft[index] ?? '0')),
                }))}
              />
            </Fold>
          </>
        )}
        <Working {...working} />
      </main>
      <aside className="margin" aria-label={words.howItIsWorked}>
        <h2>{words.howItIsWorked}</h2>
        <p>{words.theSamePlanWithEverything(write.month(file.start))}</p>
        <p className="quiet">{words.extraPaidUpFrontHow}</p>
        <HowLink rule="terms" />
      </aside>
    </>
  );
}

function worstWords(worst: PayingOption['worst'], write: Writer): string {
  return worst ? words.after(write.whole(worst.loss), worst.months, worst.months === 1 ? words.month : words.months) : 'nothing';
}

function breakEvenWords(breakEven: number | null, start: string, write: Writer): string {
  if (breakEven === null) return words.neverInThisTime;
  return breakEven <= 1 ? words.theFirstMonth : words.monthMonth(write.month(addMonths(start, breakEven - 1)), breakEven);
}
