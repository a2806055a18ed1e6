import { addonAt, addonsInARow, isMoreOfPlans } from './add-ons';
import { countedThing } from './counted-things';
import { capital } from './fees';
import { readFees, takesNothing } from './fees-of-page';
import type { PlainLine } from './plain-line';
import { nameWords } from './plan-names';
import { canBeName, isBadge, isButton, isMenu, isQuestion, isSentence, sectionOf } from './line-kinds';
import { feature, limitsIn, markOf, readItem } from './list-items';
import { namedPrices } from './named-prices';
import { type WholePage, readConditions } from './page-conditions';
import { isAskedFor, isFree, isOfAll, type Place, plansFor } from './plans-meant';
import { isPriceLine, withoutPlace } from './price-pieces';
import type { ReadingBuilder } from './reading-builder';
import type { Statement } from '../price-phrase/statement';
import { unitChargeIn } from './unit-charges';

/**
 * Reads what stands outside the plans: sections of fees and add-ons, sentences about all plans or the ones they name,
 * questions with their answers. Answers only add what nothing else states, or confirm it.
 */
export function readRest(lines: readonly PlainLine[], builder: ReadingBuilder, page: WholePage): void {
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

function isNoContent({ plain, role }: PlainLine): boolean {
  if (role === 'navigation' || role === 'footer') return true;
  return isMenu(plain) || isBadge(plain) || (isButton(plain) && !/\?$/.test(plain)) || (role === 'button' && !/[¤%]/.test(plain));
}

/** "Monthly" beside "Yearly" is a switch between two ways of paying. */
function noticeSwitches({ plain }: PlainLine, page: WholePage): void {
  if (/^(?:(?:pay|bill(?:ed)?) )?(?:monthly|month to month)$|^per month$/i.test(plain)) page.hasMonthly = true;
}

/** Headings, questions and plans' names set what the next lines are about. */
function enters(line: PlainLine, next: PlainLine | undefined, place: Place, builder: ReadingBuilder): boolean {
  const { plain, text, role } = line;
  const section = sectionOf(plain);
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
    place.question = plain;
    place.about = null;
    builder.putAside(line.line, 'question');
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
  if (readJoiningFee(line, place, builder) || readUnlimitedOnAll(line, builder)) return 0;
  readConditions(line, lines[at + 1], place, builder, page);
  if (readIncludedOnAll(line, builder)) return 0;
  const next = lines[at + 1];
  const isPriced = next !== undefined && isPriceLine(next.plain) && !/\d/.test(line.plain);
  if (place.section === 'every plan' && !isPriced && readEveryPlan(line, builder)) return 0;
  if (readAddonsInARow(line, builder)) return 0;
  const hasPrices = readNamedPrices(line, place, builder);
  const isAllowance = !hasPrices && 'free' in (unitChargeIn(line.plain)?.charge ?? {});
  if (!hasPrices && !isAllowance && readFees(line, place, builder)) return 0;
  const isUnderHeading = (isAddonSection || (isPriced && place.section === 'every plan')) && place.question === '';
  const addon = hasPrices ? null : addonAt(lines, at, isUnderHeading || isPair(lines, at, place));
  if (addon && !(isAboutUnits(line.plain) && !isUnderHeading)) {
    if (addon.charge && isMoreOfPlans(addon)) {
      const own = lines.slice(at, at + addon.length).map((one) => one.line);
      for (const plan of plansFor(line.plain, place, builder, 'every')) builder.state(plan, { ...addon.charge, beyond: true }, ...own);
      return addon.length - 1;
    }
    const added = builder.addon(addon.name, addon.line);
    const priced = lines.slice(at, at + addon.length).filter(({ plain }) => /¤/.test(plain));
    if (addon.charge) builder.state(added, addon.charge, addon.line, ...priced.map((one) => one.line));
    builder.price(added, addon.pieces);
    for (const { line: own } of lines.slice(at, at + addon.length))
      if (!builder.isUsed(own)) builder.putAside(own, 'words about an add-on');
    return addon.length - 1;
  }
  if (!hasPrices && readUnits(line, place, builder)) return 0;
  if (!before && !builder.isUsed(line.line) && !/\d/.test(line.plain)) builder.putAside(line.line, 'no figure in it');
  if (!/\d/.test(line.plain) && line.plain.split(' ').length <= 8 && place.section !== 'addons') place.heading = line.plain.toLowerCase();
  return 0;
}

function readAddonsInARow(line: PlainLine, builder: ReadingBuilder): boolean {
  const addons = addonsInARow(line);
  for (const { name, charge, pieces } of addons) {
    const added = builder.addon(capital(name), line.line);
    if (charge) builder.state(added, charge, line.line);
    builder.price(added, pieces);
  }
  return addons.length > 0;
}

const JOINING_FEE =
  /^(?:one-time |once-only )?(?:set-?up|activation|joining|onboarding|sign-?up)(?: fees?| costs?)?\s*(?:once|one-time|of|is|are|costs?|:|–|-|\s)*¤(\d+(?:\.\d+)?)(?:,? (?:once|one-time|one-off))?\b[^¤]{0,40}$/i;

/** "Set-up fee: ¤25 once" is paid on joining a plan that has a price. */
function readJoiningFee({ plain, line }: PlainLine, place: Place, builder: ReadingBuilder): boolean {
  const isAsked = /\bset[- ]?up (?:fee|cost)|\b(?:joining|activation) fee/i.test(place.question);
  const amount =
    JOINING_FEE.exec(plain)?.[1] ??
    (isAsked
      ? /^yes[,:.]? (?:it is |of )?(?:a one-time |one-time )?¤(\d+(?:\.\d+)?)(?:,? (?:once|one-time|per \w+))?[.!]?$/i.exec(plain)?.[1]
      : undefined);
  if (amount === undefined || place.section === 'addons') return false;
  const plans = plansFor(plain, place, builder, 'priced');
  for (const plan of plans) builder.state(plan, { kind: 'joining', label: 'Set-up', amount }, line);
  return plans.length > 0;
}

const UNLIMITED_ON_ALL = /^(\p{L}[\p{L} -]{2,30}?) (?:is|are) (?:unlimited|unmetered|not limited) (?:on|in|with|for) (?:every|all|any)\b/iu;

const ON_ALL =
  /^(?:(?:every|each|any) (?:plan|package)|all (?:our )?(?:plans|packages))(?::| (?:includes?|ha(?:s|ve)|comes? with|gets?)) ([^;%¤]+?)\.?$/i;
const MOST_WORDS = 4;

/** "Every plan includes 2 TB of bandwidth a month", "All plans include a free domain, backups and e-mail support." */
function readIncludedOnAll({ plain, line }: PlainLine, builder: ReadingBuilder): boolean {
  const parts = (ON_ALL.exec(plain)?.[1] ?? '').split(/,\s+(?:and\s+)?|\s+and\s+/).filter((part) => part !== '');
  const stated = parts.flatMap((part): Statement[] => {
    if (/\b(?:trial|money[- ]back|refund|guarantee)\b/i.test(part)) return [];
    if (/\d|unlimited/i.test(part)) return limitsIn(part);
    return part.split(' ').length <= MOST_WORDS && !isSentence(part) ? [feature(part, true)] : [];
  });
  for (const plan of builder.plans) for (const statement of stated) builder.state(plan, statement, line);
  return stated.length > 0 && builder.plans.length > 0;
}

/** "Bandwidth is unlimited on every plan." */
function readUnlimitedOnAll({ plain, line }: PlainLine, builder: ReadingBuilder): boolean {
  const [, words] = UNLIMITED_ON_ALL.exec(plain) ?? [];
  const thing = words === undefined ? null : countedThing(words);
  if (!thing) return false;
  for (const plan of builder.plans) builder.state(plan, { kind: 'limit', quantity: thing.quantity, most: true }, line);
  return builder.plans.length > 0;
}

/** A definition list's term with its price below reads like an add-on. */
function isPair(lines: readonly PlainLine[], at: number, { question, section }: Place): boolean {
  const [own, next] = [lines[at], lines[at + 1]];
  const isAnswer = question !== '' && !/^(?:need|want|looking for)\b/i.test(question);
  if (!own || section === 'fees' || isAnswer || !next) return false;
  const isName = canBeName(own.text, own.plain, true) && !isButton(own.plain) && /^\p{Lu}/u.test(own.text);
  if (own.role !== 'heading' && !(isName && /¤[\d.]+ ?(?:usd|eur|gbp)? ?(?:\/|per|a) ?(?:month|mo|year|yr)\b/i.test(next.plain)))
    return false;
  return isPriceLine(next.plain) && unitChargeIn(withoutPlace(next.plain), own.plain) === null;
}

/** "Extra contacts: 4 for each 1,000" is a price for more than a plan includes. */
function isAboutUnits(plain: string): boolean {
  const charge = unitChargeIn(plain);
  return (
    charge !== null &&
    (charge.beyond === true || /\b(?:traffic|bandwidth|transfer|contacts|emails|storage)\b/i.test(plain.split('¤')[0] ?? ''))
  );
}

function readEveryPlan({ plain, line }: PlainLine, builder: ReadingBuilder): boolean {
  const item = readItem(plain);
  if (item.statements.length === 0 || !(markOf(plain).isMarked || plain.split(' ').length <= 6)) return false;
  for (const plan of builder.plans) for (const statement of item.statements) builder.state(plan, statement, line);
  return true;
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

/** "… ¤28 per month, no contract, ¤10 set-up fee": of joining in this way, or in any. */
const BESIDE_SET_UP = /,? (?:plus |and )?(?:a )?¤(\d+(?:\.\d+)?) (?:set-?up|joining|activation)(?: fee)?\b/i;

function askSetUp(amount: string, line: number, plans: readonly string[], builder: ReadingBuilder): void {
  const statement = { kind: 'joining', label: 'Set-up', amount } as const;
  builder.ask('Does everybody who joins pay the set-up fee?', [line], plans, [
    { label: 'yes, however the plan is paid', statements: plans.map((plan) => ({ plan, statement })) },
    { label: 'no, leave it out', statements: [] },
  ]);
}

function readUnits({ plain, line }: PlainLine, place: Place, builder: ReadingBuilder): boolean {
  const over =
    /\b(?:over|more than|exceed|beyond) (?:my|the|your|our) (\p{L}+)/iu.exec(place.question)?.[1] ??
    /\bneed more (\p{L}+)\?/iu.exec(place.question)?.[1] ??
    '';
  const isMore = /^(?:additional|extra|further|more)\b/.test(place.heading) && /^¤/.test(plain);
  const found = unitChargeIn(plain, over || (place.section === 'addons' && !isMore ? '' : place.heading));
  if (!found) return false;
  const charge = isMore ? { ...found, beyond: true } : found;
  const isGeneral =
    place.section === 'fees' || charge.beyond === true || charge.charge.on === undefined || over !== '' || 'free' in charge.charge;
  if (!isGeneral) return false;
  const plans = plansFor(plain, place, builder, 'every').filter((plan) => !(place.section === 'fees' && takesNothing(plan)));
  const named = { ...charge, charge: { ...charge.charge, label: capital(charge.charge.label) } };
  for (const plan of plans) builder.state(plan, named, line);
  return plans.length > 0;
}
