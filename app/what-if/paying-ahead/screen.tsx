import { Button } from 'antd';
import { useState } from 'react';
import { withOtherTerm } from '#core/decision/candidates';
import type { PayingOption } from '#core/what-if/paying-ahead';
import { termWords } from '#core/wording/term-words';
import { addMonths } from '#core/calendar/month';
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

const QUESTION = { kind: 'paying' } as const;

/** Month, year or longer for the same plan: what it saves, and what it costs if one leaves early. */
export default function PayingAheadPlace() {
  return (
    <NothingToAsk needs="one" place="paying-ahead">
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
        <p>Once a price sheet has a plan both by the month and by the year, you see here what paying ahead saves, and what it risks.</p>
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
            <DataTable
              rows={shown.options}
              keyOf={({ term }) => term}
              rowClass={({ term }) => (term === shown.now ? 'is-chosen' : '')}
              insteadOf={(option) => (option === shown.options[0] ? { from: 2, content: 'the others are set against this' } : null)}
              columns={[
                {
                  head: 'Paid',
                  kind: 'names-row',
                  cell: ({ months, term }) => (
                    <>
                      {termWords(months)} {term === shown.now && <small>as compared</small>}
                    </>
                  ),
                },
                { head: `Over ${file.months} months`, kind: 'figures', cell: ({ total }) => write.money(total, file.currency) },
                { head: 'Saves', kind: 'figures', cell: ({ saving }) => write.difference(saving) },
                { head: 'Extra paid up front', kind: 'figures', cell: ({ outEarly }) => write.whole(outEarly) },
                { head: 'Most you could lose by leaving early', kind: 'figures', cell: ({ worst }) => worstWords(worst, write) },
                {
                  head: 'Ahead from',
                  cell: ({ term, breakEven }) => (
                    <>
                      {breakEvenWords(breakEven, file.start, write)}
                      {!file.candidates.some(({ plans }) => plans[0]?.plan === shown.plan && plans[0].term === term) && (
                        <Button
                          type="link"
                          size="small"
                          onClick={() =>
                            edits.decision(`candidates.${shown.plan}.${term}`, 'another way of paying', (one) =>
                              withOtherTerm(one, shown.candidate, term),
                            )
                          }
                        >
                          compare it too
                        </Button>
                      )}
                    </>
                  ),
                },
              ]}
            />
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
          Extra paid up front: how much more has been paid at the worst moment than with the shortest term. Ahead from: whenever one leaves
          from then on, nothing has been lost by paying ahead.
        </p>
        <HowLink rule="terms" />
      </aside>
    </>
  );
}

function worstWords(worst: PayingOption['worst'], write: Writer): string {
  return worst ? `${write.whole(worst.loss)} after ${worst.months} ${worst.months === 1 ? 'month' : 'months'}` : 'nothing';
}

function breakEvenWords(breakEven: number | null, start: string, write: Writer): string {
  if (breakEven === null) return 'never in this time';
  return breakEven <= 1 ? 'the first month' : `${write.month(addMonths(start, breakEven - 1))}, month ${breakEven}`;
}
