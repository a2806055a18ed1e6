import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { notAccessible } from './accessibility';
import { expect, start, test } from './venalis';

test.describe('with everything fetched beforehand', () => {
  test.use({ savesData: false });

  test('every place opens while the server is away, and what is typed there is saved when it is back', async ({ page, demo }) => {
    await page.goto(`${demo.address}decisions/larkfell-kites/frame`);
    // The programs of all places come once there is time for it.
    await page.waitForResponse((response) => /what-if-.*\.js$/.test(response.url()) && response.request().resourceType() === 'fetch');
    await expect(page.locator('link[rel=modulepreload][href*="afterwards"]').first()).toBeAttached();
    await page.evaluate(() =>
      Promise.all([...document.querySelectorAll<HTMLLinkElement>('link[rel=modulepreload]')].map(({ href }) => import(href))),
    );
    await page.context().setOffline(true);
    for (const [place, heading] of [
      ['Expected sales', 'What you expect to sell'],
      ['Needs', /./],
      ['Price sheets', /./],
      ['Comparison', /./],
      ['What if', /./],
      ['Verdict', /./],
    ] as const) {
      await page
        .getByRole('navigation', { name: 'Places' })
        .getByRole('link', { name: new RegExp(`^${place}`) })
        .click();
      await expect(page.locator('.workbench-body').getByRole('heading', { name: heading }).first()).toBeVisible();
    }
    for (const [place, leaf] of [
      ['Needs', 'Beyond price'],
      ['Comparison', 'Fit and cost'],
      ['Comparison', 'Candidates'],
      ['Verdict', 'Verdict'],
    ] as const) {
      await page
        .getByRole('navigation', { name: 'Places' })
        .getByRole('link', { name: new RegExp(`^${place}`) })
        .click();
      await page.getByRole('navigation', { name: place, exact: true }).getByRole('link', { name: leaf }).click();
      await expect(page.locator('main.work')).toBeVisible();
    }
    for (const place of ['Dates', 'Afterwards']) {
      await page
        .locator('.workbench-body')
        .getByRole('link', { name: new RegExp(`^${place}`) })
        .first()
        .click();
      await expect(page).toHaveURL(new RegExp(place.toLowerCase()));
    }
    await page
      .getByRole('navigation', { name: 'Places' })
      .getByRole('link', { name: /^Expected sales/ })
      .click();
    await page.getByLabel('Orders a month').first().fill('123');
    await expect(page.getByText(/not saved: Venalis can’t be reached/)).toBeVisible();
    await page.context().setOffline(false);
    await expect(page.getByText(/^saved \d/)).toBeVisible();
    await page.reload();
    await expect(page.getByLabel('Orders a month').first()).toHaveValue('123');
  });
});

test('two windows that typed while the server was away keep both: the one taken up, the other offered', async ({ page, context, demo }) => {
  const address = `${demo.address}decisions/larkfell-kites/sales`;
  const second = await context.newPage();
  for (const [window, orders] of [
    [page, '111'],
    [second, '222'],
  ] as const) {
    await window.goto(address);
    await expect(window.locator('html')).toHaveAttribute('data-live', 'true');
    await window.route('**/save', (route) => route.abort());
    await window.getByLabel('Orders a month').first().fill(orders);
    await expect(window.getByText(/not saved/)).toBeVisible();
  }
  // What a page still sends while it closes is not stopped by the route, only by a server that is away.
  await demo.end();
  await second.close();
  await page.close();
  await demo.launch();
  const third = await context.newPage();
  await third.goto(address);
  const orders = third.getByLabel('Orders a month').first();
  await expect(orders).toHaveValue('222');
  await expect(third.getByText(/^saved \d/)).toBeVisible();
  const left = third.getByRole('status').filter({ hasText: 'Another window closed' });
  await expect(left).toContainText('orders a month, Kites and spares');
  await left.getByRole('button', { name: 'Use these changes' }).click();
  await expect(orders).toHaveValue('111');
  await third.getByRole('button', { name: 'Keep my version' }).click();
  await expect(third.getByText(/^saved \d/)).toBeVisible();
  await third.reload();
  await expect(orders).toHaveValue('111');
  await expect(left).toHaveCount(0);
});

test('leaving asks first where the browser keeps nothing and the server is away', async ({ page, demo }) => {
  await page.addInitScript(() => {
    Storage.prototype.setItem = () => {
      throw new Error('full');
    };
  });
  await page.goto(`${demo.address}decisions/larkfell-kites/sales`);
  await page.route('**/save', (route) => route.abort());
  await page.getByLabel('Orders a month').first().fill('77');
  await expect(page.getByText(/not saved/)).toBeVisible();
  const asked = page.waitForEvent('dialog');
  const leaving = page.close({ runBeforeUnload: true });
  const dialog = await asked;
  expect(dialog.type()).toBe('beforeunload');
  await dialog.accept();
  await leaving;
});

