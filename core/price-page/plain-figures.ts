import { decimal, HUNDRED } from '../amount/decimal';
import { inEnglish, languageOf, type PageLanguage } from './foreign-words';
import { CROSSED_OUT } from './page-blocks';

/** How a page writes its figures; decided once for all of it. */
export interface FigureFormat {
  readonly decimalSign: '.' | ',';
  /** An ISO 4217 code that the page names, or that its only sign stands for; null where it does not say. */
  readonly currency: string | null;
  /** Whether bare figures beside a period are prices, as on pages without any currency sign. */
  readonly hasSigns: boolean;
  /** Whether its only sign is the dollar’s, of which there are several. */
  readonly isDollar: boolean;
  /** Whether its signs stand behind their amounts: "72 € 54 €". */
  readonly isSignBehind: boolean;
  /** Whether its codes stand before their amounts: "CHF 72 CHF 54". */
  readonly isCodeBefore: boolean;
  readonly language: PageLanguage | null;
}

const SIGN_CURRENCIES: Readonly<Record<string, string>> = {
  '€': 'EUR',
  '£': 'GBP',
  '¥': 'JPY',
  '₹': 'INR',
  '₪': 'ILS',
  '₺': 'TRY',
  '₩': 'KRW',
  zł: 'PLN',
  Kč: 'CZK',
};
/** "A$17": whose dollar it is. */
const DOLLARS: Readonly<Record<string, string>> = {
  US: 'USD',
  CA: 'CAD',
  C: 'CAD',
  AU: 'AUD',
  A: 'AUD',
  NZ: 'NZD',
  HK: 'HKD',
  S: 'SGD',
};
const NUMBER = String.raw`\d+(?:[.,'’]\d+|[ \u00a0\u202f]\d{3}(?!\d))*`;
const SIGN = String.raw`(?:(?:(?<![\p{L}])(?:US|CA?|AU?|NZ|HK|S))?\$|€|£|¥|₹|₪|₺|₩)`;
/** Codes that stand before amounts, too; others only behind them. */
const CODES_BEFORE = 'EUR|USD|GBP|CHF|CAD|AUD';
const CODES = `${CODES_BEFORE}|NZD|SEK|NOK|DKK|PLN|CZK|JPY|INR`;
const CODE = String.raw`(?:${CODES}|euros?|dollars?|pounds?|zł|Kč)`;
const CODE_BEFORE = new RegExp(String.raw`(?<!\d\s?)\b(?:${CODES_BEFORE})\s?\d`, 'g');
const CODE_BEHIND = new RegExp(String.raw`\d\s?(?:${CODES_BEFORE})\b(?!\s?\d)`, 'g');
const AN_AMOUNT_BEHIND_CODE = new RegExp(String.raw`\b(?:${CODES_BEFORE})\s?(\d+(?:\.\d+)?)(?!\s?(?:${CODES_BEFORE})\b(?!\s?\d))`, 'g');

/** Decides how the figures of a page are written. */
export function figureFormatOf(text: string): FigureFormat {
  const count = (pattern: RegExp) => text.match(pattern)?.length ?? 0;
  const commas = count(/\d,\d{1,2}(?!\d)/g) + count(/\d\.\d{3}(?!\d)/g);
  const points = count(/\d\.\d{1,2}(?!\d)/g) + count(/\d,\d{3}(?!\d)/g);
  const codes = [...new Set(text.match(new RegExp(`\\b(?:${CODES})\\b`, 'g')) ?? [])];
  const signs = [...new Set(text.match(/[$€£¥₹₪₺₩]|(?<=\d\s?)(?:zł|Kč)(?!\p{L})/gu) ?? [])];
  const dollars = new Set(
    [...text.matchAll(/(?<!\p{L})(US|CA?|AU?|NZ|HK|S)?\$(?=\s?\d)/gu)].map(([, whose = '']) => DOLLARS[whose] ?? null),
  );
  const [code] = codes;
  const [sign = ''] = signs;
  const [dollar = null] = dollars.size === 1 ? dollars : [];
  const bySign = signs.length === 1 ? (SIGN_CURRENCIES[sign] ?? dollar) : null;
  return {
    decimalSign: commas > points ? ',' : '.',
    currency: codes.length === 1 && code !== undefined ? code : bySign,
    hasSigns: signs.length > 0 || codes.length > 0 || new RegExp(`\\d\\s?${CODE}(?!\\p{L})`, 'u').test(text),
    isDollar: codes.length === 0 && signs.length === 1 && sign === '$' && dollar === null,
    isCodeBefore: count(CODE_BEFORE) > count(CODE_BEHIND),
    isSignBehind: count(/\d\s?[€$£](?!\s?\d)/g) > count(/(?<!\d\s?)[€$£]\s?\d/g),
    language: languageOf(text),
  };
}

