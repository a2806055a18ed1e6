// What has to be there before anything runs: locked packages, a build that is not stale, a browser for the tests.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url));

const INSTALLED = join(root, 'node_modules/.installed-for-venalis');
/** Notes from what the application was built. */
export const BUILT = join(root, 'build/server/.built-from');
/** The one package that is compiled where no binary can be had. */
const NATIVE = 'better-sqlite3';
const NODE_BUILT = join(root, 'build/node/.built-from');
const NODE_INPUTS = ['core', 'cli', 'data', 'bench', 'world', 'vite.cli.config.ts', 'tsconfig.json', 'package.json', 'package-lock.json'];
const BUILD_INPUTS = [
  'app',
  'core',
  'data',
  'workers',
  'public',
  'scripts/component-styles.ts',
  'vite.config.ts',
  'react-router.config.ts',
  'tsconfig.json',
  'package.json',
  'package-lock.json',
];

/** Runs a command in the project's folder; ends this process with its code if it fails. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    shell: process.platform === 'win32',
    ...options,
  });
  if (error) console.error(`${command} could not be started: ${error.message}`);
  if (status !== 0) process.exit(status ?? 1);
}

/** The command of an installed package. */
export function installedCommand(name) {
  return join(root, 'node_modules/.bin', name);
}

/** Installs the locked packages unless exactly those are there. */
export function ensureInstalled() {
  checkNode();
  if (isInstalled()) return;
  // On standard error: standard output may be somebody's JSON.
  console.error(INSTALLING);
  run('npm', ['ci'], { stdio: ['ignore', 2, 2] });
  noteInstalled();
}

const INSTALLING = 'Installing the locked packages; the first time this takes a few minutes …';
/** Whether exactly the locked packages are installed. */
export const isInstalled = () => existsSync(INSTALLED) && readFileSync(INSTALLED, 'utf8') === hashOf(['package-lock.json']);
const noteInstalled = () => writeFileSync(INSTALLED, hashOf(['package-lock.json']));

/** Why this Node.js does not do; null if it does. */
export function nodeProblem() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  return major < 20 || (major === 20 && minor < 20) ? `Venalis needs Node.js 20.20 or newer; this is ${process.versions.node}.` : null;
}

function checkNode() {
  const problem = nodeProblem();
  if (problem === null) return;
  console.error(problem);
  process.exit(1);
}

/**
 * Installs the locked packages like {@link ensureInstalled}, but only waits for what needs no compiling: types and lint
 * can be checked meanwhile.
 *
 * @returns {Promise<void>} fulfilled when the package that may have to be compiled is there too
 */
export function installInPieces() {
  checkNode();
  if (isInstalled()) return Promise.resolve();
  console.error(INSTALLING);
  run('npm', ['ci', '--ignore-scripts'], { stdio: ['ignore', 2, 2] });
  return new Promise((resolve) => {
    const child = spawn('npm', ['rebuild', NATIVE], {
      cwd: root,
      stdio: ['ignore', 'ignore', 2],
      shell: process.platform === 'win32',
    });
    const done = (code) => {
      if (code !== 0) {
        console.error(`${NATIVE} could not be installed.`);
        process.exit(1);
      }
      noteInstalled();
      resolve();
    };
    child.once('error', () => done(1));
    child.once('exit', done);
  });
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
  run(installedCommand(command), args, {
    env: { ...process.env, NODE_ENV: 'production' },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  writeFileSync(stamp, wanted);
}

// The headless one first: it has no window to draw, and takes a quarter less of the processor in the browser tests.
const HEADLESS = '/usr/bin/chromium-headless-shell';
const CHROMIUMS = [HEADLESS, '/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];
const OFFICES = ['/usr/bin/soffice', '/usr/bin/libreoffice', '/Applications/LibreOffice.app/Contents/MacOS/soffice'];
const firstOf = (paths) => paths.find((path) => existsSync(path)) ?? null;

/** LibreOffice, for the test that recalculates workbooks: what LIBREOFFICE_PATH names or a usual place; null if it is not here. */
export function libreOffice() {
  return firstOf([process.env.LIBREOFFICE_PATH ?? '', ...OFFICES].filter(Boolean));
}

/** Whether the system has any font: without one Chromium ends at the first sign that the application's own fonts lack. */
function hasFonts() {
  return existsSync('/usr/share/fonts') && readdirSync('/usr/share/fonts').length > 0;
}

/**
 * Installs what tests use from Debian's packages, as far as it is missing and this is Debian as root; goes on in the
 * background until it is awaited. Fails in silence: what is missing then is said by whoever needs it.
 */
export async function installDebianPackages() {
  const missing = [
    ...(hasFonts() ? [] : ['fonts-liberation']),
    ...(process.env.CHROMIUM_PATH || existsSync(HEADLESS) ? [] : ['chromium-headless-shell']),
    ...(libreOffice() ? [] : ['libreoffice-calc-nogui']),
  ];
  if (missing.length === 0 || !existsSync('/etc/debian_version') || process.getuid?.() !== 0) return;
  console.log(`Installing from Debian: ${missing.join(', ')} …`);
  const apt = (...args) =>
    new Promise((resolve) => {
      const child = spawn('apt-get', args, {
        stdio: ['ignore', 'ignore', 'inherit'],
        env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      });
      child.once('error', resolve);
      child.once('exit', resolve);
    });
  await apt('update', '-qq');
  // One after the other, so that the browser is there even if the office is not to be had.
  for (const name of missing) await apt('install', '-y', '-qq', '--no-install-recommends', name);
  // Older systems have it in one package with the windowed one.
  if (!process.env.CHROMIUM_PATH && !firstOf(CHROMIUMS)) await apt('install', '-y', '-qq', 'chromium');
}

/** Path of a Chromium for printing, or null. */
export function printingBrowser() {
  return firstOf([process.env.CHROMIUM_PATH ?? '', ...CHROMIUMS].filter(Boolean));
}

/** Path of a Chromium for the browser tests; without one says what to do and ends. */
export function chromiumForTests() {
  const named = process.env.CHROMIUM_PATH;
  const found = named ? firstOf([named]) : firstOf(CHROMIUMS);
  if (found) return found;
  console.error(
    named
      ? `CHROMIUM_PATH says ${named}, and there is nothing there.`
      : 'The browser tests need Chromium: install your system’s chromium package, or say where one is with CHROMIUM_PATH.',
  );
  process.exit(1);
}

/** Installs Chromium where that is possible, and says where it is. */
export async function ensureChromium() {
  await installDebianPackages();
  return chromiumForTests();
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
