import { decimal, HUNDRED, isSameAmount } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import type { PriceSheet } from '../decision/price-sheet';
import type { Mark } from '../decision/sheet-notes';
import type { Charge, Term } from '../decision-file/price-sheet-schema';
import { chargeWords, termSentence, withPoint } from '../price-phrase/price-sentence';
import type { StatedCharge, Statement } from '../price-phrase/statement';
import { quantityOf } from '../price-phrase/vocabulary';
import { noteFigure, withMark } from './figure-notes';
import { type FigurePlace, limitName, type Part, partsOf, placeOf, withPart, withTermOf } from './parts';

/** What statements are put on a sheet with. */
export interface ApplyContext {
  /** Quantities that the forecast states. */
  readonly known: readonly string[];
  newId(): string;
}

/** A sheet after statements were put on it, and what could not be. */
export interface Applied {
  readonly sheet: PriceSheet;
  /** Places of the figures that were stated, each once. */
  readonly places: readonly string[];
  /** What could not be put on the sheet, in words. */
  readonly problems: readonly string[];
}

/** What became of statements that were put on one part of a sheet. */
export interface AppliedStatements extends Applied {
  /** Figures that became a part of another, by their place: an allowance that goes into the price beyond it. */
  readonly moved: ReadonlyMap<string, string>;
}

interface Change {
  readonly part: Part;
  readonly place?: FigurePlace;
  /** Where a figure stood that is a part of this one now. */
  readonly from?: FigurePlace;
  readonly mark?: Mark | null;
  /** What stood there before and says something else, written out. */
  readonly former?: string | undefined;
  readonly problem?: string;
}

/**
 * Puts what a phrase states on one part of a sheet: terms, charges, limits and features that are there already are
 * replaced, others added.
 *
 * @param partId - a plan, an add-on or a processor of the sheet
 * @returns the sheet unchanged, with a problem, where it has no such part
 */
export function applyStatements(
  sheet: PriceSheet,
  partId: string,
  statements: readonly Statement[],
  context: ApplyContext,
): AppliedStatements {
  let changed = sheet;
  let last: string | null = null;
  const places = new Set<string>();
  const moved = new Map<string, string>();
  const problems: string[] = [];
  for (const statement of statements) {
    const part = partsOf(changed).find(({ id }) => id === partId);
    if (!part) return { sheet, places: [], moved, problems: ['there is no such plan on the sheet any more'] };
    if (statement.kind === 'offer') {
      if (last === null) problems.push('an offer’s end without a price it belongs to');
      else
        changed = noteFigure(changed, last, {
          ...(statement.until ? { until: statement.until } : {}),
          ...(statement.forWhom ? { forWhom: statement.forWhom } : {}),
        });
      continue;
    }
    if (statement.kind === 'saving') changed = { ...changed, savings: { ...changed.savings, [partId]: statement.percent } };
    const fitting = fittingStatement(changed, partId, statement);
    if (typeof fitting === 'string') {
      problems.push(fitting);
      continue;
    }
    const change = changeOf(part, fitting, context);
    if (change.problem !== undefined) problems.push(change.problem);
    changed = withPart(changed, partId, () => change.part);
    if (!change.place) continue;
    last = placeOf(partId, change.place);
    places.add(last);
    if (change.from) moved.set(placeOf(partId, change.from), last);
    changed = withMark(changed, last, change.mark ?? null);
    if (change.former !== undefined) changed = noteFigure(changed, last, { otherwise: change.former });
  }
  return { sheet: changed, places: [...places], moved, problems };
}

/** What a processor or an add-on cannot have is said; a processor's monthly fee is a charge (decision file §3). */
function fittingStatement(
  sheet: PriceSheet,
  partId: string,
  statement: Exclude<Statement, { kind: 'offer' }>,
): Exclude<Statement, { kind: 'offer' }> | string {
  const isAddon = sheet.kind === 'addon' || (sheet.kind === 'offer' && (sheet.offer.addons ?? []).some(({ id }) => id === partId));
  if (isAddon && statement.kind === 'joining') return 'a joining fee: an add-on has none; state it as paid once, for good';
  if (sheet.kind !== 'processor') return statement;
  if (statement.kind === 'charge' || statement.kind === 'tax' || statement.kind === 'currency') return statement;
  if (statement.kind !== 'term' || statement.term.months !== 1)
    return 'something that a payment processor cannot have: it has fees, and a fee by the month';
  const { price } = statement.term;
  return {
    kind: 'charge',
    charge: { label: 'Monthly fee', bucket: 'payment', how: 'volume', bands: [{ upTo: null, flat: price }] },
    ...(statement.currency ? { currency: statement.currency } : {}),
  };
}

