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
  const note = (part: Partial<DatesNoted>, label: string) =>
    edits.decision(`dates.${Object.keys(part)[0] ?? ''}`, label, (one) => ({ ...one, dates: { ...one.dates, ...part } }));
  const all = `/decisions/${decisionId}/dates.ics`;
  return (
    <>
      <main className="work" aria-label="Dates">
        {ahead.length === 0 ? <NothingAhead /> : <DatesTable dates={ahead} today={today} to={all} />}
        {past.length > 0 && (
          <Fold summary={`${past.length} ${past.length === 1 ? 'date is' : 'dates are'} over`}>
            <DatesTable dates={past} today={today} to={all} />
          </Fold>
        )}
        <OwnDate
          onAdd={(on, what) => note({ own: [...(noted.own ?? []), { id: newId(), on, what }] }, 'a date of your own')}
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
                  onClick={() => note({ own: (noted.own ?? []).filter((one) => one.id !== id) }, `${what} removed`)}
                >
                  Remove
                </Button>
              </li>
            ))}
          </ul>
        )}
      </main>
      <aside className="margin" aria-label="For your calendar">
        <h2>For your calendar</h2>
        <p>
          <CalendarLink to={all}>All dates as a calendar file</CalendarLink>
        </p>
        <p className="quiet">Import it again after a change: entries that are there already are brought up to date.</p>
        <div className="date-fields">
          <DayField
            fieldKey="dates.joins"
            label="You join on"
            value={noted.joins ?? `${decision.start}-01`}
            onChange={(joins) => joins && note({ joins }, 'the day of joining')}
          />
          <NumberField
            fieldKey="dates.remind"
            label="Reminds ahead by"
            value={String(noted.remind ?? USUAL_REMINDER_DAYS)}
            suffix="days"
            range={{ least: 0, most: 90, whole: true, wanted: 'a number of days' }}
            onChange={(remind) => note({ remind: Number(remind) }, 'the reminder')}
          />
          <NumberField
            fieldKey="dates.lookAgain"
            label="Look at prices again after"
            value={String(noted.lookAgain ?? USUAL_LOOK_AGAIN_DAYS)}
            suffix="days"
            range={{ least: 7, most: 730, whole: true, wanted: 'a number of days' }}
            onChange={(lookAgain) => note({ lookAgain: Number(lookAgain) }, 'when to look again')}
          />
        </div>
        <p className="quiet">
          {decision.verdicts?.length
            ? `For ${verdictName(decision.verdicts)}, as the verdict says.`
            : 'For the cheapest candidate, until a verdict is given.'}
        </p>
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
          head: 'Day',
          kind: 'names-row',
          cell: (date) => (
            <>
              {write.day(date.on)}
              <small className="block quiet">{daysLeftWords(daysLeft(date, today))}</small>
            </>
          ),
        },
        {
          head: 'What, and why',
          cell: (date) => (
            <>
              <b>{dateTitle(date)}</b>
              <small className="block quiet">{dateReason(date, currency, write)}</small>
            </>
          ),
        },
        { head: 'At stake', kind: 'figures', cell: ({ atStake }) => (atStake === null ? '' : write.money(atStake, currency)) },
        {
          key: 'calendar',
          head: <span className="visually-hidden">Calendar</span>,
          cell: (date) => (
            <CalendarLink to={`${to}?only=${encodeURIComponent(date.id)}`} label={`${dateTitle(date)}: calendar file`}>
              calendar
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
      <DayField fieldKey="dates.own" label="A date of your own" value={on} onChange={(day) => setOn(day ?? today)} />
      <TextField label="What" value={what} onChange={setWhat} />
      <Button htmlType="submit">Add it</Button>
      {isWanted && what.trim() === '' && (
        <p className="field-problem" role="alert">
          Enter what to do on that day.
        </p>
      )}
    </form>
  );
}

/** What will stand here, while no date lies ahead. */
function NothingAhead() {
  return (
    <>
      <h2>No dates ahead</h2>
      <p className="limit-width">
        When a trial ends, an offer runs out, a price goes up or a refund is no longer possible, you find the day here and in your calendar,
        with what it is worth. Days come from the price sheets and from the verdict you keep; add your own below.
      </p>
    </>
  );
}
