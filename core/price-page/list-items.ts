import type { Statement } from '../price-phrase/statement';
import { isUsualQuantity, plural, slugOf } from '../price-phrase/vocabulary';
import { speaksOfOtherPlan } from './other-plans';
import { bareNoun, countedThing, inQuantity } from './counted-things';
import { feesIn } from './fees';
import { unitChargeIn } from './unit-charges';
import { CROSSED_OUT, shownText } from './page-blocks';
import { dayStatements } from './sale-conditions';

/** What an item of a plan's list states, and what of it is only words. */
export interface ReadItem {
  readonly statements: readonly Statement[];
  /** Why it states nothing. */
  readonly why?: string;
  /** Whether it has a figure that was not understood. */
  readonly isOpen?: true;
}

const TICK = /^(?:[✓✔☑✅√]\uFE0F?|\[x\])\s*/iu;
const CROSS = /^(?:[✗✘✖☒❌×✕]|[–—-](?=\s\p{L}))\s*/u;
const BULLET = /^[•·*▪◦‣►»+→➔➜]\s*(?=[\p{L}\d¤])/u;
const NOT_THERE =
  /^(?:no|not|without|excludes?|excluding)\s+(?!limits?\b|transaction fees?|transaction costs?|sales? fee|commission|fees?\b|set-?up|minimum|contract|credit card|card needed)/i;
const UNLIMITED = /\b(?:unlimited|no limit(?: on)?|limitless|unmetered|without limit)\b/i;
/** A heading of a list. */
const NO_ITEM =
  /^(?:includes?:?$|including:?$|what stands out|top features|key features|highlights|features:?$|plus:?$|you get:?$|what you get|what['’]s (?:included|inside)[:?]?$|what['’]s in (?:it|here|the box|this plan)[:?]?$|in this plan:?$)/i;

/** Whether an item is ticked, crossed or only listed, and its words. */
export function markOf(text: string): { readonly isThere: boolean; readonly isMarked: boolean; readonly words: string } {
  if (text.startsWith(CROSSED_OUT.open) && text.endsWith(CROSSED_OUT.close))
    return { isThere: false, isMarked: true, words: shownText(text) };
  if (TICK.test(text)) return { isThere: true, isMarked: true, words: text.replace(TICK, '') };
  if (CROSS.test(text)) return { isThere: false, isMarked: true, words: text.replace(CROSS, '') };
  return { isThere: true, isMarked: false, words: text.replace(BULLET, '') };
}

/** "3 seats, extra seats ¤8 each a month": so many are included, and more can be had. */
function withExtraOnes(text: string, heading: string): ReadItem | null {
  const [, included = '', extra = ''] = /^([^,¤]*\d[^,¤]*),\s+((?:extra|additional|further|more)\b.*¤.*)$/iu.exec(text) ?? [];
  const [noun, price] = [/^(?:extra|additional|further|more) (\p{L}[\p{L} ]*?)s? ¤/iu.exec(extra)?.[1], /¤\d+(?:\.\d+)?/.exec(extra)?.[0]];
  const charge =
    noun === undefined || /^ones?$/i.test(noun) || price === undefined ? null : unitChargeIn(`${price} per additional ${noun}`);
  const limits = charge ? limitsIn(included, heading) : [];
  return charge && limits.length > 0 ? { statements: [...limits, charge] } : null;
}

/**
 * What an item of a plan's list states: a limit, a fee, a price for more, or that something is there or not.
 *
 * @param plain - the item in plain figures
 * @param heading - a line above that says what the rates under it are; '' without one
 * @example readItem('Up to 20 products') // at most 20 products
 */
