/** A part of a report, whatever it is written as. All texts are plain. */
export type ReportBlock =
  | { readonly kind: 'sentence'; readonly text: string; readonly style?: 'answer' | 'quiet' }
  | { readonly kind: 'quote'; readonly text: string }
  | { readonly kind: 'list'; readonly items: readonly string[] }
  | {
      readonly kind: 'table';
      readonly caption?: string;
      readonly head: readonly string[];
      readonly rows: ReadonlyArray<readonly string[]>;
      /** Columns of figures, by index. */ readonly figures: readonly number[];
      /** Rows that stand out, by index. */ readonly marked?: readonly number[];
    }
  | { readonly kind: 'chart'; readonly title: string; /** Drawn, as SVG markup of our own making. */ readonly svg: string };

export interface ReportSection {
  readonly title: string;
  readonly blocks: readonly ReportBlock[];
}

/** A report on a decision. */
export interface Report {
  readonly title: string;
  /** "Verdict of 25 November 2026" or that none is given yet. */
  readonly subtitle: string;
  readonly sections: readonly ReportSection[];
  /** From what and when it was made. */
  readonly footer: string;
}
