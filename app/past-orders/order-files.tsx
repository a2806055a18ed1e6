import { Button, Progress } from 'antd';
import type { StoredOrderFile } from '#data/past-orders';
import { DataTable } from '../components/data-table';
import { FileField } from '../components/file-field';
import { listed } from '../locale/listed';
import { useWriter } from '../locale/locale';
import { ExportReview } from './export-review';
import type { PastOrdersHere } from './use-past-orders';
import { orderFiles as words } from './words';

/** Names of waiting files that are said. */
const MOST_NAMED = 5;

/** The files that past orders come from: dropped, looked through, kept and deleted. */
export function OrderFiles({ files, here }: { files: readonly StoredOrderFile[]; here: PastOrdersHere }) {
  const write = useWriter();
  const { intake, refused, waiting } = here;
  return (
    <section
      aria-label={words.filesOfPastOrders}
      className="order-files"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        here.readAll([...event.dataTransfer.files]);
      }}
    >
      {files.length > 0 && (
        <DataTable
          label={words.filesOfPastOrders}
          rows={files}
          keyOf={({ id }) => id}
          columns={[
            { head: words.file, kind: 'names-row', cell: ({ file }) => file.name },
            { head: words.orders, kind: 'figures', cell: ({ file }) => write.number(String(file.orders)) },
            { head: words.from, cell: ({ file }) => write.day(file.from) },
            { head: words.to, cell: ({ file }) => write.day(file.to) },
            {
              key: 'delete',
              head: <span className="visually-hidden">{words.delete}</span>,
              cell: ({ id, file }) => (
                <Button size="small" type="text" aria-label={words.deleteAndItsOrders(file.name)} onClick={() => void here.remove(id)}>
                  {words.deleteButton}
                </Button>
              ),
            },
          ]}
        />
      )}
      {intake.is === 'idle' && (
        <FileField
          label={files.length > 0 ? words.ordersOfAnotherTime : words.ordersThatYourShop}
          multiple
          accept=".csv,.txt,.tsv,text/csv"
          onFiles={here.readAll}
        />
      )}
      {refused.map(({ name, why }) => (
        <p key={`${name} ${why}`} className="field-problem" role="alert">
          {name && <b>{name}: </b>}
          {why}
        </p>
      ))}
      {(intake.is === 'reading' || intake.is === 'keeping') && (
        <div className="order-progress" role="status">
          <span>
            {intake.is === 'reading' ? words.reading : words.keeping} {intake.name} …
          </span>
          <Progress percent={Math.round(intake.part * 100)} size="small" />
          <Button size="small" onClick={here.stop}>
            {words.stop}
          </Button>
        </div>
      )}
      {intake.is === 'found' && <ExportReview name={intake.name} found={intake.found} here={here} />}
      {waiting.length > 0 && (
        <p role="status">
          {waiting.length === 1 ? words.then : words.thenOneAfterTheOther} {listed(waiting.slice(0, MOST_NAMED))}
          {waiting.length > MOST_NAMED && words.andMore(waiting.length - MOST_NAMED)}.
        </p>
      )}
      <p className="quiet">{words.theFileIsRead}</p>
    </section>
  );
}
