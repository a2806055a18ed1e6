import { expect, test } from './venalis';

test('figures that cannot be read keep the last good one, say what is wanted and stay as typed', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/sales`);
  const orders = page.getByLabel('Orders a month').first();
  const answer = await page.locator('.answer').textContent();
  for (const [typed, problem] of [
    ['-5', 'Enter a number of orders from 0'],
    ['many', '“many” is not a number'],
    ['1e99', '“1e99” is not a number'],
    ['99999999999999', 'Enter a number of orders from 0 to 1 000 000 000'],
  ] as const) {
    await orders.fill(typed);
    await expect(page.getByRole('alert').filter({ hasText: problem })).toBeVisible();
    await expect(orders).toHaveAttribute('aria-invalid', 'true');
    await expect(page.locator('.answer')).toHaveText(answer ?? '');
    await expect(page.getByText('the figures rest on the last good value of Orders a month')).toBeVisible();
  }
  await page.getByRole('link', { name: /Basics/ }).click();
  await expect(page.getByRole('heading', { name: 'What is being decided' })).toBeVisible();
  await page.getByRole('link', { name: /Expected sales/ }).click();
  await expect(orders).toHaveValue('99999999999999');
  await page.reload();
  await expect(orders).toHaveValue('99999999999999');
  await orders.fill('');
  await orders.blur();
  await expect(page.getByRole('alert').filter({ hasText: 'Enter a number of orders' })).toBeVisible();
  await orders.fill('96');
  await expect(page.getByText('the figures rest on')).toHaveCount(0);
});

test('a share over 100% and horizons of 0 and 500 months are refused beside the field', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/frame`);
  for (const months of ['0', '500', '2.5']) {
    await page.getByLabel('Horizon').fill(months);
    await expect(page.getByRole('alert').filter({ hasText: 'a number of months from 1 to 120' })).toBeVisible();
  }
  await page.getByLabel('Tax on fees that you cannot reclaim').fill('120');
  await expect(page.getByRole('alert').filter({ hasText: 'Enter a percentage from 0 to 100' })).toBeVisible();
  await expect(page.locator('.answer')).toContainText('over 24 months');
});

test('a price in a currency without a rate is held back with its reason, until the rate is there', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/sheets`);
  await page.locator('.sheet-list a', { hasText: 'Brindle' }).click();
  await page.getByLabel('Currency of Shop').focus();
  await page.getByLabel('Currency of Shop').fill('GBP');
  await page.getByLabel('Currency of Shop').press('Enter');
  const note = page.getByRole('link', { name: 'D Brindle Shop is not priced: there is no exchange rate for GBP yet.' });
  await note.click();
  await page.getByLabel('1 GBP is worth').fill('1.15');
  await expect(note).toHaveCount(0);
});

test('requests that are too large, foreign or mistaken get the right status and change nothing', async ({ request, page, demo }) => {
  const save = `${demo.address}decisions/larkfell-kites/save`;
  // The server does not read on once it is too much: now and then the connection ends before its answer is heard.
  await expect(async () => {
    const large = await request.post(save, { data: 'x'.repeat(5 * 1024 * 1024 + 1), headers: { 'Content-Type': 'application/json' } });
    expect(large.status()).toBe(413);
  }).toPass();
  const foreign = await request.post(save, { data: {}, headers: { Origin: 'http://elsewhere.example' } });
  expect(foreign.status()).toBe(403);
  const rebound = await request.get(demo.address, { headers: { Host: 'elsewhere.example' } });
  expect(rebound.status()).toBe(421);
  const malformed = await request.post(save, { data: { key: 'k', label: 'l', revision: 'new' } });
  expect(malformed.status()).toBe(422);
  expect(await malformed.text()).toContain('revision: found');

  for (const path of ['nowhere', 'decisions/none/line-up', 'decisions/larkfell-kites/nowhere', 'decisions/%F0%9F%AA%81/']) {
    const response = await page.goto(`${demo.address}${path}`);
    expect(response?.status(), path).toBe(404);
    await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
  }
  const { headers } = { headers: (await request.get(demo.address)).headers() };
  expect(headers['content-security-policy']).not.toContain('unsafe-eval');
  expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
  expect(headers['x-content-type-options']).toBe('nosniff');
  expect(headers['referrer-policy']).toBe('same-origin');
});
