import type { Condition, Suits, Threshold } from '#core/decision/conditions-schema';
import type { Chosen } from '#core/verdict/give';
import type { Since } from '#core/verdict/since';
import type { GivenVerdict, OpenQuestion, VerdictPart } from '#core/decision/verdict-schema';
import { termWords } from '#core/wording/term-words';
import type { Writer } from '../locale/writer';
import { givesAwayWords, ofHundred } from '../what-if/chance/words';
import { changeWords } from '../what-if/assumption-words';
import type { ComparedBy } from '#core/decision-file/compared-by';
import { COMPARED_WORDS } from '../locale/compared-words';
import { listed } from '../locale/listed';

/** What was chosen, by name: "Marlpit Grow", "Marlpit Grow with Tidewrack Basic for Video club", "Brindle Shop, then Marlpit Grow from April 2028". */
export function partsWords(parts: readonly VerdictPart[], write: Writer): string {
  const [first, ...others] = parts;
  if (!first) return '';
  if (others.some(({ segment }) => segment))
    return `${first.label}, ${others.map(({ label, segment }) => `then ${label}${segment ? ` from ${write.month(segment.from)}` : ''}`).join(', ')}`;
  return [
    first.label,
    ...others.map(({ label, streams = [] }) => `with ${label}${streams.length > 0 ? ` for ${listed(streams)}` : ''}`),
  ].join(' ');
}

/** What of a verdict its sentence says. */
type Told = Pick<Chosen, 'parts' | 'total' | 'runnerUp' | 'comparedBy'> & { readonly keep?: string | null; readonly atLeast?: boolean };

/** "Marlpit Grow costs 7,050 over 24 months, 205 less than Wharfside Trade." By what is left, that comes first. */
export function chosenSentence({ parts, total, keep = null, runnerUp, comparedBy, atLeast }: Told, months: number, write: Writer): string {
  const what = partsWords(parts, write);
  if (total === null) return `${what}: what it comes to is not known.`;
  const over = `over ${months} ${months === 1 ? 'month' : 'months'}`;
  const isMany = parts.length > 1;
  const paid = `${isMany ? 'cost' : 'costs'} ${atLeast ? 'at least ' : ''}${write.amount(total)} ${over}`;
  if (comparedBy === 'keep' && keep !== null && runnerUp)
    return `${what} ${isMany ? 'leave' : 'leaves'} you ${write.amount(keep)}, ${marginWords(runnerUp, write, comparedBy)}; ${isMany ? 'they' : 'it'} ${paid}.`;
  const costs = `${what} ${paid}`;
  return runnerUp ? `${costs}, ${marginWords(runnerUp, write)}.` : `${costs}; there is no other that could be chosen.`;
}

/**
 * Of two together, what each comes to and what both have: "With Kites: Marlpit Grow, €5,100.20. With Video club:
 * Brindle Shop, €1,950.00. Theme is paid for once." Nothing for any other choice.
 */
export function togetherWords({ parts, shared }: Pick<Chosen, 'parts' | 'shared'>, currency: string, write: Writer): string {
  if (!shared) return '';
  const each = parts.map(
    ({ label, streams = [], total }) =>
      `${streams.length > 0 ? `With ${listed(streams)}` : 'With no sales'}: ${label}, ${total === undefined ? 'not known' : write.money(total, currency)}.`,
  );
  const { once, twice } = shared;
  if (once.length > 0) each.push(`${listed(once)} ${once.length === 1 ? 'is' : 'are'} paid for once.`);
  if (twice.length > 0) each.push(`Both have ${listed(twice)}, counted for each; if one is enough, take it out of the other.`);
  return each.join(' ');
}

/** "205 less than Wharfside Trade". */
export function marginWords(
  { label, margin }: { readonly label: string; readonly margin: string },
  write: Writer,
  comparedBy: ComparedBy = 'cost',
): string {
  if (Number(margin) === 0) return `the same as ${label}`;
  const { by, byWorse } = COMPARED_WORDS[comparedBy];
  return `${write.amount(margin.replace('-', ''))} ${Number(margin) < 0 ? byWorse : by} than ${label}`;
}

