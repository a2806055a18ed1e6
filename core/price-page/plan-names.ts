import { canBeName, isBadge, isButton, isMark, isPriced, isQuestion, sectionOf } from './line-kinds';
import type { PlainLine } from './plain-line';
import { isPriceLine, wordPrice } from './price-pieces';

/** Words that begin what praises a plan rather than names it. */
const TAGLINE =
  /^(?:for|to|the|a|an|your|our|ideal|perfect|great|launch|turn|everything|all you|build|sell|take|win|grow|scale|start|reach|learn|with|when|if|most|more|get|no|just)\b/i;
/** How far above its price a plan's name stands at most, not counting badges. */
const FARTHEST = 4;

/** "Free till" right above nothing to pay is a name, where else it praises. */
const FREE_NAMED = 4;

const MOST_ABOVE_NOTHING = 8;

const MOST_WORDS_OF_A_CELL = 5;

const MOST_WORDS_OF_A_NAME = 2;

/** Where the name and the price of a plan begin, by the lines' places. */
export interface PlanHead {
  readonly name: number;
  readonly price: number;
}

/** A plan's name without what surrounds it: "Blaze plan" is Blaze. */
export function nameWords(text: string): string {
  return text
    .replace(/^\d+[.)]\s+/, '')
    .replace(/^(?:the|our)\s+/i, '')
    .replace(/\s+(?:[★☆✨] ?)?(?:(?:most )?popular|best ?(?:value|seller)|recommended|our tip|new!?)$/i, '')
    .replace(/\s+(?:plan|package|tarif)$/i, '')
    .replace(WITH_BADGE, (all: string, name: string, badge: string) => (isBadge(badge) ? name : all))
    .trim();
}

/** "Pupa Top seller", "Shop – our pick": a badge of several words behind a name. */
const WITH_BADGE = /^(\p{L}[\p{L}\d+]*)\s*(?:[–—·|(-]\s*)?\s((?:\S+ ){1,3}\S+?)\)?$/u;

/** What the page says of words that may be a plan's name. */
export interface NameEvidence {
  /** Words that a button, "everything in …" or a run of names repeats. */
  readonly named: ReadonlySet<string>;
  /** How often words are a line of their own. */
  readonly counts: ReadonlyMap<string, number>;
}

export function nameEvidence(lines: readonly PlainLine[]): NameEvidence {
  const counts = new Map<string, number>();
  const named = new Set<string>();
  const own = new Set(lines.map(({ text }) => text.toLowerCase()));
  for (const { text, plain } of lines) {
    counts.set(text.toLowerCase(), (counts.get(text.toLowerCase()) ?? 0) + 1);
    const words =
      /^(?:choose|get|buy|select|start with|begin with|try|order|take|everything in|all in|all of)\s+(?:the\s+)?([\p{L}\d][\p{L}\d+ -]{0,30}?)(?: plan)?(?:,.*| plus.*| and.*|:)?$/u.exec(
        text.replace(/^(?:Choose|Get|Buy|Select|Start|Begin|Try|Order|Take|Everything|All)/, (word) => word.toLowerCase()),
      )?.[1];
    // A name in small letters has to stand on a line of its own.
    const isName = words !== undefined && (/^\p{Lu}/u.test(words) || own.has(words.toLowerCase()));
    if (isName && !/^(?:started|start \w|it|now|in touch|free)\b/i.test(words)) named.add(words.toLowerCase());
    if (/\bplan$/i.test(text) && plain.split(' ').length <= 4 && !isButton(plain)) named.add(text.toLowerCase());
  }
  for (const name of namesInRuns(lines, counts)) named.add(name);
  return { named, counts };
}

/**
 * Lines that follow each other and each stand on the page again are the names above a table; items of a list that the
 * plans share stand below other items.
 */
function namesInRuns(lines: readonly PlainLine[], counts: ReadonlyMap<string, number>): string[] {
  const isAgain = ({ text }: PlainLine) => (counts.get(text.toLowerCase()) ?? 0) > 1;
  const found: string[] = [];
  for (let at = 0; at < lines.length; at += 1) {
    const run = runFrom(lines.slice(at, at + 12), isAgain);
    if (run.length >= 2 && headsATable(lines, at + run.length, run.length)) found.push(...run);
    at += Math.max(0, run.length - 1);
  }
  return found;
}

