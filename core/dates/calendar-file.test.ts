import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { calendarFile, type CalendarEntry, type CalendarOptions, isTimeZone } from './calendar-file';

const OPTIONS: CalendarOptions = {
  calendar: 'kites',
  name: 'Kites, 2027',
  zone: 'Europe/Lisbon',
  hour: '09:00',
  remindDays: 7,
  sequence: 12,
  stamp: '2026-11-25T10:00:00.000Z',
  address: 'http://127.0.0.1:4173/decisions/kites/verdict/dates',
};
const ENTRIES: CalendarEntry[] = [
  {
    id: 'trial-ends.A',
    on: '2027-01-15',
    summary: 'Trial of Tidewrack; ends',
    description:
      'First payment of 27.00, or cancel.\nA line that is long enough to be folded, since lines of a calendar file are seventy-five octets at the most – ä ö ü',
  },
  { id: 'renewal.A.1', on: '2027-07-15', summary: 'Renewal', description: '258.00' },
];

/** Reads a calendar with a parser that is not the writer's own. */
function read(text: string) {
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
  for (const zone of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);
  return calendar.getAllSubcomponents('vevent').map((event) => ({ event: new ICAL.Event(event), component: event }));
}

describe('a calendar file', () => {
  it('is read back by an independent parser with all it says', () => {
    const events = read(calendarFile(ENTRIES, OPTIONS));
    expect(events.map(({ event }) => [event.uid, event.summary, event.description])).toEqual(
      ENTRIES.map(({ id, summary, description }) => [`${id}.kites@venalis.invalid`, summary, description]),
    );
    expect(events.map(({ event }) => event.sequence)).toEqual([12, 12]);
  });

  it('stands at the hour of the time zone, in winter and in summer', () => {
    const starts = (zone: string) =>
      read(calendarFile(ENTRIES, { ...OPTIONS, zone })).map(({ event }) => [
        event.startDate.toString(),
        event.startDate.toJSDate().toISOString(),
      ]);
    expect(starts('Europe/Lisbon')).toEqual([
      ['2027-01-15T09:00:00', '2027-01-15T09:00:00.000Z'],
      ['2027-07-15T09:00:00', '2027-07-15T08:00:00.000Z'],
    ]);
    expect(starts('UTC').map(([, utc]) => utc)).toEqual(['2027-01-15T09:00:00.000Z', '2027-07-15T09:00:00.000Z']);
    // South of the equator summer time is the other half of the year.
    expect(starts('Australia/Hobart').map(([, utc]) => utc)).toEqual(['2027-01-14T22:00:00.000Z', '2027-07-14T23:00:00.000Z']);
  });

  it('reminds ahead and on the day', () => {
    const [first] = read(calendarFile(ENTRIES, OPTIONS));
    const triggers = first?.component
      .getAllSubcomponents('valarm')
      .map((alarm) => (alarm.getFirstPropertyValue('trigger') as InstanceType<typeof ICAL.Duration>).toSeconds());
    expect(triggers).toEqual([-7 * 86_400, 0]);
    const [onTheDay] = read(calendarFile(ENTRIES, { ...OPTIONS, remindDays: 0 }));
    expect(onTheDay?.component.getAllSubcomponents('valarm')).toHaveLength(1);
  });

  it('bears the same identifiers each time, whatever has changed', () => {
    const uids = (entries: CalendarEntry[], sequence: number) =>
      read(calendarFile(entries, { ...OPTIONS, sequence })).map(({ event }) => event.uid);
    expect(
      uids(
        ENTRIES.map((entry) => ({ ...entry, on: '2028-01-01', summary: 'other' })),
        13,
      ),
    ).toEqual(uids(ENTRIES, 12));
  });

  it('keeps to the lines of the standard', () => {
    const lines = calendarFile(ENTRIES, OPTIONS).split('\r\n');
    expect(lines.every((line) => Buffer.byteLength(line) <= 75 && !line.includes('\n'))).toBe(true);
    expect(lines[0]).toBe('BEGIN:VCALENDAR');
  });

  it('has no lines of a name’s making', () => {
    const forged = 'Kites\r\nBEGIN:VEVENT\r\nUID:forged\r\nEND:VEVENT';
    const lines = calendarFile([{ id: 'a', on: '2027-01-15', summary: forged, description: `first\r\nBEGIN:VALARM` }], {
      ...OPTIONS,
      name: forged,
    }).split('\r\n');
    expect(lines.filter((line) => line === 'BEGIN:VEVENT')).toHaveLength(1);
    expect(lines.filter((line) => line === 'BEGIN:VALARM')).toHaveLength(2);
    expect(lines.some((line) => line.startsWith('UID:forged'))).toBe(false);
  });

  it.each([
    ['Europe/Berlin', true],
    ['America/Sao_Paulo', true],
    ['UTC', true],
    ['Mars/Olympus', false],
    ['', false],
    ['../etc', false],
  ])('knows whether %s is a time zone: %s', (zone, expected) => {
    expect(isTimeZone(zone)).toBe(expected);
  });
});
