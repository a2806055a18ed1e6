import { isCurrency } from '../amount/currencies';

/** A number in a phrase; one like "1,200" has a second reading until something settles it. */
export interface NumberToken {
  readonly kind: 'number';
  /** The plain decimal; groups of thousands where both readings are possible. */
  readonly value: string;
  /** The reading with a decimal sign, where the number can be read two ways. */
  readonly other?: string;
  /** The reading as a whole number, where `value` is the one with a decimal sign: counts are whole. */
  readonly whole?: string;
  /** The word it was written as, in small letters. */
  readonly word?: string;
}

/** One piece of a phrase, with the place where it stands in the text. */
export type Token = (
  | NumberToken
  /** A word in small letters. */
  | { readonly kind: 'word'; readonly text: string }
  | { readonly kind: 'sign'; readonly text: string }
  /** An ISO 4217 code, or "$" for a dollar that nobody has named. */
  | { readonly kind: 'currency'; readonly code: string }
  | { readonly kind: 'quoted'; readonly text: string }
  /** A line break. */
  | { readonly kind: 'line' }
) & { readonly from: number; readonly to: number };

const CURRENCY_SIGNS: Readonly<Record<string, string>> = { '€': 'EUR', '£': 'GBP', '¥': 'JPY', '₹': 'INR', $: '$' };
const CURRENCY_WORDS: Readonly<Record<string, string>> = {
  eur: 'EUR',
  euro: 'EUR',
  euros: 'EUR',
  usd: 'USD',
  gbp: 'GBP',
  chf: 'CHF',
  dollar: '$',
  dollars: '$',
  pounds: 'GBP',
  francs: 'CHF',
  yen: 'JPY',
};
/** Numbers as words. */
export const NUMBER_WORDS: Readonly<Record<string, string>> = {
  one: '1',
  two: '2',
  three: '3',
  four: '4',
  five: '5',
  six: '6',
  seven: '7',
  eight: '8',
  nine: '9',
  ten: '10',
  twelve: '12',
  thousand: '1000',
  hundred: '100',
};

const PIECE =
  /(?<line>\r?\n)|(?<space>[^\S\n]+)|(?<quoted>“(?:[^”]|””){0,600}”|"[^"\n]{0,600}")|(?<number>\d+(?:[ \u00a0\u202f](?=\d{3}(?!\d))|[.,'’](?=\d)|\d)*|[.,]\d+)|(?<word>\p{L}[\p{L}’']*)|(?<sign>.)/gsu;

/**
 * Cuts a phrase into numbers, words, signs and currencies. Hyphens inside words count as spaces ("half-year").
 *
 * @param text - a line of a pricing page, at most a few thousand characters
 */
export function tokensOf(text: string): Token[] {
  const pieces = [...text.matchAll(PIECE)];
  const decimalSign = shownDecimalSign(pieces.flatMap(({ groups }) => groups?.['number'] ?? []));
  const tokens = pieces.flatMap((match): Token[] => {
    const { line, quoted, number, word, sign } = match.groups ?? {};
    const place = { from: match.index, to: match.index + match[0].length };
    if (line !== undefined) return [{ kind: 'line', ...place }];
    if (quoted !== undefined) return [{ kind: 'quoted', text: quoted.slice(1, -1).replaceAll('””', '”'), ...place }];
    if (number !== undefined) return [numberToken(number, place, decimalSign)];
    if (word !== undefined) return [wordToken(word, place)];
    return sign === undefined ? [] : [signToken(sign, place)];
  });
  return thousandsJoined(withoutHyphens(tokens, text), text);
}

function wordToken(word: string, place: { from: number; to: number }): Token {
  const text = word.toLowerCase().replaceAll('’', "'");
  if (/^[A-Z]{3}$/.test(word) && isCurrency(word)) return { kind: 'currency', code: word, ...place };
  const code = CURRENCY_WORDS[text];
  if (code !== undefined) return { kind: 'currency', code, ...place };
  const value = NUMBER_WORDS[text];
  return value === undefined ? { kind: 'word', text, ...place } : { kind: 'number', value, word: text, ...place };
}

