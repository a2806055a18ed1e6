import { countedPlans } from './counted-plans';
import { feesIn } from './fees';
import { canBeName, isBadge, isButton, isCell, isMark, isPriced, isQuestion, isSentence, sectionOf } from './line-kinds';
import { isOffer, type ListedPlan, listedPlans, withNamesApart } from './names-with-prices';
import type { PlainLine } from './plain-line';
import {
  isDoubtful,
  isFirm,
  isLeadIn,
  isNameLike,
  type NameEvidence,
  nameEvidence,
  namesAbove,
  nameWords,
  type PlanHead,
} from './plan-names';
import { isPriceLine, isPriceTail, wordPrice } from './price-pieces';
import { prosePlans } from './prose-plans';
import { unitChargeIn } from './unit-charges';
import { dayStatements, isWithoutJoiningFee } from './sale-conditions';
import { wholeWords } from './whole-words';

/** How far above its price a name stands at most where the price comes last in its card. */
const FARTHEST_BEFORE_PRICE = 14;

/** So many lines, the vendor's name included, are what somebody types of one plan. */
const MOST_OF_ONE_PLAN = 12;

/** The stretch of a page that is about one plan. */
export interface PlanCard {
  readonly name: string;
  readonly nameLine: number;
  /** All lines of the card but its name. */
  readonly lines: readonly PlainLine[];
}

export interface FoundPlans {
  readonly cards: readonly PlanCard[];
  /** Lines outside the cards, in the page's order. */
  readonly rest: readonly PlainLine[];
}

/**
 * Finds the plans of a page by repetition: blocks that begin with a name and a price, one after the other (the idea of
 * repeated sibling records in web data extraction: MDR of Liu, Grossman and Zhai 2003, and its successors; docs/pricing-pages.md).
 * A name counts more where the page says it again: in a button, above a column, in an answer.
 */
export function findPlans(given: readonly PlainLine[]): FoundPlans {
  const listed = listedPlans(given);
  if (listed) return cardsOfList(given, listed);
  const lines = withNamesApart(given);
  const said = nameEvidence(lines);
  const anchors = priceAnchors(lines);
  const names = namesAbove(lines, anchors, said);
  const near = anchors.flatMap((price, index): PlanHead[] => {
    const name = names[index] ?? null;
    if (name === null) return [];
    return isDoubtful(lines, { name, price }, said) ? [] : [{ name, price }];
  });
  const heads = near.length >= 2 || anchors.length < 2 ? near : firstsOfBlocks(lines, anchors);
  const plans = ofOneRun(lines, likeTheFirm(lines, heads, said), said);
  if (plans.length === 0) return prosePlans(lines) ?? plansOnLines(lines);
  const cards = plans.map(({ name }, index): PlanCard => {
    const next = plans[index + 1];
    const end = next ? startOf(lines, next.name) : endOfLast(lines, plans, index);
    const own = lines[name];
    return {
      name: nameWords(own?.text ?? ''),
      nameLine: own?.line ?? 0,
      lines: lines.slice(startOf(lines, name), end).filter((one) => one !== own),
    };
  });
  const inCards = new Set<PlainLine | undefined>([...plans.map(({ name }) => lines[name]), ...cards.flatMap(({ lines: own }) => own)]);
  return { cards, rest: lines.filter((line) => !inCards.has(line)) };
}

/** The plans of a list of prices, each with what stands under its name further down. */
function cardsOfList(lines: readonly PlainLine[], listed: readonly ListedPlan[]): FoundPlans {
  const begins = listed.map(({ head }) => head).sort((a, b) => a - b);
  const cards = listed.map(({ name, price, line, head }): PlanCard => {
    const next = begins.find((at) => at > head);
    const items = lines.slice(head + 1, next);
    const end = next === undefined ? items.findIndex((one, at) => endsCard(one, items, at)) : -1;
    const own = end < 0 ? items : items.slice(0, end);
    return { name, nameLine: line.line, lines: [{ ...line, plain: price, text: price }, ...own] };
  });
  const used = new Set([...listed.flatMap(({ line, head }) => [line, lines[head]]), ...cards.flatMap((card) => card.lines)]);
  return { cards, rest: lines.filter((line) => !used.has(line)) };
}

