import { Button } from 'antd';
import type { ColumnRole } from '#core/past-orders/column-role';
import { ChoiceField } from '../components/choice-field';
import { DataTable } from '../components/data-table';
import { Fold } from '../components/fold';
import { useWriter } from '../locale/locale';
import type { FoundExport } from '../../workers/past-orders';
import { ENCODING_WORDS, foundWords, noticedWords, ROLE_WORDS } from './past-orders-words';
import type { PastOrdersHere } from './use-past-orders';
import { exportReview as words } from './words';

const ROLES = (Object.keys(ROLE_WORDS) as ColumnRole[]).map((value) => ({ value, label: ROLE_WORDS[value] }));

/** What was found in a file, before anything of it is kept: its columns, how it writes days and amounts, what cannot be read. */
export function ExportReview({ name, found, here }: { name: string; found: FoundExport; here: PastOrdersHere }) {
  const write = useWriter();
  const { file, columns, unread } = found;
  const takeAs = (at: number, role: ColumnRole) =>
    here.readAgain({ roles: Object.fromEntries(columns.map((column, index) => [index, index === at ? role : column.role])) });
  return (
    <section aria-label={words.whatWasFoundIn(name)} className="export-review">
      <h3>{file ? foundWords(file, write) : words.whichComesFirstTheDay}</h3>
      {!file && (
        <p>
          {words.everyDateInCould(name, columns.find(({ role }) => role === 'date')?.examples[0] ?? '')}{' '}
          <Button onClick={() => here.readAgain({ dayOrder: 'day-first' })}>{words.theDayComesFirst}</Button>{' '}
          <Button onClick={() => here.readAgain({ dayOrder: 'month-first' })}>{words.theMonthComesFirst}</Button>
        </p>
      )}
      {file && (
        <p>
          <Button type="primary" onClick={here.keep}>
            {words.keepTheseOrders}
          </Button>{' '}
          <Button onClick={here.leave}>{words.discard}</Button>
        </p>
      )}
      {noticedWords(found, write).map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
      {unread.count > 0 && (
        <Fold summary={words.couldNotBeRead(write.number(String(unread.count)), unread.count === 1 ? words.row : words.rows)}>
          <ul>
            {unread.first.map(({ line, why }) => (
              <li key={line}>{words.line(line, why)}</li>
            ))}
          </ul>
          {unread.count > unread.first.length && <p className="quiet">{words.theseAreTheFirst(unread.first.length)}</p>}
        </Fold>
      )}
      <DataTable
        label={words.columnsOfTheFile}
        rows={columns.map((column, at) => ({ ...column, at }))}
        keyOf={({ at }) => at}
        columns={[
          { head: words.column, kind: 'names-row', cell: (column) => column.name || words.withoutAName },
          {
            head: words.isTakenFor,
            cell: (column) => (
              <ChoiceField
                label={words.whatIsTakenFor(column.name || words.thisColumn)}
                labelHidden
                value={column.role}
                options={ROLES}
                onChange={(role) => takeAs(column.at, role)}
              />
            ),
          },
          { head: words.suchAs, cellClass: 'quiet', cell: ({ examples }) => examples.join(' · ') },
        ]}
      />
      <p className="quiet">
        {words.writtenInAmountsWithADecimal(
          ENCODING_WORDS[found.encoding],
          found.decimalSign === ',' ? words.comma : words.point,
          found.dayOrder === 'month-first' ? words.theMonthBeforeTheDay : '',
        )}
      </p>
    </section>
  );
}
