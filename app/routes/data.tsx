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
import { data as words } from './words/data';

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
  if (!asked.success) throw new Response(words.thisCannotBeRead, { status: 400 });
  const db = await database();
  if (asked.data.intent === 'remove') await removeForGood(db, asked.data.id);
  else await setDeleted(db, asked.data.id, null);
  throw redirect('/data');
}

export const meta: Route.MetaFunction = () => [{ title: words.yourDataVenalis }];

export default function Data({ loaderData: { folder, bytes, backUps, deleted, daysKept } }: Route.ComponentProps) {
  const write = useWriter();
  const size = (count: number) =>
    count < 1_000_000
      ? words.kb(write.whole(String(Math.max(1, Math.round(count / 1_000)))))
      : words.mb(write.whole(String(Math.round(count / 1_000_000))));
  const inAll = backUps.reduce((sum, one) => sum + one.bytes, 0);
  return (
    <ListPage title={words.yourData}>
      <main className="your-data">
        <p className="answer">{words.everythingIsOnThisComputer(<code>{folder}</code>, size(bytes), size(inAll))}</p>
        <section aria-label={words.exportAndImport}>
          <h2>{words.exportEverything}</h2>
          <p className="limit-width">{words.oneFileWithAll}</p>
          <p className="data-actions">
            <Button href="/data/export" download>
              {words.exportEverything}
            </Button>
            <a href="/data/export?history" download>
              {words.withEveryStepOfUndo}
            </a>
          </p>
          <ImportEverything />
        </section>
        <section aria-label={words.backUps}>
          <h2>{words.backUps}</h2>
          <p className="limit-width">{words.madeByItselfOnEvery}</p>
          {backUps.length === 0 ? <p className="quiet">{words.noneYet}</p> : <BackUps backUps={backUps} size={size} />}
          <p className="limit-width quiet">{words.toGoBackToOne(<code>{words.npmRunRestoreBack(folder)}</code>)}</p>
        </section>
        <section aria-label={words.deletedDecisions}>
          <h2>{words.deletedDecisions}</h2>
          {deleted.length === 0 ? <p className="quiet">{words.none}</p> : <Deleted deleted={deleted} daysKept={daysKept} />}
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
        { head: words.day, cell: ({ day, kind }) => `${write.day(day)}${kind === 'before-upgrade' ? words.beforeANewVersion : ''}` },
        { head: words.file, cell: ({ name }) => name },
        { head: words.size, kind: 'figures', cell: ({ bytes }) => size(bytes) },
      ]}
    />
  );
}

function Deleted({ deleted, daysKept }: { deleted: ReadonlyArray<{ id: string; name: string; deletedAt: string }>; daysKept: number }) {
  const write = useWriter();
  return (
    <>
      <p className="limit-width">{words.eachCanBeBrought(daysKept)}</p>
      <ul className="deleted">
        {deleted.map(({ id, name, deletedAt }) => (
          <li key={id}>
            <b>{name || words.untitledDecision}</b> <span className="quiet">{words.deleted(write.day(deletedAt.slice(0, 10)))}</span>
            <Form method="post">
              <input type="hidden" name="id" value={id} />
              <Button size="small" htmlType="submit" name="intent" value="bring-back" aria-label={words.bringBackName(name)}>
                {words.bringBack}
              </Button>
              <Button size="small" type="text" htmlType="submit" name="intent" value="remove" aria-label={words.removeForGoodName(name)}>
                {words.removeForGood}
              </Button>
            </Form>
          </li>
        ))}
      </ul>
    </>
  );
}