/**
 * Where most names are beyond doubt, those whose cards are built otherwise are none; one that is only not named again, as
 * the largest plan hardly ever is, stays.
 */
function likeTheFirm(lines: readonly PlainLine[], heads: readonly PlanHead[], said: NameEvidence): readonly PlanHead[] {
  const isSure = ({ name }: PlanHead) => isFirm(lines[name], said);
  const firm = heads.filter(isSure);
  if (firm.length < 2 || firm.length < heads.length / 2) return heads;
  const distances = new Set(firm.map(({ name, price }) => price - name));
  return heads.filter((head) => isSure(head) || distances.has(head.price - head.name));
}

const ON_A_LINE = /^(\p{L}[\p{L}\d &+-]{0,30}?)\s*(?::|–|—| - )\s*((?:free|from )?.*)$/iu;

/** "Small: 10/mo, 50 labels" and "Large: 60/mo …": each line is a plan, its clauses are the card's lines. */
function plansOnLines(lines: readonly PlainLine[]): FoundPlans {
  const found = lines.flatMap((line): PlanCard[] => {
    const [, name = '', rest = ''] = ON_A_LINE.exec(line.plain) ?? [];
    const clauses = rest.split(/[,;]\s+(?!then\b)/);
    const isPlan = clauses.length >= 2 && (isPriceLine(clauses[0] ?? '') || isOffer(clauses[0] ?? '') || /^free$/i.test(clauses[0] ?? ''));
    const isFree = !isPlan && /^free$/i.test(name) && !/¤/.test(rest) && !isSentence(rest);
    const said = isFree ? ['free', ...clauses] : clauses;
    return isPlan || isFree
      ? [{ name: nameWords(name), nameLine: line.line, lines: said.map((plain) => ({ ...line, plain, text: plain })) }]
      : [];
  });
  if (found.length < 2 && found.every(({ name }) => /^free$/i.test(name))) return withCounts(lines);
  const taken = new Set(found.map(({ nameLine }) => nameLine));
  return { cards: found, rest: lines.filter(({ line }) => !taken.has(line)) };
}

function withCounts(lines: readonly PlainLine[]): FoundPlans {
  const cards = countedPlans(lines);
  const taken = new Set(cards.flatMap(({ nameLine, lines: own }) => [nameLine, ...own.map(({ line }) => line)]));
  return { cards, rest: lines.filter(({ line }) => !taken.has(line)) };
}

/** Lines at which a price begins: an amount or "Free", with no other price line right before it. */
function priceAnchors(lines: readonly PlainLine[]): number[] {
  return lines.flatMap(({ plain, role }, at) => {
    if (role === 'navigation' || role === 'footer') return [];
    const isNameOnly = wordPrice(plain) === 'free' && isNameLike(lines, at);
    const begins = isPriceLine(plain) || (wordPrice(plain) !== null && !isNameOnly) || isOffer(plain) || isOnlyTrial(plain);
    if (!begins) return [];
    let before = at - 1;
    while (before >= 0 && (isBadge(lines[before]?.plain ?? '') || isLeadIn(lines[before]?.plain ?? ''))) before -= 1;
    const previous = lines[before]?.plain ?? '';
    const continues =
      isPriceLine(previous) || isPriceTail(previous) || isForSoMany(previous) || (isOffer(previous) && lines[before]?.opens !== true);
    return continues && wordPrice(previous) === null && !isNameLike(lines, before) ? [] : [at];
  });
}

/** "for 500 contacts" under a price. */
function isForSoMany(plain: string): boolean {
  return /^(?:for|up to|incl(?:uding|\.)?) \d+ \p{L}+(?: \p{L}+)?$/u.test(plain);
}

