import { isUsualQuantity } from '../price-phrase/vocabulary';
import { areBlocks, endOfLast, endsCard, opensBlock, startOf } from './card-ends';
import { canBeName, isButton, isBadge, isPriced, isQuestion, isSentence, sectionOf } from './line-kinds';
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
import { isPriceLine, isPriceOfSeats, isPriceTail, wordPrice } from './price-pieces';
import { behindPrices, firstsOfBlocks, namedByButtons, withNamesOverPrices } from './prices-last';
import { prosePlans } from './prose-plans';
import { plansOfNote } from './plans-of-note';
import { plansBySteps, plansOnLines } from './plans-on-lines';
import { toldPlans } from './told-plans';

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
  /** Whether they are plans whatever else the page prices. */
  readonly areSure?: boolean;
}

/**
 * Finds the plans of a page by repetition: blocks that begin with a name and a price, one after the other (the idea of
 * repeated sibling records in web data extraction: MDR of Liu, Grossman and Zhai 2003, and its successors; docs/pricing-pages.md).
 * A name counts more where the page says it again: in a button, above a column, in an answer.
 */
export function findPlans(given: readonly PlainLine[]): FoundPlans {
  const listed = listedPlans(given);
  if (listed) return cardsOfList(given, listed);
  const noted = plansBySteps(given) ?? plansOfNote(given) ?? toldPlans(given);
  if (noted) return noted;
  const lines = withNamesOverPrices(withNamesApart(given));
  const said = nameEvidence(lines);
  const anchors = priceAnchors(lines);
  const names = namesAbove(lines, anchors, said);
  const near = anchors.flatMap((price, index): PlanHead[] => {
    const name = names[index] ?? null;
    if (name === null) return [];
    return isDoubtful(lines, { name, price }, said) ? [] : [{ name, price }];
  });
  const heads =
    countHeads(lines, anchors) ??
    namedByButtons(lines, anchors) ??
    (near.length < anchors.length ? behindPrices(lines, anchors, said) : null) ??
    (near.length >= 2 || anchors.length < 2 ? near : firstsOfBlocks(lines, anchors));
  const plans = ofOneRun(lines, likeTheFirm(lines, heads, said), said);
  if (plans.length === 0) return prosePlans(lines) ?? plansOnLines(lines);
  const cards = plans.map(({ name }, index): PlanCard => {
    const next = plans[index + 1];
    const end = next ? startOf(lines, next.name) : endOfLast(lines, plans, index);
    const own = lines[name];
    return {
      name: nameWords(own?.text ?? '').replace(own && (isCount(own) || /^more than \d/i.test(own.plain)) ? / (?:a|per) month$/i : /$^/, ''),
      nameLine: own?.line ?? 0,
      lines: lines.slice(startOf(lines, name), end).filter((one) => one !== own || isCount(one)),
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
  const isLike = ({ name, price }: PlanHead) => distances.has(price - name);
  if (areBlocks(lines, firm))
    return heads.filter((head, at) => opensBlock(lines, head.name) || (at === 0 && isLike(head) && isUnderHeading(lines, head)));
  return heads.filter((head) => isSure(head) || isLike(head));
}

/** The first plan may stand right under the heading of them all, "Simple pricing". */
function isUnderHeading(lines: readonly PlainLine[], { name }: PlanHead): boolean {
  return /\b(?:pric(?:es?|ing)|plans?|packages?)\b/i.test(lines[name - 1]?.plain ?? '');
}

/** "Up to 500 parcels" tells a plan from others and limits it. */
function isCount({ plain, opens }: PlainLine): boolean {
  const bare = opens === true ? /^\d+ (\p{L}+)$/u.exec(plain)?.[1] : undefined;
  if (bare !== undefined && isUsualQuantity(bare)) return true;
  return /^(?:up to |from \d+ to )\d+ \p{L}+(?: \p{L}+)?$/iu.test(plain) || A_RANGE.test(plain);
}

const A_RANGE = /^(?:from )?(\d+) ?(?:[-–—]|to) ?(\d+) \p{L}+(?: \p{L}+){0,3}$/u;

/** "0 – 50 parcels", "51 – 500 parcels", "More than 500 parcels": each begins where the one before ends. */
function followEachOther(texts: readonly string[]): boolean {
  const ranges = texts.map((text) => A_RANGE.exec(text)?.slice(1, 3).map(Number) ?? []);
  const most = /^(?:more than|over|above) (\d+) /.exec(texts.at(-1)?.toLowerCase() ?? '')?.[1];
  const bounded = most === undefined ? ranges : [...ranges.slice(0, -1), [Number(most), Infinity]];
  return (
    texts.length >= 2 &&
    bounded.every(([from = -1, to = -1], index) => {
      const [, before = -1] = bounded[index - 1] ?? [];
      return to > from && (index === 0 || from === before || from === before + 1);
    })
  );
}

/** "Up to 100 parcels", "Up to 500 parcels" right above prices, and no short names above all of them. */
function areGrowingCounts(lines: readonly PlainLine[], anchors: readonly number[]): boolean {
  const counts = anchors.map((at) => /^up to (\d+) (\p{L}+)$/iu.exec(lines[at - 1]?.plain ?? ''));
  const isGrowing = counts.every((count, at) => count !== null && (at === 0 || Number(count[1]) > Number(counts[at - 1]?.[1])));
  const areOfOne = new Set(counts.map((count) => count?.[2]?.toLowerCase())).size === 1;
  const areNamed = anchors.every((at) => {
    const above = lines[at - 2];
    return above !== undefined && canBeName(above.text, above.plain, above.opens) && above.plain.split(' ').length <= 2;
  });
  // Counts with nothing but a price below each are a list.
  const haveMore = anchors.some((at, index) => (anchors[index + 1] ?? at) - at > 2);
  return anchors.length >= 2 && isGrowing && areOfOne && haveMore && !areNamed;
}

/** Blocks that begin with a count and its price, and have no other name; null where not all do. */
function countHeads(lines: readonly PlainLine[], anchors: readonly number[]): PlanHead[] | null {
  const areRanges = followEachOther(anchors.map((at) => lines[at - 1]?.plain ?? '')) || areGrowingCounts(lines, anchors);
  const heads = anchors.filter((at) => {
    const above = lines[at - 1];
    return areRanges || (above?.opens === true && isCount(above));
  });
  return heads.length >= 2 && heads.length === anchors.length ? heads.map((price) => ({ name: price - 1, price })) : null;
}

/** Lines at which a price begins: an amount or "Free", with no other price line right before it. */
function priceAnchors(lines: readonly PlainLine[]): number[] {
  return lines.flatMap(({ plain, role }, at) => {
    if (role === 'navigation' || role === 'footer') return [];
    const isNameOnly = wordPrice(plain) !== null && isNameLike(lines, at);
    const begins =
      isPriceLine(plain) || isPriceOfSeats(plain) || (wordPrice(plain) !== null && !isNameOnly) || isOffer(plain) || isOnlyTrial(plain);
    if (!begins) return [];
    let before = at - 1;
    while (before >= 0 && (isBadge(lines[before]?.plain ?? '') || isLeadIn(lines[before]?.plain ?? ''))) before -= 1;
    const previous = lines[before]?.plain ?? '';
    const continues =
      isPriceLine(previous) ||
      isPriceOfSeats(previous) ||
      isPriceTail(previous) ||
      (isForSoMany(previous) && isPriceLine(lines[before - 1]?.plain ?? '')) ||
      (isOffer(previous) && lines[before]?.opens !== true);
    if (saysNothingTwice(previous, plain) && !isNameLike(lines, before)) return [];
    return continues && wordPrice(previous) === null && !isNameLike(lines, before) ? [] : [at];
  });
}

/** "Free forever" above "¤0" is one price. */
function saysNothingTwice(above: string, plain: string): boolean {
  return wordPrice(above) === 'free' && !/^free(?: plan)?$/i.test(above) && /^¤0\b(?!\.[1-9]|\.0[1-9])/.test(plain);
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
 * The heads that belong to one run of plans: from the first on, until a section of another kind begins. A price under
 * such a heading is an add-on's.
 */
function ofOneRun(lines: readonly PlainLine[], heads: readonly PlanHead[], said: NameEvidence): PlanHead[] {
  const run: PlanHead[] = [];
  for (const head of heads) {
    const previous = run.at(-1);
    if (previous && (head.name <= previous.price || isAskedTwice(lines, previous, head))) continue;
    const since = lines.slice(previous ? previous.price : Math.max(0, head.name - 3), head.name);
    const sections = since
      .filter(({ plain }) => !isPriceTail(plain))
      .map(({ plain }) => sectionOf(plain))
      .filter((kind) => kind !== null && kind !== 'comparison' && kind !== 'fees');
    const isApart = sections.length > 0 && previous !== undefined;
    if (isApart || since.some(({ plain }) => isQuestion(plain) && previous !== undefined)) break;
    if (previous === undefined && sections.includes('addons')) break;
    run.push(head);
  }
  const isAlone = run.length === 1 && ((isFirm(lines[run[0]?.name ?? -1], said) && hasList(lines, run)) || isJustThat(lines, run));
  return run.length >= 2 || isAlone ? run : [];
}

/** "Let's talk" and further down "Talk to sales" is one plan's price and its button, and what stands between its list. */
function isAskedTwice(lines: readonly PlainLine[], { price }: PlanHead, head: PlanHead): boolean {
  const isAsked = (at: number) => wordPrice(lines[at]?.plain ?? '') === 'asked for';
  return isAsked(price) && isAsked(head.price) && head.price === head.name + 1 && isButton(lines[head.price]?.plain ?? '');
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
