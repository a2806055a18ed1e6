/** What a person's typing was read as: the plain decimal, or what is wrong with it. */
export type TypedNumber = { ok: true; value: string } | { ok: false; problem: string };

/** What a field accepts; bounds are inclusive, in the unit of the field. */
export interface NumberRange {
  least?: number;
  most?: number;
  /** What to type, as it completes "Enter …", such as "an amount in EUR". */
  wanted: string;
  /** Whether only whole numbers make sense. */
  whole?: boolean;
}

const GROUPED = /^(-?)(\d{1,3}(?:[ \u00a0\u202f'’]\d{3})+|\d+)([.,]\d*)?$/;
const BOTH_SEPARATORS = /^(-?)(\d{1,3}(?:([.,])\d{3})+)([.,])(\d+)$/;
const REPEATED_GROUPS = /^(-?)(\d{1,3}(?:([.,])\d{3})(?:\3\d{3})+)$/;

/**
 * Reads a number as people type it: with a decimal point or comma, with or without groups of thousands.
 *
 * "1,234" can be one thousand or one and a bit; it is refused with both readings rather than guessed.
 *
 * @param text - what was typed
 * @param range - bounds and what is wanted, for the message
 * @returns the plain decimal string (`"1234.5"`), or the problem in words
 * @example readTypedNumber('1.234,50', { wanted: 'an amount' }) // { ok: true, value: '1234.50' }
 */
export function readTypedNumber(text: string, range: NumberRange): TypedNumber {
  const typed = text.trim();
  if (typed === '') return refuse(`Enter ${range.wanted}.`);
  const plain = plainDecimal(typed);
  if (plain === null) return refuse(`“${typed}” is not a number. Enter ${range.wanted}.`);
  if (plain === AMBIGUOUS) {
    const digits = typed.replace(/[.,]/, '');
    return refuse(`“${typed}” can be read two ways: write ${digits} or ${typed.replace(',', '.')}0.`);
  }
  return inRange(plain, range);
}

function inRange(plain: string, range: NumberRange): TypedNumber {
  const value = Number(plain);
  if (range.whole && !Number.isInteger(value)) return refuse(`Enter a whole number: ${range.wanted}.`);
  const isWithin = (range.least === undefined || value >= range.least) && (range.most === undefined || value <= range.most);
  if (!isWithin) return refuse(`Enter ${boundedWords(range)}.`);
  return { ok: true, value: plain };
}

/** What to type with its bounds, unless it names them itself. */
function boundedWords({ wanted, least = -Infinity, most = Infinity }: NumberRange): string {
  if (/\d/.test(wanted)) return wanted;
  if (least === -Infinity) return `${wanted}, at most ${grouped(most)}`;
  return most === Infinity ? `${wanted}, ${grouped(least)} or more` : `${wanted} from ${grouped(least)} to ${grouped(most)}`;
}

/** A bound with spaces between its thousands, which no locale takes for a decimal sign. */
function grouped(bound: number): string {
  return String(bound).replaceAll(/(?<=\d)(?=(?:\d{3})+$)/g, Math.abs(bound) < 10_000 ? '' : '\u202f');
}

const AMBIGUOUS = Symbol('can be read two ways');

function plainDecimal(typed: string): string | typeof AMBIGUOUS | null {
  const both = BOTH_SEPARATORS.exec(typed);
  if (both && both[3] !== both[4]) return join(both[1], both[2], both[5]);
  const repeated = REPEATED_GROUPS.exec(typed);
  if (repeated) return join(repeated[1], repeated[2], undefined);
  const simple = GROUPED.exec(typed) ?? /^(-?)()([.,]\d+)$/.exec(typed);
  if (!simple) return null;
  const [, sign, whole = '', part = ''] = simple;
  if (/^[1-9]\d{0,2}$/.test(whole) && part.length === 4) return AMBIGUOUS;
  return join(sign, whole, part.slice(1));
}

function join(sign = '', whole = '', part = ''): string {
  const digits = whole.replace(/\D/g, '').replace(/^0+(?=\d)/, '') || '0';
  return `${sign}${digits}${part === '' ? '' : `.${part}`}`;
}

function refuse(problem: string): TypedNumber {
  return { ok: false, problem };
}
