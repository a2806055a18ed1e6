import type { PageLine } from './page-blocks';

/** A line with its words in plain figures. */
export interface PlainLine extends PageLine {
  readonly plain: string;
}

/** "¤12/month + 5% of income" is a price and a fee. */
const PRICE_AND_SHARE = /^((?:from )?¤[\d.]+ ?(?:\/|per|a) ?(?:month|mo|year|yr)) (?:\+|plus|and) (\d+(?:\.\d+)?% .*)$/i;

/** A line with several sentences says several things. */
export function sentencesOf(line: PlainLine): PlainLine[] {
  if (/^\d+[.)] /.test(line.plain)) return [line];
  const [, price, share] = PRICE_AND_SHARE.exec(line.plain) ?? [];
  if (price !== undefined && share !== undefined) return [price, share].map((plain) => ({ ...line, plain, text: plain }));
  const sentences = line.plain.split(/(?<=[\p{L}\d)%][.!?])\s+(?=[\p{Lu}¤\d])/u);
  return sentences.length < 2 ? [line] : sentences.map((plain) => ({ ...line, plain, text: plain }));
}
