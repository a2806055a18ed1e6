import fc from 'fast-check';
import { afterAll, vi } from 'vitest';

/**
 * Property tests try the same cases everywhere, so that what passes here passes on the next machine too.
 * VENALIS_SEED=n (any whole number) tries others; the seed of a failure is printed with it.
 */
const DEFAULT_SEED = 20_261_124;

const seed = Number(process.env['VENALIS_SEED'] ?? DEFAULT_SEED);
// Where every test is run again for each of thousands of mutants, a property may take so many milliseconds.
const isMutated = process.env['VENALIS_MUTATED'] !== undefined;
fc.configureGlobal(isMutated ? { seed, interruptAfterTimeLimit: 400, markInterruptAsFailure: false } : { seed });

// Test files share what they load: none leaves clocks or globals of its own to the next.
afterAll(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
  vi.unstubAllEnvs();
  vi.restoreAllMocks();
});
