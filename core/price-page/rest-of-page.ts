import { plural } from '../price-phrase/vocabulary';
import { addonAt, addonsInARow, isMoreOfPlans, type StatedAddon } from './add-ons';
import { capital } from '../wording/capital';
import { readFees } from './fees-of-page';
import type { PlainLine } from './plain-line';
import { readEveryPlan, readIncludedOnAll, readUnlimitedOnAll } from './every-plan';
import { askSetUp, BESIDE_SET_UP, readJoiningFee } from './joining-fees';
import { isAboutUnits, readUnitOfAnother, readUnits } from './units-of-page';
import { nameWords } from './plan-names';
import { canBeName, isBadge, isButton, isMenu, isQuestion, isSentence, sectionOf } from './line-kinds';
import { readItem } from './list-items';
import { namedPrices } from './named-prices';
import { type WholePage, readConditions } from './page-conditions';
import { isAskedFor, isFree, isOfAll, type Place, plansFor } from './plans-meant';
import { isPriceLine, type PricePiece, withoutPlace } from './price-pieces';
import { NO_FIGURE, type ReadingBuilder } from './reading-builder';
import { withThingsFirst } from './sold-on-plan';
import { unitChargeIn } from './unit-charges';
import { wholeWords } from './whole-words';

/**
 * Reads what stands outside the plans: sections of fees and add-ons, sentences about all plans or the ones they name,
 * questions with their answers. Answers only add what nothing else states, or confirm it.
 */
export function readRest(given: readonly PlainLine[], builder: ReadingBuilder, page: WholePage): void {
  const lines = withThingsFirst(given, builder.names());
  const done = new Set(lines.filter(({ line }) => builder.isUsed(line)).map(({ line }) => line));
  const place: Place = { section: null, heading: '', question: '', about: null };
  const areListed = hasListOfEach(lines, builder);
  for (let at = 0; at < lines.length; at += 1) {
    const line = lines[at];
    if (!line || done.has(line.line)) continue;
    if (isNoContent(line)) {
      builder.putAside(line.line, line.role === 'navigation' || isMenu(line.plain) ? 'menu' : 'button');
      noticeSwitches(line, page);
      continue;
    }
    if (enters(line, lines[at + 1], place, builder)) continue;
    if (areListed && place.about !== null && readListed(line, place.about, builder)) continue;
    at += readStatements(lines, at, place, builder, page);
  }
}

/** Whether plans that a table has named each head a list of their own further down. */
function hasListOfEach(lines: readonly PlainLine[], builder: ReadingBuilder): boolean {
  const alone = new Set(lines.map(({ text }) => nameWords(text).toLowerCase()));
  return builder.names().length >= 2 && builder.names().every((name) => alone.has(name.toLowerCase()));
}

/** An item of a plan's own list. */
function readListed({ plain, line }: PlainLine, about: string, builder: ReadingBuilder): boolean {
  if (isSentence(plain) || isOfAll(plain) || /[%¤]/.test(plain)) return false;
  const plan = builder.plans.find(({ name }) => name === about);
  const { statements } = readItem(plain);
  if (plan) for (const statement of statements) builder.state(plan, statement, line);
  return plan !== undefined && statements.length > 0;
}

/** What a page says of its prices in small letters at its end. */
function isCondition(plain: string): boolean {
  return isSentence(plain) && /\b(?:prices?|vat|tax|taxes|trial|free|refund|money[- ]back)\b/i.test(plain) && !/[©?]/.test(plain);
}

function isNoContent({ plain, role }: PlainLine): boolean {
  if (role === 'navigation' || (role === 'footer' && !isCondition(plain))) return true;
  return isMenu(plain) || isBadge(plain) || (isButton(plain) && !/\?$/.test(plain)) || (role === 'button' && !/[¤%]/.test(plain));
}

/** "Monthly" beside "Yearly" is a switch between two ways of paying. */
function noticeSwitches({ plain }: PlainLine, page: WholePage): void {
  if (/^(?:(?:pay|bill(?:ed)?) )?(?:monthly|month to month)$|^per month$/i.test(plain)) page.hasMonthly = true;
}

