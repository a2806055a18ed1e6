import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { useFetcher } from 'react-router';
import { addMonths, monthsBetween, monthsFrom } from '#core/calendar/month';
import { orderFiles } from '#data/past-orders';
import { exampleMonth } from '#core/afterwards/example-month';
import type { ActualsReading } from '#core/afterwards/read-actuals';
import type { Actuals } from '#core/decision/actuals-schema';
import { usedIn } from '#core/dates/dates-that-matter';
import { USUAL_MOVING } from '#core/route/moving-costs';
import * as places from '../first-steps/places-in-words';
import { FileField } from '../components/file-field';
import { ActualsChart } from '../afterwards/actuals-chart';
import { Payouts } from '../afterwards/payouts';
import { ActualsTable } from '../afterwards/actuals-table';
import { adviceSentence, exampleSentence, soFarSentence } from '../afterwards/afterwards-words';
import { useWriter } from '../locale/locale';
import { partsWords } from '../verdict/verdict-words';
import { database } from '../server/database.server';
import { NobodyToChoose, NothingToAsk, useAskedDecision, Working } from '../what-if/asked-decision';
import { useWhatIf } from '../what-if/use-what-if';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { todayHere, whileAway } from '../workbench/while-away';
import type { Route } from './+types/afterwards';
import { afterwards as words } from './words/afterwards';

export async function loader({ params: { decisionId } }: Route.LoaderArgs) {
  return { today: new Date().toISOString().slice(0, 10), files: await orderFiles(await database(), decisionId) };
}

export function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  return whileAway(serverLoader, () => ({ ...todayHere(), files: [] }));
}

const NONE: Actuals = {};
/** Months that stand open for typing beside those that are known. */
const OPEN_MONTHS = 3;

/** How it turned out: real sales and bills against the forecast, and whether to move. */
export default function Afterwards({ loaderData }: Route.ComponentProps) {
  return (
    <NothingToAsk needs="one" place={places.afterwards}>
      <HowItTurnedOut {...loaderData} />
    </NothingToAsk>
  );
}

function HowItTurnedOut({ today, files }: Route.ComponentProps['loaderData']) {
  const { state } = useWorkbench();
  const { file, priced, nameOf } = useAskedDecision();
  const write = useWriter();
  const { actuals = NONE, verdicts, whatIf } = state.workbench.decision;
  const verdict = verdicts?.at(-1);
  const used = useMemo(() => usedIn(verdict, priced.priced), [verdict, priced]);
  const moving = whatIf?.moving ?? USUAL_MOVING;
  const isExample = Object.keys(actuals).length === 0;
  const example = useMemo(() => (isExample ? exampleMonth(priced.priced) : NONE), [isExample, priced]);
  const question = useMemo(
    () => ({ kind: 'afterwards' as const, used, actuals: isExample ? example : actuals, moving }),
    [used, actuals, isExample, example, moving],
  );
  const { answer, ...working } = useWhatIf<'afterwards'>(file, question);
  const [isAll, setAll] = useState(false);
  const known = Math.max(
    -1,
    ...Object.keys(actuals).map((month) => monthsBetween(file.start, month)),
    monthsBetween(file.start, today.slice(0, 7)) - 1,
  );
  const shown = isAll ? file.months : Math.min(file.months, Math.max(known + 1, 0) + OPEN_MONTHS);
  if (used.length === 0)
    return (
      <main className="work" aria-label={words.afterwards}>
        <NobodyToChoose />
      </main>
    );
  return (
    <>
      <main className="work afterwards" aria-label={words.afterwards} aria-busy={working.isBusy}>
        {isExample && <p className="says">{exampleSentence(example, answer?.against ?? null, write)}</p>}
        {!isExample && answer && <p className="says">{soFarSentence(answer.against, write)}</p>}
        {!isExample && answer?.advice && (
          <p className={`stands ${answer.advice.move ? 'is-shaken' : ''}`}>{adviceSentence(answer.advice, nameOf, write)}</p>
        )}
        <ActualsTable
          months={monthsFrom(file.start, shown)}
          actuals={actuals}
          against={isExample ? [] : (answer?.against.months ?? [])}
          currency={file.currency}
        />
        {shown < file.months && (
          <p className="add-row">
            <Button type="link" onClick={() => setAll(true)}>
              {words.allMonthsTo(write.month(addMonths(file.start, file.months - 1)))}
            </Button>
          </p>
        )}
        {!isExample && answer && <ActualsChart months={answer.against.months} />}
        <Payouts files={files} candidate={used[0]?.candidate ?? ''} />
        <Working {...working} />
      </main>
      <aside className="margin" aria-label={words.whereTheFiguresCome}>
        <h2>{words.fromAFile}</h2>
        <FromFile actuals={actuals} />
        <h2>{words.howItIsExplained}</h2>
        <p>
          {words.forFirstWhatOther(
            verdict
              ? words.theVerdict(partsWords(verdict.parts, write))
              : words.theCheapestUntilAVerdict(nameOf(used[0]?.candidate ?? null)),
          )}
        </p>
        <p className="quiet">{words.aBillThatIsNotEntered}</p>
      </aside>
    </>
  );
}

/** Real months from a CSV file; months that it has replace those that are there. */
function FromFile({ actuals }: { actuals: Actuals }) {
  const edits = useEdits();
  const fetcher = useFetcher<ActualsReading>();
  const reading = fetcher.state === 'idle' ? fetcher.data : undefined;
  const [taken, setTaken] = useState<ActualsReading | null>(null);
  const months = Object.keys(reading?.actuals ?? {});
  const take = () => {
    if (!reading) return;
    edits.decision('actuals', words.realMonthsFromAFile, (one) => ({
      ...one,
      actuals: { ...(one.actuals ?? actuals), ...reading.actuals },
    }));
    setTaken(reading);
  };
  return (
    <>
      <FileField
        label={words.csvWithAColumn}
        accept=".csv,.txt,text/csv,text/plain"
        onFiles={([file]) =>
          void file?.text().then((text) => fetcher.submit(text, { method: 'post', action: '/read-actuals', encType: 'text/plain' }))
        }
      />
      {reading && reading.problems.length > 0 && (
        <ul className="plain-list problem" role="alert">
          {reading.problems.map((problem) => (
            <li key={problem}>{problem}</li>
          ))}
        </ul>
      )}
      {reading && months.length > 0 && reading !== taken && (
        <p>
          {words.read(months.length, months.length === 1 ? words.monthWas : words.monthsWere)}{' '}
          <Button size="small" onClick={take}>
            {words.addThem}
          </Button>
        </p>
      )}
      {reading && reading === taken && <p role="status">{words.added}</p>}
    </>
  );
}
