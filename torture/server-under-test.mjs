// A server that is started, asked, and ended in every way there is; only ever on this computer.
import { spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from '../scripts/setup.mjs';

const STARTS_WITHIN_MS = 60_000;

/** A fresh folder for data. */
export const freshFolder = () => mkdtempSync(join(tmpdir(), 'venalis-torture-'));

/**
 * Starts the built application.
 *
 * @param {string} folder - of its data
 * @param {Record<string, string>} [environment]
 * @returns {Promise<{ address: string, folder: string, pid: number, errors: () => string, end: (signal?: string) => Promise<void> }>}
 */
export async function startServer(folder, environment = {}) {
  const child = spawn(process.execPath, [join(root, 'scripts/serve.mjs')], {
    cwd: root,
    env: { ...process.env, PORT: '0', HOST: '', VENALIS_DATA: folder, ...environment },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let errors = '';
  child.stderr.on('data', (chunk) => (errors += chunk));
  const exited = new Promise((resolve) => child.once('exit', resolve));
  const address = await new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new Error('it did not start in time')), STARTS_WITHIN_MS);
    child.stdout.on('data', (chunk) => {
      const found = /address (\S+)/.exec(chunk.toString())?.[1];
      if (found) resolve(found);
      clearTimeout(timer);
    });
    child.once('exit', (code) => reject(new Error(`it ended with ${code}: ${errors}`)));
  });
  return {
    address,
    folder,
    pid: child.pid ?? 0,
    errors: () => errors,
    async end(signal = 'SIGTERM') {
      child.kill(signal);
      await exited;
    },
  };
}

/** Posts something the way the application’s own pages do. */
export function post(address, path, body, headers = {}) {
  return fetch(`${address}${path}`, {
    method: 'POST',
    body,
    headers: { Origin: address.replace(/\/$/, ''), ...headers },
    redirect: 'manual',
  });
}

/** Imports a decision file and says the decision’s id. */
export async function importDecision(address, text) {
  const response = await post(address, 'decisions/import?intent=keep', text, { 'Content-Type': 'text/plain' });
  const id = /decisions\/([^/]+)\//.exec(response.headers.get('location') ?? '')?.[1];
  if (!id) throw new Error(`the decision was not imported: ${response.status} ${(await response.text()).slice(0, 300)}`);
  return id;
}
