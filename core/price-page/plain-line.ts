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

const MOST_WORDS = 8;

/** "Includes: 25 pages, blog, 2 editors" is a list. */
const INCLUDES = /^(?:includes|including|included|you get|what you get|comes with|with|features): (?=[^¤%]*$)([^.!?]{6,})\.?$/i;

/** Between two sentences of a line in plain figures. */
export const END_OF_SENTENCE = /(?<=[\p{L}\d)%][.!?])\s+(?=[\p{Lu}¤\d])/u;

/** A line with several sentences says several things. */
export function sentencesOf(given: PlainLine): PlainLine[] {
  const line = withoutLabel(given);
  if (/^\d+[.)] /.test(line.plain)) return [line];
  const [, price, share] = PRICE_AND_SHARE.exec(line.plain) ?? [];
  if (price !== undefined && share !== undefined) return [price, share].map((plain) => ({ ...line, plain, text: plain }));
  const [, monthly, allowance] = PRICE_WITH_ALLOWANCE.exec(line.plain) ?? [];
  if (monthly !== undefined && allowance !== undefined) return [monthly, allowance].map((plain) => ({ ...line, plain, text: plain }));
  const [, included] = INCLUDES.exec(line.plain) ?? [];
  const items = included?.split(/,\s+(?:and\s+)?|;\s+/) ?? [];
  if (items.length >= 2 && items.every((item) => item.split(' ').length <= MOST_WORDS - 2))
    return items.map((plain) => ({ ...line, plain, text: plain, role: 'item' }));
  const [, name, praise] = NAME_AND_PRAISE.exec(line.plain) ?? [];
  if (name !== undefined && praise !== undefined && line.plain.split(' ').length <= MOST_WORDS)
    return [{ ...line, plain: name, text: name }];
  const sentences = line.plain.split(END_OF_SENTENCE);
  return sentences.length < 2 ? [line] : sentences.map((plain) => ({ ...line, plain, text: plain }));
}

const A_LABEL = /^(?:plan|package|price|pricing|vendor|provider)\s?:\s+(?=\S)/i;

/** "Plan: Seminar" and "Price: ¤25 monthly" say what they are. */
function withoutLabel(line: PlainLine): PlainLine {
  return A_LABEL.test(line.plain) ? { ...line, plain: line.plain.replace(A_LABEL, ''), text: line.text.replace(A_LABEL, '') } : line;
}
