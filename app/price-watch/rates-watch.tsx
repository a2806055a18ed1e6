import { Button } from 'antd';
import { useFetcher } from 'react-router';
import { DataTable } from '../components/data-table';
import { useWriter } from '../locale/locale';
import type { RateRow, WatchView } from '../server/watch-view.server';
import { AddressField } from './address-field';
import { agoWords, effectSentence } from './watch-words';

interface Answer {
  readonly problem: string | null;
}

/** Exchange rates of the day beside those that decisions use. */
export function RatesWatch({ rates, now }: { rates: WatchView['rates']; now: string }) {
  const write = useWriter();
  const looking = useFetcher<Answer>();
  const { address, triedAt, seenAt, problem, day, rows } = rates;
  return (
    <section aria-label="Exchange rates">
      <h2>Exchange rates</h2>
      <div className="rates-head">
        <label>
          <span className="field-label">Where the rates of the day are published</span>
          <AddressField kept={address} submits={{ intent: 'rates-address' }} />
        </label>
        <looking.Form method="post">
          <input type="hidden" name="intent" value="look-rates" />
          <Button htmlType="submit" disabled={address === null || looking.state !== 'idle'}>
            {looking.state === 'idle' ? 'Check rates' : 'Checking …'}
          </Button>
        </looking.Form>
      </div>
      <p>
        {day !== null && `Rates of ${write.day(day)}`}
        {day !== null && seenAt !== null && `, read ${agoWords(seenAt, now)}.`}
        {problem !== null && (
          <span className="problem">
            {' '}
            {triedAt && `${agoWords(triedAt, now)}: `}
            {problem}. {day === null ? 'No rates are known.' : 'The last known rates still stand.'}
          </span>
        )}
      </p>
      {rows.length > 0 && (
        <DataTable
          rows={rows}
          keyOf={({ id, currency }) => `${id} ${currency}`}
          columns={[
            { head: 'Decision', kind: 'names-row', cell: ({ name }) => name || 'an untitled decision' },
            { head: 'Currency', cell: ({ base, currency }) => `${base} for one ${currency}` },
            { head: 'In the decision', kind: 'figures', cell: ({ rate }) => write.number(rate, 6) },
            { head: 'Of the day', kind: 'figures', cell: ({ ofDay }) => (ofDay === null ? 'not known' : write.number(ofDay, 6)) },
            { head: 'What it does', cell: (row) => <RateEffect row={row} /> },
          ]}
        />
      )}
    </section>
  );
}

/** What the rate of the day would do to a decision, and how to take it over. */
function RateEffect({ row: { id, currency, rate, ofDay, effect } }: { row: RateRow }) {
  const write = useWriter();
  const fetcher = useFetcher<Answer>();
  if (ofDay === null) return null;
  if (Number(ofDay) === Number(rate)) return 'the same';
  return (
    <>
      {effectSentence(effect, write)}
      <fetcher.Form method="post">
        <input type="hidden" name="intent" value="accept-rate" />
        <input type="hidden" name="decision" value={id} />
        <input type="hidden" name="currency" value={currency} />
        <input type="hidden" name="rate" value={ofDay} />
        <Button size="small" htmlType="submit" disabled={fetcher.state !== 'idle'}>
          Use this rate
        </Button>
      </fetcher.Form>
    </>
  );
}
