/** Writes figures of an example as the person is used to. */
export interface ExampleWriter {
  number(decimal: string): string;
  money(decimal: string, currency: string): string;
  month(month: string): string;
}

/** A rule shown by figures that the core has worked out. */
export interface WorkedExample {
  /** What is given, as a sentence. */
  readonly given: string;
  /** What comes of it, a sentence each. */
  told(write: ExampleWriter): string[];
}