function signToken(sign: string, place: { from: number; to: number }): Token {
  const code = CURRENCY_SIGNS[sign];
  if (code !== undefined) return { kind: 'currency', code, ...place };
  return { kind: 'sign', text: sign === '–' || sign === '—' ? '-' : sign, ...place };
}

function numberToken(raw: string, place: { from: number; to: number }, decimalSign: string | null): Token {
  const read = readNumber(raw, decimalSign);
  return read ? { kind: 'number', ...read, ...place } : { kind: 'sign', text: raw, ...place };
}

const TWO_WAYS = /^([1-9]\d{0,2})([.,])(\d{3})$/;
const PLAIN_DECIMAL = /^\d*([.,])(?:\d{1,2}|\d{4,})$|^0([.,])\d+$/;
const GROUPED = /^([1-9]\d{0,2}(?:[ \u00a0\u202f'’]\d{3})+|[1-9]\d{0,2}(?:,\d{3})+|[1-9]\d{0,2}(?:\.\d{3})+|\d*)(?:([.,])(\d+))?$/;

/** The decimal sign that some number of the phrase shows beyond doubt; null if none does, or several do. */
function shownDecimalSign(numbers: readonly string[]): string | null {
  const signs = new Set(
    numbers.flatMap((raw) => {
      const plain = PLAIN_DECIMAL.exec(raw) ?? /^\d{1,3}(?:,\d{3})+(\.)\d+$|^\d{1,3}(?:\.\d{3})+(,)\d+$/.exec(raw);
      return plain?.[1] ?? plain?.[2] ?? [];
    }),
  );
  const [only] = signs;
  return signs.size === 1 && only !== undefined ? only : null;
}

function readNumber(raw: string, decimalSign: string | null): { value: string; other?: string } | null {
  const twoWays = TWO_WAYS.exec(raw);
  if (twoWays) {
    const [, whole = '', sign, part = ''] = twoWays;
    if (decimalSign === null) return { value: `${whole}${part}`, other: `${whole}.${part}` };
    return { value: sign === decimalSign ? `${whole}.${part}` : `${whole}${part}` };
  }
  const grouped = GROUPED.exec(raw);
  if (!grouped) return null;
  const [, whole = '', sign, part] = grouped;
  if (sign !== undefined && whole.includes(sign)) return null;
  const digits = whole.replace(/\D/g, '').replace(/^0+(?=\d)/, '') || '0';
  return { value: part === undefined ? digits : `${digits}.${part}` };
}

/** Hyphens inside words count as spaces. */
function withoutHyphens(tokens: readonly Token[], text: string): Token[] {
  const isInside = ({ from, to }: Token) =>
    text.charAt(from) === '-' && /[\p{L}\p{N}]/u.test(text.charAt(from - 1)) && /[\p{L}\p{N}]/u.test(text.charAt(to));
  return tokens.filter((token) => !(token.kind === 'sign' && token.text === '-' && isInside(token)));
}

/** "3 thousand" and "10k" are one number. */
function thousandsJoined(tokens: readonly Token[], text: string): Token[] {
  const joined: Token[] = [];
  for (const token of tokens) {
    const last = joined.at(-1);
    const isThousand = /^(k|thousand)$/i.test(text.slice(token.from, token.to));
    if (isThousand && last?.kind === 'number' && /^\d+$/.test(last.value))
      joined[joined.length - 1] = { kind: 'number', value: `${last.value}000`, from: last.from, to: token.to };
    else joined.push(token);
  }
  return joined;
}

/** The tokens with every number that can be read two ways taken the other way. */
export function readTheOtherWay(tokens: readonly Token[]): Token[] {
  return tokens.map((token) =>
    token.kind === 'number' && token.other !== undefined
      ? { kind: 'number', value: token.other, whole: token.value, from: token.from, to: token.to }
      : token,
  );
}