/** Headings, questions and plans' names set what the next lines are about. */
function enters(line: PlainLine, next: PlainLine | undefined, place: Place, builder: ReadingBuilder): boolean {
  const { plain, text, role } = line;
  const section = /^(?:all )?included$/i.test(plain) && builder.plans.length === 1 ? 'every plan' : sectionOf(plain);
  // "Apps" above all plans is one of the site's own links.
  const isAbove = builder.plans.length > 0 && builder.plans.every((plan) => plan.line > line.line);
  if (section === 'addons' && isAbove && !/\s/.test(plain)) {
    builder.putAside(line.line, 'menu');
    return true;
  }
  if (section !== null) {
    place.section = section;
    place.heading = plain.toLowerCase().replace(/[:.]+$/, '');
    place.question = '';
    place.about = null;
    builder.putAside(line.line, 'heading');
    return true;
  }
  if (isQuestion(plain) && !/¤\d/.test(plain)) {
    // "What is Pennant?" in a menu above the plans is answered nowhere below it.
    place.question = isAbove && next && !isSentence(next.plain) ? '' : plain;
    place.about = null;
    if (place.section === 'every plan') place.section = null;
    // What answers it may stand on the same line, with a price.
    if (!/¤\d/.test(builder.plainOf(line.line))) builder.putAside(line.line, 'question');
    return true;
  }
  const name = builder.names().find((one) => one.toLowerCase() === nameWords(text).toLowerCase());
  if (name !== undefined && next && !/^\p{L}+$/u.test(next.plain)) {
    place.about = name;
    builder.putAside(line.line, 'heading');
    return true;
  }
  if (role === 'heading' && !/\d/.test(plain)) {
    place.heading = plain.toLowerCase();
    place.question = '';
    return false;
  }
  return false;
}

/** @returns how many lines more than one were read */
function readStatements(lines: readonly PlainLine[], at: number, place: Place, builder: ReadingBuilder, page: WholePage): number {
  const line = lines[at];
  if (!line) return 0;
  const before = builder.isUsed(line.line);
  const isAddonSection = place.section === 'addons' || place.section === 'lifetime';
  if (readUnitOfAnother(line, place, builder)) return 0;
  if (readJoiningFee(line, place, builder) || readUnlimitedOnAll(line, builder)) return 0;
  readConditions(line, lines[at + 1], place, builder, page);
  if (readIncludedOnAll(line, builder)) return 0;
  const next = lines[at + 1];
  const isPriced =
    next !== undefined && /^(?:from |(?:optional |paid )?(?:add-?on|extra)\b[^¤\d]{0,8})?¤\d/i.test(next.plain) && !/\d/.test(line.plain);
  if (place.section === 'every plan' && !isPriced && readEveryPlan(line, place, builder)) return 0;
  if (readAddonsInARow(line, builder)) return 0;
  const isOfMore =
    /\b(?:each|every|per) (?:further|additional|extra|more)\b|\b\d+ (?:more|extra|further|additional)\b|^(?:further|additional|extra) \p{L}+s\b/iu.test(
      line.plain,
    );
  const isOver = /^(?:over|above|beyond|more than) (?:your|the|my)\b/i.test(place.question);
  const hasPrices = !isOfMore && !isOver && readNamedPrices(line, place, builder);
  const isAllowance = !hasPrices && 'free' in (unitChargeIn(line.plain)?.charge ?? {});
  if (!hasPrices && !isAllowance && readFees(line, place, builder)) return 0;
  const isUnderHeading = (isAddonSection || (isPriced && place.section === 'every plan')) && place.question === '';
  const addon = hasPrices ? null : (addonAt(lines, at, isUnderHeading || isPair(lines, at, place)) ?? wantedIn(line, place));
  if (addon && isTeaser(lines.slice(at, at + addon.length), place, builder)) {
    for (const own of lines.slice(at, at + addon.length)) builder.putAside(own.line, 'where the prices begin');
    return addon.length - 1;
  }
  if (addon && !(isAboutUnits(line.plain) && !isUnderHeading)) {
    if (addon.charge && isMoreOfPlans(addon)) {
      const own = lines.slice(at, at + addon.length).map((one) => one.line);
      for (const plan of plansFor(line.plain, place, builder, 'every')) builder.state(plan, { ...addon.charge, beyond: true }, ...own);
      return addon.length - 1;
    }
    const added = builder.addon(addon.name, addon.line);
    const priced = lines.slice(at, at + addon.length).filter(({ plain }) => /¤/.test(plain));
    if (addon.charge) builder.state(added, addon.charge, addon.line, ...priced.map((one) => one.line));
    builder.price(added, withPeriodOf(place.heading, addon.pieces));
    for (const { line: own } of lines.slice(at, at + addon.length))
      if (!builder.isUsed(own)) builder.putAside(own, 'words about an add-on');
    return addon.length - 1;
  }
  if (!hasPrices && readUnits(line, place, builder)) return 0;
  if (!before && !builder.isUsed(line.line) && !/\d/.test(line.plain)) builder.putAside(line.line, NO_FIGURE);
  if (!/\d/.test(line.plain) && line.plain.split(' ').length <= 8 && place.section !== 'addons') place.heading = line.plain.toLowerCase();
  // "Refunds" between questions heads what follows.
  if (/^(?:refunds?|(?:free )?trials?|money[- ]back|cancell?ation)$/i.test(line.plain)) place.question = '';
  return 0;
}

