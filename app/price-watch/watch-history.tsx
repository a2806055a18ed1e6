import { Button } from 'antd';
import Input from 'antd/es/input/Input';
import { useState } from 'react';
import { useFetcher } from 'react-router';
import { DataTable } from '../components/data-table';
import { Fold } from '../components/fold';
import { useWriter } from '../locale/locale';
import type { WatchView } from '../server/watch-view.server';

/** What was decided about changes, and which private hosts may be looked at. */
export function WatchHistory({ history, privateHosts }: Pick<WatchView, 'history' | 'privateHosts'>) {
  const write = useWriter();
  const fetcher = useFetcher<{ readonly problem: string | null }>();
  const [hosts, setHosts] = useState<string | null>(null);
  return (
    <>
      <section aria-label="History">
        <h2>History</h2>
        {history.length === 0 && <p className="quiet">Nothing yet. Every new price that you use or turn down is kept here.</p>}
        {history.length > 0 && (
          <DataTable
            rows={history}
            keyOf={({ decidedAt, plan, what, after }) => `${decidedAt} ${plan} ${what} ${after}`}
            columns={[
              { head: 'Day', cell: ({ decidedAt }) => write.day(decidedAt.slice(0, 10)) },
              { head: 'Of', cell: ({ label }) => label },
              { head: 'Figure', kind: 'names-row', cell: ({ plan, what }) => `${plan}, ${what}` },
              { head: 'Before', cell: ({ before }) => before },
              { head: 'After', cell: ({ after }) => after },
              { head: 'Outcome', cell: ({ outcome }) => (outcome === 'accepted' ? 'used' : 'old price kept') },
            ]}
          />
        )}
      </section>
      <Fold summary="Pages on this computer or in a private network">
        <p className="quiet limit-width">They are not fetched, wherever an address leads, unless their host and port stand here.</p>
        <fetcher.Form method="post" className="keep-scenario">
          <input type="hidden" name="intent" value="private-hosts" />
          <Input
            name="hosts"
            variant="underlined"
            aria-label="Hosts with their ports"
            placeholder="127.0.0.1:4180"
            value={hosts ?? privateHosts.join(', ')}
            onChange={({ target }) => setHosts(target.value)}
          />
          <Button htmlType="submit">Save</Button>
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
