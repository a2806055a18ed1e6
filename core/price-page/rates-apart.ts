import type { StatedCharge, Statement } from '../price-phrase/statement';
import type { Fact } from './page-reading';
import type { PlanBeingRead, ReadingBuilder } from './reading-builder';
import { askWhichHolds } from './ask-which-holds';
import { isAbroad, isWay, type Region, regionOf, specialCards, wayOf } from './ways-of-paying';

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

/** What a fee is called where its words name nothing else. */
const USUAL: ReadonlySet<string> = new Set(['card fee', 'sales fee']);

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
  // "Plus 3p per transaction" comes on top of each.
  if (charge.percent === undefined && /^(?:plus|\+)\s*¤/.test(plain)) return null;
  if (isOnTop(plain, charge.percent ?? '')) return null;
  const hasOne = (plain.match(/\d%|¤\d[^%]*\bper\b/g) ?? []).length <= 1 && !plain.includes(' | ');
  const label = charge.label.toLowerCase();
  const words = `${label} ${hasOne ? plain : ''}`;
  const own = hasOne ? `${USUAL.has(label) ? '' : label} ${plain}` : label;
  const isOfCards = /\bcards?\b(?! on file)/.test(own.replace(/\bsaved cards?\b|\bpaid by card\b/, ''));
  // "Any card" under "By invoice or link" is paid in that way.
  const given = charge.only?.cards?.find(isWay) ?? null;
  return { fact, only: charge.only ?? {}, words, way: given ?? (isOfCards ? null : wayOf(own)) };
}

/** "+ 0.9%", "1.5% more" come on top of another rate. */
function isOnTop(plain: string, percent: string): boolean {
  if (percent === '') return false;
  const figure = percent.replace('.', String.raw`\.`);
  return new RegExp(
    String.raw`(?:\+|\bplus|\badd|\banother|\bextra|\badditional|\bon top:?) ?${figure}%|(?<![\d.])${figure}% (?:more|extra|on top|surcharge|additional|is added|comes on top)|(?<![\d.])${figure}%[^%]*\b(?:on top|extra|surcharge)\b`,
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
  if (isAbroad(words) || only.cards?.includes('international')) return 'international';
  const region = regionOf(words);
  const isFromHome = region === null || (currency === null ? only.cards?.includes('domestic') : region.currency === currency);
  const special = specialCards(words);
  const isSpecial = special !== null && beside.some((one) => specialCards(one.words) === null && isOfRegion(one, region));
  if (isFromHome) return isSpecial ? special : null;
  return isSpecial ? `${region.name}-${special}` : region.name;
}

function isOfRegion({ words }: Rate, region: Region | null): boolean {
  return !isAbroad(words) && regionOf(words) === region;
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