/** Whether a heading with as many cells as names follows, perhaps after the heading of a group. */
function headsATable(lines: readonly PlainLine[], at: number, count: number): boolean {
  const isRow = (label: number) => {
    const cells = lines.slice(label + 1, label + 1 + count);
    const isShort = (plain: string) => plain.split(' ').length <= MOST_WORDS_OF_A_CELL;
    const told = cells.filter(({ plain }) => isMark(plain) || (/^[^\p{L}]*\d/u.test(plain) && !isPriced(plain) && isShort(plain)));
    const heading = lines[label]?.plain ?? '';
    const areSteps = /^(?:up to )?\d+\+?$/i.test(heading) && cells.length === count && cells.every(({ plain }) => /^¤\d/.test(plain));
    if (areSteps) return true;
    return cells.length === count && !isButton(heading) && !isPriced(heading) && told.length >= Math.max(2, Math.ceil(count / 2));
  };
  // A few items with figures can follow others by chance.
  const goesOn = (label: number) => isRow(label + count + 1) || isRow(label + 2 * (count + 1));
  return [at, at + 1].some((label) => isRow(label) && goesOn(label));
}

function runFrom(lines: readonly PlainLine[], isAgain: (line: PlainLine) => boolean): string[] {
  const run: string[] = [];
  for (const line of lines) {
    const { text, plain, opens } = line;
    const isName = isAgain(line) && canBeName(text, plain) && !isButton(plain) && !isMark(plain);
    if (!isName || run.includes(text.toLowerCase()) || (opens && run.length > 0)) break;
    run.push(text.toLowerCase());
  }
  return run;
}

interface Candidate {
  readonly at: number;
  /** How many lines above the price, not counting badges. */
  readonly steps: number;
  readonly score: number;
}

/** Lines above a price that can be the name of its plan, the nearest first. */
function candidatesAbove(lines: readonly PlainLine[], price: number, said: NameEvidence): Candidate[] {
  const found: Candidate[] = [];
  let steps = 0;
  for (let at = price - 1; at >= 0 && steps < FARTHEST; at -= 1) {
    const line = lines[at];
    if (!line || line.role === 'navigation') break;
    const { plain, text } = line;
    const isFree = isNameLike(lines, at);
    // A bare count above a price is a step of a table, whose names stand above it.
    if (/^(?:up to )?\d+\+?$/i.test(plain)) break;
    // What is chosen with "Add to cart" ends there.
    if (steps > 0 && isButton(plain) && plain.split(' ').length >= 2) break;
    const isSection = sectionOf(plain) !== null && !canBeName(text, plain, line.opens);
    if (!isFree && (isSection || isPriced(plain) || isQuestion(plain))) break;
    if (!isBadge(plain) && !isLeadIn(plain)) {
      steps += 1;
      const isNamedAgain = /^free$/i.test(plain) && (said.counts.get(text.toLowerCase()) ?? 0) > 1;
      const isFreePlan =
        steps === 1 &&
        (isNamedAgain || /^free \p{L}+$/iu.test(plain)) &&
        (/^¤0\b/.test(lines[price]?.plain ?? '') || wordPrice(lines[price]?.plain ?? '') === 'free');
      if (isFree || canBeName(text, plain, line.opens))
        found.push({
          at,
          steps,
          score: nameScore(line, said, steps, at === price - 1) + (isFreePlan ? FREE_NAMED : 0) - (isWhoseItIs(lines, at, steps) ? 2 : 0),
        });
    }
    if (line.opens && at !== price) break;
  }
  return found;
}

/** On top of everything, above the name of a plan, stands whose page it is: "Havenpost Shop", "Solo", "¤19 a month". */
function isWhoseItIs(lines: readonly PlainLine[], at: number, steps: number): boolean {
  const [, below] = lines;
  if (at !== 0 || steps !== 2 || !below || below.opens) return false;
  const { text, plain } = below;
  return /^\p{Lu}/u.test(text) && canBeName(text, plain) && plain.split(' ').length <= MOST_WORDS_OF_A_NAME && !TAGLINE.test(plain);
}

