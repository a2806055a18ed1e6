import { daysBetween } from '../calendar/day';
import { addDays, addMonthsToDay } from '../calendar/day-steps';
import { monthsBetween } from '../calendar/month';
import { bestCandidate } from '../comparison/best';
import type { PricedDecision } from '../comparison/decision-result';
import type { Workbench } from '../decision/workbench';
import { sheetLabel } from '../decision/sheet-label';
import type { Pricing } from '../pricing/pricing';
import { partsOf } from '../price-sheet/parts';
import { offerEnds } from '../price-sheet/offer-ends';
import { lookAtOffers } from '../what-if/offers';
import type { GivenVerdict } from '../decision/verdict-schema';
import { USUAL_LOOK_AGAIN_DAYS } from '../decision/dates-schema';
import type { DateThatMatters, Used } from './date-that-matters';
import { datesOfCandidate } from './dates-of-terms';
import { breakEvensReached, limitsReached } from './reached-by-forecast';

const LAST_COUNTABLE = '9000-12-31';
/** Looked at again half a year after a verdict. */
const VERDICT_AGAIN_DAYS = 182;

/** What a verdict or, without one, the best candidate makes use of. */
export function usedIn(verdict: GivenVerdict | undefined, priced: PricedDecision): Used[] {
  const { start, months, candidates, forecast } = priced.pricing.file;
  const isThere = (id: string) => candidates.some((candidate) => candidate.id === id);
  const best = bestCandidate(priced);
  if (!verdict) return best === null ? [] : [{ candidate: best, from: 0, months }];
  return verdict.parts
    .filter(({ candidate }) => isThere(candidate))
    .map(({ candidate, segment, streams }) => ({
      candidate,
      from: segment ? Math.max(0, monthsBetween(start, segment.from)) : 0,
      months: segment?.months ?? months,
      ...(streams ? { streams: forecast.streams.filter(({ id, label }) => streams.includes(label || id)).map(({ id }) => id) } : {}),
    }));
}

/**
 * The days that matter for what is used: trial ends, refund windows, rises of the price, renewals, offers that end,
 * limits and break-evens that the forecast reaches, moves, days to look again, and the person's own; the earliest first.
 */
export function datesThatMatter(workbench: Workbench, priced: PricedDecision, verdict: GivenVerdict | undefined): DateThatMatters[] {
  const { decision } = workbench;
  const { pricing } = priced;
  const used = usedIn(verdict, priced);
  const joins = countable(decision.dates?.joins ?? `${decision.start}-01`);
  const all = [
    ...used.flatMap((one, index) => datesOfCandidate(pricing, one, index, addMonthsToDay(joins, one.from), used[index - 1]?.candidate)),
    ...limitsReached(workbench, pricing, used),
    ...breakEvensReached(priced, used),
    ...offersEnding(workbench, priced, verdict ? used : decision.candidates.map(({ id }) => ({ candidate: id }))),
    ...lookAgain(workbench, used, pricing),
    ...(verdict
      ? [
          {
            id: 'verdict-again',
            kind: 'verdict-again' as const,
            on: addDays(countable(verdict.on), VERDICT_AGAIN_DAYS),
            about: '',
            atStake: verdict.runnerUp?.margin ?? null,
          },
        ]
      : []),
    ...(decision.dates?.own ?? []).map(({ id, on, what }) => ({ id: `own.${id}`, kind: 'own' as const, on, about: what, atStake: null })),
  ];
  const key = ({ on, id }: (typeof all)[number]) => `${on} ${id}`;
  return all.sort((a, b) => (key(a) < key(b) ? -1 : 1));
}

/** A day from which centuries can still be counted on: files may state any up to the year 9999. */
function countable(day: string): string {
  return day < LAST_COUNTABLE ? day : LAST_COUNTABLE;
}

/** Special offers of candidates, where a price sheet says until when they hold. */
function offersEnding(
  workbench: Workbench,
  { pricing }: PricedDecision,
  of: ReadonlyArray<{ readonly candidate: string }>,
): DateThatMatters[] {
  const ids = new Set(of.map(({ candidate }) => candidate));
  return lookAtOffers(pricing.file, []).offers.flatMap(({ id, part, term, label, candidates, saves }) => {
    const on = candidates.some((candidate) => ids.has(candidate)) ? offerEnds(workbench, part, term) : null;
    return on === null
      ? []
      : [{ id: `offer-ends.${id.replaceAll(' ', '.')}`, kind: 'offer-ends' as const, on, about: label, atStake: saves }];
  });
}

/** When to look at the price sheets that are used again. */
function lookAgain({ sheets, decision }: Workbench, used: readonly Used[], pricing: Pricing): DateThatMatters[] {
  const after = decision.dates?.lookAgain ?? USUAL_LOOK_AGAIN_DAYS;
  const parts = new Set(
    pricing.file.candidates
      .filter(({ id }) => used.some(({ candidate }) => candidate === id))
      .flatMap(({ plans, addons = [], payments }) => [
        ...plans.map(({ plan }) => plan),
        ...addons.map(({ addon }) => addon),
        ...(typeof payments === 'string' ? [payments] : (payments ?? []).map(({ use }) => use)),
      ]),
  );
  return sheets.flatMap(({ id, sheet }) => {
    if (!sheet.seen || !partsOf(sheet).some((part) => parts.has(part.id))) return [];
    return [
      {
        id: `look-again.${id}`,
        kind: 'look-again' as const,
        on: addDays(countable(sheet.seen), after),
        about: sheetLabel(sheet),
        atStake: null,
      },
    ];
  });
}

/** How many days are left to a day; less than nothing once it is over. */
export function daysLeft({ on }: DateThatMatters, today: string): number {
  return daysBetween(today, on);
}
