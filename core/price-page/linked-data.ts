import { decimal } from '../amount/decimal';
import { isCurrency } from '../amount/currencies';
import type { Clause, Statement } from '../price-phrase/statement';

/** Offers that a page states as schema.org data. */
export interface LinkedOffers {
  readonly vendor: string;
  readonly plans: ReadonlyArray<{ readonly plan: string; readonly clauses: readonly Clause[] }>;
}

type Node = Readonly<Record<string, unknown>>;

const DEEPEST = 12;
const MOST_OFFERS = 60;

/**
 * Reads schema.org Offer and UnitPriceSpecification data (JSON-LD).
 *
 * @param texts - the scripts' texts; those that are no JSON are passed over
 * @returns null if there is no offer with a price in it
 */
export function readLinkedData(texts: readonly string[]): LinkedOffers | null {
  const roots = texts.flatMap((text) => parsed(text));
  const found: Array<{ plan: string; clauses: Clause[] }> = [];
  let vendor = '';
  const visit = (value: unknown, name: string, depth: number): void => {
    if (depth > DEEPEST || found.length >= MOST_OFFERS) return;
    if (Array.isArray(value)) return value.forEach((one) => visit(one, name, depth + 1));
    if (!isNode(value)) return;
    const own = textOf(value['name']) || name;
    if (isOf(value, 'Organization', 'Brand', 'Corporation', 'OnlineBusiness')) vendor ||= textOf(value['name']);
    if (isOf(value, 'Offer'))
      found.push({
        plan: textOf(value['name']) || nameIn(value['itemOffered']) || name || 'Plan',
        clauses: offerClauses(value, found.length),
      });
    else if (isOf(value, 'AggregateOffer') && value['offers'] === undefined)
      found.push({ plan: own || 'Plan', clauses: [notUnderstood('a range of prices without single offers', found.length, 0)] });
    for (const [key, inner] of Object.entries(value)) {
      if (key === 'brand' || key === 'seller' || key === 'provider' || key === 'publisher' || key === 'offeredBy') vendor ||= nameIn(inner);
      if (key !== 'itemOffered' && key !== 'priceSpecification') visit(inner, isOf(value, 'Offer') ? '' : own, depth + 1);
    }
  };
  roots.forEach((root) => visit(root, '', 0));
  return found.length > 0 ? { vendor, plans: found } : null;
}

function parsed(text: string): unknown[] {
  try {
    return [JSON.parse(text.replace(/^\s*(<!--|\/\/<!\[CDATA\[)|(-->|\/\/\]\]>)\s*$/g, '')) as unknown];
  } catch {
    return [];
  }
}

