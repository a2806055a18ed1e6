import type { DateThatMatters } from '#core/dates/date-that-matters';
import { termWords } from '#core/wording/term-words';
import type { Writer } from '../locale/writer';

/** What a day is, in a few words: "Trial of Lanternroom Circle ends". */
export function dateTitle({ kind, about, detail, atStake }: DateThatMatters): string {
  switch (kind) {
    case 'joins':
      return `Begin with ${about}`;
    case 'trial-ends':
      return `Trial of ${about} ends`;
    case 'refund-ends':
      return `Last day for a refund from ${about}`;
    case 'price-rises':
      return `${about}: the introductory price is over`;
    case 'renewal':
      return `${about} renews`;
    case 'offer-ends':
      return `Special offer of ${about} ends`;
    case 'limit-reached':
      return `${about}: limit of ${(detail ?? '').replaceAll('-', ' ')} reached`;
    case 'break-even':
      return atStake === null ? `Sales where ${about} costs less` : `${about} begins to cost less`;
    case 'move':
      return `Move to ${about}`;
    case 'look-again':
      return `Look at the prices of ${about} again`;
    case 'verdict-again':
      return 'Look at the verdict again';
    case 'own':
      return about;
  }
}

/** Why it matters and what is at stake, in a sentence. */
export function dateReason(
  { kind, about, atStake, detail, months, isIfHopeful }: DateThatMatters,
  currency: string,
  write: Writer,
): string {
  const money = atStake === null ? '' : write.price(atStake, currency);
  switch (kind) {
    case 'joins':
      return 'The horizon begins here; trials and refund windows count from the day you join.';
    case 'trial-ends':
      return `Cancel before, or ${money ? `${money} falls due` : 'the first payment falls due'}${months ? `, then ${termWords(months)}` : ''}.`;
    case 'refund-ends':
      return `After this date the ${money} can’t be refunded.`;
    case 'price-rises':
      return `From now on ${write.price(detail ?? '0', currency)} ${months ? termWords(months) : ''}, ${money} ${Number(atStake) < 0 ? 'less' : 'more'} than before. Decide whether it is worth that.`;
    case 'renewal':
      return `${money || 'The next payment'} falls due ${months ? termWords(months) : ''}. Cancel before, if you want to leave.`;
    case 'offer-ends':
      return `Joining before it ends saves ${money} over the horizon.`;
    case 'limit-reached':
      return isIfHopeful
        ? 'If sales come out hopeful, this is the first month above the limit. Watch them, and move up before it.'
        : 'By your forecast this is the first month above the limit. Move up before it.';
    case 'break-even':
      return money
        ? `By your forecast sales reach ${write.amount(detail ?? '0')} a month: from there ${about} costs less, ${money} over the rest of the horizon. See whether moving is worth it.`
        : `By your forecast sales reach ${write.amount(detail ?? '0')} a month for the first time, where ${about} costs less; over the rest of the horizon it does not yet. Watch whether they stay there.`;
    case 'move':
      return 'The way through the horizon moves here. Begin to set it up before.';
    case 'look-again':
      return 'Prices may have changed since they were seen.';
    case 'verdict-again':
      return `Half a year after the verdict. ${money && Number(atStake) > 0 ? `It was ahead by ${money}.` : 'See whether it still holds.'}`;
    case 'own':
      return '';
  }
}

/** "in 12 days", "today", "3 days ago". */
export function daysLeftWords(days: number): string {
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  return days > 0 ? `in ${days} days` : `${-days} ${days === -1 ? 'day' : 'days'} ago`;
}
