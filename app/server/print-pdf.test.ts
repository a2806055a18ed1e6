import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it, vi } from 'vitest';
import { openBrowser } from './open-browser.server';
import { chromiumPath, printPdf } from './print-pdf.server';

const CHROMIUM = chromiumPath();
const page = (body: string, paper = 'A4') =>
  `<!doctype html><html><head><style>@page { size: ${paper}; margin: 10mm }</style></head><body>${body}</body></html>`;

async function read(pdf: Uint8Array): Promise<{ pages: number; size: number[]; text: string }> {
  const document = await getDocument({ data: pdf, verbosity: 0 }).promise;
  const first = await document.getPage(1);
  const { items } = await first.getTextContent();
  return {
    pages: document.numPages,
    size: first.view.slice(2).map(Math.round),
    text: items.map((item) => ('str' in item ? item.str : '')).join(''),
  };
}

describe.skipIf(CHROMIUM === null)('printing to PDF', () => {
  it('is on the paper that the document says', async () => {
    expect(await read(await printPdf(page('Kites')))).toEqual({ pages: 1, size: [595, 842], text: 'Kites' });
    expect((await read(await printPdf(page('Kites', 'letter')))).size).toEqual([612, 792]);
  });

  it('prints what is asked for at the same time one after the other', async () => {
    const texts = await Promise.all(['one', 'two', 'three'].map(async (word) => (await read(await printPdf(page(word)))).text));
    expect(texts).toEqual(['one', 'two', 'three']);
  });

  it('reaches for nothing outside', async () => {
    let asked = 0;
    const server = createServer((_request, response) => {
      asked += 1;
      response.end();
    });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/`;
    await printPdf(
      page(`<img src="${address}a.png"><iframe src="${address}"></iframe><link rel="stylesheet" href="${address}b.css">Kites`),
    );
    server.close();
    expect(asked).toBe(0);
  });

  it('goes on after a browser that has ended, which leaves no profile behind', async () => {
    // Other programs print on this computer too.
    vi.stubEnv('TMPDIR', mkdtempSync(join(tmpdir(), 'venalis-profiles-')));
    const profiles = () => readdirSync(tmpdir()).filter((name) => name.startsWith('venalis-print-')).length;
    const before = profiles();
    const open = await openBrowser(CHROMIUM ?? '');
    expect(profiles()).toBe(before + 1);
    const never = expect(open.send('Runtime.evaluate', { expression: '1' }).then(() => open.send('Page.crash', {}))).rejects.toThrow();
    open.close();
    await open.ended;
    await never;
    expect(profiles()).toBe(before);
    vi.unstubAllEnvs();
    expect((await read(await printPdf(page('again')))).text).toBe('again');
  });

  it('that is under way when the browser dies is printed by another one, and so is what comes after', async () => {
    await printPdf(page('first'));
    const open = await openBrowser(CHROMIUM ?? '');
    open.close();
    await open.ended;
    // Whatever is asked of one that has ended is refused, instead of waited for.
    await expect(open.send('Target.closeTarget', { targetId: 'x' })).rejects.toThrow('The browser has ended');
    const large = page('<p>kites</p>'.repeat(5_000));
    const under = printPdf(large);
    const later = printPdf(page('later'));
    killBrowsers();
    expect((await read(await under)).pages).toBeGreaterThan(50);
    expect((await read(await later)).text).toBe('later');
  });
});

/** Ends every browser that this process has started, as a crash would. */
function killBrowsers(): void {
  for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name))) {
    try {
      const [, , , parent] = readFileSync(`/proc/${pid}/stat`, 'utf8')
        .replace(/\(.*\)/, 'x')
        .split(' ');
      if (Number(parent) === process.pid && readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('remote-debugging-pipe'))
        process.kill(Number(pid), 'SIGKILL');
    } catch {
      // It has ended meanwhile.
    }
  }
}
