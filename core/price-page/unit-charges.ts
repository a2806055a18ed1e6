import type { Statement } from '../price-phrase/statement';
import { plural } from '../price-phrase/vocabulary';
import { type CountedThing, countedThing, inQuantity } from './counted-things';
import { capital } from '../wording/capital';
import { decimal } from '../amount/decimal';

export type ChargeStatement = Extract<Statement, { kind: 'charge' }>;

const EXTRA = String.raw`(?:additional|extra|further|more|overage)`;
const PER = String.raw`(?:\/|per|for each|for every|each|for|an?(?= ))`;
/** "¤1 per extra hour of video", "¤0.06 per additional label", "¤0.5 per active subscriber". */
const PER_ONE = new RegExp(
  `¤(\\d+(?:\\.\\d+)?)(?:\\s*(?:\\/|per|a) ?(?:mo|month))?\\s*${PER}\\s*(${EXTRA}\\s+)?(\\p{L}[\\p{L} -]{0,40})`,
  'u',
);
/** "¤15 per month for each 1000 above your limit", "¤4 for each 1000". */
const PER_PACK = new RegExp(
  `¤(\\d+(?:\\.\\d+)?)(?:\\s*(?:\\/|per|a) ?(?:mo|month))?(?:\\s+more)?\\s*(?:${PER})\\s*(?:${EXTRA}\\s+)?¤?(\\d+)(?:\\s+(?:${EXTRA}\\s+)?(\\p{L}[\\p{L} -]{0,40}))?`,
  'u',
);
const FREE_FIRST =
  /\b(?:the )?first ¤?(\d+(?:\.\d+)?) (\p{L}[\p{L} -]{0,40}?)(?: an? month| per month)? (?:is|are|come) (?:free|included)/u;
const ABOVE = /\b(?:above|beyond|over|after) (?:the first )?(\d+(?:\.\d+)?) ?(gb|tb|[a-z]+)?/;
const A_TIME =
  /^(?:active |new |started |first |a |an |whole |full |the |your )*(?:month|mo|year|yr|day|week|hour|quarter|annum|server|minute|m|y)\b(?! of)/;
const AN_ORDER = /^(?:orders?|sales?|transactions?|bookings?|payments?|charges?|purchases?)\b/;

/**
 * What a line charges for each of something: overage, a price per subscriber, per label, per GB.
 *
 * @param plain - the line in plain figures
 * @param heading - what it stands under, or asks about
 */
export function unitChargeIn(plain: string, heading = ''): ChargeStatement | null {
  const text = inUsualOrder(plain.toLowerCase());
  const packs = ALLOWANCE_THEN_PACKS.exec(text);
  if (packs) return packsAfterAllowance(packs);
  const first = FREE_FIRST.exec(text);
  const allowance = first ? null : ALLOWANCE_THEN.exec(text);
  if (allowance) return afterAllowance(allowance);
  return (
    addedPack(text, heading) ??
    beyondAllowance(text) ??
    extraOne(text) ??
    eachPack(text, heading) ??
    packIn(text, heading) ??
    oneIn(text, heading, first?.[1])
  );
}

/** What is charged for each, in the order that most pages say it: "Video: 100 hours" counts hours of video. */
function inUsualOrder(text: string): string {
  return (
    text
      .replace(/,? (?:and |with )?no (?:monthly|set-?up|extra|other) fees?$/u, '')
      .replace(/^(?:each|every) (?=(?:additional|extra|further|more) \p{L})/u, '')
      .replace(/^(\p{L}+): (\d+) hours\b/u, '$2 hours of $1')
      .replace(/^(\p{L}[\p{L} -]{1,25}): (\d+)((?: (?:a|per) month)?(?: included)?),? then (?=¤)/u, '$2 $1$3, then ')
      .replace(/ (?:on|in|with) (?:every|all|each|any)(?: of the)?(?: paid)? plans?\b/, '')
      // "Listing an item costs ¤0.15", "It costs ¤0.15 to list an item".
      .replace(
        /^(?:to list|listing|each listing|a listing|every listing)(?: (?:an?|one|each|every) \p{L}+)?,? (?:costs?|is) (¤[\d.]+)/u,
        '$1 per listing',
      )
      .replace(/(¤[\d.]+) to list (?:an?|one|each|every) \p{L}+/u, '$1 per listing')
      .replace(
        /^(additional|extra|further|more) (\p{L}[\p{L} -]{0,30}?)s? (?:are|is|costs?|come at) (¤[\d.]+) (?:each|apiece)\.?$/u,
        '$1 $2 $3 each',
      )
  );
}

