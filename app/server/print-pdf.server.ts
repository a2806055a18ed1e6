import { existsSync } from 'node:fs';
import * as z from 'zod';
import { type OpenBrowser, openBrowser } from './open-browser.server';

const USUAL = [
  '/usr/bin/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
  '/Applications/Chromium.app/Contents/MacOS/Chromium',
];
const LONGEST_MS = 30_000;
/** Starting a browser takes longer than printing: it stays for as long as somebody is likely to print again. */
const IDLE_MS = 60_000;

/** Where a Chromium is on this computer: what `CHROMIUM_PATH` names, or a usual place; null if there is none. */
export function chromiumPath(): string | null {
  const named = process.env['CHROMIUM_PATH'];
  return [...(named ? [named] : []), ...USUAL].find((path) => existsSync(path)) ?? null;
}

let browser: Promise<OpenBrowser> | null = null;
let idle: ReturnType<typeof setTimeout> | undefined;
let printing: Promise<unknown> = Promise.resolve();

/** Starts the browser ahead, so that it is there when somebody prints; does nothing without Chromium. */
export function prepareToPrint(): void {
  const path = chromiumPath();
  if (path === null) return;
  void opened(path).catch(() => undefined);
  endWhenIdle();
}

async function opened(path: string): Promise<OpenBrowser> {
  // One that has just ended is still being cleared away.
  if (browser && !(await browser).isOver()) return browser;
  const fresh = openBrowser(path);
  browser = fresh;
  const forget = () => {
    if (browser === fresh) browser = null;
  };
  fresh.then((open) => open.ended.then(forget), forget);
  return fresh;
}

function endWhenIdle(): void {
  clearTimeout(idle);
  idle = setTimeout(() => void browser?.then((open) => open.close()).catch(() => undefined), IDLE_MS);
  idle.unref();
}

/**
 * Prints an HTML document that needs nothing from outside to PDF, on the paper that its style sheet says; one at a time,
 * however many are asked for.
 *
 * @throws if there is no Chromium, or it fails or takes longer than half a minute
 */
export function printPdf(html: string): Promise<Uint8Array<ArrayBuffer>> {
  const printed = printing.then(() => printNow(html));
  printing = printed.catch(() => undefined);
  return printed;
}

async function printNow(html: string): Promise<Uint8Array<ArrayBuffer>> {
  const path = chromiumPath();
  if (path === null) throw new Error('There is no Chromium on this computer');
  clearTimeout(idle);
  const open = await opened(path);
  try {
    return await printedInTime(open, html);
  } catch (error) {
    // A browser that died meanwhile gets one successor; a document that ends every browser is given up.
    if (!open.isOver()) throw error;
    return await printedInTime(await opened(path), html);
  }
}

async function printedInTime(open: OpenBrowser, html: string): Promise<Uint8Array<ArrayBuffer>> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  // One that hangs is ended; nobody waits for it longer, whatever it does.
  const tooLong = new Promise<never>((_resolve, reject) => {
    timer = setTimeout(() => {
      open.close();
      reject(new Error('Printing took too long'));
    }, LONGEST_MS);
  });
  try {
    return await Promise.race([printedBy(open, html), tooLong]);
  } finally {
    clearTimeout(timer);
    endWhenIdle();
  }
}

async function printedBy({ send }: OpenBrowser, html: string): Promise<Uint8Array<ArrayBuffer>> {
  const { targetId } = z.object({ targetId: z.string() }).parse(await send('Target.createTarget', { url: 'about:blank' }));
  try {
    const { sessionId } = z.object({ sessionId: z.string() }).parse(await send('Target.attachToTarget', { targetId, flatten: true }));
    const { frameTree } = z
      .object({ frameTree: z.object({ frame: z.object({ id: z.string() }) }) })
      .parse(await send('Page.getFrameTree', {}, sessionId));
    await send('Network.enable', {}, sessionId);
    // What it needs is in it; nothing is fetched, wherever the page may point.
    await send('Network.setBlockedURLs', { urls: ['http://*', 'https://*', 'ws://*', 'wss://*', 'file://*'] }, sessionId);
    await send('Page.setDocumentContent', { frameId: frameTree.frame.id, html }, sessionId);
    await send('Runtime.evaluate', { expression: 'document.fonts.ready.then(() => true)', awaitPromise: true }, sessionId);
    const { data } = z
      .object({ data: z.base64() })
      .parse(await send('Page.printToPDF', { preferCSSPageSize: true, printBackground: true }, sessionId));
    return new Uint8Array(Buffer.from(data, 'base64'));
  } finally {
    await send('Target.closeTarget', { targetId }).catch(() => undefined);
  }
}
