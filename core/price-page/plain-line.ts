import type { PageLine } from './page-blocks';

/** A line with its words in plain figures. */
export interface PlainLine extends PageLine {
  readonly plain: string;
}

/** "¤12/month + 5% of income" is a price and a fee. */
const PRICE_AND_SHARE = /^((?:from )?¤[\d.]+ ?(?:\/|per|a) ?(?:month|mo|year|yr)) (?:\+|plus|and) (\d+(?:\.\d+)?% .*)$/i;

/** "¤9 a month with 60 labels, then ¤0.2 a label" is a price, and what it includes. */
const PRICE_WITH_ALLOWANCE =
  /^(¤[\d.]+ ?(?:\/|per|a) ?(?:month|mo|year|yr)),? (?:with|including|incl\.) (\d+ \p{L}[\p{L} ]*,? then ¤[\d.]+ (?:each|apiece|(?:per|an?|for each) \p{L}+))\.?$/iu;

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
  (plain) => PRICE_AND_SHARE.exec(plain)?.slice(1) ?? null,
  (plain) => PRICE_WITH_ALLOWANCE.exec(plain)?.slice(1) ?? null,
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
  return sentences.length < 2 ? [line] : inParts(sentences);
}

function itemsOf(plain: string): readonly string[] | null {
  const items = INCLUDES.exec(plain)?.[1]?.split(/,\s+(?:and\s+)?|;\s+/) ?? [];
  return items.length >= 2 && items.every((item) => item.split(' ').length <= MOST_WORDS_OF_AN_ITEM) ? items : null;
}

const A_LABEL = /^(?:plan|package|price|pricing|vendor|provider)\s?:\s+(?=\S)/i;

/** "Plan: Seminar" and "Price: ¤25 monthly" say what they are. */
function withoutLabel(line: PlainLine): PlainLine {
  return A_LABEL.test(line.plain) ? { ...line, plain: line.plain.replace(A_LABEL, ''), text: line.text.replace(A_LABEL, '') } : line;
}
