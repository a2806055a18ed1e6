import { existsSync, statSync } from 'node:fs';
import { Button } from 'antd';
import { Form, redirect } from 'react-router';
import * as z from 'zod';
import { listBackUps } from '#data/back-ups';
import { dataFolder, dataPaths } from '#data/data-folder';
import { DAYS_KEPT_AFTER_DELETING, deletedDecisions, removeForGood, setDeleted } from '#data/decision-list';
import { DataTable } from '../components/data-table';
import { ListPage } from '../components/list-page';
import { ImportEverything } from '../data/import-everything';
import { useWriter } from '../locale/locale';
import { database } from '../server/database.server';
import { formOf } from '../server/form.server';
import type { Route } from './+types/data';

/** Where the data lie, how large they are, their back-ups, and what was deleted. */
export async function loader() {
  const paths = dataPaths(dataFolder());
  return {
    folder: paths.folder,
    bytes: ['', '-wal'].reduce((sum, ending) => sum + sizeOf(`${paths.database}${ending}`), 0),
    backUps: listBackUps(paths).map(({ name, day, bytes, kind }) => ({ name, day, bytes, kind })),
    deleted: await deletedDecisions(await database()),
    daysKept: DAYS_KEPT_AFTER_DELETING,
  };
}

function sizeOf(file: string): number {
  return existsSync(file) ? statSync(file).size : 0;
}

const askedSchema = z.object({ intent: z.enum(['bring-back', 'remove']), id: z.string().max(100) });

/** Brings a deleted decision back, or removes it for good. */
export async function action({ request }: Route.ActionArgs) {
  const asked = askedSchema.safeParse(Object.fromEntries(await formOf(request)));
  if (!asked.success) throw new Response('This cannot be read', { status: 400 });
  const db = await database();
  if (asked.data.intent === 'remove') await removeForGood(db, asked.data.id);
  else await setDeleted(db, asked.data.id, null);
  throw redirect('/data');
}

export const meta: Route.MetaFunction = () => [{ title: 'Your data · Venalis' }];

export default function Data({ loaderData: { folder, bytes, backUps, deleted, daysKept } }: Route.ComponentProps) {
  const write = useWriter();
  const size = (count: number) =>
    count < 1_000_000
      ? `${write.whole(String(Math.max(1, Math.round(count / 1_000))))} kB`
      : `${write.whole(String(Math.round(count / 1_000_000)))} MB`;
  const inAll = backUps.reduce((sum, one) => sum + one.bytes, 0);
  return (
    <ListPage title="Your data">
      <main className="your-data">
        <p className="answer">
          Everything is on this computer, in <code>{folder}</code>: {size(bytes)}, and {size(inAll)} of back-ups.
        </p>
        <section aria-label="Export and import">
          <h2>Export everything</h2>
          <p className="limit-width">
            One file with all decisions, price sheets, the price watch, the history of prices and settings. Import it here or in another
            Venalis.
          </p>
          <p className="data-actions">
            <Button href="/data/export" download>
              Export everything
            </Button>
            <a href="/data/export?history" download>
              with every step of undo
            </a>
          </p>
          <ImportEverything />
        </section>
        <section aria-label="Back-ups">
          <h2>Back-ups</h2>
          <p className="limit-width">
            Made by itself on every day on which you use Venalis: the last seven are kept, and the first of each month for a year. Each is
            checked when it is made.
          </p>
          {backUps.length === 0 ? <p className="quiet">None yet.</p> : <BackUps backUps={backUps} size={size} />}
          <p className="limit-width quiet">
            To go back to one, end Venalis and enter <code>npm run restore -- {folder}/back-ups/NAME</code>. What you have now is kept
            beside it.
          </p>
        </section>
        <section aria-label="Deleted decisions">
          <h2>Deleted decisions</h2>
          {deleted.length === 0 ? <p className="quiet">None.</p> : <Deleted deleted={deleted} daysKept={daysKept} />}
        </section>
      </main>
    </ListPage>
  );
}

function BackUps({
  backUps,
  size,
}: {
  backUps: ReadonlyArray<{ name: string; day: string; bytes: number; kind: string }>;
  size(bytes: number): string;
}) {
  const write = useWriter();
  return (
    <DataTable
      rows={backUps}
      keyOf={({ name }) => name}
      columns={[
        { head: 'Day', cell: ({ day, kind }) => `${write.day(day)}${kind === 'before-upgrade' ? ', before a new version' : ''}` },
        { head: 'File', cell: ({ name }) => name },
        { head: 'Size', kind: 'figures', cell: ({ bytes }) => size(bytes) },
      ]}
    />
  );
}

function Deleted({ deleted, daysKept }: { deleted: ReadonlyArray<{ id: string; name: string; deletedAt: string }>; daysKept: number }) {
  const write = useWriter();
  return (
    <>
      <p className="limit-width">Each can be brought back for at least {daysKept} days.</p>
      <ul className="deleted">
        {deleted.map(({ id, name, deletedAt }) => (
          <li key={id}>
            <b>{name || 'Untitled decision'}</b> <span className="quiet">deleted {write.day(deletedAt.slice(0, 10))}</span>
            <Form method="post">
              <input type="hidden" name="id" value={id} />
              <Button size="small" htmlType="submit" name="intent" value="bring-back" aria-label={`Bring back ${name}`}>
                Bring back
              </Button>
              <Button size="small" type="text" htmlType="submit" name="intent" value="remove" aria-label={`Remove ${name} for good`}>
                Remove for good
              </Button>
            </Form>
          </li>
        ))}
      </ul>
    </>
  );
}
