// A million past orders read in the browser's worker, beside how quickly the machine reads the file at all.
import { createWriteStream, readdirSync, readFileSync, statSync } from 'node:fs';
import { finished } from 'node:stream/promises';
import { clearInterval, setInterval } from 'node:timers';
import { TextDecoder } from 'node:util';
import { report } from './measure.mjs';

const ROWS = 1_000_000;
const ROWS_A_PIECE = 10_000;

/** Reads a made-up export of a million orders, as it is dropped on the page; nothing of it is kept. */
export async function readingOrders(browser, decision, folder) {
  const file = `${folder}/orders.csv`;
  await writeOrders(file);
  const start = performance.now();
  const characters = new TextDecoder().decode(readFileSync(file)).length;
  const plainly = performance.now() - start;
  const page = await browser.newPage();
  await page.goto(`${decision}/sales/past-orders`, { waitUntil: 'networkidle' });
  const before = processMemory();
  const watch = watchedMemory();
  const begun = performance.now();
  await page.locator('.order-files input[type=file]').setInputFiles(file);
  await page.locator('.export-review').waitFor({ timeout: 120_000 });
  const read = performance.now() - begun;
  const most = watch.stop();
  const found = await page.locator('.export-review h3').textContent();
  console.log(`    ${found}; ${(statSync(file).size / 1e6).toFixed(0)} MB, ${(characters / 1e6).toFixed(0)} million characters`);
  report('1,000,000 rows of an export, read in the browser', read, 20_000, 'ms');
  console.log(`    the machine reads the file, and decodes it, in ${plainly.toFixed(0)} ms: ${(read / plainly).toFixed(0)} × as long`);
  report('  memory of the browser while it reads, beyond before', (most - before) / 1e6, 300, 'MB');
  await page.close();
}

async function writeOrders(file) {
  const stream = createWriteStream(file);
  stream.write('Order number,Placed at,Customer,E-mail,Country,Sold at,Paid with,Currency,Total,Refunded,Status\n');
  for (let from = 0; from < ROWS; from += ROWS_A_PIECE) {
    const rows = Array.from({ length: ROWS_A_PIECE }, (_, index) => rowOf(from + index));
    if (!stream.write(`${rows.join('\n')}\n`)) await new Promise((resolve) => stream.once('drain', resolve));
  }
  stream.end();
  await finished(stream);
}

function rowOf(at) {
  const day = new Date(Date.UTC(2025, 10, 1) + Math.floor((at / ROWS) * 365) * 86_400_000).toISOString().slice(0, 10);
  const who = `Somebody Number ${at},somebody.number.${at}@example.invalid`;
  const where = at % 3 === 0 ? 'Portugal,Web shop' : 'Germany,Festival';
  return `B-${at},${day} 10:${String(at % 60).padStart(2, '0')},${who},${where},card,EUR,${(10 + (at % 9_000) / 100).toFixed(2)},0.00,paid`;
}

/** Memory of the browser's processes that draw and work, in bytes. */
function processMemory() {
  let sum = 0;
  for (const id of readdirSync('/proc').filter((name) => /^\d+$/.test(name)))
    try {
      if (!readFileSync(`/proc/${id}/cmdline`, 'utf8').includes('--type=renderer')) continue;
      sum += Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${id}/status`, 'utf8'))?.[1] ?? 0) * 1024;
    } catch {
      // It has ended meanwhile.
    }
  return sum;
}

function watchedMemory() {
  let most = 0;
  const timer = setInterval(() => (most = Math.max(most, processMemory())), 250);
  return {
    stop() {
      clearInterval(timer);
      return most;
    },
  };
}
