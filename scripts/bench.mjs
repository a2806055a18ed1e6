// npm run bench: what the application's speed is on this machine. Writes nothing.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { pathToFileURL } from 'node:url';
import { ensureBuilt, ensureChromium, ensureInstalled, ensureNodeBuilt, root } from './setup.mjs';

ensureInstalled();
ensureNodeBuilt();
const { runCoreBench, proposalBenchDecision } = await import(pathToFileURL(join(root, 'build/node/core-bench.js')).href);
if (!['what-if', 'files', 'orders'].includes(process.argv[2])) runCoreBench();
console.log('');
if (process.argv.includes('core')) process.exit(0);

ensureBuilt();
const { chromium } = await import('@playwright/test');
const { chromiumArguments } = await import('./chromium-arguments.mjs');
const { median, percentile, report } = await import('../bench/measure.mjs');
const { whatIfInTheBrowser } = await import('../bench/what-if-in-the-browser.mjs');
const { verdictFiles } = await import('../bench/verdict-files.mjs');
const { openingPlaces } = await import('../bench/opening-places.mjs');
const { readingOrders } = await import('../bench/reading-orders.mjs');
const { wideLineUp } = await import('../bench/wide-line-up.mjs');
const folder = mkdtempSync(join(tmpdir(), 'venalis-bench-'));
process.env.NODE_ENV = 'production';
process.env.VENALIS_DATA = folder;
process.env.VENALIS_DEMO = join(root, 'demo');
process.env.VENALIS_DEMO_DAY = '2026-11-28';
const { serve } = await import('./serve.mjs');
const { address, close } = await serve(0);
const decision = `${address}decisions/larkfell-kites`;
/** A quick typist's pace; what is saved and worked out beside goes on meanwhile, as it does then. */
const BETWEEN_KEYS_MS = 200;

const only = process.argv[2];
if (!['what-if', 'files', 'orders'].includes(only)) await serverAnswer();
const browser = await chromium.launch({ executablePath: await ensureChromium(), args: chromiumArguments() });
if (only === 'files' || only === 'orders') {
  if (only === 'files') await verdictFiles(decision, await takeIn(wideLineUp()));
  else await readingOrders(browser, decision, folder);
  await browser.close();
  await close();
  rmSync(folder, { recursive: true, force: true });
  process.exit(0);
}
if (only !== 'what-if') {
  await firstPage();
  await keystrokeToTotals();
  await sheetEdits();
  await sheetOpening();
  await openingPlaces(browser, decision);
  await proposalsBesideTheInterface();
  await readingOrders(browser, decision, folder);
}
const wide = await takeIn(wideLineUp());
if (only !== 'what-if') await verdictFiles(decision, wide);
await whatIfInTheBrowser(browser, wide);
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
  // What works beside the page does not keep it from being shown.
  const beside = new Set();
  page.on('worker', (worker) => beside.add(new URL(worker.url()).pathname));
  await page.goto(`${decision}/line-up`, { waitUntil: 'networkidle' });
  for (const path of beside) scripts.delete(path);
  const sizes = [...scripts].map((path) => ({ path, bytes: gzipSync(readFileSync(join(root, 'build/client', path))).length }));
  const total = sizes.reduce((sum, { bytes }) => sum + bytes, 0);
  report('first page (line-up), compressed JavaScript', total / 1000, 330, 'kB');
  for (const { path, bytes } of sizes.sort((a, b) => b.bytes - a.bytes).slice(0, 10))
    console.log(`    ${(bytes / 1000).toFixed(1).padStart(7)} kB  ${path.split('/').pop()}`);
  await page.close();
}

