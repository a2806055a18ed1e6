// npm run bench: what the application's speed is on this machine. Writes nothing.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { pathToFileURL } from 'node:url';
import { ensureBuilt, ensureChromium, ensureInstalled, ensureNodeBuilt, root } from './setup.mjs';

ensureInstalled();
ensureNodeBuilt();
const { runCoreBench } = await import(pathToFileURL(join(root, 'build/node/core-bench.js')).href);
runCoreBench();
console.log('');
if (process.argv.includes('core')) process.exit(0);

ensureBuilt();
const { chromium } = await import('@playwright/test');
const { chromiumArguments } = await import('./chromium-arguments.mjs');
const { median, percentile, report } = await import('../bench/measure.mjs');
const folder = mkdtempSync(join(tmpdir(), 'venalis-bench-'));
process.env.NODE_ENV = 'production';
process.env.VENALIS_DATA = folder;
process.env.VENALIS_DEMO = join(root, 'demo');
const { serve } = await import('./serve.mjs');
const { address, close } = await serve(0);
const decision = `${address}decisions/larkfell-kites`;

await serverAnswer();
const browser = await chromium.launch({ executablePath: ensureChromium(), args: chromiumArguments() });
await firstPage();
await keystrokeToTotals();
await browser.close();
await close();
rmSync(folder, { recursive: true, force: true });
process.exit(0);

async function serverAnswer() {
  const times = [];
  for (let round = 0; round < 120; round++) {
    const start = performance.now();
    const response = await fetch(`${decision}/line-up`);
    await response.text();
    if (round >= 20) times.push(performance.now() - start);
  }
  report('server answer for a decision, median of 100', median(times), 50, 'ms');
}

async function firstPage() {
  const page = await browser.newPage();
  const scripts = new Set();
  page.on('request', (request) => request.resourceType() === 'script' && scripts.add(new URL(request.url()).pathname));
  await page.goto(`${decision}/line-up`, { waitUntil: 'networkidle' });
  const sizes = [...scripts].map((path) => ({ path, bytes: gzipSync(readFileSync(join(root, 'build/client', path))).length }));
  const total = sizes.reduce((sum, { bytes }) => sum + bytes, 0);
  report('first page (line-up), compressed JavaScript', total / 1000, 350, 'kB');
  for (const { path, bytes } of sizes.sort((a, b) => b.bytes - a.bytes).slice(0, 10)) console.log(`    ${(bytes / 1000).toFixed(1).padStart(7)} kB  ${path.split('/').pop()}`);
  await page.close();
}

async function keystrokeToTotals() {
  const page = await browser.newPage();
  await page.goto(`${decision}/sales`, { waitUntil: 'networkidle' });
  const field = page.getByLabel('Orders a month').first();
  const times = [];
  for (let round = 0; round < 60; round++) {
    // Sets the value the way typing does, and waits in the page until the painted answer has changed.
    const time = await field.evaluate(async (input, value) => {
      const answer = document.querySelector('.standing-sales b');
      const before = answer?.textContent;
      const setValue = Object.getOwnPropertyDescriptor(Object.getPrototypeOf(input), 'value')?.set;
      const start = performance.now();
      setValue?.call(input, value);
      input.dispatchEvent(new Event('input', { bubbles: true }));
      const nextFrame = () => new Promise((resolve) => requestAnimationFrame(() => resolve(undefined)));
      do await nextFrame();
      while (answer?.textContent === before && performance.now() - start < 5000);
      await new Promise((resolve) => setTimeout(resolve, 0));
      return performance.now() - start;
    }, String(100 + round * 7));
    if (round >= 10) times.push(time);
  }
  report('changed number to painted totals, median of 50', median(times), 100, 'ms');
  report('changed number to painted totals, 95th percentile', percentile(times, 0.95), 100, 'ms');
  await page.close();
}
