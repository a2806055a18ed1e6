const WARM_MS = 500;

/**
 * Milliseconds of one run, the median of several; what `prepare` makes anew for each run is not counted. Half as many
 * runs go before, and half a second at least, not counted either: the first ones measure how the engine compiles the code,
 * not the code.
 */
export function time<Prepared>(rounds: number, run: (prepared: Prepared) => unknown, prepare?: () => Prepared): number {
  const times: number[] = [];
  const before = Math.ceil(rounds / 2) + 1;
  const begun = performance.now();
  for (let round = 0; times.length < rounds; round++) {
    const prepared = prepare?.() as Prepared;
    const start = performance.now();
    run(prepared);
    const isWarm = round >= before && start - begun >= WARM_MS;
    if (isWarm) times.push(performance.now() - start);
  }
  return times.sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? NaN;
}

/** One line of the benchmark: what, how long, and whether that is within the target, if there is one. */
export function row(name: string, measured: number, target: number | null, note = ''): void {
  const verdict = target === null ? '' : `target ${String(target).padStart(5)} ms  ${measured <= target ? 'ok  ' : 'OVER'}`;
  console.log(`${name.padEnd(62)} ${measured.toFixed(measured < 1 ? 3 : 1).padStart(9)} ms  ${verdict} ${note}`);
}
