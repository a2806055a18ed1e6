import { addonAt, isThing } from './add-ons';
import { feesIn, isRate } from './fees';
import type { StatedCharge } from '../price-phrase/statement';
import type { PlainLine } from './plain-line';
import { isButton, isMenu, isQuestion, sectionOf } from './line-kinds';
import type { ReadingBuilder } from './reading-builder';
import type { WholePage } from './page-conditions';
import { isWithoutJoiningFee, taxStatedIn } from './sale-conditions';
import { isByAccount, namesAWay, wayOf } from './ways-of-paying';
import { capital } from '../wording/capital';

/** Sections of a processor's page whose rates are not those of taking a payment. */
const BESIDES =
  /\b(?:conversion|currency exchange|chargebacks?|payouts?|refunds?|disputes?|volumes?|(?:instant|same-day|fast) transfers?|in your (?:bank )?account)\b/i;

/** Whether a thing that a processor charges for is not the taking of a payment: a chargeback, a payout. */
export function isBesidePayments(plain: string): boolean {
  return BESIDES.test(plain);
}

/**
 * Reads the page of a payment processor, which has rates and no plans: each under its own name, the channel and the
 * kind of card that its heading or its line names.
 */
export function readProcessor(given: readonly PlainLine[], builder: ReadingBuilder, whole: WholePage): void {
  const processor = builder.plan('', 0);
  let [channel, heading] = ['', ''];
  const lines = withNamesBelow(given);
  for (let at = 0; at < lines.length; at += 1) {
    const line = lines[at];
    if (!line) continue;
    const { plain } = line;
    const isRateNext = isRate(lines[at + 1]?.plain ?? '');
    if (line.role === 'navigation' || line.role === 'footer' || ((isMenu(plain) || isButton(plain)) && !isRateNext)) {
      builder.putAside(line.line, 'menu');
      continue;
    }
    whole.taxExcluded ??= taxStatedIn(plain);
    if (isWithoutJoiningFee(plain) || /\bno monthly fees?\b/i.test(plain)) readNoFees(plain, line.line, builder);
    // An account is paid from in the same way wherever one stands.
    if (isByAccount(plain.toLowerCase())) channel = '';
    const fees = feesIn(plain, { heading: `${channel} ${heading}`.trim(), isProcessor: true });
    if (fees.length > 0 && !BESIDES.test(`${builder.plainOf(line.line)} ${heading}`)) {
      for (const { statement } of fees) {
        const { charge } = statement;
        const label = /\p{L}/u.test(plain.replace(/¤/g, '')) ? charge.label : heading;
        const name = tidyLabel(label || heading || charge.label);
        // "All other cards" again under "In person" is another fee.
        const isTaken =
          channel !== '' && processor.facts.some((fact) => fact.statement.kind === 'charge' && fact.statement.charge.label === name);
        const behind = name.toLowerCase() === channel ? tidyLabel(plain.replace(/^[^\p{L}]+/u, '')) : '';
        const told = isTaken ? behind || `${name}, ${channel}` : name;
        builder.state(processor, { ...statement, charge: throughChannel({ ...charge, label: told }, channel) }, line.line);
      }
      continue;
    }
    const isHeading = feesIn(lines[at + 1]?.plain ?? '', { heading: 'card', isProcessor: true }).length > 0 && !/\d/.test(plain);
    const addon = BESIDES.test(plain) || isHeading ? null : addonAt(lines, at, true);
    if (addon && !/%/.test(plain)) {
      // What is charged for each of something, a listing or a payout, is charged by whoever takes the payments.
      if (addon.charge) builder.state(processor, addon.charge, ...lines.slice(at, at + addon.length).map((one) => one.line));
      else builder.price(builder.addon(addon.name, line.line), addon.pieces);
      for (const { line: own } of lines.slice(at, at + addon.length)) builder.use(own);
      at += addon.length - 1;
    } else if (!/\d|: \p{L}/u.test(plain)) {
      if (isChannel(plain)) channel = plain.toLowerCase();
      heading = sectionOf(plain) !== null || isQuestion(plain) || isChannel(plain) ? '' : plain.toLowerCase();
    }
  }
}

const CHANNELS: ReadonlyArray<readonly [RegExp, string]> = [
  [/\b(?:person|store|shop|till|counter|go|face)\b/, 'in-person'],
  [/\bonline\b|\b(?:web ?)?site\b/, 'own-site'],
];

/** A rate under "In person" is one of the till, though its own words only name the cards. */
function throughChannel(charge: StatedCharge, channel: string): StatedCharge {
  const through = CHANNELS.find(([pattern]) => pattern.test(channel))?.[1];
  const way = /^(?:by|via|with|over)\b/.test(channel) ? wayOf(channel) : null;
  if (way !== null && !charge.only) return { ...charge, label: capital(channel), only: { cards: [way] } };
  if (through === undefined || charge.only?.channels || charge.only?.payments) return charge;
  return { ...charge, only: { ...charge.only, channels: [through] } };
}

