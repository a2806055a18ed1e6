import type { Page } from '@playwright/test';
import { expect, test } from './venalis';

const MOST_STEPS = 120;

/** Goes on with Tab until what has the focus is called so, as somebody without a mouse does. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let step = 0; step < MOST_STEPS; step++) {
    const focused = await page.evaluate(() => {
      const element = document.activeElement;
      if (!(element instanceof HTMLElement)) return '';
      const labels = 'labels' in element ? [...((element.labels as NodeListOf<HTMLLabelElement> | null) ?? [])] : [];
      return [element.getAttribute('aria-label'), ...labels.map(({ textContent }) => textContent), element.innerText]
        .filter(Boolean)
        .join(' ');
    });
    if (name.test(focused)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`${String(name)} cannot be reached with Tab`);
}

async function choose(page: Page, name: RegExp, key = 'Enter'): Promise<void> {
  await tabTo(page, name);
  await page.keyboard.press(key);
}

async function type(page: Page, name: RegExp, text: string): Promise<void> {
  await tabTo(page, name);
  await page.keyboard.press('Control+a');
  await page.keyboard.type(text);
}

test('one whole decision by keyboard alone, from nothing to a printed verdict', async ({ page, empty }) => {
  await page.goto(`${empty.address}decisions`);
  await choose(page, /^Begin a decision/);
  await page.waitForURL(/start/);
  await type(page, /^What is sold/, 'Kites');
  await type(page, /Orders a month/, '150');
  await type(page, /Average order value/, '48');
  for (const [vendor, price] of [
    ['Alder', '12/mo, 2% transaction fee, 1.8% + 0.25 card fee'],
    ['Birch', '39/mo, 1.8% + 0.25 card fee'],
  ] as const) {
    if (!page.url().endsWith('/start')) {
      await page.goBack();
      await page.waitForURL(/start/);
    }
    await type(page, /^Where you sell now/, vendor);
    await type(page, /^What it costs you/, price);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('status').filter({ hasText: `${vendor} is in the comparison` })).toBeVisible();
  }
  await page.keyboard.press('Alt+5');
  // Alder costs 12 + 144 + 129.60 + 37.50 a month, Birch 39 + 129.60 + 37.50.
  await expect(page.locator('.answer')).toContainText('Birch');
  await expect(page.locator('.total').first()).toHaveText('4,946.40');

  await page.keyboard.press('Alt+7');
  await type(page, /^Why\?/, 'It costs least, and we know no reason against it.');
  await choose(page, /^Give this verdict/);
  await expect(page.getByRole('article')).toContainText('we know no reason against it');

  await page.keyboard.press('Alt+0');
  await expect(page.getByRole('combobox', { name: 'What do you want to do, or where to go?' })).toBeFocused();
  await page.keyboard.type('report');
  await page.keyboard.press('Enter');
  await page.waitForURL(/report/);
  await expect(page.frameLocator('iframe').locator('body')).toContainText('we know no reason against it');
  await page.evaluate(() => {
    // The page that would be printed is the frame's own.
    const frame = document.querySelector('iframe');
    frame?.contentWindow?.addEventListener('beforeprint', () => document.documentElement.setAttribute('data-printed', ''));
  });
  await choose(page, /^Print/);
  await expect(page.locator('html[data-printed]')).toBeAttached();
});
