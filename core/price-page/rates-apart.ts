import type { StatedCharge, Statement } from '../price-phrase/statement';
import type { Fact } from './page-reading';
import type { PlanBeingRead, ReadingBuilder } from './reading-builder';
import { askWhichHolds } from './ask-which-holds';

type Only = NonNullable<StatedCharge['only']>;

/** A rate of taking a payment, and which payments its words are about. */
interface Rate {
  readonly fact: Fact;
  readonly only: Only;
  /** What it is about, in small letters. */
  readonly words: string;
  /** A way of paying that is no card: counted by itself, in any channel. */
  readonly way: string | null;
}

/** Ways of paying that have rates of their own, by the name that a forecast gives them. */
const WAYS: ReadonlyArray<readonly [RegExp, string]> = [
  [/\b(?:direct|bank) debits?\b|\bsepa\b/, 'direct-debit'],
  [/\b(?:bank|credit|wire) transfers?\b|\bbank (?:payments?|redirects?)\b/, 'bank-transfer'],
  [/\bpay(?:ment)?[- ]later\b|\binstal?ments?\b/, 'pay-later'],
  [/\b(?:payment|pay|by) links?\b|\blinks?\b/, 'payment-link'],
  [/\binvoic(?:es?|ing)\b/, 'invoice'],
  [/\bwallets?\b/, 'wallet'],
  [/\bvouchers?\b/, 'voucher'],
  [/\b(?:card on file|saved cards?)\b/, 'card-on-file'],
];
/** What a fee is called where its words name nothing else. */
const USUAL: ReadonlySet<string> = new Set(['card fee', 'sales fee']);
/** Kinds of cards beside the usual ones. */
const KINDS = /\b(premium|business|commercial|corporate|company|amex)\b/;
const REGIONS: ReadonlyArray<readonly [RegExp, string, string]> = [
  [/\b(?:uk|british|britain|united kingdom)\b/, 'uk', 'GBP'],
  [/\b(?:europe|european|eu|eea)\b/, 'europe', 'EUR'],
  [/\b(?:us|american|united states)\b/, 'us', 'USD'],
];
const ABROAD = /\b(?:international|foreign|abroad|elsewhere|others?|rest of|outside|non-\w+)\b/;

/**
 * Keeps the rates of taking a payment apart, so that no payment pays two of them: cards from abroad beside those from
 * home, the till beside the own site, direct debits beside cards. What comes on top of a rate stays as it is.
 *
 * @param currency - of the page, which tells whose cards are those from home; null if not known
 */
export function keepRatesApart(builder: ReadingBuilder, currency: string | null): void {
  for (const plan of builder.plans) keepApart(plan, builder, currency);
  askWhichHolds(builder, (fact) => rateOf(fact, builder) !== null);
}

function keepApart(plan: PlanBeingRead, builder: ReadingBuilder, currency: string | null): void {
  const rates = plan.facts.flatMap((fact) => rateOf(fact, builder) ?? []);
  if (rates.length < 2) return;
  const byChannel = withChannels(rates);
  const apart = byChannel.map((rate) => ({ rate, only: onlyOf(rate, byChannel, currency) }));
  for (const { rate, only } of apart) {
    const { statement } = rate.fact;
    if (statement.kind !== 'charge') continue;
    const narrowed = Object.keys(only).length > 0 ? ({ ...statement.charge, only } as StatedCharge) : statement.charge;
    plan.facts[plan.facts.indexOf(rate.fact)] = { ...rate.fact, statement: { ...statement, charge: narrowed } };
  }
  mergeEqual(plan);
}

/** A fee of taking payments that is no surcharge; null for anything else. */
function rateOf(fact: Fact, builder: ReadingBuilder): Rate | null {
  const { statement } = fact;
  if (statement.kind !== 'charge') return null;
  const { charge } = statement;
  if (charge.how !== 'per-order' || charge.bucket !== 'payment' || charge.only?.payments !== undefined) return null;
  const plain = builder.plainOf(fact.lines[0] ?? 0).toLowerCase();
  if (isOnTop(plain, charge.percent ?? '')) return null;
  const hasOne = (plain.match(/\d%|¤\d[^%]*\bper\b/g) ?? []).length <= 1 && !plain.includes(' | ');
  const label = charge.label.toLowerCase();
  const words = `${label} ${hasOne ? plain : ''}`;
  const own = hasOne ? `${USUAL.has(label) ? '' : label} ${plain}` : label;
  const way = /\bcards?\b(?! on file)/.test(own.replace(/\bsaved cards?\b/, '')) ? null : WAYS.find(([pattern]) => pattern.test(own));
  return { fact, only: charge.only ?? {}, words, way: way?.[1] ?? null };
}

