import type { Statement } from '../price-phrase/statement';
import { countedThing } from './counted-things';
import { feesIn } from './fees';
import { feature, featureName, limitsIn } from './list-items';
import { BY_THE_HOUR } from './page-reading';
import { isPriceLine, isPriceOfSeats, type PricePiece, pricePieces, wordPrice } from './price-pieces';
import { unitChargeIn } from './unit-charges';
import { dayStatements } from './sale-conditions';

/** A cell of a row, in plain figures. */
export interface RowCell {
  readonly plain: string;
  readonly line: number;
}

/** What a cell states about its plan, together with its row's heading. */
export interface CellReading {
  readonly statements: readonly Statement[];
  readonly pieces: readonly PricePiece[];
  /** An add-on that the cell prices. */
  readonly addon?: { readonly name: string; readonly pieces: readonly PricePiece[] };
  /** Fees of a region's cards, which may be all of the seller's or only some: asked. */
  readonly regional?: ReadonlyArray<Extract<Statement, { kind: 'charge' }>>;
  /** Why the cell states nothing. */
  readonly why?: string;
  /** Whether it was not understood. */
  readonly isOpen?: true;
}

const YES = /^(?:[✓✔☑✅]|yes|included|✓ ?included|available|true)$/iu;
const NO = /^(?:[✗✘✖×❌✕]|no|not included|[–—-]|none|not available|n\/a|not possible)$/iu;
const PRICE_ROW =
  /\b(?:price|prices|cost|costs|monthly|yearly|annual|annually|per month|per year|a month|a year|billed|paid (?:monthly|yearly|annually)|renewal|first (?:year|term|\d+ months?)|(?:second|following) years?|(?:every|each|all) (?:years? after|(?:other|further|later) years?)|years? two|thereafter|introductory)\b|^(?:due|to pay|you pay|total)(?: due)?(?: today| now| at checkout)?$|^\d+[- ](?:months?|years?)(?: terms?| plans?| contracts?| billing)?$/i;
/** "36 months" heads what is paid a month by who commits to so many. */
const TERM_ROW =
  /^(?:for |paid (?:for|every) |billed every )?(\d+)[- ](month|year)s?(?: terms?| plans?| contracts?| billing)?(?: ahead| in advance)?$/;
/** Headings under which bare figures are prices. */
const STRICTLY_PRICES =
  /^(?:(?:monthly|yearly|annual|regular|renewal) )?(?:price|prices|fee)\b|^(?:billed|paid) (?:monthly|yearly|annually|a month|a year)\b|^price (?:a|per)\b/i;
const PER_TIME = /(?:\/|per|a|an) ?(?:month|mo|year|yr)\b|\bmonthly\b|\byearly\b/i;
const HOURLY = /\b(?:hourly|per hour|hour|an hour)\b/i;
const JOINING = /\b(?:set-?up|joining|activation|onboarding|sign-?up)\b/i;
const FEE_ROW =
  /\b(?:fees?|rates?|commission|share of|processing|card payments?|payment providers?|providers?|processors?|gateways?|in person|online|invoices?|card on file|international cards?|transactions?|cards?)\b/i;
const FURTHER =
  /\b(?:each|per|price per|every)\s+(?:further|additional|extra|more)\b|\b(?:further|additional|extra|overage)\b|\bbeyond\b|\b(?:above|over) (?:that|this)\b|\bprice per (?!month|year|mo\b|yr\b|hour)/i;
/** "Online sales per year | up to ¤50000": how much may be sold. */
const SALES = /\b(?:sales|revenue|turnover|takings)\b(?!.*\b(?:fees?|commission|share)\b)/i;
const A_MOST = /^(?:(?:up to|at most|max(?:imum)?\.?|≤|<) ?¤[\d.]+|unlimited|no limit|[–—-])$/i;
const NOT_STATED = /^(?:custom|on request|ask us|contact us|talk to us|individual|by agreement|negotiable)$/i;

