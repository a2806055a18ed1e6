import { minorDigits } from '#core/amount/currencies';

/** Writes figures for a person; every method takes plain decimals as the core gives them. */
export interface Writer {
  readonly locale: string;
  /** An amount with the digits of its currency, without the currency itself: `6,715.16`. */
  money(decimal: string, currency: string): string;
  /** An amount to the cent with its currency, in a sentence: `€49.00`. */
  price(decimal: string, currency: string): string;
  /** An amount to whole units, with the currency of the decision, in a sentence: `€210`; elsewhere without one. */
  amount(decimal: string): string;
  /** An amount to whole units where its currency is plain, as in a table: `6,715`. */
  whole(decimal: string): string;
  /** A difference to whole units with its sign: `+107`. */
  difference(decimal: string): string;
  /** An amount on the axis of a chart, where it could be taken for a count: `€4,000`, as a difference `+€400`. */
  onAxis(decimal: string, currency: string, isDifference?: boolean): string;
  /** A decimal with as many digits as it has, at most `most`. */
  number(decimal: string, most?: number): string;
  /** So many orders on average, never rounded to none: `180`, `2.5`, `0.08`. */
  orders(decimal: string): string;
  /** A percentage with as many digits as it has, at most `most`; with a space where the locale has one: `2.6%`. */
  percent(decimal: string, most?: number): string;
  /** A share of something that was worked out, with one digit: `4.4%`. */
  share(decimal: string): string;
  /** A month, `2027-07`: `July 2027`. */
  month(month: string): string;
  /** A day, `2026-11-03`: `3 November 2026`. */
  day(day: string): string;
  /** A time of day from an ISO 8601 time, in the given time zone: `14:02`. */
  time(iso: string): string;
  /** A text with its figures, written in English, as the locale writes them: `1,200.50` becomes `1.200,50`. */
  figuresOf(text: string): string;
  /** A decimal as it stands in a field: no groups, the locale's decimal sign. */
  field(decimal: string): string;
  readonly decimalSign: string;
}

const writers = new Map<string, Writer>();

/**
 * The way of writing of a locale, amounts of sentences in the currency given; making its formats takes a while, so they
 * are made once.
 */
export function writerFor(locale: string, currency: string | null = null): Writer {
  const key = `${locale} ${currency ?? ''}`;
  const writer = writers.get(key) ?? newWriter(locale, currency);
  writers.set(key, writer);
  return writer;
}

/** Writes decimals by a format of the platform's, with a minus sign where that has a hyphen. */
interface Format {
  format(decimal: string): string;
}

/** `Intl` formats decimal strings exactly; its types know only numbers. */
function typographic(format: Intl.NumberFormat): Format {
  return { format: (decimal) => format.format(decimal as unknown as number).replace('-', '\u2212') };
}

function newWriter(locale: string, ofDecision: string | null): Writer {
  const formats = new Map<string, Format>();
  // Few months are written again and again.
  const months = new Map<string, string>();
  const kept = (key: string, options: Intl.NumberFormatOptions): Format => {
    const made = formats.get(key) ?? typographic(new Intl.NumberFormat(locale, options));
    formats.set(key, made);
    return made;
  };
  const format = (least: number, most: number, signed = false) =>
    kept(`${least} ${most} ${signed}`, {
      minimumFractionDigits: least,
      maximumFractionDigits: most,
      signDisplay: signed ? 'exceptZero' : 'auto',
    });
  const inCurrency = (currency: string, options: Intl.NumberFormatOptions) =>
    kept(`${currency} ${JSON.stringify(options)}`, { style: 'currency', currency, currencyDisplay: 'narrowSymbol', ...options });
  const inPercent = (least: number, most: number) =>
    kept(`% ${least} ${most}`, { style: 'unit', unit: 'percent', minimumFractionDigits: least, maximumFractionDigits: most });
  const whole = (decimal: string) => format(0, 0).format(decimal);
  const month = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' });
  const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' });
  const time = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
  const decimalSign = new Intl.NumberFormat(locale).formatToParts(1.5).find(({ type }) => type === 'decimal')?.value ?? '.';
  const sign = decimalSign === ',' ? ',' : '.';
  return {
    locale,
    decimalSign: sign,
    money: (decimal, currency) => format(minorDigits(currency), minorDigits(currency)).format(decimal),
    price: (decimal, currency) => inCurrency(currency, {}).format(decimal),
    amount: (decimal) => (ofDecision === null ? whole(decimal) : inCurrency(ofDecision, { maximumFractionDigits: 0 }).format(decimal)),
    whole,
    difference: (decimal) => format(0, 0, true).format(decimal),
    onAxis: (decimal, currency, isDifference = false) =>
      inCurrency(currency, { trailingZeroDisplay: 'stripIfInteger', signDisplay: isDifference ? 'exceptZero' : 'auto' }).format(decimal),
    number: (decimal, most = 4) => format(0, most).format(decimal),
    orders: (decimal) => format(0, digitsOfCount(Math.abs(Number(decimal)))).format(decimal),
    percent: (decimal, most = 4) => inPercent(0, most).format(decimal),
    share: (decimal) => inPercent(1, 1).format(decimal),
    month: (text) => {
      const written = months.get(text) ?? month.format(new Date(`${text}-01T00:00:00Z`));
      months.set(text, written);
      return written;
    },
    day: (text) => day.format(new Date(`${text}T00:00:00Z`)),
    time: (iso) => time.format(new Date(iso)),
    figuresOf: (text) => text.replace(ENGLISH_FIGURE, (figure) => inDigitsOf(figure, format)),
    field: (decimal) => fieldText(decimal).replace('.', sign),
  };
}

/** A figure of a text, not part of a word or a date: `18.00`, `1,200`. */
const ENGLISH_FIGURE = /(?<![\w.,])\d{1,3}(?:,\d{3})+(?:\.\d+)?(?![\w])|(?<![\w.,])\d+\.\d+(?![\w])/g;

function inDigitsOf(figure: string, format: (least: number, most: number) => Format): string {
  const decimal = figure.replaceAll(',', '');
  const digits = decimal.split('.')[1]?.length ?? 0;
  return format(digits, digits).format(decimal);
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
