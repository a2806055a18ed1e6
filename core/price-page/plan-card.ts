import { isSameAmount } from '../amount/decimal';
import { tidyName } from './add-ons';
import { isRate } from './fees';
import { readPhrase } from '../price-phrase/read-phrase';
import type { Statement } from '../price-phrase/statement';
import type { PlanCard } from './find-plans';
import type { PlainLine } from './plain-line';
import { isBadge, isButton } from './line-kinds';
import { limitsIn, markOf, readItem } from './list-items';
import { stepCharge } from './page-tables';
import { BY_THE_HOUR } from './page-reading';
import { FURTHER_ONES, isPriceLine, isPriceOfSeats, isPriceTail, type PriceLine, pricePieces, wordPrice } from './price-pieces';
import type { PlanBeingRead, ReadingBuilder } from './reading-builder';
import { askSeatsTwoWays } from './seats-two-ways';
import { countedThing } from './counted-things';
import { dayStatements } from './sale-conditions';
import { unitChargeIn } from './unit-charges';

/** Reads the stretch of a page that is about one plan: its prices first, then what is in it. */
export function readCard(card: PlanCard, builder: ReadingBuilder): void {
  const plan = builder.plan(card.name, card.nameLine);
  for (const limit of countInName(card.name)) builder.state(plan, limit, card.nameLine);
  const cardLines = card.lines.flatMap((line) => itemsOf(line, card.lines));
  const steps = readSteps(cardLines, plan, builder);
  const asked = askSeatsTwoWays(cardLines, plan, builder);
  const isSettled = (line: PlainLine) => steps.includes(line) || asked.includes(line);
  const priceLines: PriceLine[] = [];
  let hasPrice = steps.length > 0 || asked.length > 0 || endsWithPrice(cardLines);
  let heading = '';
  for (const [at, line] of cardLines.entries()) {
    const { plain } = line;
    if (isSettled(line)) continue;
    if (isHourly(plain)) {
      builder.putAside(line.line, BY_THE_HOUR);
      continue;
    }
    if (readWholeTerm(line, plan, builder)) {
      hasPrice = true;
      continue;
    }
    const word = wordPrice(plain);
    if (isOfPrice(line) || (word === 'free' && !hasPrice)) {
      priceLines.push({ line: line.line, plain: word === 'free' ? '¤0 per month' : priceWords(plain) });
      hasPrice ||= /¤/.test(plain) || word === 'free';
      readBeside(line, plan, builder);
    } else if (word === 'asked for' && !hasPrice) {
      builder.price(plan, [notStated(line.line)]);
      hasPrice = true;
    } else {
      if (!/\d/.test(plain)) heading = FEE_HEADING.test(plain) ? plain.toLowerCase() : '';
      if (heading !== '' && !/\d/.test(plain) && !/^(?:no|zero|without|free)\b/i.test(plain) && isRate(cardLines[at + 1]?.plain ?? '')) {
        builder.putAside(line.line, 'heading');
        continue;
      }
      if (readAddon(line, builder)) continue;
      readLine(line, cardLines[at - 1], { hasPrice, heading }, plan, builder);
      hasPrice ||= isPriceOfSeats(plain) || plan.facts.some(({ statement }) => statement.kind === 'trial');
    }
  }
  takeForStep(priceLines, plan, builder);
  for (const { line, plain } of priceLines) if (!/¤/.test(plain)) builder.putAside(line, 'how the price above is paid');
  const bySeats = priceLines.length === 0 && asked.length === 0 ? cardLines.find(({ plain }) => isPriceOfSeats(plain)) : undefined;
  // Where everybody who uses it is paid for, nothing is paid for the plan itself.
  builder.price(plan, pricePieces(bySeats ? [{ line: bySeats.line, plain: '¤0 per month' }] : priceLines));
}

/** "Three sites" is the name of a plan, and how many it is for. */
function countInName(name: string): Statement[] {
  return /^\p{L}+ (?:web ?)?(?:sites?|shops?|stores?|users?|domains?)$/iu.test(name)
    ? limitsIn(name).filter((one) => one.kind === 'limit' && typeof one.most === 'string')
    : [];
}

