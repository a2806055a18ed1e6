import { XMLParser } from 'fast-xml-parser';
import * as z from 'zod';
import { isCurrency } from '../amount/currencies';
import { decimal, ONE } from '../amount/decimal';
import { currencyCode, decimalField } from '../fields/amounts';
import { dayField } from '../fields/day';

/** Rates of a day: so many units of each currency for one unit of `base`. */
export const dailyRatesSchema = z.strictObject({
  day: dayField,
  base: currencyCode,
  perBase: z.record(currencyCode, decimalField({ above: '0' })),
});

export type DailyRates = z.output<typeof dailyRatesSchema>;

/** What a rates file was found to say. */
export type RatesReading = { readonly ok: true; readonly rates: DailyRates } | { readonly ok: false; readonly problem: string };

/** Files of daily rates are a few kilobytes. */
const MOST_CHARACTERS = 500_000;
/** The feed that states rates against the euro. */
const BASE = 'EUR';

const refused = (problem: string): RatesReading => ({ ok: false, problem });

/**
 * Reads daily exchange rates in the open XML form of central banks: an envelope with a `Cube` that bears the day and
 * holds a `Cube` with `currency` and `rate` for each currency, against the euro.
 *
 * @param xml - nothing in it is expanded: a file with a document type is refused
 */
export function readDailyRates(xml: string): RatesReading {
  if (xml.length > MOST_CHARACTERS) return refused('the file is far larger than daily rates are');
  if (/<!(DOCTYPE|ENTITY)/i.test(xml)) return refused('the file declares a document type, which rates have no need of');
  const cubes = cubesIn(xml);
  if (!cubes) return refused('the file is no XML, or broke off');
  const dated = cubes.find(({ time }) => typeof time === 'string');
  const rates = cubes.flatMap(({ currency, rate }): Array<[string, string]> =>
    typeof currency === 'string' && typeof rate === 'string' && isCurrency(currency) ? [[currency, rate]] : [],
  );
  if (!dated || rates.length === 0) return refused('the file has no day, or no rates');
  const read = dailyRatesSchema.safeParse({ day: dated.time, base: BASE, perBase: Object.fromEntries(rates) });
  if (!read.success) return refused(`${read.error.issues[0]?.path.join(' ') ?? ''}: ${read.error.issues[0]?.message ?? 'cannot be read'}`);
  return { ok: true, rates: read.data };
}

type Cube = Readonly<Record<string, unknown>>;

/** Every `Cube` of the file with its attributes; null if it is not well-formed. */
function cubesIn(xml: string): Cube[] | null {
  try {
    const parsed: unknown = new XMLParser({
      ignoreAttributes: false,
      attributeNamePrefix: '',
      removeNSPrefix: true,
      parseAttributeValue: false,
      processEntities: false,
    }).parse(xml, true);
    const found: Cube[] = [];
    const visit = (value: unknown, depth: number): void => {
      if (depth > 12 || typeof value !== 'object' || value === null) return;
      if (Array.isArray(value)) return value.forEach((one) => visit(one, depth + 1));
      for (const [name, inner] of Object.entries(value)) {
        if (name === 'Cube') for (const cube of [inner].flat()) if (typeof cube === 'object' && cube !== null) found.push(cube as Cube);
        visit(inner, depth + 1);
      }
    };
    visit(parsed, 0);
    return found;
  } catch {
    return null;
  }
}

const DIGITS = 6;

/**
 * Base units for one unit of another currency, as decisions state rates (decision file §1), to six digits.
 *
 * @returns null where the feed does not have one of them
 * @example rateFor({ base: 'EUR', perBase: { USD: '1.25' }, … }, 'EUR', 'USD') // '0.8'
 */
export function rateFor({ base, perBase }: DailyRates, of: string, currency: string): string | null {
  const stated = (code: string) => (perBase[code] === undefined ? null : decimal(perBase[code]));
  const per = (code: string) => (code === base ? ONE : stated(code));
  const [own, other] = [per(of), per(currency)];
  return own && other ? own.div(other).toSignificantDigits(DIGITS).toFixed() : null;
}
