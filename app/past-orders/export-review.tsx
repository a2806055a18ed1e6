import { Button } from 'antd';
import type { ColumnRole } from '#core/past-orders/column-role';
import { ChoiceField } from '../components/choice-field';
import { DataTable } from '../components/data-table';
import { Fold } from '../components/fold';
import { useWriter } from '../locale/locale';
import type { FoundExport } from '../../workers/past-orders';
import { ENCODING_WORDS, foundWords, noticedWords, ROLE_WORDS } from './past-orders-words';
import type { PastOrdersHere } from './use-past-orders';

const ROLES = (Object.keys(ROLE_WORDS) as ColumnRole[]).map((value) => ({ value, label: ROLE_WORDS[value] }));

/** What was found in a file, before anything of it is kept: its columns, how it writes days and amounts, what cannot be read. */
export function ExportReview({ name, found, here }: { name: string; found: FoundExport; here: PastOrdersHere }) {
  const write = useWriter();
  const { file, columns, unread } = found;
  const takeAs = (at: number, role: ColumnRole) =>
    here.readAgain({ roles: Object.fromEntries(columns.map((column, index) => [index, index === at ? role : column.role])) });
  return (
    <section aria-label={`What was found in ${name}`} className="export-review">
      <h3>{file ? foundWords(file, write) : 'Which comes first, the day or the month?'}</h3>
      {!file && (
        <p>
          Every date in {name} could be read both ways, such as “{columns.find(({ role }) => role === 'date')?.examples[0]}”.{' '}
          <Button onClick={() => here.readAgain({ dayOrder: 'day-first' })}>The day comes first</Button>{' '}
          <Button onClick={() => here.readAgain({ dayOrder: 'month-first' })}>The month comes first</Button>
        </p>
      )}
      {file && (
        <p>
          <Button type="primary" onClick={here.keep}>
            Keep these orders
          </Button>{' '}
          <Button onClick={here.leave}>Discard</Button>
        </p>
      )}
      {noticedWords(found, write).map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
      {unread.count > 0 && (
        <Fold summary={`${write.number(String(unread.count))} ${unread.count === 1 ? 'row' : 'rows'} could not be read`}>
          <ul>
            {unread.first.map(({ line, why }) => (
              <li key={line}>
                Line {line}: {why}
              </li>
            ))}
          </ul>
          {unread.count > unread.first.length && <p className="quiet">These are the first {unread.first.length}.</p>}
        </Fold>
      )}
      <DataTable
        label="Columns of the file"
        rows={columns.map((column, at) => ({ ...column, at }))}
        keyOf={({ at }) => at}
        columns={[
          { head: 'Column', kind: 'names-row', cell: (column) => column.name || 'without a name' },
          {
            head: 'Is taken for',
            cell: (column) => (
              <ChoiceField
                label={`What ${column.name || 'this column'} is taken for`}
                labelHidden
                value={column.role}
                options={ROLES}
                onChange={(role) => takeAs(column.at, role)}
              />
            ),
          },
          { head: 'Such as', cellClass: 'quiet', cell: ({ examples }) => examples.join(' · ') },
        ]}
      />
      <p className="quiet">
        Written in {ENCODING_WORDS[found.encoding]}, amounts with a decimal {found.decimalSign === ',' ? 'comma' : 'point'}
        {found.dayOrder === 'month-first' ? ', the month before the day' : ''}. Columns that are not used are not kept.
      </p>
    </section>
  );
}
