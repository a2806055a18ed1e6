import { decimal } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import type { PricedDecision } from '../comparison/decision-result';
import type { Actuals } from '../decision/actuals-schema';

/** An example's month against its forecast: a fifth fewer orders, each worth what was expected. */
const FEWER = '0.8';

/**
 * A month as it might have gone, for as long as nothing real is known: the first one with orders, with a fifth fewer.
 *
 * @returns nothing where no orders are expected
 */
export function exampleMonth({ pricing: { file }, result }: Pick<PricedDecision, 'pricing' | 'result'>): Actuals {
  const index = result.orders.findIndex((orders) => decimal(orders).gte(1));
  const month = result.months[index];
  if (month === undefined) return {};
  const orders = decimal(result.orders[index] ?? '0');
  const real = orders.times(FEWER).toDecimalPlaces(0);
  const sales = decimal(result.sales[index] ?? '0')
    .times(real)
    .div(orders);
  return { [month]: { orders: real.toFixed(), sales: moneyText(roundMoney(sales, file.currency), file.currency) } };
}