function isNode(value: unknown): value is Node {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function isOf(node: Node, ...types: readonly string[]): boolean {
  const stated = Array.isArray(node['@type']) ? (node['@type'] as unknown[]) : [node['@type']];
  return stated.some((type) => typeof type === 'string' && types.includes(type.replace(/^https?:\/\/schema\.org\//, '')));
}

function textOf(value: unknown): string {
  return typeof value === 'string' ? value.replace(/\s+/g, ' ').trim().slice(0, 120) : '';
}

function nameIn(value: unknown): string {
  if (typeof value === 'string') return textOf(value);
  return isNode(value) ? textOf(value['name']) : '';
}

const PLACES_AN_OFFER = 1_000;

function place(offer: number, at: number, text: string) {
  const from = offer * PLACES_AN_OFFER + at;
  return { text, from, to: from + 1 };
}

function notUnderstood(text: string, offer: number, at: number): Clause {
  return { kind: 'not-understood', ...place(offer, at, text) };
}

/** One price of an offer: how much, for which months, from which month on. */
interface Price {
  readonly amount: string;
  readonly currency: string | null;
  /** Months that it pays for; 0 = once, null = not said. */
  readonly months: number | null;
  readonly start: number;
  /** Months for which it holds; null = from its start on. */
  readonly holds: number | null;
}

function offerClauses(offer: Node, index: number): Clause[] {
  const specifications = [offer['priceSpecification']].flat().filter(isNode);
  const prices = (specifications.length > 0 ? specifications : [offer]).flatMap((node) => priceOf(node, offer) ?? []);
  if (prices.length === 0) return [notUnderstood('an offer without a price', index, 0)];
  const currency = prices.find((price) => price.currency)?.currency;
  const named = currency ? { currency } : {};
  const first: Statement[] = [];
  if (offer['valueAddedTaxIncluded'] === false || specifications.some((node) => node['valueAddedTaxIncluded'] === false))
    first.push({ kind: 'tax', excluded: true });
  const last: Statement[] = [];
  const until = /^\d{4}-\d{2}-\d{2}/.exec(textOf(offer['priceValidUntil'] ?? offer['validThrough']))?.[0];
  if (until) last.push({ kind: 'offer', until });
  const clauses = withIntroductions(prices).map((stated, at): Clause => {
    const { price, intro } = stated;
    const where = place(index, at, `${price.amount} ${price.currency ?? ''}`.trim());
    const term = (months: number): Statement => ({
      kind: 'term',
      term: { months, price: price.amount, ...(intro ? { intro } : {}) },
      ...named,
    });
    if (price.months !== null) return { kind: 'read', statements: [term(price.months), ...last], ...where };
    return {
      kind: 'asked',
      question: `What is ${price.amount} paid for? The page does not say.`,
      options: [
        { label: 'by the month', statements: [term(1)] },
        { label: 'by the year', statements: [term(12)] },
        { label: 'once, for good', statements: [term(0)] },
      ],
      ...where,
    };
  });
  return first.length > 0 ? [...clauses, { kind: 'read', statements: first, ...place(index, clauses.length, 'without tax') }] : clauses;
}

/** A price that holds for some months and is followed by another of the same length is the introductory one. */
function withIntroductions(prices: readonly Price[]): Array<{ price: Price; intro?: { price: string; periods: number } }> {
  const introductory = new Set<Price>();
  const stated = prices.map((price) => {
    const before = prices.find(
      (one) =>
        one !== price &&
        one.holds !== null &&
        one.start < price.start &&
        one.months === price.months &&
        price.months !== null &&
        price.months > 0,
    );
    if (!before?.holds || !price.months) return { price };
    introductory.add(before);
    return { price, intro: { price: before.amount, periods: Math.max(1, Math.round(before.holds / price.months)) } };
  });
  return stated.filter(({ price }) => !introductory.has(price));
}

function priceOf(node: Node, offer: Node): Price | null {
  const amount = amountOf(node['price'] ?? node['minPrice']);
  if (amount === null) return null;
  const code = textOf(node['priceCurrency'] ?? offer['priceCurrency']).toUpperCase();
  const reference = isNode(node['referenceQuantity']) ? monthsIn(node['referenceQuantity']) : null;
  const unit = monthsIn({ value: 1, unitCode: node['unitCode'], unitText: node['unitText'] });
  const billing = durationIn(node['billingDuration']) ?? durationIn(node['eligibleDuration']) ?? null;
  const increment = typeof node['billingIncrement'] === 'number' ? node['billingIncrement'] : null;
  const quoted = reference ?? unit;
  const paidFor = increment !== null && quoted !== null ? increment * quoted : quoted;
  const start = Number(node['billingStart'] ?? 0) * (quoted ?? 1);
  const price = increment !== null && increment > 1 && quoted !== null ? decimal(amount).times(increment).toFixed() : amount;
  return {
    amount: price,
    currency: isCurrency(code) ? code : null,
    months: paidFor ?? billing,
    start: Number.isFinite(start) ? start : 0,
    holds: quoted === null ? null : billing,
  };
}

function amountOf(value: unknown): string | null {
  const text =
    typeof value === 'number'
      ? String(value)
      : textOf(value)
          .replace(/^[^\d]*/, '')
          .replace(/,(?=\d{3}\b)/g, '');
  return /^\d{1,12}(\.\d{1,6})?$/.test(text) ? text : null;
}

const UNIT_MONTHS: Readonly<Record<string, number>> = { MON: 1, ANN: 12, QAN: 3, SAN: 6, MONTH: 1, YEAR: 12, MO: 1, YR: 12, ANNUM: 12 };

function monthsIn(quantity: Node): number | null {
  const value = Number(quantity['value'] ?? 1);
  const unit =
    UNIT_MONTHS[textOf(quantity['unitCode']).toUpperCase()] ?? UNIT_MONTHS[textOf(quantity['unitText']).toUpperCase().replace(/S$/, '')];
  return unit !== undefined && Number.isInteger(value) && value > 0 ? unit * value : null;
}

/** Months of a duration: a number of months, a quantity with a unit, or ISO 8601 ("P1Y"). */
function durationIn(value: unknown): number | null {
  if (typeof value === 'number') return Number.isInteger(value) && value > 0 ? value : null;
  if (isNode(value)) return monthsIn(value);
  const iso = /^P(?:(\d+)Y)?(?:(\d+)M)?$/.exec(textOf(value));
  const months = iso ? Number(iso[1] ?? 0) * 12 + Number(iso[2] ?? 0) : 0;
  return months > 0 ? months : null;
}
