import { useState } from 'react';
import type { ChanceAnswer } from '#core/chance/chance-answer';
import { FUTURES, USUAL_SEED } from '#core/chance/chance-answer';
import { addMonths, monthsFrom } from '#core/calendar/month';
import * as places from '../../first-steps/places-in-words';
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
import { screen as words } from './words';

/** How sure the answer is: ten thousand futures, the same for all candidates. */
export default function ChancePlace() {
  return (
    <NothingToAsk needs="one" place={places.chance}>
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
      <main className="work" aria-label={words.chance}>
        <NobodyToChoose />
      </main>
    );
  return (
    <>
      <main className="work chance" aria-label={words.chance} aria-busy={working.isBusy}>
        {answer && <p className="says">{chanceSentence(answer, nameOf, write)}</p>}
        {answer && <ChancesTable answer={answer} />}
        <Working {...working} />
        {answer && answer.fans.length > 0 && (
          <section aria-label={words.costSoFarInEight}>
            <h2>{words.costSoFarInEight}</h2>
            <FanChart fans={answer.fans} months={months} currency={file.currency} nameOf={nameOf} />
          </section>
        )}
        {answer && !answer.isCertain && answer.levels.length > 0 && <LevelsTable answer={answer} />}
        {answer && answer.candidates.length > 1 && <WaitingSection isAsked={!working.isBusy} />}
        {answer && <UncertainTable uncertain={inOrder(answer.uncertain, order)} />}
      </main>
      <aside className="margin" aria-label={words.howItIsWorked}>
        <h2>{words.howItIsWorked}</h2>
        <p>{words.futuresAreDrawnTheSame(write.number(String(FUTURES)))}</p>
        <p>
          {words.inHowManyFutures({
            first: <b>{words.first}</b>,
            middle: <b>{words.middle}</b>,
            eightOfTen: <b>{words.eightOfTen}</b>,
            givesAway: <b>{words.givesAway}</b>,
            oneInTwenty: <b>{words.oneInTwenty}</b>,
          })}
        </p>
        <SeedField />
        <p className="quiet">{words.aPriceThatNobody}</p>
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
      label={words.howOftenEachComes}
      rows={candidates}
      keyOf={({ id }) => id}
      columns={[
        {
          head: words.candidate,
          kind: 'names-row',
          cell: (one) => (
            <span className="chance-name">
              <CandidateTag id={one.id} />
              <span>
                {nameOf(one.id)} {one.id === safest && candidates.length > 1 && <small className="quiet">{words.theSafest}</small>}
                {limitWords(one, month) && <small className="quiet limit-chance">{limitWords(one, month)}</small>}
              </span>
            </span>
          ),
        },
        { head: words.first, kind: 'figures', cell: (one) => shareWords(one, write) },
        { head: words.middleCurrency(file.currency), kind: 'figures', cell: ({ middle }) => costWords(middle, write) },
        { head: words.eightOfTenHead, kind: 'figures', cell: ({ low, high }) => `${costWords(low, write)} – ${costWords(high, write)}` },
        { head: words.givesAway, kind: 'figures', cell: ({ givesAway, usable }) => (usable === 0 ? '–' : costWords(givesAway, write)) },
        { head: words.oneInTwentyHead, kind: 'figures', cell: ({ atWorst, usable }) => (usable === 0 ? '–' : costWords(atWorst, write)) },
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
    <section aria-label={words.atOtherLevelsOfSales}>
      <h2>{words.atOtherLevelsOfSales}</h2>
      <DataTable
        label={words.howOftenEachComesFirst}
        rows={levels}
        keyOf={({ scale }) => scale}
        rowClass={({ scale }) => (scale === 1 ? 'is-chosen' : '')}
        columns={[
          {
            head: words.salesAMonth(file.currency),
            kind: 'names-row',
            cell: ({ scale }) => `${write.whole(String(average * scale))}${scale === 1 ? words.yourForecast : ''}`,
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
      label={words.seedAnotherOneDraws}
      optional
      placeholder={String(USUAL_SEED)}
      value={chance?.seed === undefined ? undefined : String(chance.seed)}
      range={{ wanted: words.aWholeNumberFrom0, least: 0, most: 999_999, whole: true }}
      onChange={(value) =>
        edits.decision('chance.seed', words.theSeed, (one) => {
          const { seed: _former, ...others } = one.chance ?? {};
          return { ...one, chance: value == null ? others : { ...others, seed: Number(value) } };
        })
      }
    />
  );
}
