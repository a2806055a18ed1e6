import type { CompiledCandidate } from './compiled-candidate';
import { sumRange } from './form-ranges';

/** Bounds of a candidate's unrounded total anywhere between two scales, base currency. */
export function boundsBetween({ fixed, charges }: CompiledCandidate, from: number, to: number): [least: number, most: number] {
  const always = fixed.reduce((sum, amount) => sum + amount, 0);
  let [least, most] = [always, always];
  for (const { form, weight } of charges) {
    const [low, high] = sumRange(form, fixed.length, from, to);
    least += weight * (weight > 0 ? low : high);
    most += weight * (weight > 0 ? high : low);
  }
  return [least, most];
}
