import { notAccessible } from './accessibility';
import { expect, test } from './venalis';

test('what one wants to do is typed and done; the keys have a sheet of their own', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
  await page.keyboard.press('Alt+0');
  const typed = page.getByRole('combobox', { name: 'What do you want to do, or where to go?' });
  await expect(typed).toBeFocused();
  await typed.fill('nothing is called so');
  await expect(page.getByRole('status').filter({ hasText: 'Nothing is called that' })).toBeVisible();
  await typed.fill('oakum');
  await expect(page.getByRole('option', { selected: true })).toContainText('Open the prices of Oakum Hosting');
  expect(await notAccessible(page)).toEqual([]);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/sheets\/[^/]+$/);
  await expect(typed).toBeHidden();

  await page.getByRole('button', { name: 'do', exact: true }).click();
  await typed.fill('hopeful');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('radio', { name: 'hopeful' })).toBeChecked();

  await page.keyboard.press('Alt+0');
  await typed.fill('keys');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('type what you want to do or where to go');
});

test('a choice opens although its list was not fetched yet, and nothing moves when it comes', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
  const choice = page.getByLabel('Payments count');
  const box = () =>
    page
      .locator('.field', { has: page.locator('.ant-select') })
      .first()
      .boundingBox();
  const before = await box();
  await choice.press('ArrowDown');
  await page.getByRole('option', { name: 'spread over the months they cover' }).click();
  await expect(page.getByText(/^saved \d/)).toBeVisible();
  expect((await box())?.height).toBe(before?.height);
  await page.reload();
  await expect(page.locator('.field', { hasText: 'Payments count' })).toContainText('spread over the months they cover');
});

test('every explanation leads to its rule, with an example that was worked out', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/what-if`);
  await page.getByRole('link', { name: 'How this is worked out, in plain words' }).click();
  await expect(page).toHaveURL(/\/how#breakEven$/);
  await expect(page.locator('#breakEven')).toContainText('at sales of 500.00 a month');
  await expect(page.getByRole('article')).toHaveCount(17);
  expect(await notAccessible(page)).toEqual([]);
  await page.getByRole('link', { name: 'A guide on one page, to print' }).click();
  await expect(page.getByRole('button', { name: 'Print this page' })).toBeVisible();
  expect(await notAccessible(page)).toEqual([]);
});

test('a decision begins with a question, which fills what it says, or with an earlier one', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions`);
  await page.getByLabel('Or begin with a question').fill('30 courses a year at 60, is the dearer plan worth it?');
  await page.getByRole('button', { name: 'Begin with it' }).click();
  await expect(page.getByLabel('What is sold')).toHaveValue('Courses');
  await expect(page.getByLabel('Orders a month')).toHaveValue('2.5');
  await expect(page.getByLabel('Average order value')).toHaveValue('60');
  await page.getByLabel('Where you sell now').fill('Old Shop');
  await page.getByLabel('What it costs you').fill('29/mo, 2 % of each sale');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByText(/^Old Shop is in the comparison/)).toBeVisible();
  await expect(page.getByRole('complementary').getByText('Old Shop')).toBeVisible();
  await page.getByRole('link', { name: 'its price sheet' }).click();
  await expect(page.getByRole('gridcell', { name: /by the month/i }).first()).toContainText('29');
  await page.goBack();
  await page.getByLabel('Where you sell now').fill('Other Shop');
  await page.getByLabel('What it costs you').fill('29/mo, whatever that is');
  await page.getByRole('button', { name: 'Add it' }).click();
  // What is not understood is shown where it can be put right.
  await expect(page.getByLabel('What the page says', { exact: true })).toHaveValue('29/mo, whatever that is');

  await page.goto(`${demo.address}decisions`);
  await page.getByRole('button', { name: /^Use A home for the video club again/ }).click();
  await expect(page.getByRole('region', { name: 'What do you sell?' })).toBeVisible();
  await expect(page.locator('.answer')).toContainText('over 24 months');
  await page
    .getByRole('link', { name: /Verdict/ })
    .first()
    .click();
  await expect(page.getByText(/No verdict is given yet|Give this verdict/).first()).toBeVisible();
});