/** "+ 0.9%", "1.5% more" come on top of another rate. */
function isOnTop(plain: string, percent: string): boolean {
  if (percent === '') return false;
  const figure = percent.replace('.', String.raw`\.`);
  return new RegExp(
    String.raw`(?:\+|\bplus|\banother|\bextra|\badditional|\bon top:?) ?${figure}%|(?<![\d.])${figure}% (?:more|extra|on top|surcharge|additional|is added|comes on top)|(?<![\d.])${figure}%[^%]*\b(?:on top|extra|surcharge)\b`,
  ).test(plain);
}

/** Where a page has rates for the till, the others are those of the own site. */
function withChannels(rates: readonly Rate[]): Rate[] {
  const withOwn = rates.map((rate) => ({ ...rate, only: { ...rate.only, ...channelIn(rate) } }));
  const hasTill = withOwn.some(({ only }) => only.channels?.includes('in-person'));
  const hasSite = withOwn.some(({ only }) => only.channels?.includes('own-site'));
  return withOwn.map((rate) => {
    if (rate.only.channels || rate.way !== null) return rate;
    if (hasTill) return { ...rate, only: { ...rate.only, channels: ['own-site'] } };
    return hasSite ? { ...rate, only: { ...rate.only, channels: ['in-person'] } } : rate;
  });
}

function channelIn({ only, words }: Rate): { channels?: string[] } {
  if (only.channels) return {};
  return /\b(?:in[- ]person|in[- ]store|at the till|terminal)\b/.test(words) ? { channels: ['in-person'] } : {};
}

function onlyOf(rate: Rate, all: readonly Rate[], currency: string | null): Only {
  const { only } = rate;
  if (rate.way !== null) return { ...only, cards: [rate.way] };
  const beside = all.filter(({ way, only: other }) => way === null && JSON.stringify(other.channels) === JSON.stringify(only.channels));
  const kind = kindOf(rate, beside, currency);
  const hasOthers = beside.some((one) => kindOf(one, beside, currency) !== null && one !== rate);
  if (kind !== null) return beside.length > 1 || only.cards ? { ...only, cards: [kind] } : only;
  return hasOthers ? { ...only, cards: ['domestic'] } : only;
}

/** The kind of cards that a rate is about; null for those that are usual where the seller is. */
function kindOf({ words, only }: Rate, beside: readonly Rate[], currency: string | null): string | null {
  if (ABROAD.test(words) || only.cards?.includes('international')) return 'international';
  const region = REGIONS.find(([pattern]) => pattern.test(words));
  const isFromHome = region === undefined || (currency === null ? only.cards?.includes('domestic') : region[2] === currency);
  const special = KINDS.exec(words)?.[1];
  const isSpecial = special !== undefined && beside.some((one) => !KINDS.test(one.words) && isOfRegion(one, region?.[1]));
  if (isFromHome) return isSpecial ? special : null;
  return isSpecial ? `${region[1]}-${special}` : region[1];
}

function isOfRegion({ words }: Rate, region: string | undefined): boolean {
  return !ABROAD.test(words) && REGIONS.find(([pattern]) => pattern.test(words))?.[1] === region;
}

/** The same rate for two things that are paid alike is one. */
function mergeEqual(plan: PlanBeingRead): void {
  for (let at = 0; at < plan.facts.length; at += 1) {
    const one = plan.facts[at];
    const same = plan.facts.findIndex((other, index) => index > at && one !== undefined && isSameFee(one.statement, other.statement));
    const other = plan.facts[same];
    if (!one || !other) continue;
    plan.facts[at] = { ...one, lines: [...new Set([...one.lines, ...other.lines])] };
    plan.facts.splice(same, 1);
    at -= 1;
  }
}

function isSameFee(one: Statement, other: Statement): boolean {
  if (one.kind !== 'charge' || other.kind !== 'charge' || one.charge.how !== 'per-order') return false;
  const { channels, cards, ...rest } = one.charge.only ?? {};
  const bare = ({ only, ...charge }: StatedCharge) => JSON.stringify([{ ...charge, label: '' }, only?.channels, only?.cards]);
  return Object.keys(rest).length === 0 && bare(one.charge) === bare(other.charge);
}
