import type { Statement } from '../price-phrase/statement';
import { plural } from '../price-phrase/vocabulary';
import { countedThing } from './counted-things';
import type { PlainLine } from './plain-line';
import { type Place, plansFor } from './plans-meant';
import type { ReadingBuilder } from './reading-builder';
import { wholeWords } from './whole-words';
import { readNoSalesFee } from './no-sales-fee';
import { dayStatements, isPlainNo, isWithoutJoiningFee, taxStatedIn, type YearlySaving, yearlySavingIn } from './sale-conditions';

/** "Is there a set-up fee?", "Do you charge for set-up?" */
const ASKS_SET_UP =
  /\bset[- ]?up (?:fee|cost|charge)|\b(?:fee|charge|pay|cost)s?\b[^?]*\b(?:for|to) (?:set[- ]?up|setting up|join(?:ing)?|get(?:ting)? started)\b/i;

/** "Do you take a commission?", "Are there transaction fees?" */
const ASKS_SALES_FEE =
  /^(?:do you (?:take|charge|keep)|are there|is there|will you take)\b[^?]*\b(?:commission|transaction fees?|sales fees?|selling fees?|(?:cut|share|percentage) of (?:my|the|our|your) (?:sales|revenue|income|takings))\b[^?]*\?$/i;

/** What the lines outside the plans say of the whole page. */
export interface WholePage {
  taxExcluded: boolean | null;
  saving: (YearlySaving & { readonly line: number }) | null;
  returnsToFull: boolean;
  paidAtOnce: number | null;
  /** The shortest time for which one can join, in months; null where the page does not say. */
  shortestTerm: number | null;
  usualPer: number | null;
  hasMonthly: boolean;
  /** What the page's prices are for each of: hosts, seats; null where they are for a plan. */
  perEach: string | null;
  /** Months of the terms that the page offers, each on a line of its own. */
  readonly lengths: number[];
}

/** Of a page of which nothing has been read yet. */
export function nothingSaid(): WholePage {
  return {
    taxExcluded: null,
    saving: null,
    returnsToFull: false,
    paidAtOnce: null,
    shortestTerm: null,
    usualPer: null,
    hasMonthly: false,
    lengths: [],
    perEach: null,
  };
}