export function readItem(plain: string, heading = ''): ReadItem {
  const { isThere, words } = markOf(plain);
  // "51 – 500 parcels" is up to 500.
  const text = words
    .replace(/[*†‡]+$/, '')
    .replace(/(?<=\blimit)\.$/, '')
    .replace(/^as many (\p{L}[\p{L} ]*?) as you (?:like|want|need|please)\.?$/iu, 'unlimited $1')
    .replace(/^(?:from )?\d+ ?(?:[-–—]|to) ?(?=\d+ \p{L})/u, 'up to ')
    .trim();
  if (text === '') return { statements: [], why: 'a sign without words' };
  if (NO_ITEM.test(text) || speaksOfOtherPlan(text)) return { statements: [], why: 'what other plans have too' };
  if (!isThere) return { statements: [feature(text, false)] };
  if (/^(?:above|beyond|more than) \d/i.test(text)) return { statements: [], why: 'whom it is for' };
  const beyond = withExtraOnes(text, heading);
  if (beyond) return beyond;
  const fees = feesIn(text, { heading });
  const days = dayStatements(text, '');
  const unit = /\d%/.test(text) ? null : unitChargeIn(text);
  if (unit) return { statements: [unit] };
  if (days.length > 0) return { statements: days };
  const [fee] = fees;
  if (fee) return { statements: [...fees.map(({ statement }) => statement), ...featureBeside(text), ...limitsBeside(text)] };
  const [, subject, answer = ''] = /^(\p{L}[^:\d]{1,50}):\s*(yes|no|none|included|not included|✓|✗|[–—-])$/iu.exec(text) ?? [];
  if (subject !== undefined && /^set-?up(?: fees?| costs?)?$/i.test(subject) && /^no/i.test(answer))
    return { statements: [{ kind: 'joining', label: 'Set-up', amount: '0' }] };
  if (subject !== undefined) return { statements: [/^(?:yes|included|✓)$/i.test(answer) ? feature(subject, true) : nothingOf(subject)] };
  if (NOT_THERE.test(text)) return { statements: [nothingOf(text.replace(NOT_THERE, ''))] };
  const beside = inBrackets(text);
  if (beside) return { statements: beside };
  const listed = inAList(text);
  if (listed) return { statements: listed };
  const limits = limitsIn(text);
  if (limits.length > 0) return { statements: [...featureWithLimit(text), ...limits] };
  // What costs something, or a share of something, is no feature that is there; less than nothing is none of either.
  if (/^[-−–]?\d+(?:\.\d+)?%$|^[-−–]\d/.test(text) || /\bkeep\b.*%/i.test(text)) return { statements: [], isOpen: true };
  return /¤\d/.test(text) ? { statements: [], isOpen: true } : { statements: [feature(text, true)] };
}

/** "3 users, 500 GB of storage, own domain" lists several things in one line; null where it does not. */
function inAList(text: string): Statement[] | null {
  const parts = text.split(/,\s+(?:and\s+)?/);
  const counted = parts.filter((part) => /^(?:up to )?\d|^unlimited\b/i.test(part) && limitsIn(part).length > 0);
  if (parts.length < 3 || counted.length < 2 || counted.length === parts.length || /[¤%(]|\. /.test(text)) return null;
  return parts.flatMap((part) => readItem(part).statements);
}

/** "Sell up to 25 products (5% fee)" says how many, too. */
function limitsBeside(text: string): Statement[] {
  const rest = text
    .replace(/\((?:[^)]*%|no (?:[a-z]+ )?fees?)[^)]*\)/g, ' ')
    .replace(/\d+(?:\.\d+)?%(?:\s*\+\s*¤[\d.]+)?/g, ' ')
    .replace(/, (?:no|without) (?:sales )?fees?$/i, ' ')
    .trim();
  return rest !== text && /\b(?:up to|unlimited|for \d+)\b|^sell \d/i.test(rest) ? limitsIn(rest) : [];
}

/** "No transactions" is a limit of none, "No branding" a feature that is not there. */
function nothingOf(words: string): Statement {
  const noun = bareNoun(words);
  return isUsualQuantity(noun)
    ? { kind: 'limit', quantity: countedThing(noun)?.quantity ?? slugOf(noun), most: '0' }
    : feature(words, false);
}

/** "Online shop (unlimited items)" says that there is a shop, and for how many; "Community (1 community)" only the first. */
function inBrackets(text: string): Statement[] | null {
  const [, before, inside] = /^(\p{L}[^(\d]*?)\s*\(([^)]*)\)$/u.exec(text) ?? [];
  if (before === undefined || inside === undefined || !/\d|unlimited/i.test(inside)) return null;
  const [first = ''] = bareNoun(before).split(' ');
  // "Live streaming (100 hours)" counts hours of it.
  if (/^\d+ (?:hours?|minutes?)$/i.test(inside)) return [feature(before, true), ...limitsIn(inside, before)];
  const limits = limitsIn(inside).filter(
    (limit) => limit.kind !== 'limit' || !limit.quantity.startsWith(first.replace(/(?:y|ies|s)$/, '')),
  );
  return [feature(before, true), ...limits];
}