/** "¤18 pm", "¤18 pcm", "¤18 p/m" and "¤200 pa". */
const A_MONTH =
  /(¤[\d.]*\d)\s?(?:p\.?\s?m\b\.?|p\/m\b|pcm\b|(?:each|every) month\b|per mo\b|per calendar month\b|monthly(?=$|\s*[·|,;)(]|\s+or\b))/gi;
const A_YEAR =
  /(¤[\d.]*\d)\s?(?:p\.?\s?a\b\.?|p\/a\b|(?:each|every) year\b|per (?:annum|yr)\b|an? annum\b|(?:yearly|annually)(?=$|\s*[·|,;)(]|\s+or\b))/gi;

/** An amount below nothing: `¤-6` is an amount to no rule. Not the upper end of a range, nor what a list's dash begins. */
const BELOW_NOTHING = /(^|[\p{L}:(=]\s?)[-−–]¤(\d)/gu;

/** "Any number of products", "∞ products", "no cap on products". */
const WITHOUT_LIMIT =
  /(^|[✓✔☑✅√•·*,;:+-] |\band )(?:(?:any|an? (?:unlimited|endless)|unlimited) (?:number|amount) of|as many|endless|infinite|∞|no (?:caps?|restrictions?|limits?) (?:on|to)|uncapped|limitless|unrestricted(?! access)) (?=\p{L})(?!.*\bas you\b)/giu;

/** "2.9% plus ¤0.3", "2.9% and ¤0.3". */
const FIXED_ON_TOP = /(\d%) (?:plus |and (?=¤0\.))(?=¤\d(?:\.\d+)?(?![\d.]|.{0,3}(?:month|mo\b|year)))/g;

/**
 * A line with its figures written alike: "1,200" is `1200`, "25k" `25000`, and an amount of money is a figure behind
 * `¤` whichever way the page writes it.
 *
 * @example plainText('2,9 % + 30 ct', format) // '2.9% + ¤0.3'
 */
export function plainText(text: string, format: FigureFormat): string {
  const { decimalSign, hasSigns, language } = format;
  const words = inUsualWords(inEnglish(text.replace(/[\u00a0\u202f\t]/g, ' '), language));
  const figures = words.replace(
    new RegExp(`(?<![\\p{L}\\d])${NUMBER}(\\s?[kK]\\b|M\\b(?!B))?`, 'gu'),
    (written, thousands: string | undefined) => plainFigure(written, thousands, decimalSign),
  );
  const withMoney = inPlaceOfPage(figures, format)
    .replace(new RegExp(`${SIGN}\\s?(\\d*\\.?\\d+)(?:\\s?${CODE}(?!\\p{L}))?`, 'gu'), (_, amount: string) => money(amount))
    .replace(new RegExp(`(?<![¤\\d.])(\\d+(?:\\.\\d+)?)\\s?(?:[€£¥₹₪₺₩]|\\$|${CODE}(?!\\p{L}))`, 'gu'), (_, amount: string) =>
      money(amount),
    )
    .replace(new RegExp(`\\b(?:${CODES_BEFORE})\\s?(\\d+(?:\\.\\d+)?)`, 'g'), (_, amount: string) => money(amount))
    .replace(/(?<![¤\d.])(\d+(?:\.\d+)?)\s?(?:¢|ct\b|cents?\b|p\b(?!\.\p{L}))(?:\s?(?:USD|EUR|GBP)\b)?/gu, (_, amount: string) =>
      money(hundredth(amount)),
    )
    .replace(/([+&]\s?)(\d+)c\b/g, (_, before: string, amount: string) => `${before}${money(hundredth(amount))}`)
    .replace(/(¤[\d.]+)(?:,-|,–|\.-)/g, '$1')
    .replace(/(\d\s?%\s*(?:\+|plus|and)\s*)(\d+(?:\.\d+)?)(?![\d.]|\s*%)/g, (_, rate: string, amount: string) => `${rate}${money(amount)}`);
  const priced = hasSigns
    ? withMoney
    : withMoney.replace(
        /(?<![¤\d.%]|(?:^|\s)-)\b(\d+(?:\.\d+)?)(?=\s?(?:\/|per |an? )\s?(?:mo|month|yr|year|m|y)\b|\s(?:billed|paid|once|one-time|for life|for good)\b)|(?<=\b(?:then|plus|for) )(\d+\.\d{1,4})(?= each\b)/g,
        (amount) => money(amount),
      );
  return priced
    .replace(BELOW_NOTHING, '$1¤-$2')
    .replace(A_MONTH, '$1 per month')
    .replace(A_YEAR, '$1 per year')
    .replace(/(\d)\s+%/g, '$1%')
    .replace(FIXED_ON_TOP, '$1 + ')
    .replace(/\s+/g, ' ')
    .trim();
}

/** The words of a line as most pages write them: what people shorten, and the many ways to say that there is no limit. */
function inUsualWords(text: string): string {
  return (
    text
      .replace(/[‐‑]/g, '-')
      .replace(/½/g, '.5')
      .replace(/(\d)\s?(?:percent|per cent|pct)\b/gi, '$1%')
      .replace(/(\/ ?|[Pp]er )([Mm]o|[Yy]r)\.(?!\s+\p{Lu})(?=\s|$)/gu, '$1$2')
      .replace(/^(?:∞|any number|limitless|no limits?|no caps?|without limit|as many as (?:you|i) (?:like|want|need))$/i, 'unlimited')
      .replace(WITHOUT_LIMIT, '$1unlimited ')
      // As people shorten them: "txn fee", "CC: 2.9%".
      .replace(/\btxn\b/gi, 'transaction')
      .replace(/^cc(?: fees?)?(?=:|$| \d)/i, 'Card fee')
      // "9.–" and "9,-" are whole amounts.
      .replace(/(\d)[.,][–—-]+(?![\d])/g, '$1')
  );
}

/** Two amounts side by side: a sign between them belongs to the one that the page's other signs say it does. */
function inPlaceOfPage(figures: string, { isSignBehind, isCodeBefore }: FigureFormat): string {
  if (isSignBehind) return figures.replace(/(?<![\d.])(\d+(?:\.\d+)?)\s?[€$£](?!\d)/g, (_, amount: string) => money(amount));
  if (!isCodeBefore) return figures;
  return figures.replace(AN_AMOUNT_BEHIND_CODE, (_, amount: string) => money(amount));
}

/** All amounts of money of a line in plain figures, in its order. */
export function amountsIn(plain: string): string[] {
  return [...plain.matchAll(/¤(\d+(?:\.\d+)?)/g)].map(([, amount = '']) => amount);
}

/** All figures of a line in plain figures, money or not; parts of words ("3rd", "A4") are none. */
export function figuresIn(plain: string): string[] {
  return [...plain.matchAll(/(?<![\p{L}\d./]|[\p{L}\d]-)(\d+(?:\.\d+)?)(?![\p{L}\d]|[.-]?\p{L}{2,}-)/gu)].map(([, figure = '']) => figure);
}

/** What a line says without the marks of crossed-out prices. */
export function withoutMarks(plain: string): string {
  return plain.replaceAll(CROSSED_OUT.open, '').replaceAll(CROSSED_OUT.close, '').replace(/\s+/g, ' ').trim();
}

function money(amount: string): string {
  return `¤${amount.startsWith('.') ? `0${amount}` : amount}`;
}

function hundredth(amount: string): string {
  return decimal(amount).div(HUNDRED).toFixed();
}

/** A number as it is written, in plain figures; "24/7" and "3 000" keep their parts. */
function plainFigure(written: string, thousands: string | undefined, decimalSign: '.' | ','): string {
  const digits = (thousands ? written.slice(0, -thousands.length) : written).trim();
  const group = decimalSign === '.' ? ',' : '.';
  const plain = isGrouped(digits, group)
    ? digits.replaceAll(group, '').replace(decimalSign, '.')
    : digits.replace(/['’ \u00a0\u202f](?=\d{3}(?!\d))/g, '').replace(decimalSign === ',' ? /,(?=\d)/ : /\.(?=\d)/, '.');
  const parts = /^\d+(?:\.\d+)?$/.test(plain) ? plain : otherwise(digits);
  if (!thousands || !/^\d+(?:\.\d+)?$/.test(parts)) return parts + (thousands ?? '');
  return decimal(parts)
    .times(thousands.trim().toLowerCase() === 'k' ? 1_000 : 1_000_000)
    .toFixed();
}

function isGrouped(digits: string, group: string): boolean {
  return new RegExp(`^\\d{1,3}(?:\\${group}\\d{3})+(?:[.,]\\d+)?$`).test(digits);
}

/** A figure that does not fit the page's way of writing: "12,50" on a page with points, "2 5" that is two figures. */
function otherwise(digits: string): string {
  if (/^\d+,\d{1,2}$/.test(digits)) return digits.replace(',', '.');
  return digits.replace(/^(\d+)\.(\d{1,2})$/, '$1.$2');
}
