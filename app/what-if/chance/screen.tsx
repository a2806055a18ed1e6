import { useState } from 'react';
import type { ChanceAnswer } from '#core/chance/chance-answer';
import { FUTURES, USUAL_SEED } from '#core/chance/chance-answer';
import { addMonths, monthsFrom } from '#core/calendar/month';
import { CandidateTag } from '../../components/candidate-tag';
import { DataTable } from '../../components/data-table';
import { NumberField } from '../../components/number-field';
import { useWriter } from '../../locale/locale';
import { useEdits } from '../../workbench/use-edits';
import { useWorkbench } from '../../workbench/workbench-context';
import { NobodyToChoose, NothingToAsk, useAskedDecision, Working } from '../asked-decision';
import { FanChart } from './fan-chart';
import { UncertainTable } from './uncertain-table';
import { WaitingSection } from './waiting-section';
import { useChance } from './use-chance';
import { chanceSentence, costWords, limitWords, shareWords } from './words';

/** How sure the answer is: ten thousand futures, the same for all candidates. */
export default function ChancePlace() {
  return (
    <NothingToAsk needs="one" place="chance">
      <HowSure />
    </NothingToAsk>
  );
}

function HowSure() {
  const { decision } = useWorkbench().state.workbench;
  const { file, nameOf } = useAskedDecision();
  const write = useWriter();
  const { answer, ...working } = useChance(file, decision);
  const months = monthsFrom(file.start, file.months);
  // Rows stay where they are while somebody types into one of them.
  const [order, setOrder] = useState<readonly string[] | null>(null);
  if (answer && !working.isBusy && order === null) setOrder(answer.uncertain.map(({ key }) => key));
  if (answer?.candidates.length === 0)
    return (
      <main className="work" aria-label="Chance">
        <NobodyToChoose />
      </main>
    );
  return (
    <>
      <main className="work chance" aria-label="Chance" aria-busy={working.isBusy}>
        {answer && <p className="says">{chanceSentence(answer, nameOf, write)}</p>}
        {answer && <ChancesTable answer={answer} />}
        <Working {...working} />
        {answer && answer.fans.length > 0 && (
          <section aria-label="Cost so far, in eight of ten futures">
            <h2>Cost so far, in eight of ten futures</h2>
            <FanChart fans={answer.fans} months={months} currency={file.currency} nameOf={nameOf} />
          </section>
        )}
        {answer && !answer.isCertain && answer.levels.length > 0 && <LevelsTable answer={answer} />}
        {answer && answer.candidates.length > 1 && <WaitingSection isAsked={!working.isBusy} />}
        {answer && <UncertainTable uncertain={inOrder(answer.uncertain, order)} />}
      </main>
      <aside className="margin" aria-label="How it is worked out">
        <h2>How it is worked out</h2>
        <p>
          {write.number(String(FUTURES))} futures are drawn, the same for every candidate. Cautious and hopeful sales are one in ten either
          way; all streams rise and fall together, and each a little on its own; single months scatter as counts do. A candidate that is
          outgrown in a future is not the best in it.
        </p>
        <p>
          <b>First</b>: in how many futures it is the best. <b>Middle</b> and <b>eight of ten</b>: what it comes to. <b>Gives away</b>: how
          much more it comes to than the best one of the same future, on average; <b>one in twenty</b>: that much or more in the worst of
          them.
        </p>
        <SeedField />
        <p className="quiet">
          A price that nobody knows is anything in its range; what a plan does not say is as likely there as not. Candidates with two or
          more unknown figures in one fee are left out.
        </p>
      </aside>
    </>
  );
}

function inOrder(uncertain: ChanceAnswer['uncertain'], order: readonly string[] | null): ChanceAnswer['uncertain'] {
  return order === null ? uncertain : [...uncertain].sort((a, b) => order.indexOf(a.key) - order.indexOf(b.key));
}

function ChancesTable({ answer }: { answer: ChanceAnswer }) {
  const { file, nameOf } = useAskedDecision();
  const write = useWriter();
  const month = (index: number) => write.month(addMonths(file.start, Math.round(index)));
  const { candidates, safest } = answer;
  return (
    <DataTable
      label="How often each comes first"
      rows={candidates}
      keyOf={({ id }) => id}
      columns={[
        {
          head: 'Candidate',
          kind: 'names-row',
          cell: (one) => (
            <span className="chance-name">
              <CandidateTag id={one.id} />
              <span>
                {nameOf(one.id)} {one.id === safest && candidates.length > 1 && <small className="quiet">the safest</small>}
                {limitWords(one, month) && <small className="quiet limit-chance">{limitWords(one, month)}</small>}
              </span>
            </span>
          ),
        },
        { head: 'First', kind: 'figures', cell: (one) => shareWords(one, write) },
        { head: `Middle, ${file.currency}`, kind: 'figures', cell: ({ middle }) => costWords(middle, write) },
        { head: 'Eight of ten', kind: 'figures', cell: ({ low, high }) => `${costWords(low, write)} – ${costWords(high, write)}` },
        { head: 'Gives away', kind: 'figures', cell: ({ givesAway, usable }) => (usable === 0 ? '–' : costWords(givesAway, write)) },
        { head: 'One in twenty', kind: 'figures', cell: ({ atWorst, usable }) => (usable === 0 ? '–' : costWords(atWorst, write)) },
      ]}
    />
  );
}

/** How the chances change along the sales scale. */
function LevelsTable({ answer }: { answer: ChanceAnswer }) {
  const { file, priced, nameOf } = useAskedDecision();
  const write = useWriter();
  const { levels } = answer;
  const shown = answer.candidates.filter(({ id }) => levels.some(({ firsts }) => firsts.some((one) => one.id === id && one.first >= 0.01)));
  const average = Number(priced.average.sales);
  return (
    <section aria-label="At other levels of sales">
      <h2>At other levels of sales</h2>
      <DataTable
        label="How often each comes first, by the level of sales"
        rows={levels}
        keyOf={({ scale }) => scale}
        rowClass={({ scale }) => (scale === 1 ? 'is-chosen' : '')}
        columns={[
          {
            head: `Sales a month, ${file.currency}`,
            kind: 'names-row',
            cell: ({ scale }) => `${write.whole(String(average * scale))}${scale === 1 ? ', your forecast' : ''}`,
          },
          ...shown.map(({ id }) => ({
            key: id,
            head: nameOf(id),
            kind: 'figures' as const,
            cell: ({ firsts }: ChanceAnswer['levels'][number]) =>
              write.percent(String(Math.round((firsts.find((one) => one.id === id)?.first ?? 0) * 100)), 0),
          })),
        ]}
      />
    </section>
  );
}

function SeedField() {
  const { chance } = useWorkbench().state.workbench.decision;
  const edits = useEdits();
  return (
    <NumberField
      fieldKey="chance.seed"
      label="Seed: another one draws other futures"
      optional
      placeholder={String(USUAL_SEED)}
      value={chance?.seed === undefined ? undefined : String(chance.seed)}
      range={{ wanted: 'a whole number from 0 to 999,999', least: 0, most: 999_999, whole: true }}
      onChange={(value) =>
        edits.decision('chance.seed', 'the seed', (one) => {
          const { seed: _former, ...others } = one.chance ?? {};
          return { ...one, chance: value == null ? others : { ...others, seed: Number(value) } };
        })
      }
    />
  );
}
