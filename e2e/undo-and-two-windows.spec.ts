import { cell, expect, test, typeInto } from './venalis';

test('undo and redo, by key and by button, also after a reload', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/sales`);
  const orders = page.getByLabel('Orders a month').first();
  await expect(orders).toHaveValue('96');
  await orders.fill('150');
  await expect(page.getByText(/^saved \d/)).toBeVisible();
  await page.reload();
  await expect(orders).toHaveValue('150');

  await page.getByRole('heading', { level: 2, name: 'What you expect to sell' }).click();
  await page.keyboard.press('Control+z');
  await expect(orders).toHaveValue('96');
  await page.keyboard.press('Control+Shift+z');
  await expect(orders).toHaveValue('150');
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(orders).toHaveValue('96');
  await expect(page.getByRole('button', { name: 'undo' })).toBeDisabled();
});

test('a page that was on its way while the last change was saved catches up', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/sales`);
  const orders = page.getByLabel('Orders a month').first();
  let letSave = () => {};
  const fetched = new Promise<void>((resolve) => (letSave = resolve));
  await page.route('**/larkfell-kites/save', async (route) => {
    await fetched;
    await route.continue();
  });
  await page.route('**/larkfell-kites/frame', async (route) => {
    const early = await route.fetch();
    const saved = page.waitForResponse('**/larkfell-kites/save');
    letSave();
    await saved;
    await route.fulfill({ response: early });
  });
  await orders.fill('150');
  await page.goto(`${demo.address}decisions/larkfell-kites/frame`);
  await page.getByRole('link', { name: /Expected sales/ }).click();
  await expect(orders).toHaveValue('150');
});

test('undo takes back a change to a price sheet', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/sheets`);
  await page.locator('.sheet-list a', { hasText: 'Marlpit' }).click();
  const before = await page.locator('.answer').textContent();
  await typeInto(page, 'Grow, by the year', '3000');
  await expect(page.locator('.answer')).not.toHaveText(before ?? '');
  await expect(page.getByText(/^saved \d/)).toBeVisible();
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(cell(page, 'Grow, by the year')).toContainText('708.00');
  await expect(page.locator('.answer')).toHaveText(before ?? '');
});

for (const [choice, button, kept] of [
  ['keeps this version', 'Keep my version', '200'],
  ['takes the other', 'Take the other version', '130'],
] as const)
  test(`two windows change the same decision: the second is told and ${choice}; undo has the other`, async ({ page, context, demo }) => {
    const address = `${demo.address}decisions/larkfell-kites/sales`;
    const second = await context.newPage();
    await second.goto(address);
    await page.goto(address);
    await page.getByLabel('Orders a month').first().fill('130');
    await expect(page.getByText(/^saved \d/)).toBeVisible();

    const orders = second.getByLabel('Orders a month').first();
    await orders.fill('200');
    const notice = second.getByRole('alert').filter({ hasText: 'changed elsewhere' });
    await expect(notice).toContainText('orders a month, Kites and spares');
    await expect(orders).toHaveValue('200');
    await second.getByRole('button', { name: button }).click();
    await expect(notice).toHaveCount(0);
    await expect(second.getByText(/^saved \d/)).toBeVisible();
    await expect(orders).toHaveValue(kept);

    await second.getByRole('button', { name: 'undo' }).click();
    await expect(orders).toHaveValue(kept === '200' ? '130' : '200');
  });

test('what could not be saved survives a reload while the server is away', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/sales`);
  const orders = page.getByLabel('Orders a month').first();
  await page.route('**/save', (route) => route.abort());
  await orders.fill('77');
  await expect(page.getByText(/not saved: Venalis can’t be reached/)).toBeVisible();
  await page.unroute('**/save');
  await page.reload();
  await expect(orders).toHaveValue('77');
  await expect(page.getByText(/^saved \d/)).toBeVisible();
});
