// Takes one picture of each main view from the demo data, for docs/screenshots; or of one address, for looking.
// Usage: node scripts/screenshots.mjs            all views into docs/screenshots
//        node scripts/screenshots.mjs PATH FILE [WIDTH] [dark] [SELECTOR-TO-CLICK]
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { URLSearchParams } from 'node:url';
import { chromium } from '@playwright/test';
import { chromiumArguments } from './chromium-arguments.mjs';
import { ensureBuilt, ensureChromium, ensureInstalled, root } from './setup.mjs';

const VIEWS = [
  {
    file: 'decisions.png',
    path: '/decisions',
    steps: (page) =>
      page
        .getByText(/working it out/)
        .first()
        .waitFor({ state: 'hidden' }),
  },
  { file: 'start.png', path: '/decisions', steps: beginDecision },
  {
    file: 'expected-sales.png',
    path: '/decisions/larkfell-kites/sales',
    steps: (page) => page.locator('main.work canvas').first().waitFor(),
  },
  { file: 'past-orders.png', path: '/decisions/larkfell-kites/sales/past-orders', steps: replayed },
  { file: 'needs.png', path: '/decisions/larkfell-kites/needs' },
  { file: 'qualities.png', path: '/decisions/larkfell-kites/needs/qualities', click: '[aria-label^="Reviews, Wharfside"]' },
  { file: 'candidates.png', path: '/decisions/larkfell-kites/line-up/candidates', click: '.vendor-taken .figure >> nth=0' },
  { file: 'fit.png', path: '/decisions/larkfell-kites/line-up/fit', click: '.fits .figure >> nth=0', steps: simulated },
  {
    file: 'price-sheet.png',
    path: '/decisions/larkfell-kites/sheets',
    click: '.sheet-list a:has-text("Tidewrack")',
    steps: (page) => page.getByRole('grid').first().waitFor(),
  },
  {
    file: 'line-up.png',
    path: '/decisions/larkfell-kites/line-up',
    steps: (page) => page.getByText(/ begun on /).waitFor(),
  },
  { file: 'chance.png', path: '/decisions/larkfell-kites/what-if/chance', steps: waitedFor },
  { file: 'map.png', path: '/decisions/larkfell-kites/what-if/map', steps: answered },
  { file: 'route.png', path: '/decisions/larkfell-kites/what-if/route', steps: quiet },
  // From here on a verdict is given, the outside world moves on, and real months are entered, one after the other.
  { file: 'verdict.png', path: '/decisions/larkfell-kites/verdict', steps: giveVerdict },
  { file: 'dates.png', path: '/decisions/larkfell-kites/verdict/dates' },
  {
    file: 'report.png',
    path: '/decisions/larkfell-kites/verdict/report',
    steps: (page) => page.frameLocator('iframe').locator('h1').waitFor(),
  },
  { file: 'afterwards.png', path: '/decisions/larkfell-kites/verdict/afterwards', steps: enterMonths },
  { file: 'price-watch.png', path: '/watch', steps: lookAgain },
  { file: 'pricing-page.png', path: '/decisions/larkfell-kites/sheets', height: 1000, steps: pastePage },
];

ensureInstalled();
ensureBuilt();
const folder = mkdtempSync(join(tmpdir(), 'venalis-pictures-'));
process.env.NODE_ENV = 'production';
process.env.VENALIS_DATA = folder;
process.env.VENALIS_DEMO = join(root, 'demo');
process.env.VENALIS_DEMO_DAY = '2026-11-28';
const { startWorld } = await import('./world.mjs');
const world = await startWorld(0);
process.env.VENALIS_WORLD = world.address;
const { serve } = await import('./serve.mjs');
const { address, close } = await serve(0);
const browser = await chromium.launch({ executablePath: await ensureChromium(), args: chromiumArguments() });

async function beginDecision(page) {
  await page.waitForSelector('html[data-live]', { state: 'attached' });
  await page.getByRole('button', { name: 'Begin a decision' }).click();
  await page.getByLabel('Orders a month').fill('120');
  await page.getByLabel('Average order value').fill('48');
  await page
    .getByLabel(/paste it here/)
    .fill('Marlpit\n\nSeed\n19/mo\nCard fee 2.9% + 0.30\n\nGrow\n59/mo\nCard fee 1.9% + 0.20\n\nYard\n129/mo\nCard fee 1.4% + 0.20');
  await page.getByRole('button', { name: 'Read prices' }).click();
  await page.getByRole('button', { name: 'Add to the sheet' }).click();
  await page.getByText(/^saved \d/).waitFor();
  await page.goBack();
  await page.locator('.so-far').waitFor();
  await page.waitForTimeout(1500);
}

