import type { Page } from '@playwright/test';
import { expect, test } from './venalis';

const CONTROL = /^\s*- '?(button|link|textbox|combobox|checkbox|radio|slider|spinbutton|tab|switch|searchbox)\b(?<rest>.*)$/;

/** What a screen reader finds on the page, as text; every control in it has a name. */
async function heard(page: Page): Promise<string> {
  await expect(page.locator('html[data-live]')).toBeAttached();
  const tree = await page.locator('body').ariaSnapshot();
  const nameless = tree.split('\n').filter((line) => CONTROL.test(line) && !CONTROL.exec(line)?.groups?.['rest']?.includes('"'));
  expect(nameless).toEqual([]);
  return tree;
}

/** Uses a control that has been heard, by its role and the beginning of its name. */
async function use(page: Page, role: 'button' | 'link' | 'textbox', name: RegExp, text?: string): Promise<void> {
  await expect(async () => {
    const lines = (await heard(page)).split('\n');
    // A name with a colon makes the whole line stand in quotes.
    const found = lines.some((line) => new RegExp(`^\\s*- '?${role} "`).test(line) && name.test(/"(.*?)"/.exec(line)?.[1] ?? ''));
    expect(found, `${role} ${String(name)} is heard`).toBe(true);
  }).toPass();
  const control = page.getByRole(role, { name }).first();
  if (text === undefined) await control.click();
  else await control.fill(text);
}

test('one whole decision by what a screen reader says, from nothing to a verdict', async ({ page, empty }) => {
  await page.goto(`${empty.address}decisions`);
  await use(page, 'button', /^Begin a decision/);
  await page.waitForURL(/start/);
  await use(page, 'textbox', /^What is sold/, 'Courses');
  await use(page, 'textbox', /^Orders a month/, '30');
  await use(page, 'textbox', /^Average order value/, '60');
  for (const [vendor, price] of [
    ['Alder', '15/mo, 5% transaction fee, 2% + 0.25 card fee'],
    ['Birch', '49/mo, 2% + 0.25 card fee'],
  ] as const) {
    if (!page.url().endsWith('/start')) await page.goBack();
    await page.waitForURL(/start/);
    await use(page, 'textbox', /^Where you sell now/, vendor);
    await use(page, 'textbox', /^What it costs you/, price);
    await use(page, 'button', /^Add it/);
    await expect(page.getByRole('status').filter({ hasText: `${vendor} is in the comparison` })).toBeVisible();
  }
  await use(page, 'link', /^Comparison/);
  // Alder takes 15 + 90 a month besides what both take, Birch 49: 56 less over each of 24 months.
  await expect(page.getByRole('region', { name: 'The answer so far' })).toContainText('Birch');
  await expect(page.getByRole('columnheader', { name: /Birch/ })).toBeVisible();
  const compared = await heard(page);
  expect(compared).toContain('region "The answer so far"');
  expect(compared).toMatch(/columnheader "?.*Birch/);
  expect(compared).toMatch(/rowheader "?Total/);

  await use(page, 'link', /^Verdict/);
  await use(page, 'textbox', /^Why\?/, 'It costs least.');
  await use(page, 'button', /^Give this verdict/);
  await expect(page.getByRole('article')).toContainText('It costs least.');
  expect(await heard(page)).toContain('- article');
});

test('no control is without a name at any place of the demo', async ({ page, demo }) => {
  for (const place of [
    'frame',
    'sales',
    'sales/past-orders',
    'needs',
    'needs/answers',
    'sheets',
    'line-up',
    'line-up/candidates',
    'what-if',
    'what-if/map',
    'verdict',
  ]) {
    await page.goto(`${demo.address}decisions/larkfell-kites/${place}`);
    expect(await heard(page)).toContain('main');
  }
});
