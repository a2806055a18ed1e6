import { Button } from 'antd';
import { useFetcher } from 'react-router';
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
            {looking.state === 'idle' ? 'Look at the rates again' : 'Looking …'}
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
            {problem}. {day === null ? 'No rates are known.' : 'Those above stand, with their age.'}
          </span>
        )}
      </p>
      {rows.length > 0 && (
        <div className="wide-scroll">
          <table className="plain-table">
            <thead>
              <tr>
                <th scope="col">Decision</th>
                <th scope="col">Currency</th>
                <th scope="col" className="figure-cell">
                  In the decision
                </th>
                <th scope="col" className="figure-cell">
                  Of the day
                </th>
                <th scope="col">What it does</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <Rate key={`${row.id} ${row.currency}`} row={row} />
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

function Rate({ row }: { row: RateRow }) {
  const { id, name, base, currency, rate, ofDay, effect } = row;
  const write = useWriter();
  const fetcher = useFetcher<Answer>();
  const isOther = ofDay !== null && Number(ofDay) !== Number(rate);
  return (
    <tr>
      <th scope="row">{name || 'a decision without a question'}</th>
      <td>
        {base} for one {currency}
      </td>
      <td className="figure-cell">{write.number(rate, 6)}</td>
      <td className="figure-cell">{ofDay === null ? 'not known' : write.number(ofDay, 6)}</td>
      <td>
        {isOther && effectSentence(effect, write)}
        {!isOther && ofDay !== null && 'the same'}
        {isOther && (
          <fetcher.Form method="post">
            <input type="hidden" name="intent" value="accept-rate" />
            <input type="hidden" name="decision" value={id} />
            <input type="hidden" name="currency" value={currency} />
            <input type="hidden" name="rate" value={ofDay} />
            <Button size="small" htmlType="submit" disabled={fetcher.state !== 'idle'}>
              Take it over
            </Button>
          </fetcher.Form>
        )}
      </td>
    </tr>
  );
}
