// npm run torture [-- --short] [-- NAME…]: holds the promises of docs/reliability.md against what can go wrong. Only ever
// talks to servers that it started itself, on this computer; ends by itself.
import { ensureBuilt, ensureInstalled, ensureNodeBuilt } from './setup.mjs';

const isShort = process.argv.includes('--short');
const only = process.argv.slice(2).filter((name) => !name.startsWith('--'));
const seed = Number(process.env.VENALIS_SEED ?? 20_261_128);
const rounds = (whole, short) => (isShort ? short : whole);

ensureInstalled();
ensureBuilt();
ensureNodeBuilt();

/** What is tried, by name. */
const TRIALS = {
  kills: async () => (await import('../torture/kills.mjs')).kills({ rounds: rounds(500, 3), seed }),
  'power-cuts': async () => (await import('../torture/power-cuts.mjs')).powerCuts({ rounds: rounds(100, 1), seed }),
  migrations: async () => (await import('../torture/migrations.mjs')).migrations({ rounds: rounds(200, 8), seed }),
  restores: async () => (await import('../torture/restores.mjs')).restores({ rounds: rounds(100, 1), seed }),
  'damaged-pages': async () => (await import('../torture/damaged-pages.mjs')).damagedPages({ rounds: rounds(40, 2), seed }),
  'full-disk': async () => (await import('../torture/full-disk.mjs')).fullDisk({ rounds: rounds(10, 1) }),
  fuzz: async () =>
    (await import('../torture/fuzz.mjs')).fuzz({
      rounds: rounds(100_000, 800),
      seed,
      ...(isShort ? { slowestMs: 20_000 } : {}),
    }),
  ...(isShort
    ? {}
    : {
        growth: async () => (await import('../torture/growth.mjs')).growth({ saves: 5_000 }),
        'many-decisions': async () => (await import('../torture/many-decisions.mjs')).manyDecisions({ decisions: 500 }),
      }),
};

const results = [];
for (const [name, trial] of Object.entries(TRIALS)) {
  if (only.length > 0 && !only.includes(name)) continue;
  const begun = performance.now();
  const result = await trial().catch((error) => ({
    promise: name,
    tries: 0,
    lost: 1,
    said: `the trial itself failed: ${error.stack}`,
  }));
  results.push({ ...result, seconds: Math.round((performance.now() - begun) / 1_000) });
  console.error(`${name}: ${results.at(-1)?.seconds} s`);
}

console.log('| promise | tries | losses | seen | seconds |\n| --- | ---: | ---: | --- | ---: |');
for (const { promise, tries, lost, said, seconds } of results) console.log(`| ${promise} | ${tries} | ${lost} | ${said} | ${seconds} |`);
const broken = results.filter(({ lost }) => lost > 0).length;
console.log(`\n${results.length - broken} promises held, ${broken} broken`);
process.exitCode = broken > 0 ? 1 : 0;
