import { decimal } from '../amount/decimal';
import { monthsFrom } from '../calendar/month';
import { exactReading } from '../pricing/exact-reading';
import { type ChargeRule, chargeRule } from '../rules/charges/charge-rule';
import type { Counted } from '../rules/charges/kind';
import type { Charge } from '../rules/charges/kinds';
import { figure, NOTHING, percentage } from '../rules/expression/build';
import type { Expression, FigurePlace } from '../rules/expression/expression';
import { partsOf } from '../rules/expression/parts';

const at = (field: string, line: FigurePlace['line'] = 'charge', id = 'c'): FigurePlace => ({ part: 'p', line, id, field });
const QUANTITY: Expression = { is: 'quantity', id: 'q', streams: null };
const SALES: Expression = { is: 'quantity', id: 'sales', streams: null };

/** Counts one quantity, whatever a charge is on. */
const counted: Counted = {
  quantity: QUANTITY,
  orders: QUANTITY,
  sales: SALES,
  streams: [{ label: 's', orders: QUANTITY, sizes: [{ share: null, value: { is: 'quantity', id: 'value', streams: null } }] }],
  figure: (field, value, otherwise) => figure(value, at(field), otherwise),
  percentage: (field, value) => percentage(value, at(field)),
  bands: (bands) =>
    bands.map(({ upTo, each, percent, flat }, index) => ({
      upTo: upTo === null ? null : figure(upTo, at('upTo', 'band', `c ${index}`)),
      each: figure(each, at('each', 'band', `c ${index}`)),
      percent: percentage(percent, at('percent', 'band', `c ${index}`)),
      flat: figure(flat, at('flat', 'band', `c ${index}`)),
    })),
  free: (allowance) => (typeof allowance === 'string' ? figure(allowance, at('free')) : NOTHING),
};

/** A charge as a rule over one quantity. */
export function ruleOver(charge: Charge): ChargeRule {
  return chargeRule(charge, counted);
}

/** What an expression comes to from January 2027 on, where the quantity is what is given, each order worth ten. */
export function valuesOver(expression: Expression, quantities: readonly number[]): string[] {
  const months = quantities.map((quantity) => decimal(quantity));
  const forecast = {
    months: monthsFrom('2027-01', months.length),
    streams: [],
    orders: months,
    sales: months.map((quantity) => quantity.times(10)),
    quantities: new Map([
      ['q', months],
      ['sales', months.map((quantity) => quantity.times(10))],
      ['value', months.map(() => decimal(10))],
    ]),
  };
  return exactReading({ forecast, rate: () => decimal(1) })
    .of(expression)
    .map((amount) => amount.toFixed());
}

/** What a charge comes to in each month. */
export const amountsOver = (charge: Charge, quantities: readonly number[]) => valuesOver(ruleOver(charge).amount, quantities);

/** The figures of a document that an expression rests on, as `line id field`. */
export function placesIn(expression: Expression): string[] {
  if (expression.is === 'figure') return expression.at ? [`${expression.at.line} ${expression.at.id} ${expression.at.field}`] : [];
  const stated = expression.is === 'bands' ? expression.bands.flatMap(({ upTo, each, percent, flat }) => [upTo, each, percent, flat]) : [];
  const inBands = stated.flatMap((one) => (one ? placesIn(one) : []));
  return [...inBands, ...partsOf(expression).flatMap(placesIn)];
}
