import { Decimal, fixed, ZERO } from './decimal';
import { minorAmount, minorText, type MinorUnits, roundedProduct } from './minor-units';

/** As many minor units as a number holds and writes down exactly, with room for sums. */
const MOST_UNITS = 1e15;

/**
 * An amount rounded to a currency's minor unit: in whole units, which are added up at no cost, and as a decimal once
 * somebody asks for it. What is too much for a number is a decimal from the start.
 */
export class MinorAmount {
  private exact: Decimal | undefined;

  private constructor(
    /** Whole minor units; NaN where they are too many for a number. */
    readonly units: MinorUnits,
    private readonly digits: number,
    exact?: Decimal,
  ) {
    this.exact = exact;
  }

  /** @param digits - of the minor unit */
  static ofUnits(units: MinorUnits, digits: number): MinorAmount {
    return new MinorAmount(units, digits);
  }

  /** @param amount - rounded to the minor unit already */
  static of(amount: Decimal, digits: number): MinorAmount {
    const units = amount.toNumber() * 10 ** digits;
    return new MinorAmount(Math.abs(units) < MOST_UNITS ? Math.round(units) : NaN, digits, amount);
  }

  get decimal(): Decimal {
    return (this.exact ??= minorAmount(this.units, this.digits) ?? ZERO);
  }

  negated(): MinorAmount {
    if (Number.isNaN(this.units)) return new MinorAmount(NaN, this.digits, this.decimal.neg());
    return new MinorAmount(0 - this.units, this.digits);
  }
}

/** Turns amounts of a currency into amounts of another, each rounded there (decision file §5, Rounding). */
export class MinorConversion {
  private readonly factor: { readonly exact: Decimal; readonly number: number };

  /**
   * @param rate - units of the other currency for one of the first
   * @param from - digits of the first currency's minor unit
   * @param to - digits of the other's
   */
  constructor(
    private readonly rate: Decimal,
    from: number,
    private readonly to: number,
  ) {
    const exact = rate.times(new Decimal(10).pow(to - from));
    this.factor = { exact, number: exact.toNumber() };
  }

  of(amount: MinorAmount): MinorAmount {
    const { units } = amount;
    if (Math.abs(units * this.factor.number) < MOST_UNITS) return MinorAmount.ofUnits(roundedProduct(units, this.factor), this.to);
    return MinorAmount.of(amount.decimal.times(this.rate).toDecimalPlaces(this.to), this.to);
  }
}

/** A sum of amounts of one currency. */
export class MinorSum {
  private units = 0;
  private rest = ZERO;

  /** @param digits - of the currency's minor unit */
  constructor(private readonly digits: number) {}

  add(amount: MinorAmount): void {
    const units = this.units + amount.units;
    if (Math.abs(units) < MOST_UNITS) this.units = units;
    else this.rest = this.rest.plus(amount.decimal);
  }

  get isZero(): boolean {
    return this.rest.isZero() ? this.units === 0 : this.decimal.isZero();
  }

  get decimal(): Decimal {
    return (minorAmount(this.units, this.digits) ?? ZERO).plus(this.rest);
  }

  /** With exactly the digits of the minor unit, as result files have it. */
  get text(): string {
    return this.rest.isZero() ? minorText(this.units, this.digits) : fixed(this.decimal, this.digits);
  }
}
