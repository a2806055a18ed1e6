import { feesIn } from './fees';
import { isJoiningFee } from './joining-fees';
import { canBeName, isBadge, isButton, isCell, isMark, isPriced, isQuestion, isSentence, sectionOf } from './line-kinds';
import type { PlainLine } from './plain-line';
import { nameWords, type PlanHead } from './plan-names';
import { isPriceLine, isPriceTail } from './price-pieces';
import { dayStatements, isWithoutJoiningFee, yearlySavingIn } from './sale-conditions';
import { unitChargeIn } from './unit-charges';
import { wholeWords } from './whole-words';

/** What may stand between a price and the end of its card. */
export const isOfEnd = (plain: string) =>
  isPriceTail(plain) || isPriceLine(plain) || isButton(plain) || isBadge(plain) || /^¤[\d.]+ ?(?:\/|per|an) ?h(?:ou)?r?$/i.test(plain);

/** A badge right above a name belongs to its card. */
export function startOf(lines: readonly PlainLine[], name: number): number {
  let start = name;
  while (start > 0 && (isBadge(lines[start - 1]?.plain ?? '') || isNumbering(lines, start - 1))) start -= 1;
  return start;
}

/** Whether a name, or the badge above it, begins a block. */
export function opensBlock(lines: readonly PlainLine[], name: number): boolean {
  return lines[startOf(lines, name)]?.opens === true;
}

/** Whether plans are blocks with space between them, and none within: what comes behind more space is no part of the last. */
export function areBlocks(lines: readonly PlainLine[], plans: readonly PlanHead[]): boolean {
  return (
    plans.length >= 2 &&
    plans.every(({ name }) => opensBlock(lines, name)) &&
    plans
      .slice(0, -1)
      .every(
        ({ name }, index) => !lines.slice(name + 1, startOf(lines, plans[index + 1]?.name ?? name)).some(({ opens }) => opens === true),
      )
  );
}

/** "1", "2" and "3" above the names that they number. */
function isNumbering(lines: readonly PlainLine[], at: number): boolean {
  const own = /^(\d)[.)]?$/.exec(lines[at]?.plain ?? '')?.[1];
  return own !== undefined && [-1, 1].some((step) => lines.some(({ plain }) => plain.replace(/[.)]$/, '') === String(Number(own) + step)));
}

/** The last card ends where something else begins: a section, a sentence, words about all plans, a table's cells. */
export function endOfLast(lines: readonly PlainLine[], plans: readonly PlanHead[], index: number): number {
  const head = plans[index];
  if (!head) return lines.length;
  const lengths = plans.slice(0, -1).map(({ name }, at) => (plans[at + 1]?.name ?? name) - name);
  const longest = Math.max(8, ...lengths);
  const endsWithButton = plans.slice(0, -1).every((_, at) => lastIsButton(lines, plans, at)) && plans.length > 1;
  let end = head.price + 1;
  if (arePricesLast(lines, plans)) {
    while (isOfEnd(lines[end]?.plain ?? '')) end += 1;
    return end;
  }
  const isBlock = areBlocks(lines, plans);
  const others = lines.slice(plans[0]?.name ?? 0, head.name);
  const holdSentences = others.some(({ plain }) => isSentence(plain) && !ABOUT_ALL.test(plain));
  for (; end < lines.length; end += 1) {
    const line = lines[end];
    const before = lines[end - 1];
    if (!line || (endsWithButton && before && end - 1 > head.price && isButton(before.plain))) break;
    if (isBlock && line.opens) break;
    if (line.opens && line.role !== 'item' && !isPriced(line.plain) && end - head.name > 2 && line.role !== undefined) break;
    // "All features" in the midst of a block is an item of its list.
    if (isBlock && /^all features$/i.test(line.plain)) continue;
    const isSaidBefore = others.some((one) => one.text === line.text);
    if ((endsCard(line, lines, end, holdSentences) && !(isSaidBefore && line.role !== 'heading')) || end - head.name > longest + 6) break;
    if (namesPlan(line, plans, lines) || (line.opens && headsATableOf(lines, end, plans))) break;
    if (plans.length > 1 && headsListByPlan(lines, end, plans.slice(0, -1))) break;
    if (plans.length > 1 && (saysSomethingNew(line, others) || sellsBeside(lines, end, others))) break;
  }
  return end;
}

/** Whether each plan but the last is over once its price has been told. */
function arePricesLast(lines: readonly PlainLine[], plans: readonly PlanHead[]): boolean {
  const before = plans.slice(0, -1);
  return (
    before.length >= 2 &&
    before.every(({ price }, index) => lines.slice(price + 1, plans[index + 1]?.name).every(({ plain }) => isOfEnd(plain))) &&
    before.every(({ name, price }) => price - name >= 2)
  );
}

