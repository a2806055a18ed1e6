import { decimal, sum } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import type { DecisionFile } from '../decision-file/schema';
import type { DecisionResult } from './decision-result';

/** What a forecast comes to in an average month; decimals, sales in base currency. */
export interface AverageMonth {
  readonly orders: string;
  readonly sales: string;
}

/** Orders (1 place) and sales (to the minor unit) of an average month of the horizon, without any lift. */
export function averageMonth(file: DecisionFile, result: DecisionResult): AverageMonth {
  const months = Math.max(result.months.length, 1);
  const sales = sum(result.sales.map(decimal)).div(months);
  return {
    orders: sum(result.orders.map(decimal)).div(months).toFixed(4),
    sales: moneyText(roundMoney(sales, file.currency), file.currency),
  };
}
