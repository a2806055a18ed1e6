import { minorDigits } from '#core/amount/currencies';

/** Writes figures for a person; every method takes plain decimals as the core gives them. */
export interface Writer {
  readonly locale: string;
  /** An amount with the digits of its currency, without the currency itself: `6,715.16`. */
  money(decimal: string, currency: string): string;
  /** An amount to whole units: `6,715`. */
  whole(decimal: string): string;
  /** A difference to whole units with its sign: `+107`. */
  difference(decimal: string): string;
  /** An amount on the axis of a chart, where it could be taken for a count: `€4,000`, as a difference `+€400`. */
  onAxis(decimal: string, currency: string, isDifference?: boolean): string;
  /** A decimal with as many digits as it has, at most `most`. */
  number(decimal: string, most?: number): string;
  /** So many orders on average, never rounded to none: `180`, `2.5`, `0.08`. */
  orders(decimal: string): string;
  /** A percentage with one digit: `4.4 %`. */
  percent(decimal: string): string;
  /** A month, `2027-07`: `July 2027`. */
  month(month: string): string;
  /** A day, `2026-11-03`: `3 November 2026`. */
  day(day: string): string;
  /** A time of day from an ISO 8601 time, in the given time zone: `14:02`. */
  time(iso: string): string;
  /** A decimal as it stands in a field: no groups, the locale's decimal sign. */
  field(decimal: string): string;
  readonly decimalSign: string;
}

/** `Intl` formats decimal strings exactly; its types know only numbers. */
const exact = (decimal: string) => decimal as unknown as number;

const writers = new Map<string, Writer>();

/** The way of writing of a locale; making its formats takes a while, so they are made once. */
export function writerFor(locale: string): Writer {
  const writer = writers.get(locale) ?? newWriter(locale);
  writers.set(locale, writer);
  return writer;
}

function newWriter(locale: string): Writer {
  const formats = new Map<string, Intl.NumberFormat>();
  // Few months are written again and again.
  const months = new Map<string, string>();
  const format = (least: number, most: number, signed = false) => {
    const key = `${least} ${most} ${signed}`;
    const made =
      formats.get(key) ??
      new Intl.NumberFormat(locale, {
        minimumFractionDigits: least,
        maximumFractionDigits: most,
        signDisplay: signed ? 'exceptZero' : 'auto',
      });
    formats.set(key, made);
    return made;
  };
  const inCurrency = (currency: string, signed: boolean) => {
    const key = `${currency} ${signed}`;
    const made =
      formats.get(key) ??
      new Intl.NumberFormat(locale, {
        style: 'currency',
        currency,
        currencyDisplay: 'narrowSymbol',
        trailingZeroDisplay: 'stripIfInteger',
        signDisplay: signed ? 'exceptZero' : 'auto',
      });
    formats.set(key, made);
    return made;
  };
  const month = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' });
  const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' });
  const time = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
  const decimalSign = new Intl.NumberFormat(locale).formatToParts(1.5).find(({ type }) => type === 'decimal')?.value ?? '.';
  const sign = decimalSign === ',' ? ',' : '.';
  return {
    locale,
    decimalSign: sign,
    money: (decimal, currency) => format(minorDigits(currency), minorDigits(currency)).format(exact(decimal)),
    whole: (decimal) => format(0, 0).format(exact(decimal)),
    difference: (decimal) => format(0, 0, true).format(exact(decimal)),
    onAxis: (decimal, currency, isDifference = false) => inCurrency(currency, isDifference).format(exact(decimal)),
    number: (decimal, most = 4) => format(0, most).format(exact(decimal)),
    orders: (decimal) => format(0, digitsOfCount(Math.abs(Number(decimal)))).format(exact(decimal)),
    percent: (decimal) => `${format(1, 1).format(exact(decimal))} %`,
    month: (text) => {
      const written = months.get(text) ?? month.format(new Date(`${text}-01T00:00:00Z`));
      months.set(text, written);
      return written;
    },
    day: (text) => day.format(new Date(`${text}T00:00:00Z`)),
    time: (iso) => time.format(new Date(iso)),
    field: (decimal) => fieldText(decimal).replace('.', sign),
  };
}

/** Three decimals behind one to three digits would read as thousands when it is typed again; a zero makes it plain. */
function fieldText(decimal: string): string {
  return /^[1-9]\d{0,2}\.\d{3}$/.test(decimal) ? `${decimal}0` : decimal;
}

/** How many digits a count needs so that it can be told from none: 180, 2.5, 0.08. */
function digitsOfCount(count: number): number {
  if (count >= 9.5) return 0;
  if (count >= 0.95 || count === 0) return 1;
  return Math.min(6, 1 - Math.floor(Math.log10(count)));
}