/** "It comes first in 73 of 100 futures. Choosing it gives away €42 on average …" Nothing where that was not worked out. */
export function chosenByChance(chance: GivenVerdict['chance'], write: Writer): string {
  if (!chance) return '';
  const first = Number(chance.first);
  const all = `${write.number(String(chance.futures))} futures`;
  if (first === 1) return `It comes first in every one of ${all}.`;
  const often = first === 0 ? `none of ${all}` : `${ofHundred(first)} futures`;
  return `It comes first in ${often}. ${givesAwayWords(chance, write)}`;
}

/** A condition as a clause: "from 8,616 a month (180 orders) on", "if you need gift cards". */
export function conditionWords(condition: Condition, write: Writer): string {
  switch (condition.kind) {
    case 'sales': {
      const level = ({ sales, orders }: { sales: string; orders: string }) =>
        `${write.amount(sales)} a month (${write.orders(orders)} orders)`;
      const { from, to } = condition;
      if (!from && !to) return 'at every level of sales looked at';
      if (!from && to) return `below sales of ${level(to)}`;
      if (!from) return '';
      return to ? `from ${level(from)} to ${level(to)}` : `from sales of ${level(from)} on`;
    }
    case 'need':
      return `if you need ${condition.label}`;
    case 'without':
      return `if you can do without ${condition.label}`;
    case 'paid':
      return `if you pay ${termWords(condition.months)}`;
    case 'offers-gone':
      return 'once the special offers are over';
    case 'version':
      return `if sales come out ${condition.version === 'expected' ? 'as expected' : condition.version}`;
    case 'first-year':
      return 'counting the first year alone';
    case 'hours-free':
      return 'with your own hours at nothing';
    case 'chance':
      return `in ${ofHundred(Number(condition.part))} futures`;
  }
}

/** Who costs least under it: "only Lanternroom Circle". */
export function winnerWords(condition: Condition, nameOf: (id: string | null) => string): string {
  if (condition.winner === null) return 'no candidate can be chosen';
  const name = condition.plan ?? nameOf(condition.winner);
  return condition.kind === 'need' && condition.only ? `only ${name}` : name;
}

/** "Orders, all streams: from +17.1% on Wharfside Trade costs least". */
export function thresholdWords(
  threshold: Threshold,
  nameOf: (id: string | null) => string,
  write: Writer,
  comparedBy: ComparedBy = 'cost',
): string {
  const { label, kind, unit, now, at, asIs, winner } = threshold;
  const direction = Number(at) < Number(asIs) ? 'below' : 'from';
  const then = winner === null ? 'no candidate can be chosen' : `${nameOf(winner)} ${COMPARED_WORDS[comparedBy].leads}`;
  return `${label}: ${direction} ${changeWords({ kind, unit, now }, Number(at), write)} ${then}`;
}

/** "Best for a seller with sales up to 8,616 a month who needs subscriptions and video." */
export function suitsSentence(suits: Suits | undefined, write: Writer): string {
  if (!suits) return '';
  const { from, to, needs } = suits;
  const level = (one: { sales: string }) => write.amount(one.sales);
  const upwards = from ? ` with sales from ${level(from)} a month on` : '';
  const bounded = from && to ? ` with sales between ${level(from)} and ${level(to)} a month` : upwards;
  const range = !from && to ? ` with sales up to ${level(to)} a month` : bounded;
  const wants = needs.length > 0 ? ` who needs ${listed(needs.slice(0, 5))}` : '';
  if (range === '' && wants === '') return '';
  return `Best for a seller${range}${wants}.`;
}

