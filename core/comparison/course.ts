import { type Decimal, ZERO } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import type { Month } from '../calendar/month';
import { exceededLimits } from '../pricing/limits';
import { paymentSchedule } from '../pricing/payment-schedule';
import type { PricedDecision } from './decision-result';

/** What a candidate has cost up to each month, and what happens on the way. */
export interface Course {
  readonly candidate: string;
  /** Added up from the first month, base currency. */
  readonly cumulative: readonly string[];
  /** Months in which a payment costs more (or less) than the one before it for the same thing. */
  readonly renewals: ReadonlyArray<{
    readonly month: Month;
    readonly index: number;
    readonly from: string;
    readonly to: string;
    readonly currency: string;
  }>;
  /** Months (indexes) in which it is outgrown. */
  readonly outgrown: readonly number[];
  /** Whether it can be chosen for the whole horizon. */
  readonly usable: boolean;
}

/** A month in which one candidate's cost so far passes another's. */
export interface CourseCrossing {
  readonly month: Month;
  readonly index: number;
  /** The one that has cost less from then on, and the one that has cost more. */
  readonly cheaper: string;
  readonly dearer: string;
}

/** The courses of some candidates over the horizon. */
export interface Courses {
  readonly months: readonly Month[];
  readonly courses: readonly Course[];
  /** Of each pair, in the order of months. */
  readonly crossings: readonly CourseCrossing[];
}

/** The courses last asked for of what is priced: a page that is shown again asks for the same. */
const followed = new WeakMap<PricedDecision, { readonly ids: string; readonly courses: Courses }>();

/** Follows candidates month by month: what they have cost so far, renewals, outgrown months, and where they cross. */
export function coursesOf(priced: PricedDecision, ids: readonly string[]): Courses {
  const before = followed.get(priced);
  if (before?.ids === ids.join(' ')) return before.courses;
  const courses = follow(priced, ids);
  followed.set(priced, { ids: ids.join(' '), courses });
  return courses;
}

function follow({ pricing, candidates, result }: PricedDecision, ids: readonly string[]): Courses {
  const { currency } = pricing.file;
  const shown = ids.flatMap((id) => candidates.find((one) => one.candidate.id === id) ?? []);
  const sums = shown.map(({ result: one }) => addedUp(one.monthly));
  const courses = shown.map<Course>(({ candidate, result: { usable } }, index) => ({
    candidate: candidate.id,
    cumulative: (sums[index] ?? []).map((amount) => moneyText(amount, currency)),
    renewals: renewalsOf(pricing, candidate, result.months),
    outgrown: [...new Set(exceededLimits(pricing, candidate).map(({ month }) => month))],
    usable,
  }));
  return {
    months: result.months,
    courses,
    crossings: crossingsBetween(
      shown.map(({ candidate }) => candidate.id),
      sums,
      result.months,
    ),
  };
}

function addedUp(monthly: readonly string[]): Decimal[] {
  let sum = ZERO;
  return monthly.map((amount) => (sum = sum.plus(amount)));
}

function renewalsOf(
  pricing: PricedDecision['pricing'],
  candidate: PricedDecision['candidates'][number]['candidate'],
  months: readonly Month[],
): Course['renewals'] {
  const last = new Map<string, Decimal>();
  return paymentSchedule(pricing, candidate).flatMap(({ source, month, charged, currency }) => {
    const key = JSON.stringify(source);
    const before = last.get(key);
    last.set(key, charged);
    if (source.kind !== 'term' || before === undefined || before.eq(charged)) return [];
    return [{ month: months[month] ?? '', index: month, from: moneyText(before, currency), to: moneyText(charged, currency), currency }];
  });
}

function crossingsBetween(ids: readonly string[], sums: ReadonlyArray<readonly Decimal[]>, months: readonly Month[]): CourseCrossing[] {
  const found = ids.flatMap((a, first) =>
    ids.slice(first + 1).flatMap((b, offset) => {
      let sign = 0;
      return months.flatMap((month, index) => {
        const now = (sums[first]?.[index] ?? ZERO).comparedTo(sums[first + 1 + offset]?.[index] ?? ZERO);
        const isCrossing = now !== 0 && sign !== 0 && now !== sign;
        if (now !== 0) sign = now;
        return isCrossing ? [{ month, index, cheaper: now < 0 ? a : b, dearer: now < 0 ? b : a }] : [];
      });
    }),
  );
  return found.sort((a, b) => a.index - b.index);
}