/** A vendor of 12 plans with 60 rows of prices, fees, limits and features, in a decision of its own. */
function largeDecision() {
  const plan = (at) => ({
    id: `p${at}`,
    label: `Plan ${at}`,
    currency: 'EUR',
    terms: [1, 3, 6, 12, 24, 36].map((months) => ({ id: `t${months}`, months, price: String(months * (10 + at)) })),
    charges: Array.from({ length: 14 }, (_, row) => ({
      id: `c${at}-${row}`,
      label: `Fee ${row}`,
      bucket: row % 2 ? 'payment' : 'transaction',
      how: 'per-order',
      percent: `1.${row}`,
      each: '0.05',
    })),
    limits: Object.fromEntries(Array.from({ length: 20 }, (_, row) => [`quantity-${row}`, String(1000 + row)])),
    features: Object.fromEntries(Array.from({ length: 20 }, (_, row) => [`feature-${row}`, row % 3 === 0])),
  });
  return {
    format: 'venalis.decision',
    version: 1,
    name: 'A large sheet',
    currency: 'EUR',
    start: '2027-01',
    months: 24,
    forecast: { streams: [{ id: 's', label: 'Goods', kind: 'goods', orders: '100', orderValue: '40' }] },
    offers: [
      { id: 'large', vendor: 'Large', label: 'Large', kind: 'store-platform', plans: Array.from({ length: 12 }, (_, at) => plan(at)) },
    ],
    candidates: Array.from({ length: 12 }, (_, at) => ({
      id: String.fromCharCode(65 + at),
      label: `Plan ${at}`,
      plans: [{ plan: `p${at}`, term: 't1' }],
    })),
  };
}

async function sheetEdits() {
  const page = await browser.newPage();
  await page.goto(`${await takeIn(largeDecision())}/sheets`, { waitUntil: 'networkidle' });
  await page.locator('.sheet-list a').first().click();
  await page.waitForSelector('.sheet-table td.cell');
  console.log(
    `    the sheet has ${(await page.locator('.sheet-table').first().locator('thead th').count()) - 2} plans and ${await page.locator('tr:has(> td.cell)').count()} rows`,
  );
  const painted = () => page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => setTimeout(() => resolve(undefined), 0))));
  const typed = [];
  const taken = [];
  for (let round = 0; round < 30; round++) {
    await page.locator('[data-at="1 5"]').click();
    await painted();
    await page.keyboard.type('1');
    typed.push(
      ...(await page.locator('.cell.is-edited input').evaluate(async (input) => {
        const times = [];
        for (const text of ['12', '123', '1234', '1234.5']) {
          const start = performance.now();
          Object.getOwnPropertyDescriptor(Object.getPrototypeOf(input), 'value')?.set?.call(input, text);
          input.dispatchEvent(new Event('input', { bubbles: true }));
          await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)));
          times.push(performance.now() - start);
        }
        return times;
      })),
    );
    taken.push(
      await page.locator('.cell.is-edited input').evaluate(
        async (input, value) => {
          Object.getOwnPropertyDescriptor(Object.getPrototypeOf(input), 'value')?.set?.call(input, value);
          input.dispatchEvent(new Event('input', { bubbles: true }));
          await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)));
          const start = performance.now();
          input.dispatchEvent(new window.KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }));
          await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)));
          return performance.now() - start;
        },
        String(40 + round),
      ),
    );
  }
  report('sheet of 12 plans: a typed character to paint, median', median(typed), 50, 'ms');
  report('sheet of 12 plans: a figure taken over to paint, median', median(taken.slice(5)), 50, 'ms');
  await page.close();
}

/** Takes a decision in and says its address. */
async function takeIn(document) {
  const kept = await fetch(`${address}decisions/import?intent=keep`, {
    method: 'POST',
    body: JSON.stringify(document),
    headers: { 'Content-Type': 'text/plain', Origin: address.replace(/\/$/, '') },
    redirect: 'manual',
  });
  return `${address}decisions/${/decisions\/([^/]+)\//.exec(kept.headers.get('location') ?? '')?.[1]}`;
}

