import * as z from 'zod';
import { type CalendarEntry, calendarFile, isTimeZone } from '#core/dates/calendar-file';
import { datesThatMatter } from '#core/dates/dates-that-matter';
import { USUAL_REMINDER_DAYS } from '#core/decision/dates-schema';
import { dateReason, dateTitle } from '../dates/date-words';
import { attachment } from '../server/attachment';
import { openDecision } from '../server/open-decision.server';
import { localeOf } from '../server/locale.server';
import { writerFor } from '../locale/writer';
import { price } from '../workbench/workbench-context';
import type { Route } from './+types/calendar';
import { calendar as words } from './words/calendar';

const querySchema = z.object({
  zone: z.string().max(60).refine(isTimeZone, words.useATimeZone).optional(),
  hour: z
    .string()
    .regex(/^([01]\d|2[0-3]):[0-5]\d$/, words.useAnHourSuch)
    .default('09:00'),
  only: z.string().max(300).optional(),
});

/** The dates of a decision as a calendar file, all or one; in the zone that is asked for, or this computer's own. */
export async function loader({ params, request }: Route.LoaderArgs) {
  const url = new URL(request.url);
  const query = querySchema.safeParse(Object.fromEntries(url.searchParams));
  if (!query.success) throw new Response(query.error.issues[0]?.message ?? words.thisCannotBeRead, { status: 400 });
  const saved = await openDecision(params.decisionId);
  const { zone = Intl.DateTimeFormat().resolvedOptions().timeZone, hour, only } = query.data;
  const { workbench } = saved;
  const { decision } = workbench;
  const write = writerFor(localeOf(request.headers.get('Accept-Language')), decision.currency);
  const entries = datesThatMatter(workbench, price(workbench).priced, decision.verdicts?.at(-1))
    .filter(({ id }) => only === undefined || id === only)
    .map((date): CalendarEntry => ({
      id: date.id,
      on: date.on,
      summary: dateTitle(date),
      description: dateReason(date, decision.currency, write),
    }));
  if (entries.length === 0) throw new Response(words.thereIsNoSuch, { status: 404 });
  const text = calendarFile(entries, {
    calendar: params.decisionId,
    name: decision.name || words.whereToSell,
    zone: isTimeZone(zone) ? zone : 'UTC',
    hour,
    remindDays: decision.dates?.remind ?? USUAL_REMINDER_DAYS,
    sequence: saved.revision,
    stamp: saved.savedAt,
    address: `${url.origin}/decisions/${params.decisionId}/verdict/dates`,
  });
  return attachment(text, 'text/calendar; charset=utf-8', words.dates(decision.name || words.decision), 'ics');
}
