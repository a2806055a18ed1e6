import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { datesThatMatter, daysLeft } from '#core/dates/dates-that-matter';
import type { DateThatMatters } from '#core/dates/date-that-matters';
import { type DatesNoted, USUAL_LOOK_AGAIN_DAYS, USUAL_REMINDER_DAYS } from '#core/decision/dates-schema';
import { verdictName } from '#core/verdict/verdict-name';
import { DataTable } from '../components/data-table';
import { DayField } from '../components/day-field';
import { Fold } from '../components/fold';
import { NumberField } from '../components/number-field';
import { TextField } from '../components/text-field';
import { dateReason, dateTitle, daysLeftWords } from '../dates/date-words';
import { useWriter } from '../locale/locale';
import { newId } from '../workbench/new-id';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { todayHere, whileAway } from '../workbench/while-away';
import type { Route } from './+types/dates';
import { dates as words } from './words/dates';

export function loader() {
  return { today: new Date().toISOString().slice(0, 10) };
}

export function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  return whileAway(serverLoader, todayHere);
}

/** Days by which something has to be done, for the calendar. */
export default function Dates({ loaderData: { today } }: Route.ComponentProps) {
  const { state, atForecast, decisionId } = useWorkbench();
  const edits = useEdits();
  const { decision } = state.workbench;
  const dates = useMemo(
    () => datesThatMatter(state.workbench, atForecast.priced, decision.verdicts?.at(-1)),
    [state.workbench, atForecast, decision.verdicts],
  );
  const [ahead, past] = [dates.filter((one) => daysLeft(one, today) >= 0), dates.filter((one) => daysLeft(one, today) < 0)];
  const noted = decision.dates ?? {};
  const chosen = verdictName(decision.verdicts);
  const note = (part: Partial<DatesNoted>, label: string) =>
    edits.decision(`dates.${Object.keys(part)[0] ?? ''}`, label, (one) => ({ ...one, dates: { ...one.dates, ...part } }));
  const all = `/decisions/${decisionId}/dates.ics`;
  return (
    <>
      <main className="work" aria-label={words.dates}>
        {ahead.length === 0 ? <NothingAhead /> : <DatesTable dates={ahead} today={today} to={all} />}
        {past.length > 0 && (
          <Fold summary={words.over(past.length, past.length === 1 ? words.dateIs : words.datesAre)}>
            <DatesTable dates={past} today={today} to={all} />
          </Fold>
        )}
        <OwnDate
          onAdd={(on, what) => note({ own: [...(noted.own ?? []), { id: newId(), on, what }] }, words.aDateOfYourOwn)}
          today={today}
        />
        {(noted.own ?? []).length > 0 && (
          <ul className="plain-list">
            {(noted.own ?? []).map(({ id, what }) => (
              <li key={id}>
                {what}{' '}
                <Button
                  type="link"
                  size="small"
                  onClick={() => note({ own: (noted.own ?? []).filter((one) => one.id !== id) }, words.removed(what))}
                >
                  {words.remove}
                </Button>
              </li>
            ))}
          </ul>
        )}
      </main>
      <aside className="margin" aria-label={words.forYourCalendar}>
        <h2>{words.forYourCalendar}</h2>
        <p>
          <CalendarLink to={all}>{words.allDatesAsACalendar}</CalendarLink>
        </p>
        <p className="quiet">{words.importItAgainAfter}</p>
        <div className="date-fields">
          <DayField
            fieldKey="dates.joins"
            label={words.youJoinOn}
            value={noted.joins ?? `${decision.start}-01`}
            onChange={(joins) => joins && note({ joins }, words.theDayOfJoining)}
          />
          <NumberField
            fieldKey="dates.remind"
            label={words.remindsAheadBy}
            value={String(noted.remind ?? USUAL_REMINDER_DAYS)}
            suffix={words.days}
            range={{ least: 0, most: 90, whole: true, wanted: words.aNumberOfDays }}
            onChange={(remind) => note({ remind: Number(remind) }, words.theReminder)}
          />
          <NumberField
            fieldKey="dates.lookAgain"
            label={words.lookAtPricesAgain}
            value={String(noted.lookAgain ?? USUAL_LOOK_AGAIN_DAYS)}
            suffix={words.days}
            range={{ least: 7, most: 730, whole: true, wanted: words.aNumberOfDays }}
            onChange={(lookAgain) => note({ lookAgain: Number(lookAgain) }, words.whenToLookAgain)}
          />
        </div>
        <p className="quiet">{chosen === null ? words.forTheCheapestCandidate : words.forAsTheVerdictSays(chosen)}</p>
      </aside>
    </>
  );
}

function DatesTable({ dates, today, to }: { dates: readonly DateThatMatters[]; today: string; to: string }) {
  const { state } = useWorkbench();
  const write = useWriter();
  const { currency } = state.workbench.decision;
  return (
    <DataTable
      className="dates"
      rows={dates}
      keyOf={({ id }) => id}
      columns={[
        {
          head: words.day,
          kind: 'names-row',
          cell: (date) => (
            <>
              {write.day(date.on)}
              <small className="block quiet">{daysLeftWords(daysLeft(date, today))}</small>
            </>
          ),
        },
        {
          head: words.whatAndWhy,
          cell: (date) => (
            <>
              <b>{dateTitle(date)}</b>
              <small className="block quiet">{dateReason(date, currency, write)}</small>
            </>
          ),
        },
        { head: words.atStake, kind: 'figures', cell: ({ atStake }) => (atStake === null ? '' : write.money(atStake, currency)) },
        {
          key: 'calendar',
          head: <span className="visually-hidden">{words.calendar}</span>,
          cell: (date) => (
            <CalendarLink to={`${to}?only=${encodeURIComponent(date.id)}`} label={words.calendarFile(dateTitle(date))}>
              {words.calendarLink}
            </CalendarLink>
          ),
        },
      ]}
    />
  );
}

/** A link to a calendar file; on the way the browser says in which time zone it is. */
function CalendarLink({ to, label, children }: { to: string; label?: string; children: string }) {
  const withZone = (address: string) =>
    `${address}${address.includes('?') ? '&' : '?'}zone=${encodeURIComponent(Intl.DateTimeFormat().resolvedOptions().timeZone)}`;
  return (
    <a href={to} download aria-label={label} onClick={(event) => (event.currentTarget.href = withZone(to))}>
      {children}
    </a>
  );
}

/** One more date, in the person's own words. */
function OwnDate({ onAdd, today }: { onAdd(on: string, what: string): void; today: string }) {
  const [on, setOn] = useState<string>(today);
  const [what, setWhat] = useState('');
  const [isWanted, setWanted] = useState(false);
  return (
    <form
      className="keep-scenario"
      onSubmit={(event) => {
        event.preventDefault();
        setWanted(what.trim() === '');
        if (what.trim() === '') return;
        onAdd(on, what.trim());
        setWhat('');
      }}
    >
      <DayField fieldKey="dates.own" label={words.dateOfYourOwnLabel} value={on} onChange={(day) => setOn(day ?? today)} />
      <TextField label={words.what} value={what} onChange={setWhat} />
      <Button htmlType="submit">{words.addIt}</Button>
      {isWanted && what.trim() === '' && (
        <p className="field-problem" role="alert">
          {words.enterWhatToDo}
        </p>
      )}
    </form>
  );
}

/** What will stand here, while no date lies ahead. */
function NothingAhead() {
  return (
    <>
      <h2>{words.noDatesAhead}</h2>
      <p className="limit-width">{words.whenATrialEnds}</p>
    </>
  );
}
