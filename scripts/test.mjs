// npm test: everything that has to hold, from installing to the browser tests.
import { Buffer } from 'node:buffer';
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromiumForTests, installDebianPackages, installInPieces, installedCommand, libreOffice, root } from './setup.mjs';

// Packages of the system come while those of the project are installed and compiled.
const systemPackages = installDebianPackages();
const native = installInPieces();

const reports = mkdtempSync(join(tmpdir(), 'venalis-test-'));
const failed = [];
let passed = 0;
let failures = 0;

/** Runs a command; its output comes in one piece when it has ended, so that two can run beside each other. */
function step(name, command, args, { environment = {}, isLive = false } = {}) {
  return new Promise((resolve) => {
    const begun = Date.now();
    const output = [];
    const child = spawn(command, args, {
      cwd: root,
      stdio: ['ignore', isLive ? 'inherit' : 'pipe', isLive ? 'inherit' : 'pipe'],
      env: { ...process.env, ...environment },
      shell: process.platform === 'win32',
    });
    if (isLive) console.log(`\n── ${name}`);
    for (const stream of [child.stdout, child.stderr]) stream?.on('data', (chunk) => output.push(chunk));
    const done = (status) => {
      if (!isLive) console.log(`\n── ${name}\n${Buffer.concat(output).toString()}`);
      console.log(`── ${name}: ${Math.round((Date.now() - begun) / 1000)} s`);
      if (status !== 0) failed.push(name);
      resolve(status === 0);
    };
    child.once('error', (error) => done(error.message));
    child.once('exit', done);
  });
}

function report(file) {
  try {
    return JSON.parse(readFileSync(join(reports, file), 'utf8'));
  } catch {
    return null;
  }
}

const npmRun = (script) => ['npm', ['run', '--silent', script]];
await step('generated types', installedCommand('react-router'), ['typegen']);
// Beside each other, since the browser tests and the torture mostly wait. Building needs the native packages, which come
// while types are looked at.
const typed = step('types', installedCommand('tsc'), ['--noEmit']);
const linted = typed.then(() => step('lint and import boundaries', ...npmRun('lint')));
const built = Promise.all([typed, native]).then(() =>
  step('build', 'node', ['-e', "import('./scripts/setup.mjs').then((setup) => (setup.ensureBuilt(), setup.ensureNodeBuilt()))"]),
);
await Promise.all([native, systemPackages]);
const chromiumPath = chromiumForTests();
const office = libreOffice();
if (office === null)
  console.log(
    'LibreOffice is not here and cannot be installed: the one test that recalculates workbooks is skipped (Debian: libreoffice-calc-nogui).',
  );

const browserTests = () =>
  // A browser that did not come up on a busy machine is tried once more; the list names such a test as flaky.
  step('browser tests', installedCommand('playwright'), ['test', '--retries=1'], {
    isLive: true,
    environment: { CHROMIUM_PATH: chromiumPath, PLAYWRIGHT_JSON_OUTPUT_FILE: join(reports, 'browser.json') },
  });
const unitTests = () =>
  step(
    'unit tests',
    installedCommand('vitest'),
    // Tests that start processes and wait for them get a second try on a busy machine; wrong results fail twice.
    ['run', '--retry=1', '--reporter=default', '--reporter=json', `--outputFile=${join(reports, 'unit.json')}`],
    { environment: office === null ? {} : { LIBREOFFICE_PATH: office } },
  );
await Promise.all([
  linted,
  unitTests(),
  built.then(browserTests),
  // What is promised about data, against what can go wrong; npm run torture tries it at length.
  built.then(() => step('torture, short form', 'node', ['scripts/torture.mjs', '--short'])),
]);
const unit = report('unit.json');
passed += unit?.numPassedTests ?? 0;
failures += unit?.numFailedTests ?? 0;
const browser = report('browser.json');
passed += (browser?.stats.expected ?? 0) + (browser?.stats.flaky ?? 0);
failures += browser?.stats.unexpected ?? 0;

rmSync(reports, { recursive: true, force: true });
if (failed.length > 0) console.log(`\nFailed: ${failed.join(', ')}`);
// Once more at the end, where a long output is read first.
const failedTests = (unit?.testResults ?? []).flatMap(({ name, assertionResults }) =>
  assertionResults
    .filter(({ status }) => status === 'failed')
    .map(({ fullName, failureMessages }) => `${name}: ${fullName}\n  ${failureMessages[0]?.split('\n')[0] ?? ''}`),
);
for (const one of failedTests) console.log(one);
console.log(`${passed} passed, ${failures} failed`);
process.exit(failed.length > 0 || passed === 0 ? 1 : 0);
