import { isPlainName } from './amount-rules';
import { wordsOf } from '../wording/charges/words';
import type { Allowance } from '../decision-file/price-sheet-schema';
import type { StatedCharge, StatedTerm, Statement } from './statement';
import { monthWords } from './date-rules';
import { headingOf } from './row-kind';
import { isUsualQuantity, quantityOf, slugOf } from './vocabulary';

/**
 * Writes a decimal so that it can be read back: no groups of thousands, and never three digits behind the sign
 * where they could be a group ("1.2340" instead of "1.234").
 */
export type WritePhraseNumber = (decimal: string) => string;

/** The usual way of writing numbers into phrases, with a decimal point. */
export const withPoint: WritePhraseNumber = (decimal) => (/^[1-9]\d{0,2}\.\d{3}$/.test(decimal) ? `${decimal}0` : decimal);

const amountWords = (amount: string | null, write: WritePhraseNumber) => (amount === null ? '?' : write(amount));

const TERM_WORDS: Readonly<Record<number, string>> = {
  0: 'once, for good',
  1: 'by the month',
  3: 'by the quarter',
  6: 'by the half-year',
  12: 'by the year',
};

function rhythmWords(months: number): string {
  return TERM_WORDS[months] ?? (months % 12 === 0 ? `every ${months / 12} years` : `every ${months} months`);
}

const times = (number: number, one: string) => (number === 1 ? `the first ${one}` : `the first ${number} ${one}s`);

/**
 * A term in words that `readPhrase` reads back as the same term.
 *
 * @example termSentence({ months: 12, price: '258' }, withPoint) // '258 by the year'
 */
export function termSentence(term: StatedTerm, write: WritePhraseNumber): string {
  const { months, price, trialDays, refundDays, prorated, changes = [], renewal } = term;
  const details = [
    term.intro && introWords(term.intro, write),
    renewal && `then ${amountWords(renewal.price, write)} ${rhythmWords(renewal.months)}`,
    ...changes.map((change) => `${write(change.price)} from ${monthWords(change.from)}`),
    trialDays !== undefined && `${trialDays} days free first`,
    refundDays !== undefined && `money back within ${refundDays} days`,
    prorated !== undefined && (prorated ? 'unused part paid back' : 'unused part not paid back'),
  ].filter((detail) => typeof detail === 'string');
  return `${amountWords(price, write)} ${rhythmWords(months)}${details.length > 0 ? ` (${details.join(', ')})` : ''}`;
}

function introWords(intro: NonNullable<StatedTerm['intro']>, write: WritePhraseNumber): string {
  const { periods, until } = intro;
  const price = 'off' in intro ? null : `${amountWords(intro.price, write)}${periods === 1 ? '' : ' each'}`;
  const words = 'off' in intro ? `${write(intro.off)}% off ${times(periods, 'payment')}` : `${times(periods, 'payment')} ${price ?? ''}`;
  return until === undefined ? words : `${words} for those who join by ${monthWords(until)}`;
}

const YES_OR_NO: Readonly<Record<string, string>> = { true: 'yes', false: 'no', null: '?' };
const BUCKET_WORDS = { payment: 'payment', transaction: 'transaction', usage: 'usage', addon: 'add-on' } as const;

/**
 * A charge in words that `readPhrase` reads back as the same charge.
 *
 * @example chargeSentence(cardFee, withPoint) // 'Card fee (payment): 2.7% + 0.25 per order'
 */
export function chargeSentence(charge: StatedCharge, write: WritePhraseNumber): string {
  return `${labelWords(charge.label)} (${BUCKET_WORDS[charge.bucket ?? 'transaction']}): ${chargeWords(charge, write)}`;
}

/** A charge's rate and what bounds and narrows it, without its name. */
export function chargeWords(charge: StatedCharge, write: WritePhraseNumber): string {
  return [wordsOf(charge).phrase(quantityWords(charge.on ?? 'orders'), write), ...boundsOf(charge, write), ...narrowedTo(charge)].join(
    ', ',
  );
}