const OPEN_WORDS: Readonly<Record<OpenQuestion['kind'], (about: string, figure: string, write: Writer) => string>> = {
  nobody: () => 'No candidate can be chosen as it is: each is outgrown, lacks a must, or rests on a price that is not known.',
  'one-candidate': (about) => `Only ${about} was looked at. Enter the price sheet of one more before relying on it.`,
  'sales-guess': () => 'Sales are one guess. Look up what was sold in a good and in a bad month, and say the season.',
  'price-unknown': (about) => `Ask for what is not known: ${about}.`,
  'answer-unknown': (about) => `Ask whether it can be done: ${about}.`,
  'not-seen': (about) => `Note when the pricing page was looked at: ${about}.`,
  'old-sheet': (about, figure) => `Look at the pricing page again, the oldest was seen ${figure} days ago: ${about}.`,
  close: (about, figure, write) =>
    `Too close to call${about ? ` against ${about}` : ''}${figure ? `: ${write.amount(figure)} apart is less than a guess can be off` : ''}. Choose by what is not money.`,
  'no-fee': (about) => `No card fee is stated for some of the sales; most likely it was forgotten: ${about}.`,
};

/** What to find out next, and why. */
export function openWords({ kind, about, figure = '' }: OpenQuestion, write: Writer): string {
  const shown = about.slice(0, 4);
  return OPEN_WORDS[kind](
    `${shown.join(', ')}${about.length > shown.length ? ` and ${about.length - shown.length} more` : ''}`,
    figure,
    write,
  );
}

/** "Marlpit Grow is now 312 dearer; the verdict still holds; its lead is down from 480 to 168." */
export function sinceSentence(verdict: Pick<GivenVerdict, 'parts' | 'comparedBy'>, stands: Since, write: Writer): string {
  // Two together are two; a way with its moves is one.
  const isTwo = verdict.parts.length > 1 && verdict.parts.every(({ segment }) => segment === undefined);
  return sinceWords({ what: partsWords(verdict.parts, write), isTwo, comparedBy: verdict.comparedBy }, stands, write);
}

/** What was chosen, in words. */
export interface ChosenInWords {
  readonly what: string;
  /** Two, each for a part of the sales. */
  readonly isTwo: boolean;
  readonly comparedBy?: GivenVerdict['comparedBy'];
}

/** The same of a choice by its name. */
export function sinceWords(
  { what, isTwo, comparedBy }: ChosenInWords,
  { standing, dearer, then, now, isOtherMeasure }: Since,
  write: Writer,
): string {
  if (standing === 'gone') return `${what} cannot be worked out any more: it is no longer compared, or no way exists.`;
  if (isOtherMeasure)
    return `The decision is in another currency, over another time or compared by something else now, so figures are not set against each other.`;
  const change =
    dearer === null || Number(dearer) === 0
      ? `${what} ${isTwo ? 'cost' : 'costs'} the same as then`
      : `${what} ${isTwo ? 'are' : 'is'} now ${write.amount(dearer.replace('-', ''))} ${Number(dearer) > 0 ? 'dearer' : 'cheaper'}`;
  if (standing === 'unusable')
    return `${change}, and cannot be chosen as it is: it is outgrown, lacks a must, or rests on a price that is not known.`;
  if (standing === 'overtaken' && now)
    return `${change}; the verdict does not hold any more: ${now.label} ${comparedBy === 'keep' ? 'leaves you' : 'costs'} ${write.amount(now.margin.replace('-', ''))} ${COMPARED_WORDS[comparedBy ?? 'cost'].by}.`;
  return `${change}; the verdict still holds${leadWords(then, now, write)}.`;
}

function leadWords(then: Since['then'], now: Since['now'], write: Writer): string {
  if (!then || !now || then.margin === now.margin) return '';
  const [before, after] = [Number(then.margin), Number(now.margin)];
  if (before < 0 || after < 0) return '';
  return `; its lead is ${after < before ? 'down' : 'up'} from ${write.amount(then.margin)} to ${write.amount(now.margin)}${then.candidate === now.candidate ? '' : `, now before ${now.label}`}`;
}
