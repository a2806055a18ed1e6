import { execFile } from 'node:child_process';
import { existsSync } from 'node:fs';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { promisify } from 'node:util';

const USUAL = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome', '/Applications/Chromium.app/Contents/MacOS/Chromium'];
const LONGEST_MS = 30_000;

/** Where a Chromium is on this computer: what `CHROMIUM_PATH` names, or a usual place; null if there is none. */
export function chromiumPath(): string | null {
  const named = process.env['CHROMIUM_PATH'];
  return [...(named ? [named] : []), ...USUAL].find((path) => existsSync(path)) ?? null;
}

/** The page must not reach for anything outside; what it needs is in it. */
const ARGUMENTS = ['--headless', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--disable-extensions', '--host-resolver-rules=MAP * ~NOTFOUND', '--no-pdf-header-footer'];

let printing: Promise<unknown> = Promise.resolve();

/**
 * Prints an HTML document that needs nothing from outside to PDF; one at a time, however many are asked for.
 *
 * @throws if there is no Chromium, or it fails or takes longer than half a minute
 */
export function printPdf(html: string): Promise<Uint8Array<ArrayBuffer>> {
  const printed = printing.then(() => printNow(html));
  printing = printed.catch(() => undefined);
  return printed;
}

async function printNow(html: string): Promise<Uint8Array<ArrayBuffer>> {
  const chromium = chromiumPath();
  if (chromium === null) throw new Error('There is no Chromium on this computer');
  const folder = await mkdtemp(join(tmpdir(), 'venalis-print-'));
  try {
    const [page, pdf] = [join(folder, 'report.html'), join(folder, 'report.pdf')];
    await writeFile(page, html, { mode: 0o600 });
    // Only root needs to go without the browser's own sandbox; the page has no scripts.
    const asRoot = process.getuid?.() === 0 ? ['--no-sandbox'] : [];
    await promisify(execFile)(chromium, [...ARGUMENTS, ...asRoot, `--user-data-dir=${join(folder, 'profile')}`, `--print-to-pdf=${pdf}`, pathToFileURL(page).href], { timeout: LONGEST_MS });
    return new Uint8Array(await readFile(pdf));
  } finally {
    await rm(folder, { recursive: true, force: true, maxRetries: 3 });
  }
}
