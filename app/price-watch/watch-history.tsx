import { Button } from 'antd';
import Input from 'antd/es/input/Input';
import { useState } from 'react';
import { useFetcher } from 'react-router';
import { DataTable } from '../components/data-table';
import { Fold } from '../components/fold';
import { useWriter } from '../locale/locale';
import type { WatchView } from '../server/watch-view.server';
import { watchHistory as words } from './words';

/** What was decided about changes, and which private hosts may be looked at. */
export function WatchHistory({ history, privateHosts }: Pick<WatchView, 'history' | 'privateHosts'>) {
  const write = useWriter();
  const fetcher = useFetcher<{ readonly problem: string | null }>();
  const [hosts, setHosts] = useState<string | null>(null);
  return (
    <>
      <section aria-label={words.history}>
        <h2>{words.history}</h2>
        {history.length === 0 && <p className="quiet">{words.nothingYetEveryNew}</p>}
        {history.length > 0 && (
          <DataTable
            rows={history}
            keyOf={({ decidedAt, plan, what, after }) => `${decidedAt} ${plan} ${what} ${after}`}
            columns={[
              { head: words.day, cell: ({ decidedAt }) => write.day(decidedAt.slice(0, 10)) },
              { head: words.of, cell: ({ label }) => label },
              { head: words.figure, kind: 'names-row', cell: ({ plan, what }) => `${plan}, ${what}` },
              { head: words.before, cell: ({ before }) => before },
              { head: words.after, cell: ({ after }) => after },
              { head: words.outcome, cell: ({ outcome }) => (outcome === 'accepted' ? 'used' : words.oldPriceKept) },
            ]}
          />
        )}
      </section>
      <Fold summary={words.pagesOnThisComputer}>
        <p className="quiet limit-width">{words.theyAreNotFetched}</p>
        <fetcher.Form method="post" className="keep-scenario">
          <input type="hidden" name="intent" value="private-hosts" />
          <Input
            name="hosts"
            variant="underlined"
            aria-label={words.hostsWithTheirPorts}
            placeholder="127.0.0.1:4180"
            value={hosts ?? privateHosts.join(', ')}
            onChange={({ target }) => setHosts(target.value)}
          />
          <Button htmlType="submit">{words.save}</Button>
          {fetcher.data?.problem && (
            <p className="problem" role="alert">
              {fetcher.data.problem}
            </p>
          )}
        </fetcher.Form>
      </Fold>
    </>
  );
}
