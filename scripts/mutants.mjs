// Changes the code in thousands of small wrong ways and counts how many of them the tests beside it notice.
//   npm run mutants                     all folders that have a figure to reach
//   npm run mutants -- core/pricing     one of them
//   npm run mutants -- core/pricing --quarter=2   one of four quarters of its lines, each spread evenly: four times as quick
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureInstalled, installedCommand, root } from './setup.mjs';
import { spawnSync } from 'node:child_process';

/** Folders, and which part of their mutants has to be noticed, in percent. */
const WANTED = {
  'core/pricing': 85,
  'core/forecast': 85,
  'core/route': 85,
  'core/proposals': 85,
  'core/rules': 85,
  'core/scales': 75,
  'core/price-phrase': 75,
  'core/price-checks': 75,
  'core/verdict': 75,
  'core/dates': 75,
};
/** Long enough for most functions' statements to stand in one. */
const BLOCK_LINES = 15;
const REPORTS = join(root, '.mutants');

ensureInstalled();
mkdirSync(REPORTS, { recursive: true });
const quarter = process.argv.map((one) => /^--quarter=([1-4])$/.exec(one)?.[1]).find(Boolean);
const asked = process.argv.slice(2).filter((one) => !one.startsWith('--quarter'));
const rows = (asked.length > 0 ? asked : Object.keys(WANTED)).map((folder) => ({ folder, ...judged(folder) }));
console.log('\n| folder | mutants | noticed | wanted |\n| --- | ---: | ---: | ---: |');
for (const { folder, mutants, percent } of rows)
  console.log(`| ${folder} | ${mutants} | ${percent.toFixed(1)} % | ${wantedOf(folder)} % |`);
if (rows.some(({ folder, percent }) => percent < wantedOf(folder))) process.exitCode = 1;

function wantedOf(path) {
  return WANTED[Object.keys(WANTED).find((folder) => path.startsWith(folder)) ?? ''] ?? 75;
}

function sourcesIn(path) {
  if (path.endsWith('.ts')) return [path];
  return readdirSync(join(root, path), { recursive: true })
    .map((name) => `${path}/${name}`)
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && !name.endsWith('-schema.ts'))
    .sort();
}

/** Every fourth block of lines through all files; what reaches beyond its block is left out, which is noticed more often than the rest. */
function quarterOf(files, which) {
  let block = 0;
  return files.flatMap((file) => {
    const lines = readFileSync(join(root, file), 'utf8').split('\n').length;
    return Array.from({ length: Math.ceil(lines / BLOCK_LINES) }, (_, at) => at * BLOCK_LINES + 1)
      .filter(() => block++ % 4 === which - 1)
      .map((first) => `${file}:${first}-${Math.min(lines, first + BLOCK_LINES - 1)}`);
  });
}

/** Mutates a folder, or one file, and lists what was not noticed in .mutants. */
function judged(path) {
  const name = path.replaceAll('/', '-');
  const json = join(REPORTS, `${name}.json`);
  rmSync(json, { force: true });
  const config = join(REPORTS, `${name}.config.json`);
  writeFileSync(
    config,
    JSON.stringify({
      testRunner: 'vitest',
      vitest: { configFile: 'vitest.mutants.config.ts', related: false },
      plugins: ['@stryker-mutator/vitest-runner'],
      mutate: quarter ? quarterOf(sourcesIn(path), Number(quarter)) : sourcesIn(path),
      // What runs when a module is loaded is covered by every test; its mutants would take an hour.
      ignoreStatic: true,
      coverageAnalysis: 'perTest',
      concurrency: Number(process.env.VENALIS_THREADS ?? 2),
      timeoutMS: 8_000,
      reporters: ['progress-append-only', 'json'],
      jsonReporter: { fileName: json },
      tempDirName: '.mutants/sandbox',
      ignorePatterns: ['build', '.mutants', '.demo', 'docs', 'e2e', 'test-results', 'app', 'bench', 'torture'],
      checkers: [],
      allowConsoleColors: false,
      disableTypeChecks: true,
    }),
  );
  const folder = path.endsWith('.ts') ? path.slice(0, path.lastIndexOf('/')) : path;
  const { status } = spawnSync(installedCommand('stryker'), ['run', config], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, VENALIS_MUTATED: folder },
  });
  if (!existsSync(json)) {
    console.error(`${path}: no report was written (exit code ${status}).`);
    process.exit(1);
  }
  return counted(JSON.parse(readFileSync(json, 'utf8')), join(REPORTS, `${name}.txt`));
}

function counted({ files }, list) {
  const all = Object.entries(files).flatMap(([file, { mutants, source }]) => {
    const lines = source.split('\n');
    return mutants.map((mutant) => ({ file, line: lines[mutant.location.start.line - 1], ...mutant }));
  });
  const noticed = all.filter(({ status }) => status === 'Killed' || status === 'Timeout').length;
  const left = all.filter(({ status }) => status === 'Survived' || status === 'NoCoverage');
  const told = ({ file, location, status, mutatorName, replacement = '', line = '' }) =>
    `${file}:${location.start.line}:${location.start.column} ${status} ${mutatorName}: ${replacement.slice(0, 100).replaceAll('\n', ' ')}\n    ${line.trim()}`;
  writeFileSync(list, `${left.map(told).join('\n')}\n`);
  const mutants = noticed + left.length;
  return { mutants, percent: mutants === 0 ? 100 : (100 * noticed) / mutants };
}
