import type { PayingAhead, PayingOption } from '#core/what-if/paying-ahead';
import { termWords } from '#core/wording/term-words';
import type { Writer } from '../../locale/writer';

/** "Paid by the year, Marlpit Grow costs 252 less over 36 months; leave in the first months and up to 560 is lost; it pays from month 11 on." */
export function payingSentence({ options }: PayingAhead, name: string, months: number, write: Writer): string {
  const [shortest, ...others] = options;
  const best = others.reduce<PayingOption | null>(
    (most, one) => (most === null || Number(one.saving) > Number(most.saving) ? one : most),
    null,
  );
  if (!shortest || !best) return '';
  if (Number(best.saving) <= 0)
    return `Paying ahead saves nothing for ${name} over ${months} months: ${termWords(shortest.months)} costs least.`;
  const loss = best.worst
    ? ` Leave after ${best.worst.months} ${best.worst.months === 1 ? 'month' : 'months'} and ${write.amount(best.worst.loss)} is lost;`
    : '';
  const safe = (month: number) => (month <= 1 ? ' it never loses anything.' : ` from month ${month} on nothing is lost any more.`);
  const pays = best.breakEven === null ? ' it is never safe within this time.' : safe(best.breakEven);
  return `Paid ${termWords(best.months)}, ${name} costs ${write.amount(best.saving)} less over ${months} months.${loss}${pays}`;
}
