import { Button, Progress } from 'antd';
import type { StoredOrderFile } from '#data/past-orders';
import { DataTable } from '../components/data-table';
import { FileField } from '../components/file-field';
import { listed } from '../locale/listed';
import { useWriter } from '../locale/locale';
import { ExportReview } from './export-review';
import type { PastOrdersHere } from './use-past-orders';

/** Names of waiting files that are said. */
const MOST_NAMED = 5;

/** The files that past orders come from: dropped, looked through, kept and deleted. */
export function OrderFiles({ files, here }: { files: readonly StoredOrderFile[]; here: PastOrdersHere }) {
  const write = useWriter();
  const { intake, refused, waiting } = here;
  return (
    <section
      aria-label="Files of past orders"
      className="order-files"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        here.readAll([...event.dataTransfer.files]);
      }}
    >
      {files.length > 0 && (
        <DataTable
          label="Files of past orders"
          rows={files}
          keyOf={({ id }) => id}
          columns={[
            { head: 'File', kind: 'names-row', cell: ({ file }) => file.name },
            { head: 'Orders', kind: 'figures', cell: ({ file }) => write.number(String(file.orders)) },
            { head: 'From', cell: ({ file }) => write.day(file.from) },
            { head: 'To', cell: ({ file }) => write.day(file.to) },
            {
              key: 'delete',
              head: <span className="visually-hidden">Delete</span>,
              cell: ({ id, file }) => (
                <Button size="small" type="text" aria-label={`Delete ${file.name} and its orders`} onClick={() => void here.remove(id)}>
                  delete
                </Button>
              ),
            },
          ]}
        />
      )}
      {intake.is === 'idle' && (
        <FileField
          label={files.length > 0 ? 'Orders of another time' : 'Orders that your shop exports, as CSV; or drop the files here'}
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
            {intake.is === 'reading' ? 'Reading' : 'Keeping'} {intake.name} …
          </span>
          <Progress percent={Math.round(intake.part * 100)} size="small" />
          <Button size="small" onClick={here.stop}>
            Stop
          </Button>
        </div>
      )}
      {intake.is === 'found' && <ExportReview name={intake.name} found={intake.found} here={here} />}
      {waiting.length > 0 && (
        <p role="status">
          {waiting.length === 1 ? 'Then' : 'Then, one after the other:'} {listed(waiting.slice(0, MOST_NAMED))}
          {waiting.length > MOST_NAMED && ` and ${waiting.length - MOST_NAMED} more`}.
        </p>
      )}
      <p className="quiet">
        The file is read in your browser. Kept are, for each order, its day, what was paid and given back, currency, country, means of
        payment, place of selling, and a number made from the order number by which it is known again. Names, mail addresses and streets are
        never kept.
      </p>
    </section>
  );
}