function boundsOf(charge: StatedCharge, write: WritePhraseNumber): string[] {
  const { monthlyMin, monthlyCap, totalCap, of, credit, against, from, until, taxExcluded } = charge;
  const parts = 'free' in charge && charge.free !== undefined ? [freeWords(charge.free, write)] : [];
  parts.push(...wordsOf(charge).phrasedBounds(write));
  if (monthlyMin !== undefined) parts.push(`at least ${amountWords(monthlyMin, write)} a month`);
  if (monthlyCap !== undefined) parts.push(`at most ${amountWords(monthlyCap, write)} a month`);
  if (totalCap !== undefined) parts.push(`at most ${amountWords(totalCap, write)} in all`);
  if (of === 'net') parts.push('without sales tax');
  if (credit === true) parts.push('as a credit');
  if (against !== undefined) parts.push('only to pay for the plan');
  if (from !== undefined) parts.push(`from ${monthWords(from)}`);
  if (until !== undefined) parts.push(`until ${monthWords(until)}`);
  if (taxExcluded !== undefined) parts.push(taxExcluded ? 'plus tax' : 'tax included');
  return parts;
}

function freeWords(free: Allowance, write: WritePhraseNumber): string {
  if (free === null || typeof free === 'string') return `after the first ${amountWords(free, write)} a month`;
  return `after ${amountWords(free.ratio, write)} free for each of ${quantityWords(free.per)}`;
}

function narrowedTo({ only }: StatedCharge): string[] {
  if (!only) return [];
  const parts: Array<string | undefined> = [
    only.payments && (only.payments === 'own' ? 'with own processing' : 'with an outside processor'),
    only.cards && `only with cards ${names(only.cards)}`,
    only.channels && `only through ${names(only.channels)}`,
    only.kinds && `only for kinds ${names(only.kinds)}`,
    only.streams && `only for the streams ${names(only.streams)}`,
  ];
  return parts.filter((part) => part !== undefined);
}

function names(slugs: readonly string[]): string {
  return slugs.map((slug) => (isPlainName(slug) ? slug : `“${slug}”`)).join(' and ');
}

/** A quantity in words; quoted where the words would be read as another one. */
function quantityWords(slug: string): string {
  const words = slug.replaceAll('-', ' ');
  const isPlain = slug.split('-').every((part) => isPlainName(part)) && slug.split('-').length <= 3 && quantityOf(words, []) === slug;
  return isPlain ? words : `“${slug}”`;
}

/** A feature's name in words; quoted where the words are the heading of something else. */
function featureWords(slug: string): string {
  const words = slug.replaceAll('-', ' ');
  return headingOf(words) === null && !isUsualQuantity(words) && slugOf(words) === slug ? quantityWords(slug) : `“${slug}”`;
}

/** A name in front of a colon; quoted unless it is plain words. */
function labelWords(label: string): string {
  const isPlain =
    /^\p{L}[\p{L}\p{N}’' -]*[\p{L}\p{N}]$/u.test(label) &&
    label.split(' ').length <= 20 &&
    !label.includes('  ') &&
    label.normalize('NFC') === label;
  return isPlain ? label : `“${label.replaceAll('”', '””')}”`;
}

/**
 * Any statement in words that `readPhrase` reads back as the same statement.
 *
 * @param write - how numbers are written; must not group thousands
 */
export function statementSentence(statement: Statement, write: WritePhraseNumber): string {
  switch (statement.kind) {
    case 'term':
      return termSentence(statement.term, write);
    case 'charge':
      return `${chargeSentence(statement.charge, write)}${statement.beyond ? ', beyond what is included' : ''}`;
    case 'introduction': {
      const { intro, time } = statement;
      const length = 'months' in time ? times(time.months, 'month') : times(time.payments, 'payment');
      return 'off' in intro ? `${write(intro.off)}% off ${length}` : `${amountWords(intro.price, write)} each for ${length}`;
    }
    case 'trial':
      return `${statement.days} days free trial`;
    case 'refund':
      return `${statement.days} days money back`;
    case 'prorated':
      return statement.prorated ? 'unused part paid back' : 'unused part not paid back';
    case 'limit': {
      const words = quantityWords(statement.quantity);
      const time = statement.yearly ? ' a year' : '';
      if (statement.most === true) return `no limit on ${words}`;
      return statement.most === null ? `limit of ${words} not known` : `at most ${write(statement.most)} of ${words}${time}`;
    }
    case 'feature': {
      const { value } = statement;
      return `${featureWords(statement.feature)}: ${typeof value === 'string' ? write(value) : (YES_OR_NO[String(value)] ?? '')}`;
    }
    case 'joining':
      return `${write(statement.amount)} on joining for “${statement.label.replaceAll('”', '””')}”`;
    case 'saving':
      return `save ${write(statement.percent)}% by the year`;
    case 'tax':
      return statement.excluded ? 'plus tax' : 'tax included';
    case 'currency':
      return `everything in ${statement.code}`;
    case 'offer':
      return [statement.until && `until ${statement.until}`, statement.forWhom && `for ${statement.forWhom}`].filter(Boolean).join(', ');
  }
}