/** "400 labels, then ¤0.08 each". */
const ALLOWANCE_THEN =
  /(\d+) (\p{L}[\p{L} -]{0,40}?)(?: (?:a|per) month)?(?: included| free)?,? (?:(?:then|after that|further ones?|extra ones?)(?: at| for| are)? ¤(\d+(?:\.\d+)?) ?(?:(?:(?:a|per) month )?(?:each|apiece)|(?:per|an?) (?!month|mo\b|year|yr\b|week|day)\p{L}+)|(?:further|extra) ones?:?(?: at)? ¤(\d+(?:\.\d+)?)$|(?:then |plus )?¤(\d+(?:\.\d+)?)(?: (?:a|per) month)? (?:for each|per|for every|each) (?:further|additional|extra|more)(?! \d))/u;

/** "500 contacts, then ¤5 for each further 500". */
const ALLOWANCE_THEN_PACKS =
  /(\d+) (\p{L}[\p{L} -]{0,40}?)(?: (?:a|per) month)?(?: included| free)?(?:,? (?:then|after that|plus|further ones?:?)(?: at)?|,) ¤(\d+(?:\.\d+)?)(?: (?:a|per) month)? (?:for each|for every|per|each|every) (?:further |additional |extra |more )?(\d{2,})(?: (?:further|additional|extra|more))?\b(?! ?\p{L}*(?:months?|years?)\b)/u;

function packsAfterAllowance([, given = '0', noun = '', each = '0', size = '1']: RegExpExecArray): ChargeStatement | null {
  const thing = A_TIME.test(noun) ? null : countedThing(noun.replace(/^free /, ''));
  if (!thing) return null;
  return packOf(thing, each, size, { free: inQuantity(given, thing) });
}

function afterAllowance([all, given = '0', noun = '', then, alone, beyond]: RegExpExecArray): ChargeStatement | null {
  const thing = A_TIME.test(noun) ? null : countedThing(noun.replace(/^free /, ''));
  if (!thing) return null;
  // "1 TB of traffic, then ¤0.05 per GB": each in the unit that is charged by.
  const each = perUnitOf(thing, then ?? alone ?? beyond ?? '0', all);
  return { kind: 'charge', charge: perUnit(thing, each, inQuantity(given, thing)) };
}

/** So much for each of what is counted, the first of them perhaps free. */
function perUnit({ quantity }: CountedThing, each: string, free?: string) {
  const shared = { label: labelFor(quantity), bucket: bucketFor(quantity), how: 'per-unit' as const, ...on(quantity), each };
  return free === undefined ? shared : { ...shared, free };
}

function perUnitOf({ factor }: CountedThing, each: string, words: string): string {
  const isPerTera = /¤[\d.]+ ?(?:per|each|for each|\/) ?(?:further |additional |extra |more )?tb\b/u.test(words);
  const isPerGiga = /¤[\d.]+ ?(?:per|each|for each|\/) ?(?:further |additional |extra |more )?gb\b/u.test(words);
  if (isPerTera) return decimal(each).div(1000).toFixed();
  return factor === '1' || isPerGiga ? each : decimal(each).div(factor).toSignificantDigits(12).toFixed();
}

/** "Labels above your allowance: ¤0.04 each". */
const BEYOND_ALLOWANCE =
  /^(?:extra |additional )?(\p{L}[\p{L} -]{0,40}?) (?:above|beyond|over|past) (?:your|the|that|this|what is included)\b[^¤\d]{0,30}¤(\d+(?:\.\d+)?) (?:each|apiece)/u;

function beyondAllowance(text: string): ChargeStatement | null {
  const [, noun = '', each = '0'] = BEYOND_ALLOWANCE.exec(text) ?? [];
  const thing = noun === '' ? null : countedThing(noun);
  if (!thing) return null;
  return { kind: 'charge', charge: perUnit(thing, each), beyond: true };
}

/** "Extra label ¤0.06", "Additional order: ¤0.3 each". */
const EXTRA_ONE = new RegExp(
  `^${EXTRA} (\\p{L}[\\p{L} -]{0,40}?)(?::| costs?| is| are)? ¤(\\d+(?:\\.\\d+)?)(?:(?: each| apiece)?$| (?:each|apiece) (?:on|for|with|in)\\b)`,
  'u',
);

