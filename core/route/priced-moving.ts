import { decimal } from '../amount/decimal';
import { roundMoney } from '../amount/currencies';
import type { DecisionFile } from '../decision-file/schema';
import type { Moving } from './cheapest-route';
import type { MoveEffort, MovingCosts } from './moving-costs';
import { units } from './segment-dues';

/** What moves cost with own hours at their worth, in minor units of the base currency (decision file §9). */
export function pricedMoving({ currency, hourValue = '0' }: Pick<DecisionFile, 'currency' | 'hourValue'>, moving: MovingCosts): Moving {
  const priced = ({ hours, money }: MoveEffort) => units(currency, roundMoney(decimal(hours).times(hourValue).plus(money), currency));
  return { within: priced(moving.within), between: priced(moving.between), moves: moving.moves, loses: moving.loses };
}
