import { Button } from 'antd';
import { useMemo } from 'react';
import { broughtOrders, type InvestmentJudged, type InvestmentOutcome } from '#core/what-if/investment';
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
    <NothingToAsk needs="one">
      <Invest />
    </NothingToAsk>
  );
}

function Invest() {
  const { state } = useWorkbench();
  const { file, priced } = useAskedDecision();
  const edits = useEdits();
  const kept = state.workbench.decision.whatIf?.investment;
  const change = (key: string, investment: Investment) =>
    edits.decision(`whatIf.investment.${key}`, 'the bigger investment', (one) => ({ ...one, whatIf: { ...one.whatIf, investment } }));
  if (!kept) {
    const candidate = priced.lineUp.leader?.id ?? priced.lineUp.columns[0]?.id ?? '';
    const own = file.candidates.find(({ id }) => id === candidate)?.hours;
    return (
      <main className="work" aria-label="Bigger investment">
        <h2>Would a designer, or a custom build, pay for itself?</h2>
        <p className="limit-width">
          It costs more and brings more orders, and these bring fees; so it is judged by what you keep, not by what it costs. Only orders of
          people who find you online can grow with a better site; photographs, texts and your own hours count too.
        </p>
        <Button
          type="primary"
          onClick={() =>
            change('begun', {
              instead: candidate,
              on: candidate,
              build: '0',
              photographs: '0',
              texts: '0',
              upkeep: '0',
              hours: { setup: own?.setup ?? '0', monthly: own?.monthly ?? '0' },
              lift: { cautious: '0', expected: '10', hopeful: '20' },
            })
          }
        >
          Work it out
        </Button>
      </main>
    );
  }
  return <Judged investment={kept} onChange={change} />;
}

function Judged({ investment, onChange }: { investment: Investment; onChange(key: string, investment: Investment): void }) {
  const { file, nameOf } = useAskedDecision();
  const write = useWriter();
  const question = useMemo(() => ({ kind: 'investment' as const, investment }), [investment]);
  const { answer: judged, isBusy, ...working } = useWhatIf<'investment'>(file, question);
  const isGone = !isBusy && judged === null && working.problem === null;
  return (
    <>
      <main className="work" aria-label="Bigger investment" aria-busy={isBusy}>
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
              {judged.onlineShare} % of your orders come from people who find you online and can grow with the site.{' '}
              {judged.requiredLift !== null &&
                judged.requiredOrders !== null &&
                `Against ${nameOf(investment.instead)}, it needs ${write.number(judged.requiredLift, 2)} % more of them: ${write.orders(judged.requiredOrders)} orders a month more, on average.`}
            </p>
          </>
        )}
        <Working isBusy={isBusy} {...working} />
      </main>
      <aside className="margin" aria-label="The investment">
        <InvestmentForm investment={investment} onChange={onChange} />
        <KeepScenario
          suggestion={`${write.number(investment.lift.expected)} % more online orders`}
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
    { title: 'More online orders', cell: ({ lift, extraOrders }) => `${write.number(lift)} % (${write.number(extraOrders, 0)})` },
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
