import type { StatedCharge, Statement } from '../price-phrase/statement';
import type { Bucket } from '../price-phrase/vocabulary';
import { withoutKept } from './kept-share';
import { isAbroad, namedWay, wayOf } from './ways-of-paying';
import { capital } from '../wording/capital';

/** A fee that a page states, or a choice of what it can mean. */
export interface StatedFee {
  readonly statement: Extract<Statement, { kind: 'charge' }>;
  /** A region's cards, which may be all of the seller's or only some: asked. */
  readonly isRegional?: true;
}

/** A rate with a minus before it is a discount or a slip, never a fee. */
const RATE =
  /(?<![\d.]|(?:^|\s)[-−])(\d+(?:\.\d+)?)%(?:\s*(?:\+|plus|and|&)\s*¤(\d+(?:\.\d+)?))?|¤(\d+(?:\.\d+)?)(?=\s*(?:\/|per|each|for each|for every|a|an)\s*(?:order|sale|transaction|booking|payment|charge)s?\b)/g;
/** "¤1 + 10%" says the same as "10% + ¤1". */
const FIXED_FIRST = /¤(\d+(?:\.\d+)?)\s*(?:\+|plus|and)\s*(\d+(?:\.\d+)?)%/g;
/** "10% of each sale, payment processing included" is what the vendor takes. */
const PROCESSING_INCLUDED =
  /,? ?\(?(?:and |with |incl(?:uding|\.) )?(?:card |payment )(?:processing|fees?|costs?)(?: (?:is |are )?included)\)?/g;
