// What has to be there before anything runs: locked packages, a build that is not stale, a browser for the tests.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url));

const INSTALLED = join(root, 'node_modules/.installed-for-venalis');
const BUILT = join(root, 'build/server/.built-from');
const NODE_BUILT = join(root, 'build/node/.built-from');
const NODE_INPUTS = ['core', 'cli', 'bench', 'vite.cli.config.ts', 'tsconfig.json', 'package.json', 'package-lock.json'];
const BUILD_INPUTS = ['app', 'core', 'data', 'workers', 'public', 'scripts/component-styles.ts', 'vite.config.ts', 'react-router.config.ts', 'tsconfig.json', 'package.json', 'package-lock.json'];

/** Runs a command in the project's folder; ends this process with its code if it fails. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit', shell: process.platform === 'win32', ...options });
  if (error) console.error(`${command} could not be started: ${error.message}`);
  if (status !== 0) process.exit(status ?? 1);
}

/** The command of an installed package. */
export function installedCommand(name) {
  return join(root, 'node_modules/.bin', name);
}

/** Installs the locked packages unless exactly those are there. */
export function ensureInstalled() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 20)) {
    console.error(`Venalis needs Node.js 20.20 or newer; this is ${process.versions.node}.`);
    process.exit(1);
  }
  const wanted = hashOf(['package-lock.json']);
  if (existsSync(INSTALLED) && readFileSync(INSTALLED, 'utf8') === wanted) return;
  // On standard error: standard output may be somebody's JSON.
  console.error('Installing the locked packages; the first time this takes a few minutes …');
  run('npm', ['ci'], { stdio: ['ignore', 2, 2] });
  writeFileSync(INSTALLED, wanted);
}

/** Builds the application unless the build was made from exactly these sources. */
export function ensureBuilt() {
  build(BUILT, BUILD_INPUTS, 'react-router', ['build']);
}

/** Builds what runs in Node.js outside the application, unless it was built from exactly these sources. */
export function ensureNodeBuilt() {
  build(NODE_BUILT, NODE_INPUTS, 'vite', ['build', '--config', 'vite.cli.config.ts', '--logLevel', 'warn']);
}

function build(stamp, inputs, command, args) {
  const wanted = hashOf(inputs);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.error('Building …');
  run(installedCommand(command), args, { env: { ...process.env, NODE_ENV: 'production' }, stdio: ['ignore', 'ignore', 'inherit'] });
  writeFileSync(stamp, wanted);
}

/** Path of a Chromium for the browser tests; installs Debian's where that is possible, else says what to do. */
export function ensureChromium() {
  const named = process.env.CHROMIUM_PATH;
  if (named) {
    if (existsSync(named)) return named;
    console.error(`CHROMIUM_PATH says ${named}, and there is nothing there.`);
    process.exit(1);
  }
  const usual = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];
  const found = () => usual.find((path) => existsSync(path));
  if (found()) return found();
  if (existsSync('/etc/debian_version') && process.getuid?.() === 0) {
    console.log('Installing Debian’s chromium …');
    run('apt-get', ['update', '-qq']);
    run('apt-get', ['install', '-y', '-qq', 'chromium'], { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
    if (found()) return found();
  }
  console.error('The browser tests need Chromium: install your system’s chromium package, or say where one is with CHROMIUM_PATH.');
  process.exit(1);
}

function hashOf(paths) {
  const hash = createHash('sha256');
  for (const path of paths) addTo(hash, path);
  return hash.digest('hex');
}

function addTo(hash, path) {
  const full = join(root, path);
  if (!existsSync(full)) return;
  if (statSync(full).isDirectory()) {
    for (const name of readdirSync(full).sort()) addTo(hash, join(path, name));
    return;
  }
  if (/\.test\.tsx?$/.test(path)) return;
  hash.update(path).update('\0').update(readFileSync(full));
}
