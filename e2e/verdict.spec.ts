import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { expect, test } from './venalis';

/** The text of a PDF file, page after page. */
async function pdfText(path: string): Promise<string> {
  const document = await getDocument({ data: new Uint8Array(readFileSync(path)), verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let page = 1; page <= document.numPages; page++) {
    const { items } = await (await document.getPage(page)).getTextContent();
    pages.push(items.map((item) => ('str' in item ? item.str : '')).join(' '));
  }
  return pages.join(' ').replace(/\s+/g, ' ');
}

test('a verdict is given, stays as it was, is overtaken by what changes, and a newer one follows', async ({ page, demo }) => {
  const at = `${demo.address}decisions/larkfell-kites`;
  await page.goto(`${at}/verdict`);
  await expect(page.locator('[data-verdict]')).toHaveText(/^Wharfside Trade costs €6,839 over 24 months, €210 less than Marlpit Grow\./);
  const conditions = page.getByRole('table').first();
  await expect(conditions.getByRole('row', { name: /from sales of €6,069 a month \(196 orders\) on/ })).toContainText('Wharfside Trade');
  await expect(conditions.getByRole('row', { name: /if you pay by the month/ })).toContainText(/Wharfside Trade|Marlpit Grow/);
  await expect(page.getByText(/^It comes first in 7\d of 100 futures\. Choosing it gives away €\d+ on average/)).toBeVisible();
  await expect(conditions.getByRole('row', { name: /^in 7\d of 100 futures/ })).toContainText('Wharfside Trade');
  await expect(conditions.getByRole('row', { name: /^in 2\d of 100 futures/ })).toContainText('Marlpit Grow');
  await expect(conditions.getByRole('row', { name: /if you need community/ })).toContainText('only Brindle Shop');
  await expect(page.getByRole('listitem').filter({ hasText: 'Orders, all streams: below' })).toContainText('Marlpit Grow costs least');
  await page.getByLabel(/^Why\?/).fill('One bill a year, and the stall works.');
  await page.getByRole('button', { name: 'Give this verdict' }).click();
  const given = page.getByRole('article');
  await expect(given).toContainText('One bill a year, and the stall works.');
  await expect(given).toContainText(/It comes first in 7\d of 100 futures\. Choosing it gives away €\d+ on average/);
  await expect(page.getByText(/^saved \d/)).toBeVisible();

  // What is expected changes; the verdict stays, and says that it is overtaken.
  await page.getByRole('link', { name: /Expected sales/ }).click();
  await page.getByLabel('Orders a month').first().fill('60');
  await page
    .getByRole('link', { name: /^Verdict/ })
    .first()
    .click();
  await expect(page.getByRole('status').filter({ hasText: 'Verdict of' })).toContainText(
    'the verdict does not hold any more: Marlpit Grow costs',
  );
  await expect(given).toContainText('Wharfside Trade costs €6,839 over 24 months, €210 less than Marlpit Grow.');

  // The other one is chosen; what differs between both is told.
  await page.getByRole('combobox', { name: 'Candidate' }).click();
  await page.getByRole('option', { name: /^A Marlpit Grow/ }).click();
  await page.getByLabel(/^Why\?/).fill('We sell less than we thought.');
  await page.getByRole('button', { name: 'Give this verdict' }).click();
  await expect(given).toHaveCount(2);
  await page.getByText(/^What changed since/).click();
  const difference = page.getByRole('region', { name: /^From/ });
  await expect(difference).toContainText('The choice was Wharfside Trade, and is Marlpit Grow.');
  await expect(difference).toContainText('Expected sales were €7,357 a month');

  // Undo takes the newer one back; the older one survives a reload with its reason.
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(given).toHaveCount(1);
  await page.reload();
  await expect(given).toContainText('One bill a year, and the stall works.');
  await given.getByText('Everything it rested on').click();
  await expect(given).toContainText('Made from revision');
});

test('two together and a way with moves can be chosen too', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/verdict`);
  await expect(page.locator('.conditions')).toBeVisible();
  await page.getByRole('combobox', { name: 'Choose' }).click();
  await page.getByTitle('two together').click();
  await expect(page.locator('[data-verdict]')).toContainText(
    /^Wharfside Trade with .+ for Video club cost €[\d,]+ over 24 months, €[\d,]+ more than Wharfside Trade\./,
  );
  await expect(
    page.getByText(/^With Kites and spares.+: Wharfside Trade, [\d,]+\.\d\d\. With Video club: .+, [\d,]+\.\d\d\./),
  ).toBeVisible();
  await page.getByRole('combobox', { name: 'Choose' }).click();
  await page.getByTitle('a way with moves').click();
  await expect(page.locator('[data-verdict]')).toContainText(/costs? €[\d,]+ over 24 months/);
});

test('the report is looked at, printed to PDF, and taken along as one file or as Markdown', async ({ page, demo }) => {
  const at = `${demo.address}decisions/larkfell-kites`;
  await page.goto(`${at}/verdict/report`);
  const report = page.frameLocator('iframe[title=Report]');
  await expect(report.locator('h1')).toHaveText('Where should Larkfell Kites sell from 2027?');
  await expect(report.locator('svg')).toHaveCount(2);
  await expect(page.getByText('Writing the report takes a few seconds')).toBeHidden();
  const [pdf] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'PDF' }).click()]);
  const text = await pdfText(await pdf.path());
  for (const wanted of [
    'Where should Larkfell Kites sell from 2027?',
    'Wharfside Trade costs €6,839 over 24 months, €210 less than Marlpit Grow.',
    '6,839.30',
    '7,049.72',
    'Under which conditions',
    'Tallywell Pay',
    'seen',
  ])
    expect(text.toLowerCase()).toContain(wanted.toLowerCase());

  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'One HTML file' }).click()]);
  const html = readFileSync(await file.path(), 'utf8');
  // It needs nothing from outside, and runs nothing.
  expect(html.replaceAll(/xmlns(:\w+)?="[^"]*"/g, '')).not.toMatch(/https?:\/\/|<script|<link|@import/);
  const alone = await page.context().newPage();
  await alone.route('**/*', (route) =>
    route.request().url().startsWith('file:') || route.request().url().startsWith('data:') ? route.continue() : route.abort(),
  );
  await alone.setContent(html);
  await expect(alone.getByText('7,049.72').first()).toBeVisible();
  await alone.emulateMedia({ media: 'print' });
  // What is seen on the screen and what was printed say the same.
  const words = (await alone.locator('article').innerText()).replace(/\s+/g, ' ');
  for (const figure of words.match(/\d{1,3}(,\d{3})*\.\d{2}/g) ?? []) expect(text).toContain(figure);

  const [markdown] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Markdown' }).click()]);
  expect(readFileSync(await markdown.path(), 'utf8')).toContain('**Wharfside Trade costs €6,839');
});

test('workbook and tables are taken along', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/verdict/report`);
  const [workbook] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Workbook' }).click()]);
  expect(workbook.suggestedFilename()).toBe('where-should-larkfell-kites-sell-from-2027.xlsx');
  expect(
    readFileSync(await workbook.path())
      .subarray(0, 2)
      .toString(),
  ).toBe('PK');
  const [lineUp] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Comparison as CSV' }).click()]);
  expect(readFileSync(await lineUp.path(), 'utf8').split('\r\n')[1]).toMatch(/^E,Wharfside Trade,EUR,6839\.30,no,yes,/);
  const [ledger] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Ledger as CSV' }).click()]);
  expect(readFileSync(await ledger.path(), 'utf8').split('\r\n').length).toBeGreaterThan(700);
});

