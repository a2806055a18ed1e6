import { amountAt, type CompiledCandidate, type CompiledCharge } from './compiled-candidate';

/**
 * Bounds of a candidate's unrounded total anywhere between two scales, base currency.
 *
 * Quantities beyond an allowance, packages and graduated bands only rise or only fall with the scale, so their
 * ends bound them; volume bands may fall at an edge, so each band's ends are looked at.
 */
export function boundsBetween(candidate: CompiledCandidate, from: number, to: number): [least: number, most: number] {
  const fixed = candidate.fixed.reduce((sum, amount) => sum + amount, 0);
  let least = fixed;
  let most = fixed;
  for (const charge of candidate.charges) {
    let [low, high] = chargeBounds(charge, candidate.fixed.length, from, to);
    if (charge.totalCap !== null) [low, high] = [Math.min(low, charge.totalCap), Math.min(high, charge.totalCap)];
    least += charge.weight * (charge.weight > 0 ? low : high);
    most += charge.weight * (charge.weight > 0 ? high : low);
  }
  return [least, most];
}

function chargeBounds(charge: CompiledCharge, months: number, from: number, to: number): [number, number] {
  let low = 0;
  let high = 0;
  for (let month = 0; month < months; month++) {
    const amounts = [amountAt(charge, month, from), amountAt(charge, month, to), ...edgeAmounts(charge, month, from, to)];
    low += Math.min(...amounts);
    high += Math.max(...amounts);
  }
  return [low, high];
}

/** Amounts of volume bands just before and just behind the edges that lie between two scales. */
function edgeAmounts(charge: CompiledCharge, month: number, from: number, to: number): number[] {
  if (charge.how !== 'volume') return [];
  const growing = charge.growing[month] ?? 0;
  if (growing === 0) return [];
  return charge.bands.flatMap(({ upTo }) => {
    const place = (upTo - (charge.quantity[month] ?? 0)) / growing;
    return place > from && place < to ? [amountAt(charge, month, place), amountAt(charge, month, place * (1 + 1e-9))] : [];
  });
}
