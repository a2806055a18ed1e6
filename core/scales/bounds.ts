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
    const first = amountAt(charge, month, from);
    const last = amountAt(charge, month, to);
    let least = Math.min(first, last);
    let most = Math.max(first, last);
    if (charge.how === 'volume') [least, most] = withEdges(charge, month, from, to, least, most);
    low += least;
    high += most;
  }
  return [low, high];
}

/** Bounds that also hold just before and just behind the edges of volume bands that lie between two scales. */
function withEdges(charge: CompiledCharge, month: number, from: number, to: number, least: number, most: number): [number, number] {
  const growing = charge.growing[month] ?? 0;
  if (growing === 0) return [least, most];
  for (const { upTo } of charge.bands) {
    const place = (upTo - (charge.quantity[month] ?? 0)) / growing;
    if (!(place > from && place < to)) continue;
    const before = amountAt(charge, month, place);
    const behind = amountAt(charge, month, place * (1 + 1e-9));
    least = Math.min(least, before, behind);
    most = Math.max(most, before, behind);
  }
  return [least, most];
}