/** "Live lessons for up to 100 people" says that there are live lessons, and for how many. */
function featureWithLimit(text: string): Statement[] {
  const before = /^(\p{L}[\p{L} -]{3,40}?)\s+(?:for|with)\s+(?:up to\s+)?(?:\d|unlimited)/iu.exec(text)?.[1];
  return before === undefined || /^(?:sell|includes?|host|add|create|unlimited|up to|storage|bandwidth|comes)\b/i.test(before)
    ? []
    : [feature(before, true)];
}

/** "Online payments, 2% fee" says that there are online payments, too. */
function featureBeside(text: string): Statement[] {
  const before = /^(\p{L}[\p{L} -]{2,40}?)(?:,| with| without)\s/u.exec(text)?.[1];
  return before !== undefined && !/\bfees?\b|commission/i.test(before) ? [feature(before, true)] : [];
}

/** All limits that an item states; "unlimited products, storage and bandwidth" states three. */
export function limitsIn(given: string, heading = ''): Statement[] {
  const text = withCountInDigits(given);
  const startsUnlimited = /^(?:unlimited|unmetered|no limit)/i.test(text) && !/,\s+(?:up to )?\d/i.test(text);
  if (startsUnlimited || (UNLIMITED.test(text) && !/\d/.test(text))) return unlimitedIn(text, heading);
  const uptime = /(\d+(?:\.\d+)?)%\s*(uptime|availability)|\b(uptime|availability)\b.*?(\d+(?:\.\d+)?)%/i.exec(text);
  if (uptime) return [{ kind: 'feature', feature: 'uptime', value: uptime[1] ?? uptime[4] ?? null }];
  const bare = /\b(?:uptime|availability)\b/i.test(heading) ? /^(\d+(?:\.\d+)?)%$/.exec(text)?.[1] : undefined;
  if (bare !== undefined) return [{ kind: 'feature', feature: 'uptime', value: bare }];
  const parts = text.split(
    /,\s+(?=\d|unlimited)|\s+(?:and|\+)\s+(?=\d|unlimited)|(?<=\d \p{L}+(?: (?:a|per) month)?) (?:to|for|with) (?=(?:up to )?\d)/iu,
  );
  return parts.flatMap((part) => (UNLIMITED.test(part) ? unlimitedIn(part, heading) : (limitIn(part, heading) ?? [])));
}

const NUMBER_WORDS =
  'one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen twenty'.split(
    ' ',
  );

/** "One staff login" counts what is usually counted; "One-click checkout" and "One place for all" do not. */
function withCountInDigits(text: string): string {
  const [, word = '', noun = ''] = /^(\p{L}+) (\p{L}[\p{L} -]*?)\.?$/u.exec(text) ?? [];
  const at = NUMBER_WORDS.indexOf(word.toLowerCase());
  const thing = at < 0 ? null : countedThing(noun);
  const isMany = at > 0 && /s$/i.test(noun) && noun.split(' ').length <= 2;
  return thing &&
    (isMany ||
      /^(?:course|website|site|page|link|shop|store|space|community|project|product|event|school|channel|location|workspace|seat|person)s?$/i.test(
        noun,
      ) ||
      isUsualQuantity(thing.quantity.replaceAll('-', ' ')))
    ? `${at + 1} ${noun}`
    : text;
}

const BEFORE_COUNT = /\b(?:up to|max(?:imum)?(?: of)?|at most|includes?|for|with|limit(?:ed)? to|no more than)\s+(?=¤?\d)/i;