const NOTHING: CellReading = { statements: [], pieces: [] };

/**
 * What a cell states: read with its row's heading, its section and its unit.
 *
 * @param heading - the row's heading in plain figures
 * @param hasFigures - whether other cells of the row hold amounts of money
 * @example readCell('Video storage', { plain: '5 hours', line: 3 }) // at most 5 hours of video
 */
export function readCell(heading: string, cell: RowCell, row: RowKind): CellReading {
  const { plain } = cell;
  if (plain === '') return { ...NOTHING, why: 'an empty cell' };
  if (NOT_STATED.test(plain) && row !== 'price') return { ...NOTHING, why: 'to be asked for' };
  switch (row) {
    case 'price':
      return priceOf(heading, cell);
    case 'hourly':
      return { ...NOTHING, why: BY_THE_HOUR };
    case 'joining':
      return joiningOf(plain);
    case 'trial':
      return daysOf(heading, plain);
    case 'fee':
      return feeOf(heading, plain);
    case 'further':
      return furtherOf(heading, plain);
    case 'other':
      return otherOf(heading, cell);
  }
}

export type RowKind = 'price' | 'hourly' | 'joining' | 'trial' | 'fee' | 'further' | 'other';

/** Of what kind a row is, by its heading and what its cells hold. */
export function rowKindOf(heading: string, cells: readonly string[]): RowKind {
  const told = cells.filter((cell) => cell !== '');
  const isMoney = (cell: string) => /^\D{0,12}[\uE000]?¤\d/.test(cell) || wordPrice(cell) !== null;
  const hasMoney = told.some((cell) => /¤\d/.test(cell));
  const hasPercent = told.some((cell) => /\d%/.test(cell));
  if (SALES.test(heading) && hasMoney && told.every((cell) => A_MOST.test(cell))) return 'other';
  if (JOINING.test(heading) && (hasMoney || told.some((cell) => /^(?:free|none|0|no)$/i.test(cell)))) return 'joining';
  if (/\btrial\b/i.test(heading) || /\b(?:money[- ]back|refund)/i.test(heading)) return 'trial';
  if (HOURLY.test(heading) && hasMoney) return 'hourly';
  const isRate =
    told.some((cell) => /\d% ?\+ ?¤/.test(cell)) || FEE_ROW.test(heading) || /\b(?:sales?|orders?|revenue|payments?)\b/i.test(heading);
  const areOfSales = told.some((cell) => /\d% ?(?:of|per|on) (?:each |every |your |all )?(?:sales?|orders?|revenue|takings)\b/i.test(cell));
  if (hasPercent && (isRate || areOfSales) && !/\b(?:uptime|availability|sla)\b/i.test(heading)) return 'fee';
  if (
    FEE_ROW.test(heading) &&
    /\b(?:fees?|commission|share of|rates?)\b/i.test(heading) &&
    told.every((cell) => NO.test(cell) || /^(?:0%?|free)$/i.test(cell))
  )
    return 'fee';
  if (hasMoney && FURTHER.test(heading)) return 'further';
  if (
    hasMoney &&
    told.length > 1 &&
    told.every((cell) => isPriceLine(cell.split('\n')[0] ?? '') || wordPrice(cell) === 'free' || /^for ?ever$/i.test(cell)) &&
    told.some((cell) => PER_TIME.test(cell))
  )
    return 'price';
  if (STRICTLY_PRICES.test(heading) && told.some((cell) => /^\d+(?:\.\d+)?$/.test(cell))) return 'price';
  const isPriced = told.length > 0 && told.filter(isMoney).length >= Math.ceil(told.length / 2);
  if (isPriced && (PRICE_ROW.test(heading) || heading === '') && hasMoney) return 'price';
  return 'other';
}

