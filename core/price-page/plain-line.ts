import type { PageLine } from './page-blocks';

/** A line with its words in plain figures. */
export interface PlainLine extends PageLine {
  readonly plain: string;
}

/** A line with several sentences says several things. */
export function sentencesOf(line: PlainLine): PlainLine[] {
  if (/^\d+[.)] /.test(line.plain)) return [line];
  const sentences = line.plain.split(/(?<=[\p{L}\d)%][.!?])\s+(?=[\p{Lu}¤\d])/u);
  return sentences.length < 2 ? [line] : sentences.map((plain) => ({ ...line, plain, text: plain }));
}
