import { decimal } from '../amount/decimal';
import { isUsualQuantity, quantityOf, slugOf } from '../price-phrase/vocabulary';

/** Something that a plan allows so many of. */
export interface CountedThing {
  readonly quantity: string;
  /** How many of the quantity one of the page's units is: a TB is 1,000 GB. */
  readonly factor: string;
}

const STORAGE = /\b(storage|(web|disk|hard) ?space|ssd|nvme|disk|disks|file storage|uploads?)\b/;
const TRAFFIC = /\b(bandwidth|traffic|transfer|data transfer|egress)\b/;
/** GB of these are sent, not kept. */
const STREAMED = /\b(streaming|streamed|delivery|delivered|views?)\b/;
const MEMORY = /\b(ram|memory|ddr\d?)\b/;
const CORES = /\b(v-?cpus?|cpus?|cores?|v-?cores?|processors?)\b/;
const VIDEO = /\b(video|videos|recordings?|recorded)\b/;
const SIZE_FACTORS: Readonly<Record<string, string>> = { mb: '0.001', gb: '1', tb: '1000' };
/** Words around a noun that do not belong to its name. */
const AROUND =
  /^(?:of|the|your|our|sell|up to|included|additional|extra|further|more|max(?:imum)?|number of|no\. of|total)\s+|\s*(?:\((?:[^)]*)\)|\b(?:included|connected|each|at most|in total|max(?:imum)?|at a time|(?:a|per|each|every|\/) ?(?:month|mo|year|yr|account|website|site|course|user|session|lesson|webinar|call|event|room|class)|monthly|yearly|for sale|in (?:the|your) (?:shop|store)|(?:that |which )?you can (?:sell|have|use|add|create|publish|store))|\/ ?(?:mo|month|yr|year))\s*$/;

/**
 * What a page counts, by its words and the heading they stand under.
 *
 * @param words - what stands behind the figure: "GB SSD storage", "team members"; may be empty under a heading
 * @param heading - the heading of the row, where the figure stands in a table
 * @example countedThing('hours', 'Video storage') // { quantity: 'video-hours', factor: '1' }
 */
export function countedThing(words: string, heading = ''): CountedThing | null {
  const said = bareNoun(words);
  const both = `${said} ${heading.toLowerCase()}`;
  const size = /^(mb|gb|tb)\b/.exec(said)?.[1];
  if (size) return { quantity: sizedQuantity(both), factor: SIZE_FACTORS[size] ?? '1' };
  if (/^hours?\b|^h\b/.test(said) && /\bhours?\b|\bh\b/.test(said)) return hours(said, heading, '1');
  if (/^(minutes?|min)\b/.test(said)) return hours(said, heading, decimal(1).div(60).toFixed());
  if (CORES.test(said) || (said === '' && CORES.test(heading.toLowerCase()))) return { quantity: 'vcpu', factor: '1' };
  const noun = said === '' ? bareNoun(heading) : withKind(said, heading);
  if (noun === '' || noun.length > 60) return null;
  if (said === '' && /^(?:hours?|minutes?) of /.test(noun)) return hours(noun, '', /^h/.test(noun) ? '1' : decimal(1).div(60).toFixed());
  if (said === '' && MEMORY.test(noun)) return { quantity: 'ram', factor: '1' };
  if (STORAGE.test(noun) && !isUsualQuantity(noun)) return { quantity: 'storage', factor: '1' };
  if (TRAFFIC.test(noun)) return { quantity: 'bandwidth', factor: '1' };
  return { quantity: knownAs(noun), factor: '1' };
}

/** "Email | 5 accounts" counts email accounts. */
function withKind(said: string, heading: string): string {
  const kind = /^(e-?mail|mail|ftp|user|staff)s?$/i.exec(heading.trim())?.[1];
  return kind !== undefined && /^(?:accounts?|addresses|boxes)$/.test(said) ? `${kind.toLowerCase()} ${said}` : said;
}

function hours(said: string, heading: string, factor: string): CountedThing {
  const what = `${said} ${heading.toLowerCase()}`;
  if ((VIDEO.test(what) || /^hours? stored$/.test(said)) && !/\blive (?:video|stream|class|lesson)/.test(what))
    return { quantity: 'video-hours', factor };
  if (/\b(live|stream|streams|streaming)\b/.test(what)) return { quantity: 'live-hours', factor };
  const rest = said.replace(/^(hours?|h|minutes?|min)\b\s*(of)?\s*/, '');
  const of = slugOf(rest === '' ? heading : rest).replace(/s$/, '');
  return { quantity: of === 'unnamed' ? 'hours' : `${of}-hours`, factor };
}

function sizedQuantity(words: string): string {
  if (MEMORY.test(words)) return 'ram';
  return TRAFFIC.test(words) || STREAMED.test(words) ? 'bandwidth' : 'storage';
}

/** A noun without what only surrounds it. */
export function bareNoun(words: string): string {
  let noun = words
    .toLowerCase()
    .replace(/[*†‡.,;:]+$/, '')
    .replace(/\s+/g, ' ')
    .trim();
  for (let before = ''; before !== noun;) {
    before = noun;
    noun = noun
      .replace(AROUND, '')
      .replace(/[*†‡.,;:]+$/, '')
      .trim();
  }
  return noun;
}

const ALSO_KNOWN: ReadonlyArray<readonly [RegExp, string]> = [
  [/^(visits?|visitors?|page ?views?)\b|\b(visits|visitors|page ?views)$/, 'visits'],
  [/^(e-?mails?|mails?|mailings?)( sends?)?$|^monthly e-?mails?( sends?)?$|^(?:monthly )?sends$/, 'emails'],
  [
    /^(staff|seats?|users?|admins?|administrators?|contributors?|editors?|team ?mates?|team members?|collaborators?)( accounts?| seats?| log-?ins?)?$/,
    'staff',
  ],
  [/^team$/, 'staff'],
  [/^people (?:who |that )?(?:can|may) (?:edit|log ?in|write|work|manage)\b/, 'staff'],
  [/^(admin|staff|user|team) (seats?|accounts?|members?|log-?ins?)$/, 'staff'],
  [/^(published )?(products?|items?|articles?)$/, 'products'],
  [/^(?:(?!staging|test|demo|parked|live)[a-z]+ )?(web ?sites?|sites?)( licen[cs]es?| installations?| activations?)?$/, 'sites'],
  [/^(online )?(sales|revenue|turnover)( volume)?$/, 'sales'],
  [/^(shipments?|labels?|shipping labels?|parcels?)$/, 'labels'],
  [/^(courses?)$/, 'courses'],
  [/^(?:people|addresses|contacts|names|readers|subscribers) on (?:your|the|a) (?:mailing )?list$|^(?:mailing )?list size$/, 'contacts'],
  [/^(mail ?boxes|mailbox|e-?mail ?boxes|e-?mail accounts?|inboxes)$/, 'mailboxes'],
];

function knownAs(noun: string): string {
  const found = ALSO_KNOWN.find(([pattern]) => pattern.test(noun))?.[1];
  if (found === 'staff' && /contributor|editor|collaborator/.test(noun)) return slugOf(noun);
  return found ?? quantityOf(noun, []);
}

/** A figure in the page's unit as a figure of the quantity, plainly written. */
export function inQuantity(figure: string, { factor }: CountedThing): string {
  return factor === '1' ? figure : decimal(figure).times(factor).toSignificantDigits(12).toFixed();
}