function extraOne(text: string): ChargeStatement | null {
  const [, noun = '', each = '0'] = EXTRA_ONE.exec(text) ?? [];
  const thing = noun === '' || A_TIME.test(noun) ? null : countedThing(inPlural(noun));
  if (!thing) return null;
  return { kind: 'charge', charge: perUnit(thing, each), beyond: true };
}

/** "Each extra 500 subscribers: ¤5 per month". */
const EACH_PACK = new RegExp(
  `\\b(?:each|every|per) ${EXTRA} (\\d+) (\\p{L}[\\p{L} -]{0,40}?)(?: (?:on|in|with) \\p{L}[\\p{L} ]{0,30}?)?(?: costs?| adds?| is| are|:)? ¤(\\d+(?:\\.\\d+)?)`,
  'u',
);

function eachPack(text: string, heading: string): ChargeStatement | null {
  const [, size, noun = '', each = '0'] = EACH_PACK.exec(text) ?? [];
  const thing = size === undefined || A_TIME.test(noun) ? null : countedThing(noun, heading);
  if (size === undefined || !thing) return null;
  return packOf(thing, each, size, { isBeyond: true });
}

interface Allowance {
  /** Whether they are of what is beyond an allowance that stands elsewhere. */
  readonly isBeyond?: boolean;
  /** So many are free. */
  readonly free?: string;
}

/** Packs of so many, paid as they are begun. */
function packOf({ quantity, factor }: CountedThing, each: string, size: string, { isBeyond, free }: Allowance): ChargeStatement {
  const charge = {
    label: labelFor(quantity),
    bucket: bucketFor(quantity),
    ...on(quantity),
    each,
    size: decimal(size).times(factor).toFixed(),
    how: 'package' as const,
    ...(free === undefined ? {} : { free }),
  };
  return { kind: 'charge', charge, ...(isBeyond ? { beyond: true } : {}) };
}

/** "Add 500 for ¤15 a month", "500 more students for ¤15". */
const ADD_PACK =
  /^(?:(?:add|buy|get|another) |(?=\d+ (?:more|extra)\b[^:]*\b(?:costs?|are)\b))(\d+)(?: more| extra)?(?: (\p{L}[\p{L} -]{0,30}?))? (?:for|at|costs?|are) ¤(\d+(?:\.\d+)?)\b/u;

function addedPack(text: string, heading: string): ChargeStatement | null {
  const [, size, noun = '', each = '0'] = ADD_PACK.exec(text) ?? [];
  const thing = size === undefined ? null : countedThing(noun || heading);
  return size === undefined || !thing ? null : packOf(thing, each, size, { isBeyond: true });
}

function packIn(text: string, heading: string): ChargeStatement | null {
  const pack = PER_PACK.exec(text);
  if (!pack) return null;
  const [, each = '', size = '', noun = ''] = pack;
  if (/(?:\/|per|a) ?(?:month|mo)\s*for \d/.test(pack[0])) return null;
  if (/¤\d+(?:\.\d+)?$/.test(pack[0].slice(0, pack[0].indexOf(size, 2) + size.length)) && !/\b(?:sales|revenue|turnover)\b/.test(noun))
    return null;
  if (decimal(size).lte(1) || A_TIME.test(noun) || /^(months?|years?|days?)\b/.test(noun)) return null;
  const before = text.slice(0, pack.index);
  // "Per 5,000 sent" counts what stands before it.
  const named = /^(?:(?:above|beyond|over)\b|(?:sent|delivered|used|shipped|printed)$)/.test(noun)
    ? ''
    : noun.replace(/^(?:in|of)\s+/, '').replace(/\b(?:above|beyond|over|in addition)\b.*$/, '');
  const subject = subjectOf(before) || heading;
  const isOfTime = /^hours?$/.test(named.trim()) && subject !== '';
  const thing = countedThing(isOfTime ? `hours of ${subjectOf(subject.toLowerCase())}` : named.trim() || subject);
  if (!thing) return null;
  const isOverage = new RegExp(`\\b${EXTRA}\\b|\\b(?:above|beyond|over)\\b`).test(`${heading.toLowerCase()} ${text}`);
  return packOf(thing, each, size, { isBeyond: isOverage });
}