/** Under "Modules (per year)" all prices are those of a year. */
function withPeriodOf(heading: string, pieces: readonly PricePiece[]): readonly PricePiece[] {
  const unit = /\((?:prices? )?(?:(?:per|a|by the|each) (month|year)|(monthly|yearly))\)$|,? (?:prices )?(?:per|by the) (month|year)$/.exec(
    heading,
  );
  const period = unit?.[1] ?? unit?.[2] ?? unit?.[3];
  if (period === undefined) return pieces;
  const isBare = ({ per, billed, isOnce }: PricePiece) => per === null && billed === null && !isOnce;
  return pieces.map((piece) => (isBare(piece) ? { ...piece, per: period.startsWith('month') ? 1 : 12 } : piece));
}

/** "Fast hosting from ¤3 a month" above the plans is said of them, and names nothing that is sold beside them. */
function isTeaser(own: readonly PlainLine[], { section }: Place, builder: ReadingBuilder): boolean {
  const isAbove = builder.plans.length > 0 && builder.plans.every((plan) => own.every(({ line }) => line < plan.line));
  return isAbove && section === null && own.some(({ plain }) => /\b(?:from|only|at|just) ¤\d/i.test(plain));
}

/** "Need a card reader?", and "¤29 each" behind it. */
function wantedIn(line: PlainLine, { question }: Place): StatedAddon | null {
  const wanted = /^(?:need|want) (?:an?|another|your own) (\p{L}[\p{L} -]{2,30})\?$/iu.exec(question)?.[1];
  return wanted === undefined || !/^(?:from )?¤\d/.test(line.plain) || /\bper (?!month|year)/i.test(line.plain)
    ? null
    : addonAt([{ ...line, plain: `${capital(wanted)}: ${line.plain}` }], 0, true);
}

function readAddonsInARow(line: PlainLine, builder: ReadingBuilder): boolean {
  const addons = addonsInARow(line);
  // "Basic is ¤49, Plus ¤99" states the plans' own prices.
  if (addons.some(({ name }) => builder.names().some((plan) => wholeWords(plan, 'i').test(name)))) return false;
  for (const addon of addons) {
    const { name, charge, pieces } = addon;
    if (charge && isMoreOfPlans(addon)) {
      for (const plan of builder.plans) builder.state(plan, { ...charge, beyond: true }, line.line);
      continue;
    }
    const added = builder.addon(capital(name), line.line);
    if (charge) builder.state(added, charge, line.line);
    builder.price(added, pieces);
  }
  return addons.length > 0;
}

/** A definition list's term with its price below reads like an add-on. */
function isPair(lines: readonly PlainLine[], at: number, { question, section }: Place): boolean {
  const [own, next] = [lines[at], lines[at + 1]];
  const isAnswer = question !== '' && !/^(?:need|want|looking for)\b/i.test(question);
  if (!own || section === 'fees' || isAnswer || !next) return false;
  const isName = canBeName(own.text, own.plain, true) && !isButton(own.plain) && /^\p{Lu}/u.test(own.text);
  if (isName && isPriceOfEach(own.plain, next.plain)) return true;
  if (own.role !== 'heading' && !(isName && /¤[\d.]+ ?(?:usd|eur|gbp)? ?(?:\/|per|a) ?(?:month|mo|year|yr)\b/i.test(next.plain)))
    return false;
  return isPriceLine(next.plain) && unitChargeIn(withoutPlace(next.plain), own.plain) === null;
}

/** "Text messages" with "¤0.012 per message, no monthly fee" below. */
function isPriceOfEach(name: string, price: string): boolean {
  const noun = /^¤[\d.]+ (?:per|for each|a) (\p{L}{4,})/iu.exec(price)?.[1];
  return noun !== undefined && wholeWords(plural(noun.toLowerCase()), 'i').test(name) && unitChargeIn(price, name) !== null;
}

function readNamedPrices({ plain, line }: PlainLine, place: Place, builder: ReadingBuilder): boolean {
  const priced = builder.plans.filter((plan) => !isFree(plan) && !isAskedFor(plan)).map(({ name }) => name);
  const [beside = '', joining] = BESIDE_SET_UP.exec(plain) ?? [];
  const prices = namedPrices(plain.replace(beside, ''), line, builder.names(), priced, place.question);
  for (const { plan, pieces } of prices) {
    const found = builder.plans.find(({ name }) => name === plan);
    if (found) builder.price(found, pieces);
  }
  if (prices.length > 0 && joining !== undefined)
    askSetUp(
      joining,
      line,
      prices.map(({ plan }) => plan),
      builder,
    );
  return prices.length > 0;
}
