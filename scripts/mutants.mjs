// Changes the code in thousands of small wrong ways and counts how many of them the tests beside it notice.
//   npm run mutants                     all folders that have a figure to reach
//   npm run mutants -- core/pricing     one of them
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
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
const REPORTS = join(root, '.mutants');

ensureInstalled();
mkdirSync(REPORTS, { recursive: true });
const asked = process.argv.slice(2);
const rows = (asked.length > 0 ? asked : Object.keys(WANTED)).map((folder) => ({ folder, ...judged(folder) }));
console.log('\n| folder | mutants | noticed | wanted |\n| --- | ---: | ---: | ---: |');
for (const { folder, mutants, percent } of rows)
  console.log(`| ${folder} | ${mutants} | ${percent.toFixed(1)} % | ${wantedOf(folder)} % |`);
if (rows.some(({ folder, percent }) => percent < wantedOf(folder))) process.exitCode = 1;

function wantedOf(path) {
  return WANTED[Object.keys(WANTED).find((folder) => path.startsWith(folder)) ?? ''] ?? 75;
}

/** Mutates a folder, or one file, and lists what was not noticed in .mutants. */
function judged(path) {
  const isFile = path.endsWith('.ts');
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
      mutate: isFile ? [path] : [`${path}/**/*.ts`, `!${path}/**/*.test.ts`, `!${path}/**/*-schema.ts`],
      // What runs when a module is loaded is covered by every test; its mutants would take an hour.
      ignoreStatic: true,
      coverageAnalysis: 'perTest',
      concurrency: Number(process.env.VENALIS_THREADS ?? 2),
      timeoutMS: 20_000,
      reporters: ['progress-append-only', 'json'],
      jsonReporter: { fileName: json },
      tempDirName: '.mutants/sandbox',
      ignorePatterns: ['build', '.mutants', '.demo', 'docs', 'e2e', 'test-results', 'app', 'bench', 'torture'],
      checkers: [],
      allowConsoleColors: false,
      disableTypeChecks: true,
    }),
  );
  const folder = isFile ? path.slice(0, path.lastIndexOf('/')) : path;
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
