// What commands that work on the data share.
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureInstalled, ensureNodeBuilt, root } from './setup.mjs';

/** The data's own functions, built; packages are installed first unless that is left to somebody else. */
export async function dataTools({ installs = true } = {}) {
  if (installs) ensureInstalled();
  ensureNodeBuilt();
  return import(pathToFileURL(join(root, 'build/node/data-tools.js')).href);
}

/** Where a command was called; npm itself runs it in the project's folder. */
export function callerFolder() {
  return process.env.INIT_CWD ?? process.cwd();
}

/** Says why a command did nothing, and ends. */
export function refuse(sentence) {
  console.error(sentence);
  process.exit(1);
}