test('dates follow what is chosen, and go into the calendar in the browser’s time zone', async ({ browser, demo }) => {
  const context = await browser.newContext({ locale: 'en-GB', timezoneId: 'Pacific/Auckland' });
  const page = await context.newPage();
  await page.goto(`${demo.address}decisions/larkfell-kites/verdict/dates`);
  await page.waitForSelector('html[data-live]', { state: 'attached' });
  await expect(page.getByRole('row', { name: /Special offer of Tidewrack Stores Basic ends/ })).toContainText('50.00');
  await expect(page.getByRole('row', { name: /Wharfside Trade renews/ })).toContainText('1,203.36');
  await page.getByLabel('You join on').fill('2027-01-20');
  await expect(page.getByRole('row', { name: /Wharfside Trade renews/ })).toContainText('20 January 2028');
  await page.getByLabel('A date of your own').fill('2027-02-01');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('alert')).toHaveText('Enter what to do on that day.');
  await page.getByLabel('What', { exact: true }).fill('Ask the bank');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('row', { name: /Ask the bank/ })).toBeVisible();
  await expect(page.getByText(/^saved \d/)).toBeVisible();
  const read = (path: string) =>
    new ICAL.Component(ICAL.parse(readFileSync(path, 'utf8')) as unknown[])
      .getAllSubcomponents('vevent')
      .map((component) => new ICAL.Event(component));
  const [all] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'All dates as a calendar file' }).click(),
  ]);
  const events = read(await all.path());
  const own = events.find(({ summary }) => summary === 'Ask the bank');
  expect(own?.startDate.toString()).toBe('2027-02-01T09:00:00');
  expect(own?.startDate.zone.tzid).toBe('Pacific/Auckland');
  const [one] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Wharfside Trade renews: calendar file' }).click(),
  ]);
  const [renewal, ...others] = read(await one.path());
  expect(others).toEqual([]);
  expect(events.map(({ uid }) => uid)).toContain(renewal?.uid);
  await context.close();
});

