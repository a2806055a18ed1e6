// npm test: everything that has to hold, from installing to the browser tests.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt, ensureChromium, ensureInstalled, installedCommand, root } from './setup.mjs';

ensureInstalled();
const chromiumPath = ensureChromium();
const reports = mkdtempSync(join(tmpdir(), 'venalis-test-'));
const failed = [];
let passed = 0;
let failures = 0;

function step(name, command, args, environment = {}) {
  console.log(`\n── ${name}`);
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...environment }, shell: process.platform === 'win32' });
  if (status !== 0) failed.push(name);
}

function report(file) {
  try {
    return JSON.parse(readFileSync(join(reports, file), 'utf8'));
  } catch {
    return null;
  }
}

const npmRun = (script) => ['npm', ['run', '--silent', script]];
step('types', ...npmRun('typecheck'));
step('lint and import boundaries', ...npmRun('lint'));

step('unit tests', installedCommand('vitest'), ['run', '--reporter=default', '--reporter=json', `--outputFile=${join(reports, 'unit.json')}`]);
const unit = report('unit.json');
passed += unit?.numPassedTests ?? 0;
failures += unit?.numFailedTests ?? 0;

ensureBuilt();
step('browser tests', installedCommand('playwright'), ['test'], {
  CHROMIUM_PATH: chromiumPath,
  PLAYWRIGHT_JSON_OUTPUT_FILE: join(reports, 'browser.json'),
});
const browser = report('browser.json');
passed += (browser?.stats.expected ?? 0) + (browser?.stats.flaky ?? 0);
failures += browser?.stats.unexpected ?? 0;

rmSync(reports, { recursive: true, force: true });
if (failed.length > 0) console.log(`\nFailed: ${failed.join(', ')}`);
console.log(`${passed} passed, ${failures} failed`);
process.exit(failed.length > 0 || passed === 0 ? 1 : 0);