function limitIn(part: string, heading: string): Statement | null {
  const figure = /(?<![\p{L}\d.¤%/-])(¤?)(\d+(?:\.\d+)?)(?!\s*%)(?!\d|\/\d|-?(?:st|nd|rd|th)\b)[\s-]*(?:×\s*)?(\p{L}[^()]*)?/u.exec(part);
  if (!figure) return null;
  const [, isMoney, amount = '', behind = ''] = figure;
  const before = part.slice(0, figure.index).trim();
  if (isMoney) return moneyLimit(`${part} ${heading}`, amount, `${before} ${heading} ${behind}`);
  const noun = behind
    .replace(/, .*$/, '')
    .replace(/\s*\b(?:and|for|in|on|with|per|to)\b(?! (?:video|storage|bandwidth)).*$/i, '')
    .trim();
  const isTime = /^(?:days?|weeks?|months?|years?|st|nd|rd|th|st level)\b/i.test(noun);
  if (isTime) return null;
  const named = BEFORE_COUNT.test(part.slice(0, figure.index + 2)) && before !== '';
  const subject =
    noun !== '' ? noun : before.replace(/\b(?:up to|max(?:imum)?(?: of)?|at most|includes?|for|with)$/i, '').replace(/[:–-]\s*$/, '');
  const isOfPeople = noun === '' && /^(?:classes|groups|lessons|workshops|rooms|meetings) of(?: up to)?$/i.test(before);
  const thing = countedThing(isOfPeople ? 'participants' : withUnit(subject.replace(/ up to$/i, ''), noun, before), heading);
  if (!thing || (thing.quantity === 'unnamed' && !named)) return null;
  // "1 warehouse" and "5 warehouses" count the same.
  const quantity = amount === '1' && noun !== '' ? inSeveral(thing.quantity) : thing.quantity;
  return { kind: 'limit', quantity, most: inQuantity(amount, thing), ...(isByYear(part) ? { yearly: true as const } : {}) };
}

/** Quantities that are named alike for one and for several. */
const UNCOUNTED = /^(?:staff|storage|bandwidth|ram|vcpu|sms|unnamed)$/;

function inSeveral(quantity: string): string {
  const [, counted = quantity, often = ''] = /^(.+?)(-(?:a|per)-(?:day|week|month))?$/.exec(quantity) ?? [];
  return UNCOUNTED.test(quantity) ? quantity : `${plural(counted)}${often}`;
}

/** "Bandwidth 1 TB" counts bandwidth, in TB. */
function withUnit(subject: string, noun: string, before: string): string {
  const isOnlyUnit = /^(?:gb|tb|mb|hours?|minutes?)(?: (?:a|per) month)?\.?$/i.test(noun.trim());
  return isOnlyUnit && before !== '' ? `${noun} ${bareNoun(before.replace(/ up to$/i, ''))}` : subject;
}

function isByYear(text: string): boolean {
  return /(?:\/|per|a|each)\s?(?:yr|year)\b/i.test(text);
}

/** "Online sales up to ¤60000/yr" is a limit on sales. */
function moneyLimit(part: string, amount: string, before: string): Statement | null {
  if (!/\b(sales|revenue|turnover|volume|takings)\b/i.test(before)) return null;
  return { kind: 'limit', quantity: 'sales', most: amount, ...(isByYear(part) ? { yearly: true as const } : {}) };
}

function unlimitedIn(text: string, heading: string): Statement[] {
  const [, before = '', after = ''] = new RegExp(`^(.*?)${UNLIMITED.source}(.*)$`, 'i').exec(text) ?? [];
  const noun = (after.trim() === '' ? before : after).replace(/^\s*(?:of|on)\s+/i, '').trim();
  const listed = noun.split(/,\s*|\s+(?:and|&)\s+/).map((one) => one.replace(/^unlimited /i, ''));
  const subjects = noun === '' ? [heading] : listed.filter((one) => one.trim() !== '');
  return subjects.flatMap((subject): Statement[] => {
    const thing = countedThing(lastNoun(subject), heading);
    return thing ? [{ kind: 'limit', quantity: thing.quantity, most: true }] : [];
  });
}

/** "Shop with unlimited products" is about products. */
function lastNoun(subject: string): string {
  return /\bwith\s+(\p{L}.*)$/u.exec(subject)?.[1] ?? subject;
}

export function feature(words: string, isThere: boolean): Statement {
  return { kind: 'feature', feature: featureName(words), value: isThere };
}

/** What a feature is called: its words without what only praises or limits it. */
export function featureName(words: string): string {
  const bare = words
    .replace(/\([^)]*\)/g, ' ')
    .replace(/^(?:a|an|the|your|our)\s+/i, '')
    .replace(/\s+(?:for (?:the first |a |one |\d+ )?(?:year|years|month)|for (?:a|one) year|included|for free|at no extra cost)\b.*$/i, '')
    .replace(/[.,;:!*]+$/, '')
    .trim();
  return slugOf(bare === '' ? words : bare);
}
