import { useMemo } from 'react';
import { Link } from 'react-router';
import { broughtOrders, type InvestmentJudged, type InvestmentOutcome } from '#core/what-if/investment';
import { exampleInvestment } from '#core/what-if/investment-example';
import type { Investment } from '#core/decision/investment-schema';
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

/** A designer or a custom build against doing it oneself, judged by what is kept. */
export default function InvestmentPlace() {
  return (
    <NothingToAsk needs="one" place="investment">
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
    edits.decision(`whatIf.investment.${key}`, 'the bigger investment', (one) => ({ ...one, whatIf: { ...one.whatIf, investment } }));
  const example = useMemo(() => exampleInvestment(priced.priced, priced.lineUp.leader?.id ?? priced.lineUp.columns[0]?.id ?? ''), [priced]);
  const isNothingSold = priced.average.orders === '0.0000';
  if (!kept && isNothingSold)
    return (
      <main className="work" aria-label="Bigger investment">
        <h2>Would a designer, or a custom build, pay for itself?</h2>
        <p className="limit-width">
          That depends on the orders it brings. Nothing is sold in this decision yet: enter what you expect under{' '}
          <Link to={`/decisions/${decisionId}/sales`}>Expected sales</Link>.
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
      <main className="work" aria-label="Bigger investment" aria-busy={isBusy}>
        {isExample && (
          <p className="limit-width">
            For example: {write.amount(investment.build)} for a designer, {write.amount(investment.photographs)} for photographs and{' '}
            {write.amount(investment.texts)} for texts. Type what you were offered at the right.
          </p>
        )}
        {judged && <p className="says">{investmentSentence(judged, file.months, write)}</p>}
        {isGone && (
          <p className="problem">
            One of the two candidates is no longer being compared, or has no price yet: choose another at the right.
          </p>
        )}
        {judged && (
          <>
            <InvestmentTable judged={judged} months={file.months} />
            <InvestmentChart judged={judged} />
            <p className="quiet">
              {judged.onlineShare}% of your orders come from people who find you online and can grow with the site.{' '}
              {judged.requiredLift !== null &&
                judged.requiredOrders !== null &&
                `Against ${nameOf(investment.instead)}, it needs ${write.percent(judged.requiredLift, 2)} more of them: ${write.orders(judged.requiredOrders)} orders a month more, on average.`}
            </p>
          </>
        )}
        <Working isBusy={isBusy} {...working} />
      </main>
      <aside className="margin" aria-label="The investment">
        <InvestmentForm investment={investment} onChange={onChange} />
        <KeepScenario
          suggestion={`${write.percent(investment.lift.expected)} more online orders`}
          changes={broughtOrders(file, investment)}
        />
      </aside>
    </>
  );
}

const VERSION_WORDS = { cautious: 'Cautious', expected: 'Expected', hopeful: 'Hopeful' } as const;
const PART_WORDS = [
  ['margin', 'Margin on more orders'],
  ['platform', 'Plans and fees, those on more orders included'],
  ['once', 'Build, photographs, texts'],
  ['upkeep', 'Looking after it'],
  ['hours', 'Your own hours'],
] as const;

function InvestmentTable({ judged, months }: { judged: InvestmentJudged; months: number }) {
  const { file } = useAskedDecision();
  const write = useWriter();
  const rows: ReadonlyArray<{ title: string; cell(one: InvestmentOutcome): string; isSum?: boolean }> = [
    { title: 'More online orders', cell: ({ lift, extraOrders }) => `${write.percent(lift)} (${write.number(extraOrders, 0)})` },
    ...PART_WORDS.map(([part, title]) => ({
      title,
      cell: ({ parts }: InvestmentOutcome) => signed(parts[part], file.currency, write),
    })),
    { title: 'What you keep more', cell: ({ keptMore }) => signed(keptMore, file.currency, write), isSum: true },
    { title: 'Paid for itself in', cell: ({ payback }) => (payback ? write.month(payback) : 'not in this time') },
    { title: 'After three years', cell: ({ threeYears }) => write.difference(threeYears) },
  ];
  return (
    <DataTable
      rows={rows}
      keyOf={({ title }) => title}
      rowClass={({ isSum }) => (isSum ? 'is-sum' : '')}
      columns={[
        { head: `Against doing it yourself, ${months} months`, kind: 'names-row', cell: ({ title }) => title },
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
