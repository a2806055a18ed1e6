import { readFileSync } from 'node:fs';
import { expect, test } from './venalis';

test('what was exported can be imported, with a preview, and gives the same totals', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
  await expect(page.locator('.total').first()).toHaveText('6,839.30');
  const totals = (await page.locator('.total').allTextContents()).slice(0, 3);
  await page.getByRole('link', { name: /Basics/ }).click();
  const waiting = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export this decision as a file' }).click();
  const download = await waiting;
  expect(download.suggestedFilename()).toBe('where-should-larkfell-kites-sell-from-2027.json');
  const text = readFileSync(await download.path(), 'utf8');

  await page.goto(`${demo.address}decisions`);
  await page
    .getByLabel(/Open a decision file/)
    .setInputFiles({ name: 'kites.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  const preview = page.getByRole('region', { name: 'Import' });
  await expect(preview.getByRole('heading', { name: 'Where should Larkfell Kites sell from 2027?' })).toBeVisible();
  await expect(preview).toContainText('24 months from January 2027, in EUR');
  await preview.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page).toHaveURL(/line-up$/);
  await expect(page).not.toHaveURL(/larkfell-kites/);
  await expect.poll(async () => (await page.locator('.total').allTextContents()).slice(0, 3)).toEqual(totals);
});

test('everything that is kept can be exported and opened again: reasons, the trial diary, evidence', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/frame`);
  const waiting = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export everything' }).click();
  const download = await waiting;
  expect(download.suggestedFilename()).toBe('where-should-larkfell-kites-sell-from-2027-all.json');
  const buffer = readFileSync(await download.path());

  await page.goto(`${demo.address}decisions`);
  await page.getByLabel(/Open a decision file/).setInputFiles({ name: 'kites-all.json', mimeType: 'application/json', buffer });
  await page.getByRole('region', { name: 'Import' }).getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page).toHaveURL(/line-up$/);
  await expect(page).not.toHaveURL(/larkfell-kites/);
  await page.getByRole('link', { name: /^Needs/ }).click();
  await expect(page.getByRole('region', { name: 'It must' }).getByRole('textbox', { name: 'Why' }).first()).toHaveValue(
    'orders and payments on the site',
  );
  await page.getByRole('link', { name: 'Beyond price' }).click();
  await expect(page.getByRole('button', { name: 'Ease, Brindle Sites: 9.3, 93 of 100' })).toBeVisible();
  await page.getByRole('link', { name: /^Price sheets/ }).click();
  await page.locator('.sheet-list a', { hasText: 'Wharfside' }).click();
  await expect(page.getByRole('complementary', { name: 'Questions and evidence' })).toContainText('a quote by mail');

  const broken = JSON.parse(buffer.toString()) as { decision: { vendors: Record<string, { uptime?: string }> } };
  (broken.decision.vendors['marlpit'] ?? {}).uptime = '140';
  await page.goto(`${demo.address}decisions`);
  await page
    .getByLabel(/Open a decision file/)
    .setInputFiles({ name: 'broken.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(broken)) });
  await expect(page.getByRole('region', { name: 'Import' })).toContainText('decision.vendors.marlpit.uptime');
});

test('past orders go along where that is ticked, and not otherwise', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/frame`);
  const exported = async () => {
    const waiting = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Export everything' }).click();
    return readFileSync(await (await waiting).path());
  };
  expect((await exported()).toString()).not.toContain('"refunded":');
  await page.getByRole('checkbox', { name: 'with 1,935 past orders' }).check();
  const buffer = await exported();
  expect(buffer.toString()).not.toContain('Copperlea');

  await page.goto(`${demo.address}decisions`);
  await page.getByLabel(/Open a decision file/).setInputFiles({ name: 'kites-all.json', mimeType: 'application/json', buffer });
  const preview = page.getByRole('region', { name: 'Import' });
  await expect(preview).toContainText('With 1,935 past orders.');
  await preview.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page).toHaveURL(/line-up$/);
  await expect(page).not.toHaveURL(/larkfell-kites/);
  await page.getByRole('link', { name: /^Expected sales/ }).click();
  await page.getByRole('link', { name: 'Past orders' }).click();
  await expect(page.getByRole('heading', { name: /^Your 1,704 orders of 12 months would have cost least/ })).toBeVisible();
});

test('a file that breaks the rules is refused with every problem, and nothing is taken in', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions`);
  const document = JSON.parse(readFileSync('core/cases/13-larkfell.json', 'utf8')) as {
    months: unknown;
    candidates: Array<{ plans: Array<{ plan: string }> }>;
  };
  document.months = 500;
  const buffer = Buffer.from(JSON.stringify(document));
  await page.getByLabel(/Open a decision file/).setInputFiles({ name: 'kites.json', mimeType: 'application/json', buffer });
  const preview = page.getByRole('region', { name: 'Import' });
  await expect(preview.getByRole('heading', { name: 'kites.json was not imported: one thing is wrong with it' })).toBeVisible();
  await expect(preview.getByRole('row', { name: /months 500 use a whole number from 1 to 120/ })).toBeVisible();
  await page
    .getByLabel(/Open a decision file/)
    .setInputFiles({ name: 'rubbish.json', mimeType: 'application/json', buffer: Buffer.from('<p>no</p>') });
  await expect(preview.getByText('use JSON')).toBeVisible();
  await page.reload();
  await expect(page.locator('.decision-list li')).toHaveCount(2);
});