function changeOf(part: Part, statement: Exclude<Statement, { kind: 'offer' }>, { known, newId }: ApplyContext): Change {
  switch (statement.kind) {
    case 'term': {
      const { months } = statement.term;
      const found = part.terms?.find((term) => term.months === months);
      const term: Term = { ...found, ...statement.term, id: found?.id ?? newId() };
      const former = found && found.price !== null && !isSameAmount(found.price, term.price) ? termSentence(found, withPoint) : undefined;
      return { part: { ...part, terms: withTermOf(part.terms ?? [], term) }, place: { kind: 'term', months }, former };
    }
    case 'introduction':
      return introduced(part, statement);
    case 'trial':
      return onEveryTerm(part, (term) => ({ ...term, trialDays: statement.days }), `${statement.days} days of trial`);
    case 'refund':
      return onEveryTerm(part, (term) => ({ ...term, refundDays: statement.days }), `money back within ${statement.days} days`);
    case 'prorated':
      return onEveryTerm(part, (term) => ({ ...term, prorated: statement.prorated }), 'what happens to an unused part');
    case 'charge':
      return charged(part, statement, known, newId);
    case 'limit': {
      const quantity = limitName(knownQuantity(statement.quantity, known), statement.yearly);
      const place: FigurePlace = { kind: 'limit', quantity };
      const { [quantity]: before, ...others } = part.limits ?? {};
      if (statement.most === true || statement.most === null)
        return { part: { ...part, limits: others }, place, mark: statement.most ? 'unlimited' : 'not-known' };
      const former = before !== undefined && !isSameAmount(before, statement.most) ? `at most ${before}` : undefined;
      return { part: { ...part, limits: { ...part.limits, [quantity]: statement.most } }, place, former };
    }
    case 'feature':
      return {
        part: { ...part, features: { ...part.features, [statement.feature]: statement.value } },
        place: { kind: 'feature', feature: statement.feature },
      };
    case 'joining': {
      const { label, amount } = statement;
      const others = (part.once ?? []).filter((fee) => fee.label !== label);
      return { part: { ...part, once: [...others, { label, amount }] }, place: { kind: 'joining' } };
    }
    case 'saving':
      return savedByTheYear(part, statement.percent, newId);
    case 'tax':
      return { part: { ...part, taxExcluded: statement.excluded } };
    case 'currency':
      return { part: { ...part, currency: statement.code } };
  }
}

function onEveryTerm(part: Part, change: (term: Term) => Term, what: string): Change {
  const { terms = [] } = part;
  const [first] = terms;
  if (!first) return { part, problem: `${what}: there is no price yet that it could belong to` };
  return { part: { ...part, terms: terms.map(change) }, place: { kind: 'term', months: first.months } };
}

function introduced(part: Part, { intro, time }: Extract<Statement, { kind: 'introduction' }>): Change {
  const terms = part.terms ?? [];
  const fits = (term: Term) => ('payments' in time ? true : term.months > 0 && time.months % term.months === 0);
  const byTheYear = 'months' in time && time.months % 12 === 0 ? terms.find(({ months }) => months === time.months) : undefined;
  const term = byTheYear ?? terms.find((one) => one.months > 0 && fits(one)) ?? ('payments' in time ? terms[0] : undefined);
  if (!term) return { part, problem: 'an introductory price: there is no price yet that it could belong to' };
  const periods = 'payments' in time ? time.payments : time.months / term.months;
  const changed: Term = { ...term, intro: { ...intro, periods } };
  return { part: { ...part, terms: withTermOf(terms, changed) }, place: { kind: 'term', months: term.months } };
}

/** A saving by the year gives the price by the year where only the price by the month is stated. */
function savedByTheYear(part: Part, percent: string, newId: () => string): Change {
  const terms = part.terms ?? [];
  const monthly = terms.find(({ months }) => months === 1)?.price;
  if (terms.some(({ months }) => months === 12) || monthly == null) return { part, place: { kind: 'saving' } };
  const yearly = decimal(monthly).times(12).times(HUNDRED.minus(percent)).div(HUNDRED);
  const price = moneyText(roundMoney(yearly, part.currency), part.currency);
  return { part: { ...part, terms: withTermOf(terms, { id: newId(), months: 12, price }) }, place: { kind: 'term', months: 12 } };
}

/**
 * The quantity of the forecast that is meant: pages and forecasts call the same thing by different names.
 *
 * @example knownQuantity('staff', ['seats']) // 'seats'
 */
export function knownQuantity(quantity: string, known: readonly string[]): string {
  if (known.includes(quantity)) return quantity;
  return known.find((name) => quantityOf(name.replaceAll('-', ' '), []) === quantity) ?? quantity;
}

function charged(
  part: Part,
  { charge, beyond }: Extract<Statement, { kind: 'charge' }>,
  known: readonly string[],
  newId: () => string,
): Change {
  const named = withKnownQuantities(charge, known);
  const charges = part.charges ?? [];
  const found = charges.find((one) => isSameFee(one, named));
  const id = found?.id ?? newId();
  const counted = named.on ?? 'orders';
  const allowance = part.limits?.[counted];
  const free = beyond && 'each' in named && !('free' in named) ? { free: allowance ?? null } : {};
  const complete = { id, ...named, ...free } as Charge;
  const { [counted]: _included, ...otherLimits } = part.limits ?? {};
  const isTakenIn = beyond && allowance !== undefined;
  const limits = isTakenIn ? { limits: otherLimits } : {};
  const all = found ? charges.map((one) => (one === found ? complete : one)) : [...charges, complete];
  const [before, after] = [found && chargeWords(found, withPoint), chargeWords(complete, withPoint)];
  return {
    part: { ...part, ...limits, charges: all },
    place: { kind: 'charge', id },
    ...(isTakenIn ? { from: { kind: 'limit', quantity: counted } } : {}),
    former: before === after ? undefined : before,
  };
}

/** Charges that mean the same share a row: the same name, or the same kind of fee on the same orders. */
function isSameFee(one: Charge, other: StatedCharge): boolean {
  const narrowed = (charge: StatedCharge) => JSON.stringify([charge.bucket ?? 'transaction', charge.only ?? null, charge.credit ?? false]);
  if (narrowed(one) !== narrowed(other)) return false;
  return one.label.toLowerCase() === other.label.toLowerCase() && (one.on ?? 'orders') === (other.on ?? 'orders');
}

function withKnownQuantities<One extends StatedCharge>(charge: One, known: readonly string[]): One {
  const on = charge.on === undefined ? {} : { on: knownQuantity(charge.on, known) };
  const free =
    'free' in charge && typeof charge.free === 'object' && charge.free
      ? { free: { ...charge.free, per: knownQuantity(charge.free.per, known) } }
      : {};
  return { ...charge, ...on, ...free };
}