/** "1.5% + ¤0.25" and below it "for European cards" are one line; an amount alone below a name is charged for each payment. */
function withNamesBelow(lines: readonly PlainLine[]): PlainLine[] {
  const named = (at: number) =>
    /^\d+(?:\.\d+)?%(?: \+ ¤[\d.]+)?$/.test(lines[at]?.plain ?? '')
      ? /^(?:for|on|with) (\p{L}[^\d%]*)$/iu.exec(lines[at + 1]?.plain ?? '')?.[1]
      : undefined;
  const below = areNamesBelow(lines);
  return lines.flatMap((line, at): PlainLine[] => {
    if (below.has(at - 1)) return [];
    if (below.has(at)) return [{ ...line, plain: `${(lines[at + 1]?.plain ?? '').replace(/^(?:for|on|with) /i, '')}: ${line.plain}` }];
    if (named(at - 1) !== undefined) return [];
    const name = named(at);
    if (name !== undefined) return [{ ...line, plain: `${name}: ${line.plain}` }];
    const [, rate = '', behind = ''] = /^(\d+(?:\.\d+)?%(?: \+ ¤[\d.]+)?) (?:for|on|with) (\p{L}[^\d%¤]*)$/u.exec(line.plain) ?? [];
    if (/\bcards?\b/i.test(behind)) return [{ ...line, plain: `${behind}: ${rate}` }];
    const before = lines[at - 1]?.plain ?? '';
    const isAlone = /^¤\d[\d.]*(?: each)?$/.test(line.plain) && namesAWay(before.toLowerCase()) && !/\d/.test(before);
    const [, way] = /^([^:\d]+?):? ¤[\d.]+(?: each| a payment| per payment)?$/.exec(line.plain.toLowerCase()) ?? [];
    if (way !== undefined && !isThing(way) && (line.plain.includes(':') ? namesAWay(way) : wayOf(way) !== null))
      return [{ ...line, plain: `${line.plain.replace(/ (?:each|a payment|per payment)$/, '')} per payment` }];
    return [isAlone ? { ...line, plain: `${line.plain.replace(/ each$/, '')} per payment` } : line];
  });
}

const A_RATE = /^\d+(?:\.\d+)?%(?: \+ ¤[\d.]+)?$/;

/** Places of rates that each have their name below: where the first has none above it, and the last has one below. */
function areNamesBelow(lines: readonly PlainLine[]): ReadonlySet<number> {
  const rates = lines.flatMap(({ plain }, at) => (A_RATE.test(plain) ? [at] : []));
  const isName = (at: number) => /\bcards?\b|\bdebits?\b/i.test(lines[at]?.plain ?? '') && !/\d/.test(lines[at]?.plain ?? '');
  const [first = 0] = rates;
  // "Up to ¤3 a payment" below the last is the most that it comes to.
  const isTold = (at: number) => isName(at + 1) || /^(?:up to|at most|max(?:imum)?|capped at) ¤\d/i.test(lines[at + 1]?.plain ?? '');
  const areTold = rates.length >= 2 && !isName(first - 1) && rates.every(isTold);
  return new Set(areTold ? rates.filter((at) => isName(at + 1)) : []);
}

function isChannel(plain: string): boolean {
  return /^(?:online(?: payments?)?|in[- ]person(?: payments?)?|in[- ]store|(?:in|at) (?:the|your) (?:shop|store)|on (?:the|your) (?:web ?)?site|(?:by|via|with) (?:an? )?(?:invoices?|(?:payment )?links?)(?: (?:or|and) (?:an? )?(?:invoices?|(?:payment )?links?))?|cards? (?:in (?:the |your )?(?:shop|store|person)|online|at the till)|(?:payment )?(?:links|invoices) and (?:payment )?(?:links|invoices)|on the go|face[- ]to[- ]face|(?:over the|by) (?:tele)?phone|by bank|at the (?:till|counter)|other|more|payments?|invoices?|invoicing|payment links?|subscriptions?|recurring payments?)$/i.test(
    plain,
  );
}

function tidyLabel(label: string): string {
  const tidy = label.replace(/\s+/g, ' ').trim();
  const written = tidy
    .replace(/\b(?:uk|us|eu|eea|sepa)\b/gi, (region) => region.toUpperCase())
    .replace(/\b(?:european|british|american|kingdom|united)\b/g, capital);
  return capital(written).slice(0, 60);
}

function readNoFees(plain: string, line: number, builder: ReadingBuilder): void {
  builder.putAside(line, /monthly/i.test(plain) ? 'nothing to pay by the month or for joining' : 'nothing to pay for joining');
}
