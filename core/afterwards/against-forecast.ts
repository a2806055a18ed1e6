import { type Decimal, decimal, ONE, sum, ZERO } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import { monthsBetween, type Month } from '../calendar/month';
import type { DecisionFile } from '../decision-file/schema';
import type { Bucket } from '../pricing/ledger-line';
import { ledgerOf } from '../pricing/ledger';
import { preparePricing, type Pricing } from '../pricing/pricing';
import type { Used } from '../dates/date-that-matters';
import { withOnlyStreams } from '../verdict/together';
import { withChanges } from '../what-if/changes';
import type { Actuals } from '../decision/actuals-schema';

/** A month against its forecast; amounts in base currency, own time left out. */
export interface MonthAgainst {
  readonly month: Month;
  readonly expected: { readonly orders: string; readonly sales: string; readonly cost: string };
  /** Null where no bill of the month is known. */
  readonly cost: string | null;
  /** What was paid more than expected, as far as bills are known; less than nothing where it was less. */
  readonly difference: string | null;
  /** Why; each null where it is not known. They add up to the difference. */
  readonly why: {
    /** More or fewer orders than expected, at the prices of the sheet. */
    readonly volume: string | null;
    /** Dearer or cheaper orders. */
    readonly orderValue: string | null;
    /** Fees that were charged beside what the sheet says for these sales. */
    readonly feeRates: string | null;
    /** Plans and other costs beside what the sheet says. */
    readonly fixedCosts: string | null;
    /** What nobody expected. */
    readonly surprises: string | null;
  };
}

/** All months that something is known of, and what they come to. */
export interface AgainstForecast {
  readonly months: readonly MonthAgainst[];
  /** Sums over months whose bills are known. */
  readonly expected: string;
  readonly cost: string;
  readonly difference: string;
  readonly why: Readonly<Record<keyof MonthAgainst['why'], string>>;
}

/** Buckets that go by sales; everything else but own time is paid whatever is sold. */
const BY_SALES: ReadonlySet<Bucket> = new Set(['transaction', 'payment', 'usage', 'credit']);
const REASONS = ['volume', 'orderValue', 'feeRates', 'fixedCosts', 'surprises'] as const;

/**
 * Sets what months really brought and cost against their forecast, and explains the difference: first what other orders
 * cost at the prices of the sheets, then other order values, then what was charged beside the sheets, then surprises.
 *
 * Each month is priced as if all months had gone like it; a cap on the whole time counts so.
 *
 * @param used - which candidate is used when
 */
export function againstForecast(file: DecisionFile, used: readonly Used[], actuals: Actuals): AgainstForecast {
  const money = (amount: Decimal) => moneyText(roundMoney(amount, file.currency), file.currency);
  const plain = preparePricing(file);
  const expected = pricingsOf(file, used);
  const forecast = plain.forecastAt(ONE);
  const months = Object.keys(actuals)
    .filter((month) => forecast.months.includes(month))
    .sort()
    .map((month): MonthAgainst => {
      const real = actuals[month] ?? {};
      const index = monthsBetween(file.start, month);
      const [orders, sales] = [forecast.orders[index] ?? ZERO, forecast.sales[index] ?? ZERO];
      const asExpected = costIn(expected, used, index, ONE);
      const scale = real.orders === undefined || orders.isZero() ? null : decimal(real.orders).div(orders);
      const atVolume = scale ? costIn(expected, used, index, scale) : null;
      const expectedSales = scale ? sales.times(scale) : sales;
      const valued = real.sales === undefined || expectedSales.isZero() ? null : decimal(real.sales).div(expectedSales);
      const atValue = valued ? costIn(pricingsOf(withOrderValues(file, valued), used), used, index, scale ?? ONE) : null;
      const should = atValue ?? atVolume ?? asExpected;
      const volume = atVolume ? total(atVolume).minus(total(asExpected)) : null;
      const orderValue = atValue ? total(atValue).minus(total(atVolume ?? asExpected)) : null;
      const feeRates = real.fees === undefined ? null : decimal(real.fees).minus(should.fees);
      const fixedCosts = real.fixed === undefined ? null : decimal(real.fixed).minus(should.fixed);
      const surprises = real.surprises === undefined ? null : decimal(real.surprises);
      const isBilled = feeRates !== null || fixedCosts !== null || surprises !== null;
      // A bill that is not known is taken to be what the sheet says.
      const difference = sum([volume, orderValue, feeRates, fixedCosts, surprises].map((part) => part ?? ZERO));
      const text = (part: Decimal | null) => (part === null ? null : money(part));
      return {
        month,
        expected: { orders: orders.toFixed(1), sales: money(sales), cost: money(total(asExpected)) },
        cost: isBilled ? money(total(asExpected).plus(difference)) : null,
        difference: isBilled || volume !== null || orderValue !== null ? money(difference) : null,
        why: {
          volume: text(volume),
          orderValue: text(orderValue),
          feeRates: text(feeRates),
          fixedCosts: text(fixedCosts),
          surprises: text(surprises),
        },
      };
    });
  const added = (of: (month: MonthAgainst) => string | null) =>
    money(sum(months.filter(({ difference }) => difference !== null).map((month) => decimal(of(month) ?? '0'))));
  const difference = added((month) => month.difference);
  const expectedCost = added((month) => month.expected.cost);
  return {
    months,
    expected: expectedCost,
    difference,
    cost: money(decimal(expectedCost).plus(difference)),
    why: Object.fromEntries(REASONS.map((reason) => [reason, added((month) => month.why[reason])])) as AgainstForecast['why'],
  };
}

interface MonthCost {
  readonly fees: Decimal;
  readonly fixed: Decimal;
}

const total = ({ fees, fixed }: MonthCost) => fees.plus(fixed);

/** What a month costs at a level of sales, own time left out; tax on fees goes with what is paid whatever is sold. */
function costIn(pricings: readonly Pricing[], used: readonly Used[], month: number, scale: Decimal): MonthCost {
  const own = used.flatMap(({ candidate: id, from, months }, index) => {
    const pricing = month >= from && month < from + months ? pricings[index] : undefined;
    const candidate = pricing?.file.candidates.find((one) => one.id === id);
    if (!pricing || !candidate) return [];
    return ledgerOf(pricing, candidate, scale, { month: from, moved: false }).lines.filter(
      (line) => line.month === month && line.bucket !== 'time',
    );
  });
  const amounts = (isBySales: boolean) => sum(own.filter(({ bucket }) => BY_SALES.has(bucket) === isBySales).map(({ amount }) => amount));
  return { fees: amounts(true), fixed: amounts(false) };
}

/** Of each candidate that is used, a pricing of the streams that go through it. */
function pricingsOf(file: DecisionFile, used: readonly Used[]): Pricing[] {
  return used.map(({ streams }) => preparePricing(streams ? withOnlyStreams(file, streams) : file));
}

const PLACES = 12;

/** The file with every order value multiplied. */
export function withOrderValues(file: DecisionFile, factor: Decimal): DecisionFile {
  const percent = factor.minus(ONE).times(100).toDecimalPlaces(PLACES).toFixed();
  return withChanges(
    file,
    file.forecast.streams.map(({ id }) => ({ key: `order-value:${id}`, value: percent })),
  );
}