/** "2.9% is charged by our partner on top of the transaction fee" is no transaction fee. */
const BESIDE_SALES_FEES =
  /,? ?\b(?:on top of|in addition to|added to|besides|beside|apart from) (?:the |our |any |your plan['’]s |its )?(?:transaction|sales?|platform|selling) fees?\b/g;
/** "Transaction fees are on top of the card processor's 2.9%": the rate is what they come on top of. */
const SALES_FEES_BESIDE =
  /\b(?:our |the |these )?(?:transaction|sales?|platform|selling) fees? (?:are|is|comes?|goes?|go) (?:charged |added )?(?:on top of|in addition to) (?=[^.;\d]*\b(?:cards?|payments?|processor|provider)\b[^;%]*\d%)/g;
/** "Including 19% VAT". */
const SALES_TAX =
  /\b\d+(?:\.\d+)?% (?:vat|mwst|ust|sales tax|gst|tva|iva|btw)\b|\b(?:vat|mwst|ust|gst|tva|iva|btw)[: ](?:of )?\d+(?:\.\d+)?%/g;
/** Percentages that are no fees. */
const NO_FEE =
  /\b(save|saves|saving|savings|off|discount|discounted|cheaper|less|uptime|vat|tax|taxes|availability|guarantee|sla|faster|commission for you|value|of the server|refund|ads|adverts?|advertising)\b/;
/** "Card fees of 1.5% are included in ours." */
const INCLUDED_IN_OTHERS =
  /\b(?:is|are|already|all)? ?(?:included|contained|covered) (?:in|by|with) (?:ours|our (?:fee|share|price)s?|it|that|this|these|the (?:price|fee|rate|commission|above)s?)\b/;
const OUTSIDE =
  /(?<!\bby )\b(3rd|third|other|another|external|outside|your own)[- ]?(party)?\s*(payment|card)?\s*(providers?|processors?|gateways?|processing|services?)\b|\bthird[- ]party payments?\b|\b(?:don['’]?t|do not|not) us(?:e|ing) \w+ pay(?:ments)?\b|\bwithout \w+ pay(ments)?\b/;
const IN_PERSON =
  /\b(in[- ]?person|in[- ]?store|in store|in (?:the|your) (?:shop|store)|at the (till|counter|stall)|card[- ]present|point of sale|pos|terminal|card machines?|tap|tapped|dipped|swiped|chip|contactless|keyed)\b/;
const ONLINE = /\b(online|e-?commerce|web|internet)\b/;
const REGION = /\b(europe|european|eea|eu|sepa|north american|asian)\b/;
const AT_HOME =
  /\b(domestic|local|national|home|(?<!\b(?:through|with|by|to|from|for|via|let|contact|on|of|and) )us|uk|own currency|own country)\b/;
const PLATFORM =
  /\b(transaction fees?|sales? fees?|selling fees?|commission|platform|our share|share of (each )?sales?|of (?:\w+ )?(?:membership|ticket|course|member|subscription) (?:fees|sales|income|prices?)|of (?:paid |your )?(?:memberships|tickets|subscriptions)|revenue share|of (what (you|a buyer|buyers|a customer|customers|(?:your )?(?:members?|students?|learners?|fans|clients|guests)) (earn|sell|take|pays?)|the (item|sale|order|selling|total|product)(['’]s)?( total| sale| selling)?( price| amount| value| total)?\b|the price(?: and (?:postage|shipping|delivery))?\b|(your |all |all your )?(revenue|sales|turnover|earnings|takings|income)|turnover|takings|earnings|(each|every) (sale|order)|all sales)|we (keep|take)|per sale|on (?:tips and )?(each |paid )?(sales?|orders?|memberships|tickets|courses|bookings)|of (?:each|every) (?:subscription|booking|ticket|membership|course)\b|fees? on (?:your |all )?payments|fee on sales|of payments from)\b/;
const CARDS = /\b(cards?|amex|bank transfers?|payment links?|processing|payments?|debit|credit|wallets?|invoices?|direct debit)\b/;
/** "1.5% of what you sell on top of card fees (2.9% + ¤0.3)". */
const BESIDE_CARD_FEES = / (?:on top of|in addition to) (?=(?:the |our |its )?(?:card|payment) (?:fees?|rates?|processing|costs?)\b)/;
const AT_MOST = /\b(?:at most|max(?:imum|\.)?|up to|capped at|cap)\s*(?:of\s*)?¤(\d+(?:\.\d+)?)/;
const AT_LEAST = /\b(?:at least|min(?:imum|\.)?)\s*(?:of\s*)?¤(\d+(?:\.\d+)?)/;
const NONE = /^(?:no|zero|without|none|nothing)\b/;
const FEE_FREE =
  /^(?:(?:is |are |sales |selling )?(?:commission|transaction[- ]fee)[- ]free(?: (?:sales|selling))?|(?:completely )?free of (?:transaction|sales?|selling|platform) fees)$/;
const NO_FEE_AFTER =
  /^nothing (?:on|of|from) (?:each|every|your) (?:sales?|orders?)$|\bsell\b[^.%]*, no fees?$|\bsell\b[^.%]*\bwithout (?:a |any )?(?:fees?|commission)\b|\b(?:transaction|sales?|selling|platform) fees? (?:is |are )?(?:waived|dropped|gone|off)\b|\bwe (?:keep|take|charge) nothing\b|(?<!\b(?:we|us) )\bkeeps? (?:everything|every (?:penny|cent)|it all|all of (?:it|your (?:sales|earnings|revenue|income)))\b|^[a-z]+ (?:takes|keeps|charges) nothing$|\b(?:(?:platform|transaction|sales?|selling) fees?|commission)\b[^.%]*:\s*(?:none|no|free|0)$|\bfees? per (?:order|sale)\b[^.%]*:\s*(?:none|no|nothing|free|0)$|\b(?:payments?|sales|orders)\b[^.%]*,? (?:no|without(?: an?| any)?) fees?$|\b(?:products|shop|store|things|tickets)\b[^.%]*, (?:no|without|without any) (?:sales )?fees?$|\((?:no|without|without any) (?:[a-z]+ )?(?:fees?|commission)(?: of ours)?\)$/;
const NO_PLATFORM_FEE =
  /\b(?:no|zero|without|never|none)\b[^.%]{0,25}\b(?:transaction fees?|(?:sales?|shop|store|seller|booking|order|ticket) fees?|selling fees?|commissions?|platform fees?|fees? on (?:tips (?:and|or) )?(?:paid |your )?(?:sales|memberships|orders|tickets|subscriptions|courses|bookings)|fees? per (?:sale|order|enrolment|enrollment|booking|member|ticket)|share of (?:your |each |the |paid )?(?:sales?|income|revenue|earnings|takings|turnover|(?:member |ticket |course )?payments|memberships|tickets|subscriptions|(?:membership|ticket|course|member|subscription) (?:fees|sales|income)))\b/;

/** What a fee's words are read with. */
export interface FeeSurroundings {
  /** The heading of its row or section, in small letters; '' without one. */
  readonly heading: string;
  /** Whether its own words are the fee's name, as on a processor's page. */
  readonly isProcessor?: boolean;
  /** Whether its row or section is known to be about fees. */
  readonly isFee?: boolean;
}

/**
 * The fees that a line states: of sales, of payments, by the kind of card, the channel and who processes them. Fees that
 * differ in any of these stay apart.
 *
 * @param plain - the line in plain figures
 * @example feesIn('2.9% + ¤0.3 online', { heading: 'card rates' }) // a card fee on orders of the own site
 */
export function feesIn(plain: string, { heading, isProcessor = false, isFee = false }: FeeSurroundings): StatedFee[] {
  const text = withoutKept(plain.toLowerCase())
    .replace(FIXED_FIRST, '$2% + ¤$1')
    .replace(PROCESSING_INCLUDED, '')
    .replace(BESIDE_SALES_FEES, '')
    .replace(SALES_FEES_BESIDE, '')
    // "2% + card fees": the share of the vendor, beside what cards cost.
    .replace(
      /(\d%(?: (?:per|of each|on each|on every) (?:order|sale))?) (?:\+|plus|and) (?:the )?(?:card|payment|processing) (?:fees?|costs?|rates?)\b/g,
      '$1 sales fee',
    )
    .replace(SALES_TAX, ' ');
  if (INCLUDED_IN_OTHERS.test(text)) return [];
  const parts = text.split(BESIDE_CARD_FEES);
  if (parts.length > 1 && parts.every((part) => /\d%/.test(part)))
    return parts.flatMap((part) => feesIn(part, { heading, isProcessor, isFee }));
  const rates = [...text.matchAll(RATE)];
  const isAboutFees = (words: string) =>
    CARDS.test(words) ||
    PLATFORM.test(words) ||
    OUTSIDE.test(words) ||
    IN_PERSON.test(words) ||
    /\bfees?\b|\brates?\b|\bper (order|transaction|booking)\b/.test(words);
  const around = wordsAround(text, rates);
  const found = rates.flatMap((match, index): StatedFee[] => {
    const [, percent, fixed, each] = match;
    const { before, after } = around[index] ?? { before: '', after: '' };
    const own = `${before} ${after}`;
    if (NO_FEE.test(own) && !PLATFORM.test(own)) return [];
    const words = `${heading} ${own}`;
    // A percentage with a fixed amount on top is a fee, whatever stands beside it.
    const hasBoth = (fixed ?? each) !== undefined;
    if (!isProcessor && !isFee && !hasBoth && !isAboutFees(`${heading} ${text}`)) return [];
    const label = isProcessor ? labelOf(before, after, heading) : '';
    const amount = fixed ?? each;
    if (amount !== undefined && OF_A_TICKET.test(own) && !CARDS.test(own)) return ofTickets(percent, amount);
    return [feeOf({ percent, fixed: amount }, own, words, label)];
  });
  if (found.length > 0) return found;
  return FEE_FREE.test(text) || NO_PLATFORM_FEE.test(text) || NO_FEE_AFTER.test(text) || (NONE.test(text) && PLATFORM.test(heading))
    ? [noFee()]
    : [];
}

/**
 * What stands around each rate: "1.5% for domestic cards and 3.4% for others" tells what each is of behind it, "1.5% for
 * domestic cards, others 3.4%" the second before it.
 */
function wordsAround(text: string, rates: readonly RegExpExecArray[]): Array<{ before: string; after: string }> {
  const segments = rates.map((match, index) => text.slice(match.index + match[0].length, rates[index + 1]?.index ?? text.length));
  const leads = segments.map((segment, index) => {
    const clause = /[,;]\s*([a-z][^,;]*)$/.exec(segment)?.[1] ?? '';
    const isSaidBehind = /^[\s,;.)]*(?:for|on|if|with|to|of|per|in|from)\b/.test(segments[index + 1] ?? '');
    return index + 1 < rates.length &&
      (isAbroad(clause) || IN_PERSON.test(clause) || ONLINE.test(clause)) &&
      !/\b(?:and|or|plus)\s*$/.test(clause) &&
      !isSaidBehind
      ? clause
      : '';
  });
  return segments.map((segment, index) => ({
    before: index === 0 ? text.slice(0, rates[0]?.index) : (leads[index - 1] ?? ''),
    after: segment.slice(0, segment.length - (leads[index] ?? '').length),
  }));
}

/** An order may be of several tickets. */
const OF_A_TICKET = /\bper (?:paid )?tickets?\b/;

/** "2.5% + ¤0.49 per paid ticket": a share of the sale, and so much for each ticket. */
function ofTickets(percent: string | undefined, each: string): StatedFee[] {
  const share = { label: 'Sales fee', bucket: 'transaction' as const, how: 'per-order' as const };
  const ticket = { label: 'Tickets', bucket: 'transaction' as const, how: 'per-unit' as const, on: 'tickets', each };
  const charges: StatedCharge[] = [...(percent === undefined ? [] : [{ ...share, percent }]), ticket];
  return charges.map((charge) => ({ statement: { kind: 'charge', charge } }));
}

/** Nothing is taken of a sale. */
export function noFee(): StatedFee {
  return { statement: { kind: 'charge', charge: { label: 'Sales fee', bucket: 'transaction', how: 'per-order', percent: '0' } } };
}

function feeOf(
  { percent, fixed }: { percent: string | undefined; fixed: string | undefined },
  own: string,
  words: string,
  label: string,
): StatedFee {
  const isShare = PLATFORM.test(own) && !CARDS.test(own) && fixed === undefined;
  const bucket = label !== '' && !isShare ? 'payment' : bucketOf(own, words, percent !== undefined && fixed !== undefined);
  const only = onlyOf(own, words);
  const [most, least] = [AT_MOST.exec(own)?.[1], AT_LEAST.exec(own)?.[1]];
  const other = namedWay(words);
  const charge = {
    label: label || usualLabel(bucket, only, other),
    bucket,
    how: 'per-order',
    ...(percent === undefined ? {} : { percent }),
    ...(fixed === undefined ? {} : { each: fixed }),
    ...(most === undefined ? {} : { most }),
    ...(least === undefined ? {} : { least }),
    ...(only ? { only } : {}),
  } as StatedCharge;
  const isRegional = REGION.test(own) && !AT_HOME.test(own) && !only?.cards;
  return { statement: { kind: 'charge', charge }, ...(isRegional ? { isRegional } : {}) };
}

const CARD_HEADING = /\b(cards?|processing|payment (fees?|rates?|processing))\b/;

function bucketOf(own: string, words: string, hasBoth: boolean): Bucket {
  if (OUTSIDE.test(words)) return 'transaction';
  if (/\b(transaction fees?|commission|platform|sales? fees?|our share)\b/.test(own)) return 'transaction';
  if (
    /\b(cards?|processing|debit|credit|wallets?|invoices?|per payment|(?:payment|pay|by) links?)\b/.test(own) ||
    (hasBoth && CARDS.test(own))
  )
    return 'payment';
  if (/\bpayments?\b/.test(own) && !hasBoth && !CARD_HEADING.test(words) && !IN_PERSON.test(own)) return 'transaction';
  if (PLATFORM.test(words)) return hasBoth && CARDS.test(words) ? 'payment' : 'transaction';
  if (CARDS.test(words) || hasBoth || IN_PERSON.test(words) || isAbroad(own)) return 'payment';
  return 'transaction';
}

function onlyOf(own: string, words: string): NonNullable<StatedCharge['only']> | undefined {
  if (OUTSIDE.test(words)) return { payments: 'outside' };
  // Cards that are typed in count by themselves, wherever the seller stands.
  if (wayOf(own) === 'keyed') return { cards: ['keyed'] };
  // What the fee's own words say goes before its heading's.
  const said = IN_PERSON.test(own) || ONLINE.test(own) || isAbroad(own) || AT_HOME.test(own) ? own : words;
  if (IN_PERSON.test(said)) return { channels: ['in-person'] };
  const cards = cardsOf(said);
  if (cards) return { cards: [cards] };
  return ONLINE.test(said) && /\b(online (card )?(rate|rates|fee|fees|payments?|sales?)|online$|online\b)/.test(said)
    ? { channels: ['own-site'] }
    : undefined;
}

function cardsOf(words: string): 'international' | 'domestic' | null {
  if (isAbroad(words) && !OUTSIDE.test(words)) return 'international';
  return AT_HOME.test(words) && CARDS.test(words) ? 'domestic' : null;
}

function usualLabel(bucket: Bucket, only: StatedCharge['only'], other: string): string {
  if (only?.payments === 'outside') return 'With an outside processor';
  if (other !== '' && bucket === 'payment') return capital(other);
  if (only?.channels?.includes('in-person')) return 'Cards in person';
  if (only?.cards?.includes('international')) return 'Cards from abroad';
  if (only?.cards?.includes('domestic')) return 'Domestic cards';
  return bucket === 'payment' ? 'Card fee' : 'Sales fee';
}

/** On a processor's page each rate has a name: before it, behind it, or as the heading above it. */
function labelOf(before: string, after: string, heading: string): string {
  const tidy = (words: string) =>
    words
      .replace(/\b(at most|at least|per|for|on|of|each|paid|from(?! [a-z]))\b.*$|[(),:;+–-]/g, ' ')
      .replace(/¤[\d.]+/g, ' ')
      .replace(/^\s*(?:plus|and|then)\b/, ' ')
      .replace(/\s+/g, ' ')
      .trim();
  const label = tidy(before) || heading || tidy(after);
  return capital(label).slice(0, 60);
}

/** Whether a line is a rate of sales or payments, and no price of a plan. */
export function isRate(plain: string): boolean {
  return /\d%/.test(plain) || /¤[\d.]+\s*(?:\/|per|each) ?(?:order|sale|transaction|booking|payment|subscriber|member)/i.test(plain);
}
