import type { PageLine } from './page-blocks';

/** A line with its words in plain figures. */
export interface PlainLine extends PageLine {
  readonly plain: string;
}

/** "¤12/month + 5% of income" is a price and a fee. */
const PRICE_AND_SHARE = /^((?:from )?¤[\d.]+ ?(?:\/|per|a) ?(?:month|mo|year|yr)) (?:\+|plus|and) (\d+(?:\.\d+)?% .*)$/i;

/** "¤79 a month + ¤0.75 per subscriber" is a price and what is paid for each. */
const PRICE_AND_EACH =
  /^((?:from )?¤[\d.]+ ?(?:\/|per |a )(?:month|mo|year|yr)),? (?:\+|plus|and) (¤[\d.]+ (?:per|for each|an?) (?!month|mo\b|year|yr\b)\p{L}.*)$/iu;

/** "¤9 a month with 60 labels, then ¤0.2 a label" is a price, and what it includes. */
const PRICE_WITH_ALLOWANCE =
  /^(¤[\d.]+ ?(?:\/|per|a) ?(?:month|mo|year|yr)),? (?:with|including|incl\.) (\d+ \p{L}[\p{L} ]*,? then ¤[\d.]+ (?:each|apiece|(?:per|an?|for each) \p{L}+))\.?$/iu;

/** "¤35/mo | ¤350/yr". */
const A_MONTH_OR_A_YEAR = /^¤[\d.]+ ?(?:\/|per |a )(?:month|mo) \| ¤[\d.]+ ?(?:\/|per |a )(?:year|yr)$/i;

/** "Paid yearly · ¤9 paid monthly": how the price above is paid, and the other price. */
const PAID_AND_PRICE = /^((?:when )?(?:paid|billed) (?:yearly|annually|monthly)) [·|] (¤[\d.]+.*)$/i;

const FOR_A_TERM = /^(¤[\d.]+ ?(?:\/|per|a) ?(?:month|mo)) for (\d+ (?:months|years))\b/i;

/** "¤2.49/mo for 24 months (¤59.76), ¤3.49/mo for 12 months, ¤4.99 month by month": a term after the other, and none an introduction. */
function termsIn(plain: string): readonly string[] | null {
  const parts = plain.split(/, (?=¤\d)| or (?=¤\d)/);
  const terms = parts.filter((part) => FOR_A_TERM.test(part));
  const isMonthly = /^¤[\d.]+(?: ?(?:\/|per|a) ?(?:month|mo))?,? (?:month[- ](?:by|to)[- ]month|billed monthly|paid monthly)\.?$/i;
  if (parts.length < 2 || terms.length === 0 || !parts.every((part) => FOR_A_TERM.test(part) || isMonthly.test(part))) return null;
  return parts.map((part) => part.replace(FOR_A_TERM, '$1 billed every $2'));
}

/** "GROWTH — most shops choose this": a name, and what praises it. */
const NAME_AND_PRAISE =
  /^(\p{Lu}[\p{L}\d+]{1,20}(?: \p{Lu}[\p{L}+]*)?) (?:[–—-] |\()((?=\D*\)?$).*\b(?:most|popular|recommended|favou?rite|our (?:choice|pick|tip)|best(?: value| seller| choice)?|bestseller|choose|chosen)\b.*)$/iu;

/** Of a line with a name and what praises it. */
const MOST_WORDS = 8;
const MOST_WORDS_OF_AN_ITEM = 6;

/** "Includes: 25 pages, blog, 2 editors" is a list. */
const INCLUDES = /^(?:includes|including|included|you get|what you get|comes with|with|features): (?=[^¤%]*$)([^.!?]{6,})\.?$/i;

/** Between two sentences of a line in plain figures. */
export const END_OF_SENTENCE = /(?<=[\p{L}\d)%][.!?])\s+(?=[\p{Lu}¤\d])/u;

/** What a line says, each part by itself, in one of the ways in which pages put several things in a line; null in any other. */
type Cut = (plain: string) => readonly string[] | null;

const CUTS: readonly Cut[] = [
  (plain) => (PRICE_AND_SHARE.exec(plain) ?? PRICE_AND_EACH.exec(plain))?.slice(1) ?? null,
  (plain) => PRICE_WITH_ALLOWANCE.exec(plain)?.slice(1) ?? null,
  (plain) => (A_MONTH_OR_A_YEAR.test(plain) ? plain.split(/ \| /) : null),
  (plain) => PAID_AND_PRICE.exec(plain)?.slice(1) ?? null,
  termsIn,
  // The praise says nothing.
  (plain) => (plain.split(' ').length <= MOST_WORDS ? (NAME_AND_PRAISE.exec(plain)?.slice(1, 2) ?? null) : null),
];

/** A line with several sentences says several things. */
export function sentencesOf(given: PlainLine): PlainLine[] {
  const line = withoutLabel(given);
  const inParts = (parts: readonly string[]) => parts.map((plain) => ({ ...line, plain, text: plain }));
  if (/^\d+[.)] /.test(line.plain)) return [line];
  for (const cut of CUTS) {
    const parts = cut(line.plain);
    if (parts) return inParts(parts);
  }
  const items = itemsOf(line.plain);
  if (items) return inParts(items).map((item) => ({ ...item, role: 'item' }));
  const sentences = line.plain.split(END_OF_SENTENCE);
  return sentences.length < 2 ? [line] : inParts(withSubjects(sentences));
}

const ITS_SUBJECT = /^((?:\p{L}+ ){0,2}(?:costs?|fees?|rates?|charges?|commission|processing)) (?:is|are|comes?)\b/iu;

/** "Card costs are included on Free. On Pro they are 2.9%": what a sentence calls "they" is what the one before is about. */
function withSubjects(sentences: readonly string[]): readonly string[] {
  return sentences.map((sentence, at) => {
    const subject = ITS_SUBJECT.exec(sentences[at - 1] ?? '')?.[1];
    return subject === undefined
      ? sentence
      : sentence.replace(/\b(?:they are|it is|they['’]re|it['’]s)(?= \d)/i, `${subject.toLowerCase()} are`);
  });
}

function itemsOf(plain: string): readonly string[] | null {
  const items = INCLUDES.exec(plain)?.[1]?.split(/,\s+(?:and\s+)?|;\s+/) ?? [];
  return items.length >= 2 && items.every((item) => item.split(' ').length <= MOST_WORDS_OF_AN_ITEM) ? items : null;
}

const A_LABEL = /^(?:plan(?: name)?|package(?: name)?|name|price|pricing|vendor|provider)\s?:\s+(?=\S)/i;

/** "Plan: Seminar" and "Price: ¤25 monthly" say what they are. */
function withoutLabel(line: PlainLine): PlainLine {
  if (!A_LABEL.test(line.plain)) return line;
  const bare = { ...line, plain: line.plain.replace(A_LABEL, ''), text: line.text.replace(A_LABEL, '') };
  return /^(?:plan|package) name/i.test(line.plain) ? { ...bare, role: 'heading' } : bare;
}
