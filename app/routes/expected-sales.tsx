import { Button } from 'antd';
import { newStream, withForecast } from '#core/decision/edit-forecast';
import { useDrawnBelow } from '../components/use-drawn-below';
import { MonthsBeside, MonthsTable } from '../sales/months-table';
import { Quantities } from '../sales/quantities';
import { VersionDifferences } from '../sales/version-differences';
import { StreamForm } from '../sales/stream-form';
import { newId } from '../workbench/new-id';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { expectedSales as words } from './words/expected-sales';

/** So many streams fill the first screen. */
const FIRST_SCREEN = 2;

export default function ExpectedSales() {
  const { state } = useWorkbench();
  const edits = useEdits();
  const isDrawnBelow = useDrawnBelow();
  const { currency, forecast } = state.workbench.decision;
  const add = () => {
    const id = newId();
    edits.decision(`stream.${id}`, words.aStreamAdded, (one) =>
      withForecast(one, (before) => ({ ...before, streams: [...before.streams, newStream(id, '')] })),
    );
  };
  return (
    <main className="work" aria-label={words.expectedSales}>
      <h2>{words.whatYouExpectToSell}</h2>
      <p className="quiet">{words.twoFiguresAreEnough}</p>
      <div className="sales-beside">
        <div>
          {(isDrawnBelow ? forecast.streams : forecast.streams.slice(0, FIRST_SCREEN)).map((stream, index) => (
            <StreamForm key={stream.id} stream={stream} currency={currency} only={forecast.streams.length === 1} isFirst={index === 0} />
          ))}
          <p>
            <Button onClick={add}>{words.somethingElseIsSold}</Button>
          </p>
        </div>
        <aside aria-label={words.theMonthsAsAChart}>
          <MonthsBeside />
        </aside>
      </div>
      {isDrawnBelow && (
        <>
          <Quantities drivers={forecast.drivers} streams={forecast.streams} />
          <MonthsTable />
          <VersionDifferences />
        </>
      )}
    </main>
  );
}
