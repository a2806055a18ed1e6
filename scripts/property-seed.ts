import fc from 'fast-check';

/**
 * Property tests try the same cases everywhere, so that what passes here passes on the next machine too.
 * VENALIS_SEED=n (any whole number) tries others; the seed of a failure is printed with it.
 */
const DEFAULT_SEED = 20_261_124;

fc.configureGlobal({ seed: Number(process.env['VENALIS_SEED'] ?? DEFAULT_SEED) });