/** "from ¤9 / month" above steps of which one is ¤9 shows that step, and is no price of its own. */
function takeForStep(priceLines: PriceLine[], { facts }: PlanBeingRead, builder: ReadingBuilder): void {
  const steps = facts.flatMap(({ statement }) =>
    statement.kind === 'charge' && 'bands' in statement.charge ? statement.charge.bands : [],
  );
  const shown = priceLines.filter(({ plain }) => {
    const from = /^from ¤(\d+(?:\.\d+)?)\b/i.exec(plain)?.[1];
    return from !== undefined && steps.some(({ flat }) => isSameAmount(flat ?? null, from));
  });
  for (const one of shown) {
    priceLines.splice(priceLines.indexOf(one), 1);
    builder.putAside(one.line, 'one of the steps of its price');
  }
}

/** Whether what is in the plan stands above its price, with nothing below it. */
function endsWithPrice(lines: readonly PlainLine[]): boolean {
  const at = lines.findIndex(({ plain }) => isPriceLine(plain));
  return at >= 2 && lines.slice(at).every(({ plain }) => isPriceLine(plain) || isPriceTail(plain) || isButton(plain) || isBadge(plain));
}

const LEAST_ITEMS = 3;
const EXTRA_HOUR = /\b(?:extra|additional|further|more) hours?$/i;

/**
 * "1 site, 3 pages, own domain" is a list on one line; "per extra hour" is about the hours that the card has named before.
 */
function itemsOf(line: PlainLine, card: readonly PlainLine[]): PlainLine[] {
  const { plain } = line;
  if (EXTRA_HOUR.test(plain)) {
    const of = card.map((one) => /\bhours? (of \p{L}+(?: \p{L}+)?)$/iu.exec(one.plain)?.[1]).find((words) => words !== undefined);
    return of === undefined ? [line] : [{ ...line, plain: `${plain} ${of}` }];
  }
  const parts = /¤/.test(plain) ? [] : plain.split(/\s+[·•|]\s+/);
  if (parts.length >= 2) return parts.map((part) => ({ ...line, plain: part, text: part }));
  const items = plain.replace(/\.$/, '').split(/,\s+/);
  const isList =
    items.length >= LEAST_ITEMS && !/[¤:]|\.(?!$)/.test(plain) && items.every((item) => item !== '' && item.split(' ').length <= 5);
  return isList ? items.map((item) => ({ ...line, plain: item, text: item })) : [line];
}

const FIRST_THEN = /\bfirst\b.*\bthen\b/i;
const SAYS_HOW_PAID = /\b(?:billed|paid) (?:monthly|yearly|annually|every|by)\b/i;

/**
 * "136.80 for the first 36 months, then 298.80 every 3 years": a line that says by itself what is paid first, and what
 * then and how long for. Where it says how it is billed and that does not fit, it is asked.
 *
 * @returns false where any of that is to be put together with other lines
 */
function readWholeTerm({ text, line }: PlainLine, plan: PlanBeingRead, builder: ReadingBuilder): boolean {
  if (!FIRST_THEN.test(text)) return false;
  const [clause, ...others] = readPhrase(text);
  if (!clause || others.length > 0) return false;
  if (clause.kind === 'asked' && SAYS_HOW_PAID.test(text)) {
    const options = clause.options.map(({ label, statements }) => ({
      label,
      statements: statements.map((statement) => ({ plan: plan.name, statement: inPageCurrency(statement) })),
    }));
    builder.ask(clause.question, [line], [plan.name], options);
    return true;
  }
  const [statement, ...more] = clause.kind === 'read' ? clause.statements : [];
  if (statement?.kind !== 'term' || more.length > 0) return false;
  builder.state(plan, inPageCurrency(statement), line);
  return true;
}

/** A page's prices are all in the page's currency, which is settled for all of it. */
function inPageCurrency(statement: Statement): Statement {
  if (statement.kind !== 'term') return statement;
  const { currency: _ofThePage, ...term } = statement;
  return term;
}

/** "Card rates starting at" over several rates says what they are. */
const FEE_HEADING = /\b(?:card|cards|credit card|payment|processing|transaction)\b.*\b(?:rates?|fees?)\b/i;

function isHourly(plain: string): boolean {
  return /^¤[\d.]+\s*(?:\/|per|an?) ?(?:hour|hr|h)\b/i.test(plain);
}

function notStated(line: number) {
  return {
    amount: null,
    line,
    isCrossedOut: false,
    per: 1,
    billed: null,
    isTotal: false,
    first: null,
    isRenewal: false,
    isOnce: false,
    isSwitched: false,
  };
}