function priceOf(heading: string, cell: RowCell): CellReading {
  // Bare figures in a row of prices are prices.
  const plain = cell.plain.replace(/^(?=\d+(?:\.\d+)?$)/, '¤');
  if (!/¤\d/.test(plain) && wordPrice(plain) === null && !NO.test(plain)) return { ...NOTHING, isOpen: true };
  const bySeats = isPriceOfSeats(plain) ? unitChargeIn(plain) : null;
  if (bySeats) return { statements: [bySeats], pieces: pricePieces([{ line: cell.line, plain: '¤0 per month' }]) };
  return { statements: [], pieces: pricesOf(heading, { ...cell, plain }) };
}

/** The heading says what the amounts are for where the cells do not. */
function pricesOf(heading: string, { plain, line }: RowCell): PricePiece[] {
  const words = heading.toLowerCase();
  const word = wordPrice(plain);
  if (word === 'asked for' || NO.test(plain))
    return NO.test(plain) ? [] : pricePieces([{ line, plain: '¤0 per month' }]).map((piece) => ({ ...piece, amount: null }));
  // "¤1.50" with "/mo" in small letters below it is one price.
  const amounts = word === 'free' ? '¤0' : plain.replace(/\n(?=\/|(?:per|a) (?:month|year)\b)/g, ' ');
  const isBare = !/(?:\/|per|a|an)\s?(?:month|mo|year|yr|m|y)\b|monthly|yearly|annually/i.test(amounts.split('\n')[0] ?? '');
  const isYearlyShare = !isBare && /\b(?:yearly|annual|annually)\b/.test(words) && /^¤[\d.]+ ?(?:\/|per|a) ?(?:mo|month)$/i.test(amounts);
  const behind = behindAmount(isBare, isYearlyShare, words);
  const before =
    /^then\b|^after that\b|\b(?:renewal|renews|regular|afterwards|later|thereafter|second year|following years?|(?:every|each|all) (?:years? after|(?:other|further|later) years?)|year two|from then)\b/.test(
      words,
    )
      ? 'renewal price '
      : '';
  const [first = '', ...more] = amounts.split('\n');
  const time = /\b(?:the )?first (?:year|term|\d+ months?)\b/.exec(words)?.[0];
  const during = time === undefined || before !== '' ? '' : ` for ${time.replace(/\bterm\b/, 'year')}`;
  return pricePieces([`${before}${first}${behind}${during}`, ...more].map((one) => ({ line, plain: one })));
}

function behindAmount(isBare: boolean, isYearlyShare: boolean, words: string): string {
  const [, count = '1', unit = ''] = TERM_ROW.exec(words) ?? [];
  if (isBare) return unit !== '' && count !== '1' && / billing$/.test(words) ? ` billed every ${count} ${unit}s` : ` ${periodWords(words)}`;
  if (isYearlyShare) return ' billed yearly';
  return unit === '' || (count === '1' && unit === 'month') ? '' : ` billed every ${count} ${unit}s`;
}

function periodWords(words: string): string {
  const every = /\b(?:billed|paid|charged) (?:every|for) \d+ (?:months?|years?)\b/.exec(words)?.[0];
  if (every !== undefined) return every;
  if (/^(?:due|to pay|you pay|total)\b/.test(words)) return 'due today';
  const isPaidYearly = /\b(?:paid|billed|when paid|pay) (?:yearly|annually|by the year|for a year)\b/.test(words);
  const isByMonth = /\b(?:a|per|each|\/) ?(?:month|mo)\b|\/month/.test(words);
  const isYearly = /\b(?:year|yearly|annual|annually)\b/.test(words);
  if (isByMonth && isYearly) return 'per month billed yearly';
  if (isPaidYearly && /\bmonth/.test(words)) return 'per month billed yearly';
  if (isByMonth) return 'per month';
  if (isYearly) return 'per year';
  return /\bmonth/.test(words) ? 'per month' : '';
}

function joiningOf(plain: string): CellReading {
  const amount = /¤(\d+(?:\.\d+)?)/.exec(plain)?.[1] ?? (/^(?:free|none|no|0)\b/i.test(plain) || NO.test(plain) ? '0' : undefined);
  return amount === undefined
    ? { ...NOTHING, why: 'no amount' }
    : { statements: [{ kind: 'joining', label: 'Set-up', amount }], pieces: [] };
}

