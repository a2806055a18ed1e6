import { type Decimal, fixed, withoutDivisionResidue } from './decimal';

/** ISO 4217 codes by their number of minor-unit digits. */
const CODES_BY_DIGITS: ReadonlyArray<readonly [digits: number, codes: string]> = [
  [0, 'BIF CLP DJF GNF ISK JPY KMF KRW PYG RWF UGX UYI VND VUV XAF XOF XPF'],
  [
    2,
    'AED AFN ALL AMD ANG AOA ARS AUD AWG AZN BAM BBD BDT BGN BMD BND BOB BOV BRL BSD BTN BWP BYN BZD CAD CDF CHE CHF ' +
      'CHW CNY COP COU CRC CUP CVE CZK DKK DOP DZD EGP ERN ETB EUR FJD FKP GBP GEL GHS GIP GMD GTQ GYD HKD HNL HTG HUF ' +
      'IDR ILS INR IRR JMD KES KGS KHR KPW KYD KZT LAK LBP LKR LRD LSL MAD MDL MGA MKD MMK MNT MOP MRU MUR MVR MWK MXN ' +
      'MXV MYR MZN NAD NGN NIO NOK NPR NZD PAB PEN PGK PHP PKR PLN QAR RON RSD RUB SAR SBD SCR SDG SEK SGD SHP SLE SOS ' +
      'SRD SSP STN SVC SYP SZL THB TJS TMT TOP TRY TTD TWD TZS UAH USD USN UYU UZS VED VES WST XCD XCG YER ZAR ZMW ZWG',
  ],
  [3, 'BHD IQD JOD KWD LYD OMR TND'],
  [4, 'CLF UYW'],
];

const DIGITS = new Map<string, number>(
  CODES_BY_DIGITS.flatMap(([digits, codes]) => codes.split(' ').map((code) => [code, digits] as const)),
);

/** All ISO 4217 codes that money can be stated in, sorted. */
export const currencyCodes: readonly string[] = [...DIGITS.keys()].sort();

/** Whether the text is an ISO 4217 code, in capitals. */
export function isCurrency(code: string): boolean {
  return DIGITS.has(code);
}

/**
 * Digits of a currency's minor unit.
 *
 * @example minorDigits('EUR') // 2
 * @example minorDigits('JPY') // 0
 * @throws RangeError for a code that ISO 4217 does not list
 */
export function minorDigits(currency: string): number {
  const digits = DIGITS.get(currency);
  if (digits === undefined) throw new RangeError(`${currency} is not an ISO 4217 currency code`);
  return digits;
}

/**
 * Rounds to a currency's minor unit, halves away from zero (decision file §5, Rounding).
 *
 * @example roundMoney(decimal('1.005'), 'EUR').toString() // '1.01'
 */
export function roundMoney(amount: Decimal, currency: string): Decimal {
  return amount.toDecimalPlaces(minorDigits(currency));
}

/**
 * Rounds what a line comes to: first what a division left behind goes, so that it does not decide a half.
 *
 * @example roundLine(decimal('10').div(3).times(3).div(8), 'EUR').toString() // '1.25'
 */
export function roundLine(amount: Decimal, currency: string): Decimal {
  return roundMoney(withoutDivisionResidue(amount), currency);
}

/**
 * Converts an amount that is rounded in its own currency into the base currency and rounds it there
 * (decision file §5, Rounding).
 *
 * @param rate - base units for one unit of the amount's currency
 */
export function inBaseCurrency(amount: Decimal, currency: string, rate: Decimal, base: string): Decimal {
  return currency === base ? amount : roundMoney(amount.times(rate), base);
}

/**
 * Writes an amount with exactly the digits of its currency's minor unit, as result files do.
 *
 * @example moneyText(decimal('12.5'), 'EUR') // '12.50'
 */
export function moneyText(amount: Decimal, currency: string): string {
  return fixed(amount, minorDigits(currency));
}