/** A trial, a refund window, a card fee or words about joining that no card before has are about all plans. */
function saysSomethingNew({ plain }: PlainLine, before: readonly PlainLine[]): boolean {
  const kinds = [
    (text: string) => dayStatements(text, '').length > 0,
    (text: string) =>
      // "Card payments, 1% fee" is an item of the list.
      !/^[^,.%]+, \d+(?:\.\d+)?% fee$/i.test(text) &&
      /\bprocess|\bprovider|\bpartner|\b(?:card|payment) fees?\b|^(?:card|payment)s?\b/i.test(text) &&
      feesIn(text, { heading: '' }).some(({ statement }) => statement.charge.bucket === 'payment'),
    (text: string) => /^(?:we|our)\b/i.test(text) && feesIn(text, { heading: '' }).length > 0,
    isWithoutJoiningFee,
    isJoiningFee,
    (text: string) => yearlySavingIn(text) !== null,
    (text: string) =>
      /^(?:each|every|further|extra|additional|over|beyond)\b|\b(?:beyond|above|over) (?:that|this|it)\b/i.test(text) &&
      unitChargeIn(text) !== null,
  ];
  if (plain.split(' ').length < 4 && !/\.$/.test(plain)) return false;
  return kinds.some((isSaid) => isSaid(plain) && !before.some((line) => isSaid(line.plain)));
}

/** "Set-up help: ¤75, once" at the end of a page whose plans list nothing with a price of its own. */
function sellsBeside(lines: readonly PlainLine[], at: number, others: readonly PlainLine[]): boolean {
  const [own, next] = [lines[at], lines[at + 1]];
  const isLast = next === undefined || WITH_PRICE.test(next.plain) || isSentence(next.plain) || sectionOf(next.plain) !== null;
  return (
    own !== undefined &&
    WITH_PRICE.test(own.plain) &&
    unitChargeIn(own.plain) === null &&
    isLast &&
    !others.some(({ plain }) => WITH_PRICE.test(plain))
  );
}

const WITH_PRICE = /^\p{L}[^¤%:\d]{2,30}(?::| –| —) (?:from )?¤\d/u;

/** Whether a run of the plans' names, and with it a table of them, begins a few lines below. */
function headsATableOf(lines: readonly PlainLine[], at: number, plans: readonly PlanHead[]): boolean {
  const names = new Set(plans.map(({ name }) => lines[name]?.text.toLowerCase()));
  const isName = (place: number) => names.has(lines[place]?.text.toLowerCase());
  return [at, at + 1, at + 2, at + 3].some((place) => isName(place) && isName(place + 1));
}

/** "Card payments", then the name of another plan with its rate below: a list of what each plan pays. */
function headsListByPlan(lines: readonly PlainLine[], at: number, others: readonly PlanHead[]): boolean {
  const names = new Set(others.map(({ name }) => nameWords(lines[name]?.text ?? '').toLowerCase()));
  const isName = (place: number) => names.has(nameWords(lines[place]?.text ?? '').toLowerCase());
  const isTold = (place: number) => isName(place) && /^[^\p{L}]*\d/u.test(lines[place + 1]?.plain ?? '');
  const isHeading = canBeName(lines[at]?.text ?? '', lines[at]?.plain ?? '', true) || sectionOf(lines[at]?.plain ?? '') !== null;
  return isTold(at) || (isHeading && isTold(at + 1));
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

/** @param holdSentences - whether the cards before hold sentences, so that one does not end this */
export function endsCard(line: PlainLine, lines: readonly PlainLine[], at: number, holdSentences = false): boolean {
  const { plain, text, role } = line;
  if (role === 'footer' || role === 'navigation' || role === 'heading') return true;
  const section = sectionOf(plain);
  if (isPriceTail(plain) && section !== 'every plan') return false;
  // "Payments" may be one more feature, or head the rates that follow.
  if (section === 'fees')
    return /[%¤]/.test(lines[at + 1]?.plain ?? '') || isSentence(lines[at + 1]?.plain ?? '') || /\b(?:rates?|fees?)$/i.test(plain);
  if (section !== null || isQuestion(plain)) return true;
  if (isPriced(plain)) return false;
  if (/^[✓✔✗✘•]/.test(text) || role === 'item') return false;
  const isLong = isSentence(plain) && /[.!]$/.test(plain) && plain.split(' ').length > 5;
  if (ABOUT_ALL.test(plain) || (isLong && !holdSentences)) return true;
  // A line with marks alone behind it is a row of a table.
  const next = lines.slice(at + 1, at + 3).map((one) => one.plain);
  return next.length === 2 && next.every(isMark) && isCell(plain);
}