function daysOf(heading: string, plain: string): CellReading {
  if (NO.test(plain)) return { ...NOTHING, why: 'no trial' };
  const statements = dayStatements(`${heading}: ${plain}`, '');
  return statements.length > 0 ? { statements, pieces: [] } : { ...NOTHING, why: 'no days' };
}

function feeOf(heading: string, plain: string): CellReading {
  if (/^(?:not possible|not available|n\/a)$/i.test(plain)) return { ...NOTHING, why: 'not to be had' };
  // "Sell videos | – | 5% of sales" is about selling videos.
  const isOfThing = !FEE_ROW.test(heading) && /^(?:sell|selling|accept|take)\b/i.test(heading);
  if (/^[–—-]$/.test(plain))
    return isOfThing ? { statements: [feature(heading, false)], pieces: [] } : { ...NOTHING, why: 'no fee is named' };
  // "Ticket sales | No | 5% fee": there are none.
  if (/^(?:no|not included|[✗✘✖×❌✕])$/iu.test(plain) && !/\b(?:fees?|rates?|commission|share|charges?|costs?|processing)\b/i.test(heading))
    return { statements: [feature(heading, false)], pieces: [] };
  const rate = NO.test(plain) || /^(?:0|free)$/i.test(plain) ? '0%' : plain.replace(/^\+/, '');
  const fees = feesIn(rate, { heading: heading.toLowerCase(), isFee: true });
  const statements = fees.map(({ statement }) => statement);
  if (isOfRegion(heading, statements))
    return { ...NOTHING, regional: statements.map((one) => ({ ...one, charge: { ...one.charge, label: heading } })) };
  return statements.length > 0
    ? { statements: statements.map((one) => ({ ...one, charge: { ...one.charge, label: heading } })), pieces: [] }
    : { ...NOTHING, isOpen: true };
}

/** "Card payments (EU)": whose cards these are depends on where the seller is. */
function isOfRegion(heading: string, fees: ReadonlyArray<Extract<Statement, { kind: 'charge' }>>): boolean {
  const isCards = fees.length > 0 && fees.every(({ charge }) => charge.bucket === 'payment' && charge.only === undefined);
  return isCards && /\b(?:eu|eea|europe|european|sepa)\b/i.test(heading);
}

