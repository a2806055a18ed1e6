/** The middle value of measurements. */
export function median(values) {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? NaN;
}

/** The value below which a share of measurements lies. */
export function percentile(values, share) {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN;
}

/** Prints one measurement beside its target. */
export function report(name, value, target, unit) {
  const verdict = value <= target ? 'ok' : 'OVER';
  console.log(`${name.padEnd(58)} ${value.toFixed(1).padStart(8)} ${unit.padEnd(3)} target ${target} ${unit}  ${verdict}`);
}