/**
 * The name above each price: at the same distance in all cards where that gives different names, since cards are built
 * alike; else the best of each.
 */
export function namesAbove(lines: readonly PlainLine[], prices: readonly number[], said: NameEvidence): Array<number | null> {
  const all = prices.map((price) => candidatesAbove(lines, price, said));
  const best = (candidates: readonly Candidate[]) =>
    candidates.reduce<Candidate | null>((one, other) => (one && one.score >= other.score ? one : other), null);
  const own = all.map(best);
  const byDistance = [1, 2, 3, 4].map((steps) => all.map((candidates) => candidates.find((one) => one.steps === steps) ?? null));
  const worth = (names: ReadonlyArray<Candidate | null>) => {
    const texts = names.flatMap((one) => (one ? [lines[one.at]?.text.toLowerCase()] : []));
    return names.reduce((sum, one) => sum + (one ? one.score : -1), 0) - 5 * (texts.length - new Set(texts).size);
  };
  const alike = byDistance.reduce((one, other) => (worth(other) > worth(one) ? other : one));
  const isAlike = worth(alike) >= worth(own) - prices.length * 0.5;
  const doesOpen = (one: Candidate | null | undefined) => one !== null && one !== undefined && lines[one.at]?.opens === true;
  // What stands right below a name that opens its block, where the others' names open theirs, is a badge.
  const isBadgeBelow = (index: number) => doesOpen(own[index]) && alike.every((one, at) => doesOpen(one) === (at !== index));
  const isOwnSurer = (index: number) => isAboveZero(lines, own[index]?.at ?? -1) || isBadgeBelow(index);
  const names = isAlike ? alike.map((one, index) => (one && one.score > 0 && !isOwnSurer(index) ? one : (own[index] ?? null))) : own;
  return names.map((one) => (one && one.score > 0 ? one.at : null));
}

/** "Free", "Free plan". */
function isFreeName(line: PlainLine | undefined): boolean {
  return line !== undefined && /^free(?: plan)?$/i.test(line.plain);
}

/** "Free" right above "¤0". */
function isAboveZero(lines: readonly PlainLine[], at: number): boolean {
  return isFreeName(lines[at]) && /^¤0(?:\.0+)?(?![\d.])/.test(lines[at + 1]?.plain ?? '');
}

/** "Free" is a name where a price follows it, "Lifetime" where one follows that is paid once. */
export function isNameLike(lines: readonly PlainLine[], at: number): boolean {
  const [own, next] = [lines[at], lines[at + 1]];
  if (own && /^(?:lifetime|for ?ever)$/i.test(own.plain)) {
    const price = [at + 1, at + 2, at + 3].find((place) => isPriceLine(lines[place]?.plain ?? ''));
    if (price !== undefined && !lines.slice(at + 1, price).some(({ plain }) => isButton(plain)))
      return /\b(?:once|one[- ]time|(?:one|single) payment)\b/i.test(`${lines[price]?.plain ?? ''} ${lines[price + 1]?.plain ?? ''}`);
  }
  if (own && /^(?:individual|unlimited)$/i.test(own.plain) && isPriceLine(next?.plain ?? '')) return true;
  if (own?.opens === true && /^nothing$/i.test(own.plain) && isPriceLine(next?.plain ?? '')) return true;
  if (own?.opens === true && /^custom$/i.test(own.plain) && wordPrice(next?.plain ?? '') === 'asked for') return true;
  if (isFreeName(own) && isAboveNothing(lines, at)) return true;
  return isFreeName(own) && next !== undefined && (isPriceLine(next.plain) || own?.opens === true);
}

/** "Free", what it has, and "¤0" at its end. */
function isAboveNothing(lines: readonly PlainLine[], at: number): boolean {
  const below = lines.slice(at + 1, at + 1 + MOST_ABOVE_NOTHING);
  const price = below.findIndex(({ plain }) => isPriceLine(plain));
  return (
    price > 0 &&
    /^¤0\b/.test(below[price]?.plain ?? '') &&
    !below.slice(0, price).some(({ plain }) => isPriced(plain) || (isButton(plain) && !/^just\b/i.test(plain)))
  );
}