/** A plan that can only be tried: "Free for 14 days". */
function isOnlyTrial(plain: string): boolean {
  return /^free for \d+ (?:days|weeks)$/i.test(plain);
}

/**
 * Cards whose price comes after what is in them: the name is the first line of each block, behind the button or price
 * that ends the one before.
 */
function firstsOfBlocks(lines: readonly PlainLine[], anchors: readonly number[]): PlanHead[] {
  const heads = anchors.map((price): PlanHead | null => {
    let at = price - 1;
    while (at >= 0 && price - at < FARTHEST_BEFORE_PRICE && isInsideCard(lines, at)) at -= 1;
    const line = lines[at];
    return line && at < price - 1 && canBeName(line.text, line.plain, true) && !isButton(line.plain) ? { name: at, price } : null;
  });
  const found = heads.filter((head) => head !== null);
  const texts = new Set(found.map(({ name }) => lines[name]?.text));
  return found.length >= 2 && texts.size === found.length ? found : [];
}

/** An item with a figure or a tick, which is no name. */
function isInsideCard(lines: readonly PlainLine[], at: number): boolean {
  const { plain = '', text = '', role } = lines[at] ?? {};
  return /\d/.test(plain) || /^[✓✔✗✘•]/.test(text) || role === 'item' || isBadge(plain) || /^unlimited\b/i.test(plain);
}

/**
 * The heads that belong to one run of plans: from the first on, until a section of another kind begins. A price under
 * such a heading is an add-on's.
 */
function ofOneRun(lines: readonly PlainLine[], heads: readonly PlanHead[], said: NameEvidence): PlanHead[] {
  const run: PlanHead[] = [];
  for (const head of heads) {
    const previous = run.at(-1);
    if (previous && head.name <= previous.price) continue;
    const since = lines.slice(previous ? previous.price : Math.max(0, head.name - 3), head.name);
    const sections = since.map(({ plain }) => sectionOf(plain)).filter((kind) => kind !== null && kind !== 'comparison' && kind !== 'fees');
    const isApart = sections.length > 0 && previous !== undefined;
    if (isApart || since.some(({ plain }) => isQuestion(plain) && previous !== undefined)) break;
    if (previous === undefined && sections.includes('addons')) break;
    run.push(head);
  }
  const isAlone = run.length === 1 && isFirm(lines[run[0]?.name ?? -1], said) && (hasList(lines, run) || isJustThat(lines, run));
  return run.length >= 2 || isAlone ? run : [];
}

/** One plan alone is one only if something is listed under it. */
function hasList(lines: readonly PlainLine[], [head]: readonly PlanHead[]): boolean {
  const after = head ? lines.slice(head.price + 1, head.price + 12) : [];
  return after.filter(({ plain }) => !isSentence(plain) && !isPriced(plain)).length >= 2;
}

/** A few lines that were typed or copied by themselves are about the one plan that they name right above its price. */
function isJustThat(lines: readonly PlainLine[], [head]: readonly PlanHead[]): boolean {
  return head !== undefined && head.price === head.name + 1 && head.name <= 1 && lines.length <= MOST_OF_ONE_PLAN;
}

/** A badge right above a name belongs to its card. */
function startOf(lines: readonly PlainLine[], name: number): number {
  let start = name;
  while (start > 0 && isBadge(lines[start - 1]?.plain ?? '')) start -= 1;
  return start;
}

