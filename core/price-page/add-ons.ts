import type { PlainLine } from './plain-line';
import { isBadge, isButton, isQuestion, isSentence, sectionOf } from './line-kinds';
import { isPriceLine, isPriceTail, type PricePiece, pricePieces, withoutPlace } from './price-pieces';
import { unitChargeIn } from './unit-charges';
import type { Statement } from '../price-phrase/statement';
import { capital } from '../wording/capital';

/** Something sold beside the plans, as its lines state it. */
export interface StatedAddon {
  readonly name: string;
  readonly line: number;
  readonly pieces: readonly PricePiece[];
  readonly charge: Extract<Statement, { kind: 'charge' }> | null;
  /** How many lines it takes up. */
  readonly length: number;
}

const ONE_LINE =
  /^(?:extras?:\s*|add-?ons?:\s*)?((?:\p{L}|\d+ (?:gb |tb )?(?:more|extra|additional|further) )(?:[\p{L}\d\s’'/&+-]|\.(?=\p{L}{2,4}\b)){2,50}?)\s*(?:\(([^)]*)\))?\s*(?::|–|—|[·•|]| - |\bfrom\b|\bcosts?\b|\bat\b|\bis\b|\bare\b|,)?\s*(?:from |only |for )?(¤\d.*)$/iu;
const NO_NAME =
  /^add(?: \d+)?$|^(?:(?:every|each|all|the|following|later) (?:further |other )?years?\b|years? (?:\d|two|after)|from|or|otherwise|else|then|plus|only|first|starts?|starting|prices?|plans?|billed|paid|renews?|a|the|total|save|for|up to|no|not|what|when|it|this|that|you|we|see|just|now|after|free|pay|try|yes|more(?! \p{Lu}| \p{L}+ (?:addresses|accounts|users|seats)\b)|less|with|if)\b|\b(?:plans?|tarif|kostet|kosten|coûte|cuesta|costa|kost|per month|listing an?|renews|saves?|included|instead|trial|first (?:month|year|payment))\b|^others?$/iu;

/**
 * An add-on on one line ("Extra mailbox: 1.50 per month") or as a name with its price below.
 *
 * @param isListed - whether the line stands under a heading for add-ons, where a name may stand alone
 */
export function addonAt(lines: readonly PlainLine[], at: number, isListed: boolean): StatedAddon | null {
  const line = lines[at];
  if (!line) return null;
  return withLabelBelow(line, lines[at + 1]) ?? onOneLine(line) ?? (isListed ? overLines(lines, at) : null);
}

/** "Add-ons: site backups ¤2.99/mo, malware scans ¤3.99/mo" prices several. */
export function addonsInARow({ plain: given, ...line }: PlainLine): StatedAddon[] {
  const plain = withoutBrackets(given);
  const [, listed = ''] =
    /^(?:optional(?=:)|(?:optional |paid |available )?(?:add-?ons?|extras?|options?|hardware)|also available|need(?: something)? more\??|want more\??)\b[^:?¤\d]*[:?]?\s+(.*¤.*)$/i.exec(
      plain,
    ) ?? [];
  // "Card reader ¤39, printer ¤149": each with its price.
  const isRow =
    /^\p{L}[\p{L} -]{2,30}(?: is| costs)? ¤\d[\d.]*(?:(?:, (?:and )?| and )\p{L}[\p{L} -]{2,30}(?: is| costs)? ¤\d[\d.]*)+\.?$/u.test(
      plain,
    );
  const list = (isRow ? plain : '') || listed || (/^add an? (\p{L}.*¤.*)$/iu.exec(plain)?.[1] ?? '');
  const apart = plain.split(/\s+[·•|]\s+/);
  const areApart = apart.length >= 2 && apart.every((part) => /^\p{L}[^¤]{2,40}¤\d/u.test(part));
  const parts = areApart ? apart : list.replace(/\.$/, '').split(/,\s+(?:and\s+)?|;\s+|\s+(?:and|or)\s+(?=[^,]*¤)/);
  const found = parts.map((part) => onOneLine({ ...line, plain: capital(part.replace(/^an? /i, '')) }));
  return parts.length >= 2 && found.every((one) => one !== null) ? found.filter((one) => one !== null) : [];
}

/** "Not included: backups (20% of the price), reserved IP (¤4 a month)" lists what can be had besides; a share stays open. */
function withoutBrackets(plain: string): string {
  const [, listed] = /^(?:not included|besides|on request|extras?|options?): (.*\(¤.*)$/iu.exec(plain) ?? [];
  if (listed === undefined) return plain;
  const items = [...listed.matchAll(/(\p{L}[\p{L}\d -]+?) \((¤[^()]*)\)/gu)].map(([, name, price]) => `${name} ${price}`);
  return `extras: ${items.join(', ')}`;
}

/** "Student app" above "Add-on: ¤49 monthly". */
function withLabelBelow(head: PlainLine, below: PlainLine | undefined): StatedAddon | null {
  const price = /^(?:optional |paid )?(?:add-?on|extra)(?: for|:|,| –| -)? (?:from )?(¤\d.*)$/i.exec(below?.plain ?? '')?.[1];
  const stated = below && price !== undefined && canHeadAddon(head) ? onOneLine({ ...head, plain: `${head.plain}: ${price}` }) : null;
  return stated && below ? { ...stated, pieces: stated.pieces.map((piece) => ({ ...piece, line: below.line })), length: 2 } : null;
}

function onOneLine({ plain, line }: PlainLine): StatedAddon | null {
  const match = ONE_LINE.exec(
    plain.replace(/^[•✓✔+]\s*/u, '').replace(/^(?:an?|each|every) (?=(?:second|extra|additional|further|own|dedicated) (?!\d))/i, ''),
  );
  const [, name = '', , told = ''] = match ?? [];
  const price = withoutInstalments(told.replace(WORDS_BEHIND, ''));
  if (!match || NO_NAME.test(name) || name.split(' ').length > 6 || isQuestion(plain)) return null;
  const charge = unitCharge(price, name);
  if (!charge && !isAddonPrice(price)) return null;
  return { name: tidyName(name), line, pieces: charge ? [] : pricePieces([{ line, plain: price }]), charge, length: 1 };
}

/** "(no extra fee on payments)" behind a price says nothing of how it is paid. */
const WORDS_BEHIND = / \((?![^)]*\b(?:once|one-?off|one-?time|months?|monthly|years?|yearly|annual(?:ly)?|each|per)\b)[^()\d¤%]*\)\.?$/i;
const INSTALMENTS = /^(¤[\d.]+)(?: once)? or ¤[\d.]+ ?(?:\/|per |a )(?:month|mo) for \d+ months/i;
/** "¤149 or ¤9 a month": to buy or to rent. */
const TO_BUY_OR_RENT =
  /^(¤[\d.]+)(?: (?:\+|plus|excl\.?|ex\.?) vat)?(?: (?:once|to buy|to keep|outright))?,? or (?:rent (?:it )?(?:for|at) )?(¤[\d.]+ ?(?:\/|per |a )(?:month|mo))(?: to rent)?$/i;

/** "¤149 or ¤14/mo for 12 months": what is paid for a thing at once, and the same in parts. */
function withoutInstalments(price: string): string {
  return price.replace(INSTALMENTS, '$1').replace(TO_BUY_OR_RENT, '$1 once or $2');
}

function isAddonPrice(price: string): boolean {
  const bare = price
    .replace(/,? (?:the |your )?first (?:month|year) (?:is )?free\b[^¤\d]*$/i, '')
    .replace(/,? ?\bsold once\b/gi, ' once')
    .replace(/,\s+(?=(?:paid )?once\b|one-?(?:off|time)\b)/gi, ' ')
    .replace(
      /\b(?:each|per (?:site|website|server|shop|app|user|account)|(?:on|with|for|in) (?:any|every|all) plans?|for \d+ [\p{L} -]+|and (?:till|site|shop|seat|user|location)|plus vat|a till|more)\b/giu,
      ' ',
    )
    .replace(/\s+/g, ' ')
    .trim();
  return /^¤\d/.test(bare) && isPriceLine(bare.replace(/[.!]$/, ''));
}

/** A price for each of something that is counted: per GB, per hour; "each" alone means each one of the add-on. */
function unitCharge(price: string, name: string): Extract<Statement, { kind: 'charge' }> | null {
  if (/¤[\d.]+\s*(?:\/|per|a) ?(?:month|mo)\s*(?:each|per (?:site|website|server|shop|app|account))?\.?$/i.test(price)) return null;
  const each = /^¤([\d.]+) (?:each|apiece)\.?$/i.exec(price)?.[1];
  const charge = unitChargeIn(each !== undefined && isSeveral(name) ? `¤${each} per ${name}` : withoutPlace(price), name);
  return charge && !/^(?:site|server|app|shop|account|website)s?$/.test(charge.charge.on ?? 'orders') ? { ...charge, beyond: false } : null;
}

/** Whether words name a thing that is bought, not used: each further one is paid once. */
export function isThing(words: string): boolean {
  return /\b(?:scanners?|readers?|terminals?|printers?|cash drawers?|tablets?|cameras?)\b/i.test(words);
}

/** More of what a plan includes is charged with the plan, not taken like an add-on. */
export function isMoreOfPlans({ name, charge }: StatedAddon): boolean {
  if (isThing(name)) return false;
  return charge !== null && /^(?:additional|extra|further|more)\b|\b(?:above|beyond|over|past) (?:the|your|that|this|what)\b/i.test(name);
}

/** "Text messages ¤0.03 each" is charged for each of them. */
function isSeveral(name: string): boolean {
  return /[^s]s$/i.test(name.trim()) && !/\d/.test(name);
}

function overLines(lines: readonly PlainLine[], at: number): StatedAddon | null {
  const head = lines[at];
  if (!head || !canHeadAddon(head)) return null;
  const own: PlainLine[] = [];
  let described = 0;
  for (let next = at + 1; next < lines.length && next <= at + 6; next += 1) {
    const line = lines[next];
    if (!line || sectionOf(line.plain) !== null || isQuestion(line.plain)) break;
    if (isPriceLike(line.plain)) own.push(line);
    else if (own.length > 0 || described >= 2) break;
    // A name of its own right above the price: what stands further up is a heading, or about something else.
    else if (isNameOf(line, lines[next + 1])) return null;
    else described += 1;
  }
  if (own.length === 0) return null;
  const last = own.at(-1);
  const length = lines.findIndex((one) => one === last) - at + 1;
  const texts = own.map(({ plain, line }) => ({ line, plain: withoutInstalments(plain.replace(/^\+\s*/, '')) }));
  const [first] = texts;
  const charge = first && texts.length === 1 ? unitCharge(first.plain, head.plain) : null;
  return { name: tidyName(head.plain), line: head.line, pieces: charge ? [] : pricePieces(texts), charge, length };
}

function isNameOf(line: PlainLine, below: PlainLine | undefined): boolean {
  return below !== undefined && isPriceLike(below.plain) && canHeadAddon(line) && line.plain.split(' ').length <= 2;
}

function isPriceLike(plain: string): boolean {
  if (isPriceTail(plain)) return true;
  if (!/¤\d/.test(plain)) return false;
  const bare = plain
    .replace(/^\+\s*/, '')
    .replace(
      /\b(?:set-?up fee|one-time fee of|fee of|one-time setup|setup|per (?:app|site|server|shop|user)|each|(?:for|up to) \d+ [\p{L} ]+)\b/giu,
      ' ',
    )
    .replace(/\s+/g, ' ')
    .trim();
  return isPriceLine(bare) || /^(?:from )?¤[\d.]+\s*(?:\/|per)/i.test(plain);
}

function canHeadAddon({ plain, role }: PlainLine): boolean {
  if (/^(?:per|each|a|an)\b/i.test(plain)) return false;
  if (role === 'navigation' || role === 'footer' || isBadge(plain) || isQuestion(plain) || isSentence(plain)) return false;
  return (
    !/¤|\d%/.test(plain) && plain.split(' ').length <= 7 && sectionOf(plain) === null && !(isButton(plain) && plain.split(' ').length <= 2)
  );
}

/** The name of an add-on without what only leads to its price: "Your own domain from" is "Your own domain". */
export function tidyName(name: string): string {
  return capital(
    name
      .replace(/\s*\([^)]*\)\s*/g, ' ')
      .replace(/^[•✓+]\s*/u, '')
      .replace(/^(?:add )?an?\s+(?=\p{L})/iu, '')
      .replace(/(?:[:\s–—-]|\s(?:from|is an?(?: one-time)?|at|for|renews?|renew at))+$/iu, '')
      .trim(),
  );
}
