import { Decimal } from '../../amount/decimal';
import type { Allowance } from '../../rules/charges/charge-fields';
import type { ChargeHow, ChargeOf, PartsOf } from '../../rules/charges/kinds';
import type { Expression } from '../../rules/expression/expression';

/** Writes a decimal for a person, such as `27.5` as `27.50` or `27,50`. */
export type WriteNumber = (decimal: string) => string;

/** What the words of a kind of charge are made from. */
export interface Worded {
  readonly write: WriteNumber;
}

/** A charge in a month, to be told how it came about. */
export interface Derived<How extends ChargeHow> {
  readonly charge: ChargeOf<How>;
  readonly parts: PartsOf<How>;
  /** What is counted, in words. */
  readonly counted: string;
  /** What an expression came to in that month. */
  value(expression: Expression): Decimal;
  /** Writes a number to at most four places. */
  number(value: Decimal): string;
  readonly write: WriteNumber;
}

/** A charge as it is stated, whoever it belongs to. */
export type StatedOf<How extends ChargeHow> = Omit<ChargeOf<How>, 'id' | 'how'>;

/** The words of one kind of charge. */
export interface ChargeWords<How extends ChargeHow> {
  /** Its rate the way a price sheet states it, such as `1.7% + 0.25`. */
  rate(charge: StatedOf<How>, write: WriteNumber): string;
  /** What bounds the rate, in the same way. */
  bounds?(charge: StatedOf<How>, write: WriteNumber): string[];
  /**
   * Its rate as a phrase that can be read back (`readPhrase`).
   *
   * @param on - what it counts, in words
   */
  phrase(charge: StatedOf<How>, on: string, write: WriteNumber): string;
  /** What bounds the rate, as phrases. */
  phrasedBounds?(charge: StatedOf<How>, write: WriteNumber): string[];
  /** How what it comes to came about, such as `118.5 orders × 0.25`. */
  derived(derived: Derived<How>): string;
}

export const NOT_KNOWN = 'not known';

/** An amount, or that it is not known. */
export function amountWords(value: string | null, write: WriteNumber): string {
  return value === null ? NOT_KNOWN : write(value);
}

/** An amount in a phrase; a question mark stands for what is not known. */
export function phrasedAmount(value: string | null, write: WriteNumber): string {
  return value === null ? '?' : write(value);
}

interface Rated {
  readonly percent?: string | null | undefined;
  readonly each?: string | null | undefined;
}

/** A percentage, an amount, or both. */
export function percentAndEach({ percent, each }: Rated, write: WriteNumber): string {
  const parts: string[] = [];
  if (percent !== undefined) parts.push(percent === null ? NOT_KNOWN : `${write(percent)}%`);
  if (each !== undefined) parts.push(amountWords(each, write));
  return parts.length === 0 ? 'nothing' : parts.join(' + ');
}

/** What is free, in words. */
export function freeWords(free: Allowance | undefined, write: WriteNumber): string[] {
  if (free === undefined) return [];
  const included =
    free === null || typeof free === 'string'
      ? amountWords(free, write)
      : `${amountWords(free.ratio, write)} for each of ${free.per.replaceAll('-', ' ')}`;
  return [`after ${included} free`];
}

/** What was counted, less what is free. */
export function beyondWords(quantity: Decimal, free: Decimal, number: (value: Decimal) => string): string {
  return free.isZero() ? number(quantity) : `(${number(quantity)} − ${number(free)} free)`;
}
