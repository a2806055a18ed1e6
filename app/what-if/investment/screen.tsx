import { useMemo } from 'react';
import { Link } from 'react-router';
import { broughtOrders, type InvestmentJudged, type InvestmentOutcome } from '#core/what-if/investment';
import { exampleInvestment } from '#core/what-if/investment-example';
import type { Investment } from '#core/decision/investment-schema';
import * as places from '../../first-steps/places-in-words';
import { DataTable } from '../../components/data-table';
import { useWriter } from '../../locale/locale';
import { NothingToAsk, useAskedDecision, Working } from '../asked-decision';
import { investmentSentence } from './words';
import { InvestmentChart } from './investment-chart';
import { InvestmentForm } from './investment-form';
import { KeepScenario } from '../keep-scenario';
import { useWhatIf } from '../use-what-if';
import { useEdits } from '../../workbench/use-edits';
import { useWorkbench } from '../../workbench/workbench-context';
import { screen as words } from './words';

/** A designer or a custom build against doing it oneself, judged by what is kept. */
export default function InvestmentPlace() {
  return (
    <NothingToAsk needs="one" place={places.investment}>
      <Invest />
    </NothingToAsk>
  );
}

function Invest() {
  const { state, decisionId } = useWorkbench();
  const { priced } = useAskedDecision();
  const edits = useEdits();
  const kept = state.workbench.decision.whatIf?.investment;
  const change = (key: string, investment: Investment) =>
    edits.decision(`whatIf.investment.${key}`, words.theBiggerInvestment, (one) => ({ ...one, whatIf: { ...one.whatIf, investment } }));
  const example = useMemo(() => exampleInvestment(priced.priced, priced.lineUp.leader?.id ?? priced.lineUp.columns[0]?.id ?? ''), [priced]);
  const isNothingSold = priced.average.orders === '0.0000';
  if (!kept && isNothingSold)
    return (
      <main className="work" aria-label={words.biggerInvestment}>
        <h2>{words.wouldADesignerOrACustom}</h2>
        <p className="limit-width">
          {words.thatDependsOnTheOrders(<Link to={`/decisions/${decisionId}/sales`}>{words.expectedSales}</Link>)}
        </p>
      </main>
    );
  return <Judged investment={kept ?? example} isExample={!kept} onChange={change} />;
}

interface JudgedProps {
  readonly investment: Investment;
  /** Nothing was entered yet: what is shown is to be seen how it works. */
  readonly isExample: boolean;
  onChange(key: string, investment: Investment): void;
}

function Judged({ investment, isExample, onChange }: JudgedProps) {
  const { file, nameOf } = useAskedDecision();
  const write = useWriter();
  const question = useMemo(() => ({ kind: 'investment' as const, investment }), [investment]);
  const { answer: judged, isBusy, ...working } = useWhatIf<'investment'>(file, question);
  const isGone = !isBusy && judged === null && working.problem === null;
  return (
    <>
      <main className="work" aria-label={words.biggerInvestment} aria-busy={isBusy}>
        {isExample && (
          <p className="limit-width">
            {words.forExampleForADesigner(
              write.amount(investment.build),
              write.amount(investment.photographs),
              write.amount(investment.texts),
            )}
          </p>
        )}
        {judged && <p className="says">{investmentSentence(judged, file.months, write)}</p>}
        {isGone && <p className="problem">{words.oneOfTheTwo}</p>}
        {judged && (
          <>
            <InvestmentTable judged={judged} months={file.months} />
            <InvestmentChart judged={judged} />
            <p className="quiet">
              {words.percentOfYourOrders(
                judged.onlineShare,
                judged.requiredLift !== null &&
                  judged.requiredOrders !== null &&
                  words.againstItNeedsMore(
                    nameOf(investment.instead),
                    write.percent(judged.requiredLift, 2),
                    write.orders(judged.requiredOrders),
                  ),
              )}
            </p>
          </>
        )}
        <Working isBusy={isBusy} {...working} />
      </main>
      <aside className="margin" aria-label={words.theInvestment}>
        <InvestmentForm investment={investment} onChange={onChange} />
        <KeepScenario
          suggestion={words.moreOnlineOrdersExpected(write.percent(investment.lift.expected))}
          changes={broughtOrders(file, investment)}
        />
      </aside>
    </>
  );
}

const VERSION_WORDS = { cautious: words.cautious, expected: words.expected, hopeful: words.hopeful };
const PART_WORDS = [
  ['margin', words.marginOnMoreOrders],
  ['platform', words.plansAndFeesThose],
  ['once', words.buildPhotographsTexts],
  ['upkeep', words.lookingAfterIt],
  ['hours', words.yourOwnHours],
] as const;

function InvestmentTable({ judged, months }: { judged: InvestmentJudged; months: number }) {
  const { file } = useAskedDecision();
  const write = useWriter();
  const rows: ReadonlyArray<{ title: string; cell(one: InvestmentOutcome): string; isSum?: boolean }> = [
    { title: words.moreOnlineOrders, cell: ({ lift, extraOrders }) => `${write.percent(lift)} (${write.number(extraOrders, 0)})` },
    ...PART_WORDS.map(([part, title]) => ({
      title,
      cell: ({ parts }: InvestmentOutcome) => signed(parts[part], file.currency, write),
    })),
    { title: words.whatYouKeepMore, cell: ({ keptMore }) => signed(keptMore, file.currency, write), isSum: true },
    { title: words.paidForItselfIn, cell: ({ payback }) => (payback ? write.month(payback) : words.notInThisTime) },
    { title: words.afterThreeYears, cell: ({ threeYears }) => write.difference(threeYears) },
  ];
  return (
    <DataTable
      rows={rows}
      keyOf={({ title }) => title}
      rowClass={({ isSum }) => (isSum ? 'is-sum' : '')}
      columns={[
        { head: words.againstDoingItYourself(months), kind: 'names-row', cell: ({ title }) => title },
        ...judged.outcomes.map((one) => ({
          key: one.version,
          head: VERSION_WORDS[one.version],
          kind: 'figures' as const,
          cell: ({ cell }: (typeof rows)[number]) => cell(one),
        })),
      ]}
    />
  );
}

function signed(amount: string, currency: string, write: ReturnType<typeof useWriter>): string {
  return `${Number(amount) > 0 ? '+' : ''}${write.money(amount, currency)}`;
}