const PRICE_BEGINS =
  /^(?:(?:from|only|just|now|or|then|plus|starts? at|starting at|renews? (?:at|for)|renewal(?: price)?|regular price|normally|billed(?: as)?(?: one payment of)?|paid(?: as)?|yearly:|monthly:|after that|introductory price)\s*:?\s*)*[\uE000]?\s*¤\d[\d.]*[\uE001]?\s*(?:usd|eur|gbp)?\s*(?:(?:\/|per|a|an|each|every|for)\s?(?:the )?(?:first )?(?:\d+ )?(?:month|months|mo|year|years|yr|m|y|quarter)\b|billed|paid|once|one-time|when|for the first|$)/i;

/** "Dedicated IP ¤4/mo", "Extra site ¤2 a month" in a plan's list is something that can be had beside it. */
function readAddon({ plain, line }: PlainLine, builder: ReadingBuilder): boolean {
  const match =
    /^(\p{L}[^¤:]{2,40}?):?\s+(?:for )?(¤\d[\d.]*\s*(?:\/|per|a)\s?(?:mo|month|yr|year))(?: (?:each|more|extra|on top))?\.?$/iu.exec(
      plain.replace(/^[•·*–-]\s+/u, ''),
    );
  const [, name = '', price = ''] = match ?? [];
  if (
    !match ||
    /\bup to$|\bsales\b/i.test(name) ||
    /^(?:from|or|then|plus|only|just|renews?|billed|paid|now|was|starting|after|first|further|each|every)\b/i.test(name)
  )
    return false;
  builder.price(builder.addon(tidyName(name), line), pricePieces([{ line, plain: price }]));
  return true;
}

/** A line with an amount that is the plan's price, perhaps with words about something else behind it. */
function isOfPrice({ plain }: PlainLine): boolean {
  if (isPriceLine(plain) || isPriceTail(priceWords(plain))) return true;
  if (!/¤\d/.test(plain) || isRate(plain) || FURTHER_ONES.test(plain)) return false;
  if (/\b(?:additional|extra|further|overage)\b/i.test(plain) || /^(?:plus|\+)/i.test(plain)) return false;
  return PRICE_BEGINS.test(plain);
}

/** Words about how many a price is for do not belong to the price. */
function priceWords(plain: string): string {
  return plain
    .replace(/\bfor (?:up to )?\d+ (?!months?|years?|days?)\p{L}+.*$/iu, '')
    .replace(/\(\d+ months? free\)/i, '')
    .trim();
}

/** "/month for 5,000 contacts" is a price and a limit. */
function readBeside({ plain, line }: PlainLine, plan: PlanBeingRead, builder: ReadingBuilder): void {
  const counted = /\bfor (?:up to )?(\d+) (?!months?|years?|days?)(\p{L}[\p{L} ]*)$/iu.exec(plain);
  const thing = counted && countedThing(counted[2] ?? '');
  if (counted && thing) builder.state(plan, { kind: 'limit', quantity: thing.quantity, most: counted[1] ?? '0' }, line);
}

/** "Best if you sell up to 20 things a week" allows nothing. */
const PRAISE = /^(?:best|ideal|perfect|great|good|made|built|suited|right|designed|recommended) (?:if|for|when|to)\b/i;

function readLine(
  line: PlainLine,
  before: PlainLine | undefined,
  { hasPrice, heading }: { readonly hasPrice: boolean; readonly heading: string },
  plan: PlanBeingRead,
  builder: ReadingBuilder,
): void {
  const { plain, line: at } = line;
  if (isBadge(plain) || /^(?:or|monthly|yearly|annually|per month|per year)$/i.test(plain)) return builder.putAside(at, 'a badge');
  const days = dayStatements(plain, '');
  if (days.length > 0) return days.forEach((statement) => builder.state(plan, statement, at));
  if (isButton(plain) || line.role === 'button') return builder.putAside(at, 'button');
  if (/^[✓✔✗✘×—–-]$/u.test(plain)) return builder.putAside(at, 'the sign of the next line');
  if (/^for (?!up to)\p{L}+(?: \p{L}+){0,4}$/iu.test(plain) && line.role !== 'item') return builder.putAside(at, 'praise');
  if (PRAISE.test(plain) && line.role !== 'item' && !/[%¤]/.test(plain)) return builder.putAside(at, 'praise');
  if (!hasPrice && /^\d[.)]?$/.test(plain)) return builder.putAside(at, 'the number of the plan');
  if (!hasPrice && !markOf(plain).isMarked && !/\d|^unlimited\b/i.test(plain)) return builder.putAside(at, 'praise');
  const further = readFurtherOnes(plain, before);
  if (further) return builder.state(plan, further, at);
  const sign = before && /^[✓✔✗✘×—–-]$/u.test(before.plain) ? before.plain : null;
  const item = readItem(sign === null ? plain : `${sign} ${plain}`, heading);
  // A line may say its price, too, and be settled by that.
  if (item.isOpen) return builder.leaveOpen(at);
  if (item.statements.length === 0) return builder.putAside(at, item.why ?? 'only words');
  for (const statement of item.statements) builder.state(plan, statement, at);
}

