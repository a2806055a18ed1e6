// Dragging and what if, measured in a browser on twenty candidates over 36 months.
import { median, percentile, report } from './measure.mjs';

const DRAGS = 500;

/** Everything in which a person waits for the application while thinking. */
export async function whatIfInTheBrowser(browser, decision) {
  await drags(browser, decision);
  await answers(browser, decision);
}

/** Moves along the sales scale, each until the figures that belong to it are painted; and what stays in memory. */
async function drags(browser, decision) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${decision}/line-up`, { waitUntil: 'networkidle' });
  await page.waitForSelector('.scale-track');
  const memory = await page.context().newCDPSession(page);
  const used = async () => {
    await memory.send('HeapProfiler.collectGarbage');
    return (await page.evaluate(() => performance.memory?.usedJSHeapSize ?? 0)) / 1e6;
  };
  const drag = (count) =>
    page.evaluate(async (moves) => {
      const scale = document.querySelector('.scale');
      const box = document.querySelector('.scale-track')?.getBoundingClientRect();
      if (!scale || !box) return [];
      const nextFrame = () => new Promise((resolve) => requestAnimationFrame(() => resolve(undefined)));
      const painted = () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)));
      const times = [];
      for (let move = 0; move < moves; move++) {
        await nextFrame();
        const before = document.querySelector('.standing-sales b')?.textContent;
        const x = box.left + box.width * (0.5 + 0.45 * Math.sin(move / 9));
        const start = performance.now();
        scale.dispatchEvent(
          new window.PointerEvent('pointermove', { bubbles: true, pointerId: 1, clientX: x, clientY: box.top + 5, buttons: 1 }),
        );
        await painted();
        if (document.querySelector('.standing-sales b')?.textContent !== before) times.push(performance.now() - start);
      }
      return times;
    }, count);
  await drag(40);
  const before = await used();
  const times = await drag(DRAGS);
  const after = await used();
  report(`drag to painted figures, 20 candidates × 36 months, median of ${times.length}`, median(times), 33, 'ms');
  report('  95th percentile', percentile(times, 0.95), 80, 'ms');
  report(`  memory after ${DRAGS} drags beyond before`, after - before, 5, 'MB');
  await page.close();
}

/** The time from a changed field until the answer to it is on the screen, whole. */
async function answers(browser, decision) {
  for (const [path, label, values, target, name] of [
    ['map', /, to$/, (round) => String(40 + round), 1000, 'map of 200 × 120 points, changed range to whole picture, median'],
    ['turns-it', /, to$/, (round) => String(40 + round), 500, 'what turns it, changed range to painted answer, median'],
    [
      'route',
      'To another vendor: your hours',
      (round) => String(5 + round),
      200,
      'route, changed cost of moving to painted answer, median',
    ],
  ]) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${decision}/what-if/${path}`, { waitUntil: 'networkidle' });
    const isQuiet = () => document.querySelector('main.work')?.getAttribute('aria-busy') === 'false';
    await page.waitForFunction(isQuiet);
    const field = page.getByLabel(label).first();
    const [times, firsts] = [[], []];
    for (let round = 0; round < 9; round++) {
      const measured = await field.evaluate(async (input, value) => {
        const main = document.querySelector('main.work');
        const nextFrame = () => new Promise((resolve) => requestAnimationFrame(() => resolve(undefined)));
        const start = performance.now();
        Object.getOwnPropertyDescriptor(Object.getPrototypeOf(input), 'value')?.set?.call(input, value);
        input.dispatchEvent(new Event('input', { bubbles: true }));
        const sentence = document.querySelector('.says')?.textContent;
        let first = 0;
        do {
          await nextFrame();
          if (first === 0 && document.querySelector('.says')?.textContent !== sentence) first = performance.now() - start;
        } while (main?.getAttribute('aria-busy') !== 'true' && performance.now() - start < 100);
        while (main?.getAttribute('aria-busy') === 'true' && performance.now() - start < 20_000) {
          await nextFrame();
          if (first === 0 && document.querySelector('.says')?.textContent !== sentence) first = performance.now() - start;
        }
        await new Promise((resolve) => setTimeout(resolve, 0));
        return { whole: performance.now() - start, first };
      }, values(round));
      times.push(measured.whole);
      if (measured.first > 0) firsts.push(measured.first);
    }
    report(name, median(times), target, 'ms');
    if (path === 'map' && firsts.length > 0) console.log(`    the coarse picture after ${Math.round(median(firsts))} ms`);
    if (path === 'turns-it') console.log(`    ${await page.locator('.turns tbody tr').count()} assumptions`);
    await page.close();
  }
}
