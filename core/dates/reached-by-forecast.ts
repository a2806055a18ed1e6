import { decimal, sum } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import { addMonthsToDay } from '../calendar/day-steps';
import { monthsBetween } from '../calendar/month';
import { canBeChosen } from '../comparison/candidate-result';
import type { PricedDecision } from '../comparison/decision-result';
import { assembleToPrice } from '../assembly/assemble-to-price';
import { workbenchInVersion, type Workbench } from '../decision/workbench';
import { exceededLimits } from '../pricing/limits';
import { preparePricing, type Pricing } from '../pricing/pricing';
import { pairBreakEvens } from '../what-if/break-evens';
import type { DateThatMatters, Used } from './date-that-matters';

/** The first month in which each limit is reached by the forecast, or, where it does not reach it, if sales come out hopeful. */
export function limitsReached(workbench: Workbench, pricing: Pricing, used: readonly Used[]): DateThatMatters[] {
  const hopeful = preparePricing(assembleToPrice(workbenchInVersion(workbench, 'hopeful')).file);
  return used.flatMap(({ candidate }) => {
    const expected = limitReached(pricing, candidate);
    const others = limitReached(hopeful, candidate).filter(({ id }) => expected.every((one) => one.id !== id));
    return [...expected, ...others.map((date) => ({ ...date, isIfHopeful: true }))];
  });
}

/** The first month in which each limit is reached, where the forecast reaches it. */
function limitReached(pricing: Pricing, id: string): DateThatMatters[] {
  const candidate = pricing.file.candidates.find((one) => one.id === id);
  if (!candidate) return [];
  const seen = new Set<string>();
  return exceededLimits(pricing, candidate).flatMap(({ limit, month }) => {
    if (seen.has(limit)) return [];
    seen.add(limit);
    return [
      {
        id: `limit-reached.${id}.${limit}`,
        kind: 'limit-reached' as const,
        on: addMonthsToDay(`${pricing.file.start}-01`, month),
        about: candidate.label,
        atStake: null,
        detail: limit,
      },
    ];
  });
}

/** The month whose sales first make another candidate the cheaper one; at stake is what it costs less from then on. */
export function breakEvensReached({ pricing, result }: PricedDecision, used: readonly Used[]): DateThatMatters[] {
  const { file } = pricing;
  const [first] = used;
  if (used.length !== 1 || !first) return [];
  const monthlyOf = (id: string) => result.candidates.find((one) => one.id === id)?.monthly ?? [];
  return pairBreakEvens(file)
    .filter(({ a, b }) => a === first.candidate || b === first.candidate)
    .flatMap(({ a, b, points }) => {
      const other = a === first.candidate ? b : a;
      const canBeUsed = result.candidates.some((one) => one.id === other && canBeChosen(one));
      const point = points.find(({ above, reached }) => above === other && reached !== null);
      if (!canBeUsed || !point?.reached) return [];
      const month = monthsBetween(file.start, point.reached.month);
      const less = sum(monthlyOf(first.candidate).slice(month).map(decimal)).minus(sum(monthlyOf(other).slice(month).map(decimal)));
      const label = file.candidates.find(({ id }) => id === other)?.label ?? other;
      return [
        {
          id: `break-even.${first.candidate}.${other}`,
          kind: 'break-even' as const,
          on: `${point.reached.month}-01`,
          about: label,
          atStake: less.gt(0) ? moneyText(less, file.currency) : null,
          detail: point.monthlySales,
        },
      ];
    });
}
