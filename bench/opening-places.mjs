// How long a place of the workbench takes to open, from the click until it is painted.
import { median, report } from './measure.mjs';

const PLACES = ['Basics', 'Expected sales', 'Needs', 'Price sheets', 'Comparison', 'What if', 'Verdict'];
const ROUNDS = 8;

/** Opens every place of a decision in turn, several times; the first round fetches programs and is not counted. */
export async function openingPlaces(browser, decision) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${decision}/line-up`, { waitUntil: 'networkidle' });
  const times = new Map(PLACES.map((place) => [place, []]));
  for (let round = 0; round < ROUNDS; round++)
    for (const place of PLACES) {
      const time = await page.evaluate(async (name) => {
        const link = [...document.querySelectorAll('.places a')].find((one) => one.textContent?.startsWith(name));
        const before = document.querySelector('main.work');
        const isThere = () => {
          const now = document.querySelector('main.work');
          return now !== null && now !== before && link?.getAttribute('aria-current') !== null;
        };
        const nextFrame = () => new Promise((resolve) => requestAnimationFrame(() => resolve(undefined)));
        const start = performance.now();
        link?.click();
        do await nextFrame();
        while (!isThere() && performance.now() - start < 5000);
        await new Promise((resolve) => setTimeout(resolve, 0));
        return performance.now() - start;
      }, place);
      if (round > 0) times.get(place)?.push(time);
      // A person looks at it for a moment; what follows below the first screen is drawn meanwhile.
      await page.waitForTimeout(400);
    }
  for (const [place, all] of times) report(`opening ${place}, median of ${all.length}`, median(all), 200, 'ms');
  await page.close();
}
