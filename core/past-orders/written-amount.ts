/** An amount as an export writes it, with the decimal sign either way; null where it is none. In ten-thousandths, whole. */
export interface WrittenAmount {
  readonly point: number | null;
  readonly comma: number | null;
}

/** Amounts are kept in ten-thousandths. */
export const AMOUNT_DIGITS = 4;
const UNIT = 10 ** AMOUNT_DIGITS;
const [WHOLE, CENTS] = [/^\d{1,9}$/, /^\d{1,9}\.\d{1,2}$/];
const GROUPED = /^\d{1,3}(?:([.,'’])\d{3})*(?:([.,])\d{1,4})?$|^\d+(?:([.,])\d{1,4})?$/;
const SIGNS = /[\p{Sc}\s\u00a0\u202f]|^[A-Z]{3}|[A-Z]{3}$/gu;
const MOST = 1e9;

/**
 * Reads an amount with its currency's sign or code, groups of thousands, and a minus or brackets where it was given back.
 *
 * @example readWrittenAmount('€1.234,50').comma // 12345000
 */
export function readWrittenAmount(text: string): WrittenAmount {
  // Most are written so; two digits behind a point are no group of thousands.
  if (CENTS.test(text)) return { point: units(text, 1), comma: null };
  if (WHOLE.test(text)) return both(units(text, 1));
  let plain = text.replace(SIGNS, '');
  const isNegative = /^[-−].|.-$|^\(.+\)$/.test(plain);
  plain = plain.replace(/[-−()]/g, '');
  if (!GROUPED.test(plain)) return { point: null, comma: null };
  const sign = isNegative ? -1 : 1;
  return { point: read(plain, '.', sign), comma: read(plain, ',', sign) };
}

/** The amount if this is the sign before decimals; the other, and what else stands between thousands, is left out. */
function read(plain: string, sign: '.' | ',', by: number): number | null {
  const [whole = '', decimals, more] = plain.split(sign);
  if (more !== undefined) return null;
  const other = sign === '.' ? ',' : '.';
  if (decimals?.includes(other)) return null;
  const groups = whole.split(/[.,'’]/);
  if (groups.slice(1).some((group) => group.length !== 3)) return null;
  return units(groups.join('') + (decimals ? `.${decimals}` : ''), by);
}

function units(plain: string, by: number): number | null {
  const amount = Math.round(Number(plain) * UNIT) * by;
  return Math.abs(amount) <= MOST * UNIT ? amount : null;
}

const both = (amount: number | null): WrittenAmount => ({ point: amount, comma: amount });