test('real months are typed or read from a file, and the difference is explained', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/verdict/afterwards`);
  await page.getByLabel('Orders, January 2027').fill('150');
  await page.getByLabel('Fees by sales, January 2027').fill('160');
  await expect(page.locator('.says')).toContainText('because you had more orders');
  await page.getByLabel('Sales, January 2027', { exact: true }).fill('999999999999999');
  await expect(page.getByRole('alert')).toContainText('Enter an amount in EUR');
  await page.getByLabel('Sales, January 2027', { exact: true }).fill('');
  await page.getByLabel('Surprises, January 2027').fill('4x');
  await expect(page.getByRole('alert')).toContainText('“4x” is not a number');
  await page.getByLabel(/^CSV with a column/).setInputFiles({
    name: 'months.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('month,orders,sales,other\n2027-02,170,5900,45\n2027-3,1,1,1\n'),
  });
  await expect(page.getByText('Line 3: “2027-3” is not a month')).toBeVisible();
  await page.getByRole('button', { name: 'Add them' }).click();
  await expect(page.getByLabel('Orders, February 2027')).toHaveValue('170');
  await expect(page.locator('.stands')).toContainText(/Over the last 2 months orders went at \d+%/);
  await page.reload();
  await expect(page.getByLabel('Surprises, January 2027')).toHaveValue('4x');
  await expect(page.getByLabel('Sales, February 2027', { exact: true })).toHaveValue('5900');
});

test('files of a decision that is not there, and of kinds that do not exist, are refused', async ({ page, demo }) => {
  const status = async (path: string) => (await page.request.get(`${demo.address}decisions/${path}`)).status();
  expect(await status('nobody/report/html')).toBe(404);
  expect(await status('larkfell-kites/report/docx')).toBe(404);
  expect(await status('larkfell-kites/report/html?verdict=unheard-of')).toBe(404);
  expect(await status('larkfell-kites/dates.ics?zone=Mars/Olympus')).toBe(400);
  expect(await status('larkfell-kites/dates.ics?only=nothing')).toBe(404);
  expect(await status('nobody/workbook.xlsx')).toBe(404);
});