/** "then ¤0.09 each" is about what the line above counts. */
function readFurtherOnes(plain: string, before: PlainLine | undefined): Statement | null {
  const each = FURTHER_ONES.exec(plain)?.[1];
  const counted = each === undefined || !before ? [] : readItem(before.plain).statements;
  const [limit] = counted.filter((statement) => statement.kind === 'limit');
  if (each === undefined || limit?.kind !== 'limit') return null;
  return unitChargeIn(`${each} per additional ${limit.quantity.replaceAll('-', ' ').replace(/s$/, '')}`);
}

const STEP = /^¤(\d+(?:\.\d+)?)\s*(?:(?:\/|per|a) ?(?:month|mo))?\s*(?:for|up to|:)\s*(?:up to )?(\d+)(?: (\p{L}[\p{L} ]*))?$/iu;
/** "500 contacts – ¤9" says it the other way round. */
const COUNT_FIRST = /^(?:up to )?(\d+) (\p{L}[\p{L} ]*?)(?::| –| —| -|,) (¤\d+(?:\.\d+)?)(?: ?(?:\/|per|a) ?(?:month|mo))?$/iu;
const BY_THE_MONTH = /^¤(\d+(?:\.\d+)?)\s*(?:\/|per|a) ?(?:month|mo)$/i;
const FOR_SO_MANY = /^for (?:up to )?(\d+) (\p{L}[\p{L} ]*)$/iu;

interface PriceStep {
  readonly line: PlainLine;
  readonly flat: string;
  readonly upTo: string;
  readonly noun: string;
}

/**
 * Several prices by how many there are: "€14 a month for 1,000 contacts" again and again, in lines of their own or in one
 * ("£15 for 1,000 · £25 for 2,500"); the first may be parted from its "for 500 contacts".
 */
function readSteps(lines: readonly PlainLine[], plan: PlanBeingRead, builder: ReadingBuilder): PlainLine[] {
  const listed = lines.flatMap((line): PriceStep[] => {
    const parts = line.plain.split(/\s*[·;|]\s*|,\s+(?=¤)|\s+\/\s+(?=¤)/);
    const steps = parts.map((part) => STEP.exec(part.replace(COUNT_FIRST, '$3 for $1 $2')));
    if (steps.some((step) => step === null)) return [];
    return steps.flatMap((step) => (step ? [{ line, flat: step[1] ?? '', upTo: step[2] ?? '', noun: step[3] ?? '' }] : []));
  });
  const apart = lines.flatMap((line, at): PriceStep[] => {
    const [price, count] = [BY_THE_MONTH.exec(line.plain), FOR_SO_MANY.exec(lines[at + 1]?.plain ?? '')];
    return price && count && listed.length > 0 ? [{ line, flat: price[1] ?? '', upTo: count[1] ?? '', noun: count[2] ?? '' }] : [];
  });
  const steps = [...apart, ...listed].sort((a, b) => Number(a.upTo) - Number(b.upTo));
  const things = [...new Set(steps.flatMap(({ noun }) => (noun === '' ? [] : (countedThing(noun)?.quantity ?? '?'))))];
  const [quantity] = things;
  if (steps.length < 2 || things.length !== 1 || quantity === undefined || quantity === '?') return [];
  const used = lines.filter((line, at) => steps.some((step) => step.line === line || apart.some((one) => one.line === lines[at - 1])));
  builder.state(plan, stepCharge(quantity, steps), ...used.map(({ line }) => line));
  return used;
}
