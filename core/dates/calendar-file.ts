import dayjs from 'dayjs';
import timezone from 'dayjs/plugin/timezone';
import utc from 'dayjs/plugin/utc';
import { ICalAlarmType, ICalCalendar, ICalEventTransparency } from 'ical-generator';
import { tzlib_get_ical_block } from 'timezones-ical-library';
import { oneLine } from '../fields/one-line';

dayjs.extend(utc);
dayjs.extend(timezone);

/** An entry of a calendar file. */
export interface CalendarEntry {
  /** Unique in the calendar and the same each time, so that importing it again updates it. */
  readonly id: string;
  /** `YYYY-MM-DD`. */
  readonly on: string;
  readonly summary: string;
  readonly description: string;
}

/** How a calendar file is written. */
export interface CalendarOptions {
  /** What tells this calendar's entries apart from those of others, such as the decision's id. */
  readonly calendar: string;
  readonly name: string;
  /** IANA time zone in which the entries stand, such as `Europe/Lisbon`. */
  readonly zone: string;
  /** `HH:MM` of that zone. */
  readonly hour: string;
  /** So many days ahead is reminded, beside on the day itself. */
  readonly remindDays: number;
  /** Grows with every change, so that a calendar knows which copy is the newer one (RFC 5545 §3.8.7.4). */
  readonly sequence: number;
  /** ISO 8601 time at which the file is written. */
  readonly stamp: string;
  /** Address to open from an entry. */
  readonly address: string;
}

const MINUTES = 30;
const SECONDS_A_DAY = 86_400;

/** Whether a text names a time zone that calendars know. */
export function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return name === 'UTC' || vtimezone(name) !== null;
  } catch {
    return false;
  }
}

/** The zone's rules as a calendar has them (RFC 5545 §3.6.5); null for a zone that is not known. */
function vtimezone(name: string): string | null {
  if (name === 'UTC') return null;
  const [block] = tzlib_get_ical_block(name);
  return block?.startsWith('BEGIN:VTIMEZONE') ? block : null;
}

/**
 * A calendar file (RFC 5545): each entry at an hour of its day in the given time zone, whose rules it carries, with
 * reminders ahead and on the day. Its UIDs are the same each time.
 */
export function calendarFile(
  entries: readonly CalendarEntry[],
  { calendar: of, name, zone, hour, remindDays, sequence, stamp, address }: CalendarOptions,
): string {
  const calendar = new ICalCalendar({
    name: oneLine(name),
    prodId: { company: 'Venalis', product: 'Venalis', language: 'EN' },
    timezone: zone === 'UTC' ? zone : { name: zone, generator: vtimezone },
  });
  for (const { id, on, summary, description } of entries) {
    const start = dayjs.tz(`${on}T${hour}:00`, zone);
    const event = calendar.createEvent({
      id: `${id}.${of}@venalis.invalid`,
      start,
      end: start.add(MINUTES, 'minute'),
      timezone: zone,
      stamp: dayjs.utc(stamp).toDate(),
      lastModified: dayjs.utc(stamp).toDate(),
      sequence,
      summary: oneLine(summary),
      description: description
        .split(/\r\n?|\n/)
        .map(oneLine)
        .join('\n'),
      url: address,
      transparency: ICalEventTransparency.TRANSPARENT,
    });
    for (const days of new Set([remindDays, 0]))
      event.createAlarm({ type: ICalAlarmType.display, trigger: days * SECONDS_A_DAY, description: oneLine(summary) });
  }
  return calendar.toString();
}