test('what is deleted is listed with your data and comes back; everything goes into one file and comes in again', async ({
  page,
  demo,
  empty,
}) => {
  await page.goto(`${demo.address}decisions`);
  await page.getByRole('button', { name: /^Delete Where/ }).click();
  await page.goto(`${demo.address}data`);
  await page.getByRole('button', { name: /^Bring back/ }).click();
  await expect(page.getByRole('region', { name: 'Deleted decisions' })).toContainText('None.');
  expect(await notAccessible(page)).toEqual([]);
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'with every step of undo' }).click();
  const file = await (await download).path();

  await page.goto(`${empty.address}data`);
  await page.getByLabel('Import such a file').setInputFiles(file);
  await expect(page.getByText('2 decisions and 16 price sheets imported.')).toBeVisible();
  await page
    .getByLabel('Import such a file')
    .setInputFiles({ name: 'letter.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"a letter"}') });
  await expect(page.getByText('letter.json was not imported, and nothing was changed:')).toBeVisible();
  await page.goto(`${empty.address}decisions`);
  await expect(page.getByText(/Wharfside Trade costs least/)).toBeVisible();
});

test('a decision that cannot be read stays one row, can be exported as it is stored, and disturbs nothing else', async ({
  page,
  demo,
  request,
}) => {
  await page.goto(`${demo.address}decisions`);
  await page.getByRole('button', { name: /^Duplicate Where/ }).click();
  await expect(page).toHaveURL(/frame/);
  const sqlite = new SQLite(join(demo.folder, 'venalis.db'));
  sqlite.prepare("update decision_revisions set content = x'00ff00' where decision_id = 'larkfell-kites'").run();
  sqlite.prepare('delete from decision_summaries').run();
  sqlite.close();
  await demo.restart();
  await page.goto(`${demo.address}decisions`);
  const row = page.getByRole('listitem').filter({ hasText: 'This decision can’t be read any more' });
  await expect(row).toHaveCount(1);
  await expect(page.getByRole('listitem').filter({ hasText: 'costs least' })).toHaveCount(1);
  const stored = await request.get(`${demo.address}decisions/larkfell-kites/stored`);
  expect((await stored.body()).toString('hex')).toBe('00ff00');
  await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
  await expect(page.getByRole('heading', { name: 'This can’t be read any more' })).toBeVisible();
});

test('open to others it asks for the password, lets nobody guess for long, and signs out', async ({ page }) => {
  const folder = join(test.info().outputDir, 'data');
  mkdirSync(folder, { recursive: true });
  await expect(start(false, { HOST: '0.0.0.0', VENALIS_DATA: folder })).rejects.toThrow(/ended with code 1/);
  const { keepPassword } = await import('../data/password');
  await keepPassword(join(folder, 'password'), 'a long enough password');
  const venalis = await start(false, { HOST: '0.0.0.0', VENALIS_DATA: folder });
  await page.goto(`${venalis.address}decisions`);
  await expect(page).toHaveURL(/sign-in/);
  await page.getByLabel('Password').fill('a guess');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toHaveText('That is not the password.');
  await page.getByLabel('Password').fill('a long enough password');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Your decisions' })).toBeVisible();
  const cookies = await page.context().cookies();
  expect(cookies.find(({ name }) => name === 'venalis-session')).toMatchObject({ httpOnly: true, sameSite: 'Strict' });
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.goto(`${venalis.address}decisions`);
  await expect(page).toHaveURL(/sign-in/);
  const guess = () => page.request.post(`${venalis.address}sign-in`, { form: { password: 'a guess' } });
  const statuses = [];
  for (let turn = 0; turn < 12; turn++) statuses.push((await guess()).status());
  expect(statuses.slice(-2)).toEqual([429, 429]);
  await venalis.stop();
});

test('data that were damaged are neither shown nor changed; the page says how to go back', async ({ page }) => {
  const demo = await start(true);
  const file = join(demo.folder, 'venalis.db');
  await demo.end();
  const { readFileSync } = await import('node:fs');
  const bytes = readFileSync(file);
  bytes.fill(7, 4096 * 2, 4096 * 3);
  writeFileSync(file, bytes);
  await demo.launch();
  await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
  await expect(page.getByRole('heading', { name: 'Your data are damaged' })).toBeVisible();
  await expect(page.getByText('npm run restore --')).toContainText('back-ups/venalis-');
  expect(readFileSync(file).equals(bytes)).toBe(true);
  await demo.stop();
});
