import { decimal } from '../amount/decimal';
import { monthsOf } from '../price-phrase/vocabulary';

/** One amount of a price as the page shows it, and what its words say of it. */
export interface PricePiece {
  /** Null: has to be asked for. */
  readonly amount: string | null;
  readonly line: number;
  readonly isCrossedOut: boolean;
  /** For how many months the amount is quoted; null where nothing says. */
  readonly per: number | null;
  /** How many months are paid at once; null where nothing says. */
  readonly billed: number | null;
  /** Whether it is what is paid at once, as in "billed $144 yearly". */
  readonly isTotal: boolean;
  /** For how many months from joining it holds. */
  readonly first: number | null;
  readonly isRenewal: boolean;
  readonly isOnce: boolean;
  /** Comes from behind a switch between monthly and yearly prices. */
  readonly isSwitched: boolean;
}

/** A line that has to do with a plan's price. */
export interface PriceLine {
  readonly line: number;
  readonly plain: string;
}

const COUNTS: Readonly<Record<string, number>> = { one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, twelve: 12 };
const COUNT = String.raw`(\d+|one|two|three|four|five|six|twelve)`;
const UNIT = String.raw`(months?|mo|mth|m|quarters?|years?|yrs?|y|annum)`;
const PER = new RegExp(
  String.raw`^[\s;,)]*(?:usd|eur|gbp)?\s*(?:\/|per|a|an|each|every|by the|for an?|for one)\s?(?:whole |full )?(?:${COUNT}[ -])?${UNIT}\b`,
);
const PER_ADVERB = /^[\s;,)]*(?:usd|eur|gbp)?\s*(monthly|yearly|annually|quarterly)\b(?!\s*:)/;
const BILLED = new RegExp(
  String.raw`\b(?:billed|paid|charged|paying|pay|payable|invoiced|billing|with|on|on an?|on the|for an?|commitment of)\s+(?:(?:once|in advance|upfront|today|now)\s+)?(?:(?:by the|every|each|per|for|an?)\s+)?(?:${COUNT}[ -])?(monthly|yearly|annually|annual|quarterly|months?|years?)\b`,
);
const MONTH_BY_MONTH = /\b(?:month[- ]to[- ]month|month[- ]by[- ]month|by the month|no contract|rolling)\b/;
const YEARLY_BILLING =
  /\b(?:annual|yearly) (?:billing|payments?|plan|contract|commitment|subscription|prepayment)\b|(?:^|;|month|mo)\s*by the year\b/;
const FIRST = new RegExp(String.raw`\b(?:for|in|during)?\s*(?:the |your )?first (?:${COUNT} )?(months?|years?|terms?)\b`);
const INTRODUCTORY = new RegExp(String.raw`\bintroductory price (?:for|of) ${COUNT} (months?|years?)\b`);
const FOR_MONTHS = new RegExp(
  String.raw`^[\s;,]*(?:today |now |up ?front )?(?:(?:\/|per|a)\s?(?:month|mo))?[\s;,]*for (?:${COUNT}) (months?|years?)\b`,
);
const ONCE =
  /^[\s;,()]*(?:one[- ]?time|one-?off|(?:paid |pay |you pay |payable )?(?:just |only )?once\b(?! (?:a|per|every|yearly|annually))|for life|lifetime|for good|(?:a )?single payment|one payment|as a one-?time)/;
const ONCE_BEFORE = /\b(?:lifetime|for life|pay once|one-?time (?:price|payment|fee)|once)\b[^;]{0,30}$/;
const RENEWAL_BEFORE =
  /\b(?:then|renews?(?: yearly| annually| monthly)?|renewal(?: price)?|after that|afterwards|thereafter|later|regular(?: price)?|normal price|standard price|regularly)\s*(?:at|for|is|price|costs?|applies)?\s*(?:the )?(?:full |regular |standard )?(?:price )?(?:of )?:?\s*(?:only)?\s*$/;
