import type { Page } from '@playwright/test';
import { notAccessible } from './accessibility';
import { expect, test } from './venalis';

test.describe.configure({ mode: 'parallel' });

// In parts of like size, so that the two workers share them.
const PARTS = {
  'sales and needs': ['frame', 'sales', 'sales/past-orders', 'needs', 'needs/answers', 'needs/qualities', 'needs/diary', 'needs/speed'],
  'candidates and what they cost': ['line-up', 'line-up/candidates', 'line-up/fit', 'sheets'],
  'what if': [
    'what-if',
    'what-if/next-plan',
    'what-if/map',
    'what-if/route',
    'what-if/turns-it',
    'what-if/paying-ahead',
    'what-if/offers',
    'what-if/investment',
    'what-if/scenarios',
  ],
  verdict: ['verdict', 'verdict/dates', 'verdict/report', 'verdict/afterwards'],
};
const PLACES = Object.values(PARTS).flat();

/** Goes to a place by its link, as a person does: much quicker than loading each place anew. */
async function goTo(page: Page, place: string): Promise<void> {
  await page.locator(`a[href="/decisions/larkfell-kites/${place}"]`).first().click();
  await expect(page).toHaveURL(new RegExp(`/larkfell-kites/${place}(/|$)`));
  await expect(page.locator('main.work')).toBeVisible();
}

test('the demo opens in the worked example, and a figure says how it came about', async ({ page, demo }) => {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
  await page.goto(demo.address);
  await expect(page).toHaveURL(/larkfell-kites\/line-up$/);
  await expect(page.locator('.answer')).toHaveText(
    /^Wharfside Trade costs least over 24 months, €210 less than Marlpit Grow\. .*Built by a designer leaves you €[\d,]+ more, though it costs €[\d,]+ more/,
  );
  expect(await page.locator('.line-up thead .candidate-tag').count()).toBeGreaterThanOrEqual(6);

  const panel = page.getByRole('complementary', { name: 'How it came about' });
  await page.getByRole('button', { name: 'Payment fees, Marlpit Grow: how it came about' }).press('Enter');
  await expect(panel).toContainText('1.7% + 0.25 per order, domestic cards');
  await expect(panel).toContainText('seen 3 November 2026');
  await expect(panel).toContainText(/July 2028, the dearest month: [\d.]+/);
  await expect(panel).toContainText(/Domestic cards: Kites and spares [\d.]+ orders × \(48 × 1\.7% \+ 0\.25\)/);
  await panel.getByRole('link', { name: 'on the price sheet' }).first().click();
  await expect(page.getByLabel('Vendor')).toHaveValue('Marlpit');
  expect(errors).toEqual([]);
});

test('it is styled and complete without JavaScript, and numbers follow the locale', async ({ browser, demo }) => {
  const context = await browser.newContext({ javaScriptEnabled: false, locale: 'de-DE' });
  const page = await context.newPage();
  await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
  await expect(page.locator('.total').first()).toHaveText(/^\d\.\d{3},\d\d$/);
  await expect(page.locator('body')).toHaveCSS('background-color', 'rgb(245, 242, 234)');
  await page.goto(`${demo.address}decisions/larkfell-kites/sales`);
  await expect(page.getByLabel('Orders a month').first()).toHaveCSS('border-bottom-style', 'solid');
  await context.close();
});

for (const [part, places] of Object.entries(PARTS))
  test(`every place is accessible, light and dark: ${part}`, async ({ page, demo }) => {
    await page.goto(demo.address);
    for (const place of places) {
      await goTo(page, place);
      if (place === 'sheets') {
        await page.locator('.sheet-list a', { hasText: 'Tidewrack' }).click();
        await expect(page.getByLabel('Vendor')).toBeVisible();
      }
      await expect(page.locator('main.work')).toBeVisible();
      if (place.startsWith('what-if')) await expect(page.locator('main.work[aria-busy=true]')).toHaveCount(0);
      if (place === 'line-up/candidates') await expect(page.getByRole('listitem', { name: 'Wharfside' })).toBeVisible();
      await page.emulateMedia({ colorScheme: 'light' });
      expect(await notAccessible(page), place).toEqual([]);
      // Only contrast depends on the scheme.
      await page.emulateMedia({ colorScheme: 'dark' });
      expect(await notAccessible(page, ['color-contrast']), `${place}, dark`).toEqual([]);
    }
  });

test('nothing is cut off at 390 pixels', async ({ page, demo }) => {
  await page.setViewportSize({ width: 390, height: 800 });
  await page.goto(demo.address);
  for (const place of PLACES) {
    await goTo(page, place);
    const width = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(width, place).toBeLessThanOrEqual(390);
  }
  await goTo(page, 'sheets');
  await page.locator('.sheet-list a', { hasText: 'Tidewrack' }).click();
  for (const part of [
    page.locator('.phrase-bar'),
    page.getByRole('complementary', { name: 'Questions and evidence' }),
    page.locator('.sheet-scroll').first(),
  ]) {
    const box = await part.boundingBox();
    expect((box?.x ?? 0) + (box?.width ?? 0)).toBeLessThanOrEqual(390);
    expect(box?.width).toBeGreaterThan(300);
  }
});