/** What holds for the whole page: trials, refunds, tax, joining fees, how prices are meant. */
export function readConditions(
  { plain, line }: PlainLine,
  next: PlainLine | undefined,
  place: Place,
  builder: ReadingBuilder,
  page: WholePage,
): void {
  const heading = place.question || (/\b(?:trial|refund|money back)/.test(place.heading) ? place.heading : '');
  const plans = plansFor(plain, place, builder, 'priced');
  for (const statement of dayStatements(plain, heading)) for (const plan of plans) builder.state(plan, statement, line);
  const tax = taxStatedIn(/\bvat\b|\btax/i.test(place.question) ? `VAT ${plain}` : plain);
  if (tax !== null && page.taxExcluded === null) {
    page.taxExcluded = tax;
    builder.putAside(line, 'how prices are stated');
  }
  if (
    isWithoutJoiningFee(plain) ||
    (ASKS_SET_UP.test(place.question) && isPlainNo(plain) && !isHedged(line, next)) ||
    (/\bis (?:the )?set-?up free\b/i.test(place.question) && /^yes\b[^¤]*$/i.test(plain))
  )
    for (const plan of plansFor(plain, place, builder, /\bthese plans\b/i.test(plain) ? 'priced' : 'every'))
      builder.state(plan, { kind: 'joining', label: 'Set-up', amount: '0' }, line);
  if (ASKS_SALES_FEE.test(place.question) && isPlainNo(plain) && !isHedged(line, next)) readNoSalesFee(line, builder);
  const each = PER_EACH.exec(plain)?.[1];
  if (each !== undefined) page.perEach = countedThing(plural(each.toLowerCase()))?.quantity ?? page.perEach;
  const length = /^(\d+) months?$/i.exec(plain)?.[1];
  if (length !== undefined) page.lengths.push(Number(length));
  const uptime = /(\d+(?:\.\d+)?)% (?:uptime|availability)|\b(?:uptime|availability)\b[^.]{0,20}?(\d+(?:\.\d+)?)%/i.exec(plain);
  if (uptime)
    for (const plan of plansFor(plain, place, builder, 'every'))
      builder.state(plan, { kind: 'feature', feature: 'uptime', value: uptime[1] ?? uptime[2] ?? null }, line);
  const shownFor = /\bprices?\b[^.]{0,12}\b(?:are|is)? ?for (\d+) (\p{L}+)\b/iu.exec(plain);
  const counted = shownFor && countedThing(shownFor[2] ?? '');
  if (shownFor && counted)
    for (const plan of plansFor(plain, place, builder, 'priced'))
      builder.state(plan, { kind: 'limit', quantity: counted.quantity, most: shownFor[1] ?? '0' }, line);
  const introduction = introductionIn(plain);
  if (introduction) for (const plan of plansFor(plain, place, builder, 'priced')) builder.state(plan, introduction, line);
  // "Pay ten months: Basic ¤240, Plus ¤480" states what it comes to for the plans that it is about.
  const isOfNamed = /¤\d/.test(plain) && builder.names().some((name) => wholeWords(name).test(plain));
  const saving = isOfNamed ? null : yearlySavingIn(plain);
  if (saving && page.saving) builder.putAside(line, 'a saving that follows from the prices');
  else if (saving) page.saving = { ...saving, line };
  if (/\brenews?\b[^.]*\b(?:full|regular|standard|normal) price\b|\bfirst (?:term|year|period) only\b/i.test(plain))
    page.returnsToFull = true;
  page.paidAtOnce = monthsAtOnce(plain) ?? page.paidAtOnce;
  const shortest = /\bminimum (?:term|contract|period)(?: is| of|:)?\s*(\d+) months\b/i.exec(plain)?.[1];
  if (shortest !== undefined) page.shortestTerm = Number(shortest);
  if (/\b(?:paid|billed|charged) (?:a year|yearly|annually|12 months) (?:in advance|upfront|ahead|at once)\b/i.test(plain))
    page.paidAtOnce = 12;
  if (
    /\b(?:paid|billed|charged)(?: for)? (?:a|one) year at a time\b|^all (?:plans|prices) (?:are )?(?:billed|paid|charged) (?:annually|yearly|by the year)\b/i.test(
      plain,
    )
  )
    page.paidAtOnce = 12;
  if (
    /^(?:(?:our |all )?prices \(?(?:all |are )?(?:per|by the) month\b|(?:all )?(?:monthly prices|prices (?:are )?(?:shown |quoted |listed )?(?:a|per|by the) month))\b|^per month, (?:billed|paid) monthly\b/i.test(
      plain,
    )
  )
    page.usualPer = 1;
  if (
    /^(?:all )?prices? (?:are )?(?:shown |quoted |listed )?(?:a|per|by the) month,? (?:when |if )?(?:paid|billed) (?:yearly|annually|by the year)/i.test(
      plain,
    )
  ) {
    page.usualPer = 1;
    page.paidAtOnce = 12;
  }
  if (/\b(?:month by month|monthly billing|by the month|billed monthly|paid monthly)\b/i.test(plain)) page.hasMonthly = true;
}

/** "Per host and month" above all prices. */
const PER_EACH =
  /^(?:all )?(?:prices? (?:are )?)?(?:per|for each) (host|seat|user|member|person|teacher|agent|editor|licen[cs]e)(?:,| and| per|\/|,? a) ?(?:per )?month\b/i;

const FOR_ALL_PRICES = String.raw`\b(?:prices?|rates?|pricing)(?: shown| above| listed| displayed)? (?:for|(?:are|is) (?:for|based on|with|valid for|quoted for)|based on|reflects?|shows?|assumes?) (?:an? |the )?`;
const A_NUMBER_OF_MONTHS = new RegExp(
  String.raw`${FOR_ALL_PRICES}(\d+)[ -](months?|years?)(?: (?:terms?|plans?|subscriptions?|contracts?|periods?|prepayment|commitment)|,? (?:paid|billed|payable) (?:at once|up ?-?front|in advance))`,
  'i',
);
const BY_THE_YEAR = new RegExp(
  String.raw`${FOR_ALL_PRICES}(?:annual|yearly) (?:billing|payments?|plans?|terms?|subscriptions?|contracts?|commitment|prepayment)`,
  'i',
);

/** So many months are paid at once for the prices that the page shows: "Prices are for a 12-month term, paid up front". */
function monthsAtOnce(plain: string): number | null {
  const [, count, unit = ''] = A_NUMBER_OF_MONTHS.exec(plain) ?? [];
  if (count !== undefined) return Number(count) * (/^y/i.test(unit) ? 12 : 1);
  return BY_THE_YEAR.test(plain) ? 12 : null;
}

/** "No. If you want help, expect 500 to 5,000." is no plain no. */
function isHedged(line: number, next: PlainLine | undefined): boolean {
  return next?.line === line && /¤\d/.test(next.plain);
}

/** "Your first 3 months for 1 a month": what every plan that is paid by the month costs at first. */
function introductionIn(plain: string): Statement | null {
  const match =
    /\bfirst (?:(\d+) )?months?\b[^.¤]{0,14}¤(\d+(?:\.\d+)?)(?:\s*(?:\/|a|per) ?month| each)?/i.exec(plain) ??
    /¤(?<price>\d+(?:\.\d+)?)(?:\s*(?:\/|a|per) ?month)? (?:for|in) (?:the |your )?first (?<months>\d+ )?months?\b/i.exec(plain);
  if (!match) return null;
  const months = Number(match.groups?.['months'] ?? (match.groups?.['price'] === undefined ? match[1] : undefined) ?? 1);
  return { kind: 'introduction', intro: { price: match.groups?.['price'] ?? match[2] ?? '0' }, time: { months } };
}