const RENEWAL_AFTER =
  /^[\s,(]*(?:(?:\/|per|a)\s?(?:months?|mo|years?|yr)\b)?[\s,(]*(?:from (?:the )?(?:year 2|2nd year|second year)(?: on)?|when (?:you|it) renews?|(?:up)?on renewal|at renewal|after (?:that|renewal|the (?:first|introductory|intro) (?:term|period|price))|afterwards|thereafter|regularly)\b/;
const TERM_LINE = /(?:^|;)\s*(?:on an? |with an? |for (?:an? )?)?(\d+)[- ](month|year)s? (?:term|contract|plan)\s*(?=[;,])/;
const TOTAL_BEFORE = /(?:^|;)\s*pay\s*$|\b(?:billed|paid|charged|total|totalling|payment of|due today|you pay)\b[^;]{0,24}$/;
const TOTAL_AFTER = /^[\s,(]*(?:is )?(?:due|payable) (?:today|now|at checkout|up ?-?front)\b/;
/** "12-month plan, ¤47.88 today". */
const TERM_BEFORE = /(\d+)[- ](month|year)s? (?:plan|term|contract)[,:]?\s*$/;
const TODAY_AFTER = /^[\s,(]*(?:due )?today\b/;
const CROSSED_BEFORE = /\b(?:was|instead of|normally|usually|rrp|list price|before)\s*:?\s*$/;
const SWITCH_BEFORE = /(?:^|;)\s*(monthly|yearly)\s*:\s*$/;

/**
 * The amounts of the lines about a plan's price, with what stands around them. A line's words may belong to the amount
 * on the line before ("$13", "/month", "billed annually").
 */
export function pricePieces(lines: readonly PriceLine[]): PricePiece[] {
  const { text: said, lineAt } = joined(withSwitchedLast(lines));
  const text = said.replace(SAVED, (words) => ' '.repeat(words.length));
  const amounts = [...text.matchAll(/(\uE000)?\s*¤(\d+(?:\.\d+)?)\s*(\uE001)?/g)];
  const found = amounts.map((match, index) => {
    const end = amounts[index + 1]?.index ?? text.length;
    const start = index === 0 ? 0 : (amounts[index - 1]?.index ?? 0) + (amounts[index - 1]?.[0].length ?? 0);
    const before = text.slice(start, match.index);
    // "First year:" on the next line belongs to the next amount.
    const after = text.slice(match.index + match[0].length, end).replace(/;[^;]*:\s*$/, ';');
    const own = lastClause(before);
    return {
      piece: pieceOf(match[2] ?? '0', lineAt(match.index + match[0].indexOf('¤')), match[1] !== undefined, own, after),
      before: own,
    };
  });
  const pieces = found.map(({ piece, before }, index) => (OTHERWISE.test(before) ? otherwisePaid(piece, found[index - 1]?.piece) : piece));
  return withTerm(withCrossedOut(withFirst(pieces, text)), text);
}

const FOR_THE_FIRST = new RegExp(String.raw`(?:^|; )for the first (?:${COUNT} )?(months?|years?),? then ¤`);

/** "For the first 12 months, then ¤6.99" on a line of its own is said of the price that is shown first. */
function withFirst(pieces: readonly PricePiece[], text: string): readonly PricePiece[] {
  const [, count, unit] = FOR_THE_FIRST.exec(text) ?? [];
  const shown = pieces.find(({ isRenewal, isOnce, isCrossedOut }) => !isRenewal && !isOnce && !isCrossedOut);
  if (unit === undefined || !shown) return pieces;
  return pieces.map((piece) => ({ ...piece, first: piece === shown ? countOf(count) * monthsOf(unit) : null }));
}

/** "(save ¤24)" is what the price beside it saves. */
const SAVED = /\(\s*(?:you )?saves?(?: you)? ¤\d[\d.]*(?: (?:a|per) year)?\s*\)/gi;

const OTHERWISE = /\b(?:otherwise|else)\s*$/;

/** "¤19 a month when billed yearly, otherwise ¤24": paid the other way. */
function otherwisePaid(piece: PricePiece, former: PricePiece | undefined): PricePiece {
  if (piece.per !== null || piece.billed !== null || former?.per !== 1 || former.billed === null) return piece;
  return { ...piece, per: 1, billed: former.billed === 1 ? 12 : 1 };
}

/** What is behind a switch stands last: words below the price that is shown are about that one. */
function withSwitchedLast(lines: readonly PriceLine[]): PriceLine[] {
  const isSwitched = ({ plain }: PriceLine) => /^(?:monthly|yearly): /i.test(plain);
  return [...lines.filter((line) => !isSwitched(line)), ...lines.filter(isSwitched)];
}

/** "36-month term" on a line of its own is how long the lower of two prices is paid ahead for. */
function withTerm(pieces: readonly PricePiece[], text: string): PricePiece[] {
  const [, count, unit = ''] = TERM_LINE.exec(text) ?? [];
  const shown = pieces.find(({ isCrossedOut, isRenewal, isOnce }) => !isCrossedOut && !isRenewal && !isOnce);
  if (count === undefined || shown?.per !== 1 || shown.billed !== null) return [...pieces];
  return pieces.map((piece) => (piece === shown ? { ...piece, billed: countOf(count) * monthsOf(unit) } : piece));
}

function joined(lines: readonly PriceLine[]): { text: string; lineAt: (index: number) => number } {
  let text = '';
  const starts: Array<readonly [at: number, line: number]> = [];
  for (const { line, plain } of lines) {
    starts.push([text.length, line]);
    text += `${plain.toLowerCase()}; `;
  }
  return { text, lineAt: (index) => [...starts].reverse().find(([at]) => at <= index)?.[1] ?? 0 };
}

/** Of what stands before an amount, the words that belong to it. */
function lastClause(before: string): string {
  const cut = `${before.replace(/[\uE000\uE001]/g, '')} `;
  const lines = cut.split(';');
  const own = lines.at(-1) ?? '';
  // A line of its own above an amount belongs to it only if it says nothing else than what the amount is.
  const above = lines.at(-2) ?? '';
  if (own.trim() === '') return RENEWAL_BEFORE.test(above) && above.trim().split(' ').length <= 3 ? above : '';
  const at = Math.max(own.lastIndexOf(', '), own.lastIndexOf('('), own.lastIndexOf(' or '));
  return at < 0 ? own : own.slice(own.charAt(at) === '(' ? at : at + 1);
}

function pieceOf(amount: string, line: number, isMarked: boolean, before: string, after: string): PricePiece {
  const switched = SWITCH_BEFORE.exec(before)?.[1];
  const per = perIn(after);
  const switchedTo = switched === 'yearly' ? 12 : 1;
  const [, count, unit = ''] = (TODAY_AFTER.test(after) ? TERM_BEFORE.exec(before) : null) ?? [];
  const ahead = count === undefined ? null : Number(count) * monthsOf(unit);
  const billed = switched === undefined ? (ahead ?? billedIn(after, before)) : switchedTo;
  const first = firstIn(after) ?? firstIn(before);
  const isOnce = (ONCE.test(after) || ONCE_BEFORE.test(before)) && per === null;
  const isRenewal = RENEWAL_BEFORE.test(before) || RENEWAL_AFTER.test(after);
  return {
    amount,
    line,
    isCrossedOut: isMarked || CROSSED_BEFORE.test(before),
    per,
    billed: isOnce ? null : (billed ?? (TOTAL_BEFORE.test(before) ? per : null)),
    isTotal:
      !isOnce &&
      !isRenewal &&
      ((before.trim() === '(' && billed === null) ||
        (per === null && ((billed !== null && billed > 1) || TOTAL_AFTER.test(after))) ||
        (TOTAL_BEFORE.test(before) && (per === null || billed === null || per === billed)) ||
        (per === null && first !== null && first > 1 && /^[\s;,]*for the first/.test(after))),
    first,
    isRenewal,
    isOnce,
    isSwitched: switched !== undefined,
  };
}

function perIn(after: string): number | null {
  const per = PER.exec(after);
  if (per) return countOf(per[1]) * monthsOf(per[2] ?? 'month');
  const adverb = PER_ADVERB.exec(after)?.[1];
  return adverb === undefined ? null : monthsOf(adverb);
}

function billedIn(after: string, before: string): number | null {
  const [clause = ''] = after.split(/\b(?:or|then)\b/);
  const found = BILLED.exec(clause) ?? BILLED.exec(before);
  if (found) return countOf(found[1]) * monthsOf(found[2] ?? 'month');
  if (MONTH_BY_MONTH.test(clause)) return 1;
  if (YEARLY_BILLING.test(clause)) return 12;
  const adverb = /^[\s;,)]*(?:usd|eur|gbp)?\s*(?:\/|per|a)?\s?(?:month|mo)?[\s;,]*(?:on|with)?\s*(\d+)-year term\b/.exec(after)?.[1];
  return adverb === undefined ? null : Number(adverb) * 12;
}

function firstIn(words: string): number | null {
  const first = FIRST.exec(words) ?? INTRODUCTORY.exec(words) ?? FOR_MONTHS.exec(words);
  if (!first) return null;
  return countOf(first[1]) * monthsOf(first[2] ?? 'month');
}

function countOf(words: string | undefined): number {
  return words === undefined ? 1 : (COUNTS[words] ?? Number(words));
}

/**
 * Of two amounts above each other, the first without any words, the higher is what the page crosses out, which a copied
 * text does not show.
 */
function withCrossedOut(pieces: readonly PricePiece[]): PricePiece[] {
  return pieces.map((piece, index) => {
    const [former, next] = [pieces[index - 1], pieces[index + 1]];
    if (next && areNear(piece, next) && isHigher(piece, next)) return { ...piece, isCrossedOut: true };
    if (next && areNear(piece, next) && isShownFirst(piece, next)) return { ...piece, per: next.per, billed: next.billed };
    if (former && areNear(former, piece) && isShownFirst(former, piece)) return { ...piece, billed: null, isCrossedOut: true };
    return piece;
  });
}

/** Two amounts of one price stand in lines that follow each other, perhaps with an empty one between. */
const LINES_APART = 2;

function areNear(bare: PricePiece, next: PricePiece): boolean {
  const isBare = bare.per === null && bare.billed === null && bare.first === null && !bare.isTotal && !bare.isRenewal && !bare.isOnce;
  return isBare && !bare.isSwitched && next.line - bare.line <= LINES_APART && !next.isTotal && !next.isRenewal && !next.isSwitched;
}

function isHigher({ amount }: PricePiece, other: PricePiece): boolean {
  return amount !== null && other.amount !== null && decimal(amount).gt(other.amount);
}

/** "¤28", and below it "¤35 / month": the words of the crossed-out price are those of the lower one, too. */
function isShownFirst(bare: PricePiece, next: PricePiece): boolean {
  return isHigher(next, bare) && next.per === 1 && next.billed !== 1 && next.first === null && !next.isCrossedOut && !bare.isCrossedOut;
}

const STUFF =
  /[\uE000\uE001]|¤\d+(?:\.\d+)?|\b\d+(?:\.\d+)?%|\b(?:usd|eur|gbp|from|starts?|starting|at|only|just|now|today|was|instead|of|per|a|an|each|every|by|the|month|months|mo|mth|monthly|year|years|yr|yearly|annual|annually|annum|quarter|quarterly|billed|billing|paid|paying|pay|payment|payable|charged|charge|as|one|two|three|in|total|due|checkout|once|one-time|one-off|upfront|advance|for|first|your|then|after|that|and|or|plus|when|if|you|with|on|term|terms|contract|commitment|subscription|prepayment|month-to-month|month-by-month|to|excl|incl|excluding|including|vat|tax|ex|inc|save|saving|off|free|price|prices|regular|regularly|normally|renews?|renewal|renew|upon|otherwise|else|afterwards|thereafter|it|plan|price\/month|lifetime|life|good|forever|ever|single|costs?|is|equals|all|equivalent|\d+-year|additional|user|whole|full|introductory|half|time|2nd|second)\b|\b\d+ (?:months?|years?)\b|[/,.;:()*+–—-]|\b\d+\b/g;

/** "/month per shop": a seller has one shop as long as nobody says otherwise. */
export function withoutPlace(text: string): string {
  return text.replace(
    /((?:\/|per|a) ?(?:month|mo|year|yr))\s*(?:\/|per|each|for (?:each|every|one)) ?(?:shop|store|location|outlet|till)$/,
    '$1',
  );
}

/** "then ¤0.09 each" under "250 parcels" is what further parcels cost. */
export const FURTHER_ONES =
  /^(?:then|after that|thereafter|beyond that|beyond|plus|(?:every |each )?(?:further|extra|additional)(?: ones?)?)[ :]+(?:at |for |only )?(¤\d+(?:\.\d+)?) (?:each|apiece)$/i;

/** Whether a line is nothing but an amount and words about how it is paid. */
export function isPriceLine(plain: string): boolean {
  const text = withoutPlace(plain.toLowerCase());
  if (!/¤\d/.test(text) || isPriceOfSeats(text) || (text.endsWith('.') && /\bto\b/.test(text.replace(/month[- ]to[- ]month/g, ''))))
    return false;
  if (/¤[\d.]+ (?:for (?:each|every)|per|each) \d{2,}/.test(text) || FURTHER_ONES.test(text)) return false;
  if (/%\s*\+|\+\s*¤|¤[\d.]+ (?:per|each|\/) ?(?:order|sale|transaction|booking|payment|charge)/.test(text)) return false;
  return text.replace(STUFF, ' ').trim() === '';
}

const PAID_ONCE = /^(?:(?:you )?(?:pay|paid|payable) (?:just |only )?once\b[^\d.]{0,40}|(?:one|a single) payment)$/;

/** Whether a line only says how an amount on the line before is paid: "/month", "billed annually". */
export function isPriceTail(plain: string): boolean {
  const text = withoutPlace(plain.toLowerCase());
  if (/¤/.test(text) || text.length > 60) return false;
  if (PAID_ONCE.test(text)) return true;
  return (
    /^\d+[- ](?:month|year)s? (?:term|contract)$|^(?:usd|eur|gbp)?\s*(?:\/|per|a |an |each|every|billed|paid|charged|invoiced|when|if (?:you|billed|paid|charged)|on an?|by the (?:year|month)$|with an? (?:\d|annual|yearly|monthly)|with (?:annual|yearly|monthly)|for the first|for first|for \d+|then|monthly$|yearly$|annually$|one-?time|once|forever$|for life|lifetime$|month[- ]to|usd\/)/.test(
      text,
    ) && text.replace(STUFF, ' ').trim() === ''
  );
}

const NO_PRICE =
  /^(?:custom(?:[ -]?(?:pricing|price|quote|plan))?|let['’]?s talk|talk to (?:us|sales)|(?:call|phone|ring|e-?mail|write to) us|contact (?:us|sales)(?: for (?:a )?(?:price|pricing|quote))?|(?:price )?on request|prices? by agreement|tailored(?: pricing)?|get a quote|request a quote|ask us|individual(?:ly)?(?: price| pricing)?|bespoke|by quote|(?:price )?by arrangement|p\.?o\.?a\.?|ask (?:us )?for (?:a |the )?(?:price|quote))[.!]?$/i;
const FREE =
  /^(?:free(?: forever| for ever)?|forever free|free plan|gratis|free of charge|no charge|at no cost|(?:costs? )?nothing|no (?:monthly|fixed) (?:fees?|costs?|charges?|prices?)|free to start|¤0|¤0\.00)[.!]?$/i;

/** Whether a line says in words what a plan costs: nothing, or that it has to be asked for. */
export function wordPrice(plain: string): 'free' | 'asked for' | null {
  if (NO_PRICE.test(plain)) return 'asked for';
  return FREE.test(plain) ? 'free' : null;
}

/** "¤15 / host / month": what a plan costs by how many use it. */
export function isPriceOfSeats(plain: string): boolean {
  return /^(?:from |only )?¤[\d.]+ ?(?:usd|eur|gbp)? ?(?:\/|per|a) ?(?:active |paid |named )?(?:host|user|seat|member|person|editor|admin|agent|teacher|trainer)(?: ?(?:\/|per|a|each) ?(?:month|mo|year|yr))(?:,? (?:billed|paid) \w+)?$/i.test(
    plain,
  );
}
