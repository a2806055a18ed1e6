import { decimal, HUNDRED } from '../amount/decimal';

const HOURS_A_YEAR = 8760;

/**
 * Hours a year in which nothing can be sold, by an uptime in percent.
 *
 * @example hoursDown('99.9') // '8.76'
 */
export function hoursDown(uptime: string): string {
  return HUNDRED.minus(uptime).times(HOURS_A_YEAR).div(HUNDRED).toDecimalPlaces(2).toFixed();
}

/** Hours and minutes: '8 h 46 min'. */
export function hoursWords(hours: string): string {
  const minutes = decimal(hours).times(60).round().toNumber();
  const [whole, rest] = [Math.floor(minutes / 60), minutes % 60];
  if (whole === 0) return `${rest} min`;
  return rest === 0 ? `${whole} h` : `${whole} h ${rest} min`;
}