/** A change on 30 platforms: until all is proposed again, and the longest time in which nothing could be painted. */
async function proposalsBesideTheInterface() {
  const page = await browser.newPage();
  await page.goto(`${await takeIn(proposalBenchDecision())}/line-up/candidates`, { waitUntil: 'networkidle' });
  await page.waitForFunction(
    () =>
      document.querySelectorAll('.vendor-block').length === 30 &&
      document.querySelector('[aria-label="Proposed"]')?.getAttribute('aria-busy') === 'false',
  );
  const [waits, gaps] = [[], []];
  for (let round = 0; round < 8; round++) {
    const { wait, gap } = await page.evaluate(async () => {
      const isBusy = () => document.querySelector('[aria-label="Proposed"]')?.getAttribute('aria-busy') === 'true';
      const nextFrame = () => new Promise((resolve) => requestAnimationFrame(() => resolve(undefined)));
      const button = [...document.querySelectorAll('button')].find((one) => one.textContent === 'Build your own');
      const start = performance.now();
      button?.click();
      await nextFrame();
      await nextFrame();
      let longest = 0;
      let last = performance.now();
      while (isBusy() && performance.now() - start < 20_000) {
        await nextFrame();
        longest = Math.max(longest, performance.now() - last);
        last = performance.now();
      }
      return { wait: performance.now() - start, gap: longest };
    });
    waits.push(wait);
    gaps.push(gap);
  }
  report('30 platforms: a change until all is proposed again, in a worker', median(waits), 1500, 'ms');
  report('  the longest time without a frame meanwhile, median', median(gaps), 100, 'ms');
  await page.close();
}

async function sheetOpening() {
  const times = [];
  const page = await browser.newPage();
  await page.goto(`${decision}/sheets`, { waitUntil: 'networkidle' });
  for (let round = 0; round < 12; round++) {
    await page.locator('.sheet-list a', { hasText: 'Brindle' }).click();
    await page.waitForFunction(() => document.querySelector('.sheet-name input')?.getAttribute('value') === 'Brindle Sites');
    times.push(
      await page.evaluate(async () => {
        const link = [...document.querySelectorAll('.sheet-list a')].find((one) => one.textContent?.includes('Tidewrack'));
        const start = performance.now();
        link?.click();
        const nextFrame = () => new Promise((resolve) => requestAnimationFrame(() => resolve(undefined)));
        do await nextFrame();
        while (
          document.querySelector('.sheet-name input')?.getAttribute('value') !== 'Tidewrack Stores' &&
          performance.now() - start < 5000
        );
        await new Promise((resolve) => setTimeout(resolve, 0));
        return performance.now() - start;
      }),
    );
  }
  report('opening the demo’s largest sheet, median of 10', median(times.slice(2)), 300, 'ms');
  await page.close();
}

async function keystrokeToTotals() {
  const page = await browser.newPage();
  await page.goto(`${decision}/sales`, { waitUntil: 'networkidle' });
  const field = page.getByLabel('Orders a month').first();
  const [typed, totals] = [[], []];
  for (let round = 0; round < 60; round++) {
    // Sets the value the way typing does; then waits until that is painted, and until the answer has changed.
    const times = await field.evaluate(
      async (input, value) => {
        const answer = document.querySelector('.standing-sales b');
        const before = answer?.textContent;
        const setValue = Object.getOwnPropertyDescriptor(Object.getPrototypeOf(input), 'value')?.set;
        const nextFrame = () => new Promise((resolve) => requestAnimationFrame(() => resolve(undefined)));
        const painted = () => new Promise((resolve) => setTimeout(resolve, 0));
        const start = performance.now();
        // Asked for before the page asks for anything of its own, so that what it does after painting is not counted.
        const shown = nextFrame().then(painted);
        setValue?.call(input, value);
        input.dispatchEvent(new Event('input', { bubbles: true }));
        await shown;
        const character = performance.now() - start;
        while (answer?.textContent === before && performance.now() - start < 5000) await nextFrame();
        await painted();
        return { character, total: performance.now() - start };
      },
      String(100 + round * 7),
    );
    if (round >= 10) {
      typed.push(times.character);
      totals.push(times.total);
    }
    await page.waitForTimeout(BETWEEN_KEYS_MS);
  }
  report('typed figure to paint, median of 50', median(typed), 50, 'ms');
  report('changed number to painted totals, median of 50', median(totals), 100, 'ms');
  report('changed number to painted totals, 95th percentile', percentile(totals, 0.95), 100, 'ms');
  await page.close();
}