function oneIn(text: string, heading: string, first: string | undefined): ChargeStatement | null {
  const one = PER_ONE.exec(text);
  if (!one) return null;
  const [, price = '', extra, words = ''] = one;
  const isListing =
    /^listing(?: fee)?s?\b/.test(`${heading.toLowerCase()} ${text}`.trim()) && /^(?:items?|articles?|products?|things?)\b/.test(words);
  const noun = (isListing ? 'listing' : words)
    .replace(/^(?:per|a|an|each|every) (?:month|mo|year|yr)\b.*$|^(?:in|on|at|to|within|with)\b.*$/, 'one')
    .replace(/\s+(?:per|a|an|each|every) (?:month|mo|year|yr)\b.*$/, '')
    .replace(/\b(?:above|beyond|over|after|thereafter|then|and|with|when|at|if|on|for)\b.*$/, '')
    .trim();
  const isOfTime =
    /^(?:hours?|h)\b/.test(noun) &&
    /\b(?:video|recordings?|live|stream(?:ing|s)?|storage|stored)\b/.test(`${text.slice(0, one.index)} ${heading}`);
  if (noun === '' || new RegExp(`^${EXTRA}$`).test(noun) || (A_TIME.test(noun) && !isOfTime)) return null;
  const rest = text.slice(one.index);
  const above = ABOVE.exec(rest);
  const isOfOrders = AN_ORDER.test(noun);
  const over = /^(?:over|above|beyond|after|more than) (\d+)\b/.exec(text)?.[1];
  if (isOfOrders && first === undefined && extra === undefined && over === undefined) return null;
  const counted = countedThing(inPlural(withSubject(noun, text.slice(0, one.index), heading)));
  // What is charged beyond an allowance is counted as the allowance is.
  const thing = isOfOrders && extra === undefined ? { quantity: 'orders', factor: '1' } : counted;
  if (!thing) return null;
  const free = first ?? above?.[1] ?? over;
  const isOverage = extra !== undefined || new RegExp(`\\b${EXTRA}\\b|\\b(?:above|beyond|over|then|thereafter|after that)\\b`).test(text);
  const each = thing.factor === '1' ? price : decimal(price).div(thing.factor).toSignificantDigits(12).toFixed();
  return { kind: 'charge', charge: perUnit(thing, each, free), ...(isOverage && free === undefined ? { beyond: true } : {}) };
}

/** "Active subscriber" counts subscribers. */
function inPlural(noun: string): string {
  const bare = noun.replace(/^(?:active|paying|new|monthly|single)\s+/, '');
  const sold = /^(\p{L}+) sold$/u.exec(bare)?.[1];
  if (sold !== undefined) return `${plural(sold)} sold`;
  return /\b(?:of|gb|tb|mb)\b/.test(bare) ? bare : plural(bare);
}

/** "Traffic beyond that costs ¤1 per TB" is about traffic, "Additional bandwidth ¤0.01 per GB" about bandwidth. */
function withSubject(noun: string, before: string, heading: string): string {
  if (noun === 'one') return subjectOf(before) || heading.toLowerCase();
  if (!/^(?:gb|tb|mb|unit|one|piece|hours?|h)\b/.test(noun) || /\bof\b/.test(noun)) return noun;
  return `${noun.replace(/ (?:a|per) (?:month|mo)\b.*$/, '')} ${subjectOf(before) || heading}`;
}

function subjectOf(before: string): string {
  return before
    .replace(/\b(?:if you )?(?:need|have|send|sell)?\s*(?:more than|over|above|beyond) ¤?\d+(?: or ¤?\d+)*/g, ' ')
    .replace(
      /\b(?:above|beyond|over|past) (?:your|the|this|that)(?: plan['’]s| monthly)? (?:allowance|limit|plan|quota|inclusive amount)\b/g,
      ' ',
    )
    .replace(/[?,.]?\s*\b(?:add|pay|you pay|just add|simply add|it costs)\s*$/, ' ')
    .replace(/(?<=\p{L}) (?:on|in|with) (?:the )?\p{L}.*$/u, ' ')
    .replace(
      new RegExp(
        `\\b(?:${EXTRA}|costs?|is|are|that|beyond|above|we charge|then|charged at|billed at|billed|price of|from)\\b|[:+,.–-]`,
        'g',
      ),
      ' ',
    )
    .replace(/\s+/g, ' ')
    .trim();
}

const on = (quantity: string) => (quantity === 'orders' ? {} : { on: quantity });

function bucketFor(quantity: string): 'transaction' | 'usage' {
  return quantity === 'orders' || quantity === 'sales' ? 'transaction' : 'usage';
}

function labelFor(quantity: string): string {
  return capital(quantity.replaceAll('-', ' '));
}
