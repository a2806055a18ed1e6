/** What a charge takes of every order (decision file §11); decimals as text. */
export interface FeeTerms {
  readonly percent: string;
  readonly each: string;
  readonly least: string | null;
  readonly most: string | null;
  /** Decimals of the minor unit of the charge's currency. */
  readonly minorDigits: number;
  /** Base units for one unit of the charge's currency. */
  readonly rate: string;
  /** What a customer pays for 1 without sales tax: 1.2 where 20% is contained and the fee counts what is left, else 1. */
  readonly contained: string;
}

/**
 * The fee on one order: value × percent/100 + each, not below `least` nor above `most`, rounded to the minor unit half
 * away from zero. Worked out in whole numbers only, so that a million orders take no longer than reading them: the fee is
 * (units × slope + base) ÷ whole, in 53 bits where these suffice for all orders, else in as many as are needed.
 *
 * @param digits - how many decimals a unit of the orders' values stands for
 * @param mostUnits - the value of the largest order, in such units
 * @returns from a value in units to the fee in whole minor units of the charge's currency
 * @example orderFee({ percent: '2.9', each: '0.30', … minorDigits: 2 }, 2, 1e6)(4800) // 169: 48.00 × 2.9% + 0.30
 */
export function orderFee(terms: FeeTerms, digits: number, mostUnits: number): (units: number) => number {
  const exact = wholeNumbers(terms, digits);
  const { slope, base, whole, least, most } = exact;
  const largest = [BigInt(mostUnits) * abs(slope) + abs(base), abs(least ?? 0n), abs(most ?? 0n)].reduce((a, b) => (a > b ? a : b));
  if (2n * (largest + whole) >= BigInt(Number.MAX_SAFE_INTEGER)) return rememberingFee(exact);
  const [by, plus, parts] = [Number(slope), Number(base), Number(whole)];
  const floor = least === null ? -Infinity : Number(least);
  const ceiling = most === null ? Infinity : Number(most);
  return (units) => {
    let sum = units * by + plus;
    if (sum < floor) sum = floor;
    if (sum > ceiling) sum = ceiling;
    // A quotient of whole numbers this small is never rounded up to the next whole one.
    const down = Math.floor(sum / parts);
    return 2 * (sum - down * parts) >= parts ? down + 1 : down;
  };
}

interface WholeNumbers {
  readonly slope: bigint;
  readonly base: bigint;
  readonly whole: bigint;
  readonly least: bigint | null;
  readonly most: bigint | null;
}

function wholeNumbers(terms: FeeTerms, digits: number): WholeNumbers {
  const [percent, each] = [scaled(terms.percent), scaled(terms.each)];
  const [rate, contained] = [scaled(terms.rate), scaled(terms.contained)];
  const bounds = [terms.least, terms.most].map((bound) => (bound === null ? null : scaled(bound)));
  const minor = 10n ** BigInt(terms.minorDigits);
  const hundredths = tens(digits + percent.decimals + 2);
  // Everything is brought to this denominator, in which each and the bounds come out whole as well.
  const decimals = tens(Math.max(each.decimals, ...bounds.map((bound) => bound?.decimals ?? 0)));
  const whole = hundredths * rate.digits * contained.digits * decimals;
  const inWhole = (amount: Scaled) => (amount.digits * minor * whole) / tens(amount.decimals);
  const slope = percent.digits * minor * tens(rate.decimals + contained.decimals) * decimals;
  const [least, most] = bounds.map((bound) => (bound ? inWhole(bound) : null));
  const base = inWhole(each);
  const shared = [base, whole, least ?? 0n, most ?? 0n].reduce(gcd, abs(slope));
  const less = (amount: bigint | null | undefined) => (amount == null ? null : amount / shared);
  return { slope: slope / shared, base: base / shared, whole: whole / shared, least: less(least), most: less(most) };
}

/** The same in numbers of any size; orders of the same value are worked out once. */
function rememberingFee({ slope, base, whole, least, most }: WholeNumbers): (units: number) => number {
  const known = new Map<number, number>();
  const feeOn = (units: number): number => {
    let sum = BigInt(units) * slope + base;
    if (least !== null && sum < least) sum = least;
    if (most !== null && sum > most) sum = most;
    return Number((2n * sum + whole) / (2n * whole));
  };
  return (units) => {
    const fee = known.get(units) ?? feeOn(units);
    known.set(units, fee);
    return fee;
  };
}

/** A decimal as a whole number of its last digit. */
interface Scaled {
  readonly digits: bigint;
  readonly decimals: number;
}

function scaled(decimal: string): Scaled {
  const [whole = '', decimals = ''] = decimal.split('.');
  return { digits: BigInt(whole + decimals), decimals: decimals.length };
}

const tens = (count: number) => 10n ** BigInt(count);
const abs = (amount: bigint) => (amount < 0n ? -amount : amount);

function gcd(a: bigint, b: bigint): bigint {
  let [larger, smaller] = [a, abs(b)];
  while (smaller > 0n) [larger, smaller] = [smaller, larger % smaller];
  return larger;
}