/** The last card ends where something else begins: a section, a sentence, words about all plans, a table's cells. */
function endOfLast(lines: readonly PlainLine[], plans: readonly PlanHead[], index: number): number {
  const head = plans[index];
  if (!head) return lines.length;
  const lengths = plans.slice(0, -1).map(({ name }, at) => (plans[at + 1]?.name ?? name) - name);
  const longest = Math.max(8, ...lengths);
  const endsWithButton = plans.slice(0, -1).every((_, at) => lastIsButton(lines, plans, at)) && plans.length > 1;
  let end = head.price + 1;
  for (; end < lines.length; end += 1) {
    const line = lines[end];
    const before = lines[end - 1];
    if (!line || (endsWithButton && before && end - 1 > head.price && isButton(before.plain))) break;
    if (line.opens && line.role !== 'item' && !isPriced(line.plain) && end - head.name > 2 && line.role !== undefined) break;
    const isSaidBefore = lines.slice(0, head.name).some((one) => one.text === line.text);
    if ((endsCard(line, lines, end) && !(isSaidBefore && line.role !== 'heading')) || end - head.name > longest + 6) break;
    if (namesPlan(line, plans, lines)) break;
    if (plans.length > 1 && saysSomethingNew(line, lines.slice(plans[0]?.name ?? 0, head.name))) break;
  }
  return end;
}

/** A trial, a refund window, a card fee or words about joining that no card before has are about all plans. */
function saysSomethingNew({ plain }: PlainLine, before: readonly PlainLine[]): boolean {
  const kinds = [
    (text: string) => dayStatements(text, '').length > 0,
    (text: string) =>
      /\bprocess|\bprovider|\bpartner|\b(?:card|payment) fees?\b|^(?:card|payment)s?\b/i.test(text) &&
      feesIn(text, { heading: '' }).some(({ statement }) => statement.charge.bucket === 'payment'),
    isWithoutJoiningFee,
    (text: string) => /^(?:each|every|further|extra|additional|over|beyond)\b/i.test(text) && unitChargeIn(text) !== null,
  ];
  if (plain.split(' ').length < 4) return false;
  return kinds.some((isSaid) => isSaid(plain) && !before.some((line) => isSaid(line.plain)));
}

/** A sentence that names plans is about more than the last one. */
function namesPlan({ plain, text }: PlainLine, plans: readonly PlanHead[], lines: readonly PlainLine[]): boolean {
  if (isButton(plain) || /^(?:everything|all) in\b/i.test(plain) || !/\d/.test(plain)) return false;
  return plans.some(({ name }) => {
    const words = nameWords(lines[name]?.text ?? '');
    return words.length > 2 && text !== words && wholeWords(words).test(text);
  });
}

function lastIsButton(lines: readonly PlainLine[], plans: readonly PlanHead[], at: number): boolean {
  const next = plans[at + 1];
  const last = next ? lines[startOf(lines, next.name) - 1] : undefined;
  return last !== undefined && isButton(last.plain);
}

const ABOUT_ALL =
  /\b(?:all|every|each|any) (?:paid )?(?:plans?|of (?:our|the) plans|packages?|servers?|prices)\b|\bmoney[- ]back\b|\bfree trial\b(?=.*\b(?:plan|all|every)\b)|^(?:prices|yearly|pay (?:yearly|annually|for)|not happy|try it|try (?:any|every))\b/i;

function endsCard(line: PlainLine, lines: readonly PlainLine[], at: number): boolean {
  const { plain, text, role } = line;
  if (role === 'footer' || role === 'navigation' || role === 'heading') return true;
  const section = sectionOf(plain);
  // "Payments" may be one more feature, or head the rates that follow.
  if (section === 'fees')
    return /[%¤]/.test(lines[at + 1]?.plain ?? '') || isSentence(lines[at + 1]?.plain ?? '') || /\b(?:rates?|fees?)$/i.test(plain);
  if (section !== null || isQuestion(plain)) return true;
  if (isPriced(plain)) return false;
  if (/^[✓✔✗✘•]/.test(text) || role === 'item') return false;
  if (ABOUT_ALL.test(plain) || (isSentence(plain) && /[.!]$/.test(plain) && plain.split(' ').length > 5)) return true;
  // A line with marks alone behind it is a row of a table.
  const next = lines.slice(at + 1, at + 3).map((one) => one.plain);
  return next.length === 2 && next.every(isMark) && isCell(plain);
}
