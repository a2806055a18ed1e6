import { Button } from 'antd';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { Link } from 'react-router';
import { monthsFrom } from '#core/calendar/month';
import type { FeesCompared } from '#core/past-orders/charged-fees';
import type { StoredOrderFile } from '#data/past-orders';
import { ChoiceField } from '../components/choice-field';
import { DataTable } from '../components/data-table';
import { FileField } from '../components/file-field';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { type PastOrdersWorker, startPastOrdersWorker } from '../past-orders/past-orders-worker';
import type { PastOrdersReply, PayoutsRead } from '../../workers/past-orders';
import { chargedWords, payoutsReadWords } from './payouts-words';
import { payouts as words } from './words';

interface PayoutsProps {
  readonly files: readonly StoredOrderFile[];
  /** Whose card fees are set beside them at first. */
  readonly candidate: string;
}

/** What was really charged for payments: a processor's or bank's list of them, beside what the sheet says they should cost. */
export function Payouts({ files, candidate: first }: PayoutsProps) {
  const { state, decisionId } = useWorkbench();
  const write = useWriter();
  const [candidate, setCandidate] = useState(first);
  const { read, refused, ask: take } = usePayouts(files);
  const { candidates } = state.workbench.decision;
  return (
    <section aria-label={words.whatWasChargedForPayments} className="payouts">
      <h2>{words.whatWasChargedForPayments}</h2>
      <FileField
        label={words.listOfPaymentsOfYourProcessor}
        accept=".csv,.txt,.tsv,text/csv"
        onFiles={([file]) => file && take(file, candidate)}
      />
      {refused && (
        <p className="field-problem" role="alert">
          <b>{refused.name}: </b>
          {refused.why}
        </p>
      )}
      {read && (
        <div role="status">
          {read.compared && <p className="says">{chargedWords(read.compared, write)}</p>}
          <p className="quiet">
            {payoutsReadWords(read, files.length > 0, write).join(' ')}{' '}
            {files.length === 0 && <Link to={`/decisions/${decisionId}/sales/past-orders`}>{words.pastOrders}</Link>}
          </p>
        </div>
      )}
      {read?.compared && (
        <>
          <ChoiceField
            label={words.besideTheCardFees}
            value={candidate}
            options={candidates.map(({ id, label }) => ({ value: id, label: `${id} ${label}` }))}
            onChange={(next) => {
              setCandidate(next);
              take(null, next);
            }}
          />
          <ChargedTable compared={read.compared} />
        </>
      )}
      {read && <AsRealFees read={read} />}
    </section>
  );
}

function ChargedTable({ compared: { all, kinds } }: { compared: FeesCompared }) {
  const { currency } = useWorkbench().state.workbench.decision;
  const write = useWriter();
  return (
    <DataTable
      label={words.whatWasChargedBeside}
      rows={kinds.length > 1 ? [...kinds, all] : [all]}
      keyOf={({ kind }) => kind}
      columns={[
        { head: words.paidBy, kind: 'names-row', cell: ({ kind }) => kind || words.allTogether },
        { head: words.payments, kind: 'figures', cell: ({ payments }) => write.number(String(payments)) },
        { head: words.paid(currency), kind: 'figures', cell: ({ gross }) => write.money(gross, currency) },
        { head: words.charged, kind: 'figures', cell: ({ charged }) => write.money(charged, currency) },
        { head: words.byTheSheet, kind: 'figures', cell: ({ bySheet }) => write.money(bySheet, currency) },
        { head: words.chargedPercent, kind: 'figures', cell: ({ chargedPercent }) => write.number(chargedPercent, 2) },
        { head: words.byTheSheetPercent, kind: 'figures', cell: ({ bySheetPercent }) => write.number(bySheetPercent, 2) },
      ]}
    />
  );
}

/** Takes what was charged for the real fees of months that the decision looks at. */
function AsRealFees({ read }: { read: PayoutsRead }) {
  const { start, months: horizon, actuals } = useWorkbench().state.workbench.decision;
  const edits = useEdits();
  const within = new Set(monthsFrom(start, horizon));
  const charged = Object.entries(read.months).filter(([month]) => within.has(month));
  const isUsed = charged.every(([month, fees]) => actuals?.[month]?.fees === fees);
  if (charged.length === 0) return null;
  const use = () =>
    edits.decision('actuals', words.realFeesFromAList, (one) => ({
      ...one,
      actuals: { ...one.actuals, ...Object.fromEntries(charged.map(([month, fees]) => [month, { ...one.actuals?.[month], fees }])) },
    }));
  if (isUsed) return <p role="status">{words.theyStandAboveAsTheReal(charged.length === 1 ? words.thatMonth : words.theseMonths)}</p>;
  return (
    <p>
      <Button size="small" onClick={use}>
        {words.useAsTheFees(charged.length, charged.length === 1 ? words.month : words.months)}
      </Button>{' '}
      <span className="quiet">{words.salesFeesAndUsage}</span>
    </p>
  );
}

/** What was read, and what is asked of it. */
interface AskedPayouts {
  /** null for the list that was read last. */
  readonly file: File | null;
  readonly candidate: string;
}

const BROKEN = words.thisListCouldNotBeWorked;

/** Reads lists of payments beside the interface; the worker is started with the first. */
function usePayouts(files: readonly StoredOrderFile[]) {
  const { state, decisionId } = useWorkbench();
  const { workbench } = state;
  const [read, setRead] = useState<PayoutsRead | null>(null);
  const [refused, setRefused] = useState<{ readonly name: string; readonly why: string } | null>(null);
  const [asked, setAsked] = useState<AskedPayouts | null>(null);
  const [isLoaded, setLoaded] = useState(false);
  const worker = useRef<PastOrdersWorker | null>(null);
  const isAsked = asked !== null;
  const heard = useEffectEvent((reply: PastOrdersReply) => {
    if (reply.say === 'payouts') setRead(reply.read);
    else if (reply.say === 'refused') setRefused({ name: asked?.file?.name ?? words.pastOrders, why: reply.why });
    else if (reply.say === 'loaded') setLoaded(true);
  });
  const load = useEffectEvent(() => worker.current?.load(`/decisions/${decisionId}/past-orders`, files));
  const broke = useEffectEvent(() => setRefused({ name: asked?.file?.name ?? '', why: BROKEN }));
  useEffect(() => {
    if (!isAsked) return undefined;
    const started = startPastOrdersWorker(
      (reply) => heard(reply),
      () => broke(),
    );
    worker.current = started;
    load();
    return started.close;
  }, [isAsked]);
  useEffect(() => {
    // What is typed elsewhere changes what the sheet says.
    if (isLoaded && asked) worker.current?.ask({ ask: 'payouts', ...asked, workbench });
  }, [isLoaded, asked, workbench]);
  return {
    read,
    refused,
    ask(file: File | null, candidate: string) {
      setRefused(null);
      // What another list said stands for nothing any more.
      if (file) setRead(null);
      setAsked({ file: file ?? asked?.file ?? null, candidate });
    },
  };
}