/** "Each further label: 9p" is a price for more than the plan includes. */
function furtherOf(heading: string, plain: string): CellReading {
  const amount = /¤(\d+(?:\.\d+)?)/.exec(plain)?.[0];
  if (amount === undefined) return { ...NOTHING, why: 'not to be had' };
  const noun = heading
    .toLowerCase()
    .replace(
      /\b(?:each|per|price|for|every|further|additional|extra|more|overage|the|of|an?|cost|(?:beyond|above|over) (?:that|this))\b/g,
      ' ',
    )
    .replace(/,/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    // "Extra traffic, per TB" counts TB of traffic.
    .replace(/^(\p{L}[\p{L} ]*) (gb|tb)$/u, '$2 of $1');
  const own = /¤[\d.]+\s*(?:per|\/|for|each)\s*(?!mo\b|months?\b|yr\b|years?\b)\S+/.test(plain);
  const charge = unitChargeIn(own ? plain : `${amount} per additional ${noun}`, noun);
  return charge ? { statements: [charge], pieces: [] } : { ...NOTHING, why: 'no amount for one' };
}

function otherOf(heading: string, { plain, line }: RowCell): CellReading {
  // "✓ (8% fee)" says that it is there, and what it costs.
  const ofSales = /^[✓✔] ?\((.*\d%.*\b(?:fees?|commission|per sale)\b.*)\)$/u.exec(plain)?.[1];
  if (ofSales !== undefined)
    return {
      statements: [
        feature(heading, true),
        ...feesIn(ofSales, { heading: heading.toLowerCase(), isFee: true }).map(({ statement }) => statement),
      ],
      pieces: [],
    };
  if (/\d%/.test(plain) && !/\b(?:uptime|availability|sla)\b/i.test(heading)) return { ...NOTHING, isOpen: true };
  if (YES.test(plain)) return { statements: [feature(heading, true)], pieces: [] };
  if (NO.test(plain)) return { statements: [feature(heading, false)], pieces: [] };
  if (/^(?:add-?on|optional|extra|at extra cost|paid add-?on)$/i.test(plain)) return { ...NOTHING, why: 'only as an add-on' };
  const beyond = allowanceOf(heading, plain);
  if (beyond) return beyond;
  const ofEach = eachOf(heading, plain);
  if (ofEach) return { statements: [ofEach], pieces: [] };
  const money = /¤\d/.test(plain);
  if (money && !/\b(?:sales|revenue|turnover)\b/i.test(heading)) {
    const pieces = pricePieces([{ line, plain }]);
    return { ...NOTHING, addon: { name: heading, pieces } };
  }
  // "31–250" is up to 250.
  const named = plain.replace(/^[✓✔✗✘]\s*/u, '').replace(/^\d+ ?[–-] ?(?=\d+$)/, 'up to ');
  const limits = limitsIn(named, heading).map((limit) => withHeading(limit, named, heading));
  if (limits.length > 0) return { statements: limits, pieces: [] };
  const isMarked = named !== plain;
  return { statements: [...(isMarked ? [feature(heading, !/^[✗✘]/.test(plain))] : []), ...namedFeatures(heading, named)], pieces: [] };
}

/** "8p each" under Text reminders, "¤0.60" under Per subscriber. */
function eachOf(heading: string, plain: string): Statement | null {
  const noun = /^per (?!month|mo\b|year|yr\b|hour)(\p{L}[\p{L} ]*)$/iu.exec(heading.trim())?.[1];
  if (noun !== undefined && /^¤[\d.]+$/.test(plain)) return unitChargeIn(`${plain} per ${noun.toLowerCase()}`);
  const [, amount] = /^(¤[\d.]+) (?:each|apiece)$/i.exec(plain) ?? [];
  return amount !== undefined && /[^s]s(?: (?:by|per|with) \p{L}+)?$/iu.test(heading.trim())
    ? unitChargeIn(`${amount} per ${heading}`, heading)
    : null;
}

/** "3, then ¤8 each" under Logins: so many are included, and what further ones cost. */
function allowanceOf(heading: string, plain: string): CellReading | null {
  const [, most, each] =
    /^(\d+)(?: included)?,? (?:then|plus|further ones|extra ones|more)(?: at| for|:)? ¤(\d+(?:\.\d+)?)(?: (?:each|apiece|a piece))?$/i.exec(
      plain,
    ) ?? [];
  const limits = most === undefined ? [] : limitsIn(most, heading);
  const charge = each === undefined ? null : unitChargeIn(`¤${each} per additional ${heading.toLowerCase()}`, heading);
  return limits.length > 0 && charge ? { statements: [...limits, charge], pieces: [] } : null;
}

/** A size of each file is not what can be stored. */
function withHeading(limit: Statement, plain: string, heading: string): Statement {
  if (limit.kind !== 'limit' || !/\bper (?:file|upload|video|page|e-?mail|image)\b/i.test(heading)) return limit;
  return { ...limit, quantity: countedThing(heading)?.quantity === 'storage' ? featureName(heading) : (limit.quantity ?? plain) };
}

/** "Daily" under Backups is daily backups; "e-mail and chat" under Support both kinds of support. */
function namedFeatures(heading: string, plain: string): Statement[] {
  return plain
    .split(/,\s*|\s+(?:and|&|\+)\s+/)
    .filter((one) => one.trim() !== '' && one.split(' ').length <= 5)
    .map((one) => feature(`${one} ${heading}`, true));
}