async function giveVerdict(page) {
  await page.locator('.conditions').waitFor();
  await page.getByLabel(/^Why\?/).fill('One bill a year, one stock for site and stall, and the club is paid by the month.');
  await page.getByRole('button', { name: 'Give this verdict' }).click();
  await page.locator('.stands').waitFor();
  await page.getByText(/^saved \d/).waitFor();
  await page.evaluate(() => window.scrollTo(0, 0));
  await page.waitForTimeout(300);
}

/** Two months as they went. */
async function enterMonths(page) {
  const figures = {
    January: { Orders: 82, Sales: 2710, 'Fees by sales': 88, 'Plans, other': 708 },
    February: { Orders: 118, Sales: 3905, 'Fees by sales': 121, Surprises: 39 },
  };
  for (const [month, typed] of Object.entries(figures))
    for (const [name, value] of Object.entries(typed)) await page.getByLabel(`${name}, ${month} 2027`, { exact: true }).fill(String(value));
  await quiet(page);
}

/** The outside world is moved on, and looked at. */
async function lookAgain(page) {
  await fetch(`${world.address}/clock`, { method: 'POST', body: new URLSearchParams({ to: '2027-01-20' }), redirect: 'manual' });
  await page.getByRole('button', { name: 'Check all pages' }).click();
  await page.getByRole('region', { name: 'Marlpit' }).waitFor();
  await page.waitForTimeout(300);
}

/** What past orders would have cost stands there. */
async function replayed(page) {
  await page.getByRole('table', { name: 'What past orders would have cost' }).waitFor();
  await page.waitForTimeout(500);
}

/** A vendor's pricing page is pasted into a new sheet. */
async function pastePage(page) {
  await page.getByRole('button', { name: 'Add a vendor' }).click();
  await page.getByLabel('What the page says').focus();
  const text = readFileSync(join(root, 'core/price-page/pages/store-tansy.txt'), 'utf8');
  await page.evaluate((copied) => {
    const data = new window.DataTransfer();
    data.setData('text/plain', copied);
    document.activeElement?.dispatchEvent(new window.ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  }, text);
  await page.locator('.page-lines').getByRole('button', { name: '5 staff accounts', exact: true }).click();
  await page.locator('.page-intake').evaluate((element) => element.scrollIntoView());
  await page.evaluate(() => window.scrollBy(0, -190));
}

/** Waits until an answer is whole and its chart drawn. */
async function answered(page) {
  await page.locator('main.work[aria-busy=false]').waitFor();
  await page.locator('main.work canvas').first().waitFor();
  await page.waitForTimeout(400);
}

async function waitedFor(page) {
  await page.getByText('Other months to decide in').waitFor();
  await quiet(page);
}

/** How often each comes first is there last. */
async function simulated(page) {
  await page
    .getByText(/^\d+ of 100$/)
    .first()
    .waitFor();
}

async function quiet(page) {
  await page.locator('main.work[aria-busy=false]').waitFor();
  await page.waitForTimeout(400);
}

async function picture({ path, file, width = 1280, height = 800, dark = false, click, keys = [], steps }) {
  const page = await browser.newPage({ viewport: { width, height }, colorScheme: dark ? 'dark' : 'light', locale: 'en-GB' });
  page.on('console', (message) => message.type() === 'error' && console.log(`${path}: ${message.text()}`));
  page.on('pageerror', (error) => console.log(`${path}: ${error.message}`));
  await page.goto(new URL(path, address).href, { waitUntil: 'networkidle' });
  if (click) {
    await page.locator(click).click();
    await page.waitForTimeout(500);
  }
  const [focus, ...presses] = keys;
  if (focus) await page.locator(focus).focus();
  for (const key of presses) await page.keyboard.press(key);
  await steps?.(page);
  await page.waitForLoadState('networkidle');
  await page.screenshot({ path: file });
  await page.close();
  console.log(file);
}

const [path, file, width, ...rest] = process.argv.slice(2);
if (path && file)
  await picture({ path, file, width: Number(width ?? 1280), dark: rest.includes('dark'), click: rest.find((one) => one !== 'dark') });
else for (const view of VIEWS) await picture({ ...view, file: join(root, 'docs/screenshots', view.file) });
await browser.close();
await close();
rmSync(folder, { recursive: true, force: true });
process.exit(0);
