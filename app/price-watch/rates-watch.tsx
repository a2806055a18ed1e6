import { Button } from 'antd';
import { useFetcher } from 'react-router';
import { DataTable } from '../components/data-table';
import { useWriter } from '../locale/locale';
import type { RateRow, WatchView } from '../server/watch-view.server';
import { AddressField } from './address-field';
import { agoWords, effectSentence } from './watch-words';
import { ratesWatch as words } from './words';

interface Answer {
  readonly problem: string | null;
}

/** Exchange rates of the day beside those that decisions use. */
export function RatesWatch({ rates, now }: { rates: WatchView['rates']; now: string }) {
  const write = useWriter();
  const looking = useFetcher<Answer>();
  const { address, triedAt, seenAt, problem, day, rows } = rates;
  return (
    <section aria-label={words.exchangeRates}>
      <h2>{words.exchangeRates}</h2>
      <div className="rates-head">
        <label>
          <span className="field-label">{words.whereTheRatesOfTheDay}</span>
          <AddressField kept={address} submits={{ intent: 'rates-address' }} />
        </label>
        <looking.Form method="post">
          <input type="hidden" name="intent" value="look-rates" />
          <Button htmlType="submit" disabled={address === null || looking.state !== 'idle'}>
            {looking.state === 'idle' ? words.checkRates : words.checking}
          </Button>
        </looking.Form>
      </div>
      <p>
        {day !== null && words.ratesOf(write.day(day))}
        {day !== null && seenAt !== null && words.read(agoWords(seenAt, now))}
        {problem !== null && (
          <span className="problem">
            {' '}
            {triedAt && `${agoWords(triedAt, now)}: `}
            {problem}. {day === null ? words.noRatesAreKnown : words.theLastKnownRates}
          </span>
        )}
      </p>
      {rows.length > 0 && (
        <DataTable
          rows={rows}
          keyOf={({ id, currency }) => `${id} ${currency}`}
          columns={[
            { head: words.decision, kind: 'names-row', cell: ({ name }) => name || words.anUntitledDecision },
            { head: words.currency, cell: ({ base, currency }) => words.forOne(base, currency) },
            { head: words.inTheDecision, kind: 'figures', cell: ({ rate }) => write.number(rate, 6) },
            { head: words.ofTheDay, kind: 'figures', cell: ({ ofDay }) => (ofDay === null ? words.notKnown : write.number(ofDay, 6)) },
            { head: words.whatItDoes, cell: (row) => <RateEffect row={row} /> },
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
  if (Number(ofDay) === Number(rate)) return words.theSame;
  return (
    <>
      {effectSentence(effect, write)}
      <fetcher.Form method="post">
        <input type="hidden" name="intent" value="accept-rate" />
        <input type="hidden" name="decision" value={id} />
        <input type="hidden" name="currency" value={currency} />
        <input type="hidden" name="rate" value={ofDay} />
        <Button size="small" htmlType="submit" disabled={fetcher.state !== 'idle'}>
          {words.useThisRate}
        </Button>
      </fetcher.Form>
    </>
  );
}