function nameScore(line: PlainLine, { named, counts }: NameEvidence, steps: number, isAbovePrice = false): number {
  const text = line.text;
  const plain = line.plain.replace(/^\d+[.)]\s+/, '');
  // "Pay as you go" is a usual name.
  const words = /^pay as you \p{L}+$/iu.test(plain) ? 1 : plain.split(' ').length;
  const isNamed = named.has(text.toLowerCase()) || named.has(nameWords(text).toLowerCase());
  const isAgain = (counts.get(text.toLowerCase()) ?? 0) > 1;
  const buttonPenalty = words > 1 || isAgain ? 6 : 1;
  return (
    3 +
    (isNamed ? 4 : 0) +
    (line.role === 'heading' ? 3 : 0) +
    (line.opens ? 2 : 0) -
    (TAGLINE.test(plain) && words > 1 && !isNamed && !(line.opens && isAbovePrice) && !/^for ?ever$/i.test(plain) ? 3 : 0) -
    (words > 2 ? words - 2 : 0) -
    (isButton(plain) && !isNamed ? buttonPenalty : 0) -
    (isAgain && !isNamed ? 4 : 0) -
    (/\d/.test(plain) ? 1 : 0) -
    (/^(?:unlimited \w|no|up to|free \w|\d)/i.test(plain) ? 4 : 0) -
    (steps - 1) * 0.75 -
    (/^\p{Ll}/u.test(text) && !isNamed ? 2 : 0)
  );
}

/** Words such as "Free" price a plan only under a name beyond doubt, or right below one where no row of cells follows. */
export function isDoubtful(lines: readonly PlainLine[], { name, price }: PlanHead, said: NameEvidence): boolean {
  const word = wordPrice(lines[price]?.plain ?? '');
  if (word === null || /^¤/.test(lines[price]?.plain ?? '') || isFirm(lines[name], said)) return false;
  if (/^(?:talk to|contact|request|get)\b/i.test(lines[price]?.plain ?? '') && isButtonOfPriced(lines, name, lines[price]?.plain ?? ''))
    return true;
  const next = lines[price + 1]?.plain ?? '';
  const isAgain = (said.counts.get(lines[name]?.text.toLowerCase() ?? '') ?? 0) > 1;
  return (
    name !== price - 1 ||
    isAgain ||
    (isPriced(next) && !/^¤0(?:\.00)?\b|^(?:for ?ever|for ever|for good|always)$/i.test(next)) ||
    ((lines[name]?.plain.split(' ').length ?? 9) > 2 && !/^pay as you \p{L}+$/iu.test(lines[name]?.plain ?? ''))
  );
}

const MOST_IN_A_CARD = 16;

/** "Talk to sales" under the items of a plan that has its price is that plan's button, and no price of another. */
function isButtonOfPriced(lines: readonly PlainLine[], name: number, words: string): boolean {
  for (let at = name - 1; at >= Math.max(0, name - MOST_IN_A_CARD); at -= 1) {
    const plain = lines[at]?.plain ?? '';
    // "Contact us" in the price's place, and again as the button.
    if (plain === words) return true;
    if (isButton(plain) && plain.split(' ').length >= 2) return false;
    if (isPriceLine(plain)) return true;
  }
  return false;
}

/** Whether a name is more than a guess: it opens a block, is a heading, or the page repeats it as a plan's. */
export function isFirm(line: PlainLine | undefined, { named }: NameEvidence): boolean {
  if (isFreeName(line)) return true;
  return (
    line !== undefined &&
    (line.opens === true || line.role === 'heading' || named.has(line.text.toLowerCase()) || named.has(nameWords(line.text).toLowerCase()))
  );
}

/** "From", "Starts at" on a line of their own. */
export function isLeadIn(plain: string): boolean {
  return /^(?:from|starts? at|starts? from|starting at|only|just|now|price)$/i.test(plain);
}
