import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { cell, expect, test, typeInto } from './venalis';

const SHEETS = 'decisions/larkfell-kites/sheets';

async function newVendor(page: Page, address: string, name: string): Promise<void> {
  await page.goto(`${address}${SHEETS}`);
  await page.getByRole('button', { name: 'Add a vendor' }).click();
  await page.getByLabel('Vendor').fill(name);
}

async function pasteInto(page: Page, label: string, text: string): Promise<void> {
  await page.getByLabel(label).focus();
  await page.evaluate((content) => {
    const data = new DataTransfer();
    data.setData('text/plain', content);
    document.activeElement?.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  }, text);
}

test('a vendor is typed as its page says it, by keyboard alone; questions are answered before anything counts', async ({ page, demo }) => {
  await newVendor(page, demo.address, 'Saltmarsh');
  const bar = page.getByLabel('What the page says');
  await bar.focus();
  await page.keyboard.type('Basic:');
  await page.keyboard.press('Shift+Enter');
  await page.keyboard.type('27/mo or 258 billed yearly, 2.7% + 25c, 2 for the first 2 months, loved by sellers');
  await expect(page.getByText('Is 2 for each of the 2 months, or for all of them together?')).toBeVisible();
  await expect(page.getByText('is not understood, and left out')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Add ↵' })).toBeDisabled();
  await expect(cell(page, 'this plan, by the month')).toContainText('–');

  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 each for the first 2 months')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(cell(page, 'Basic, by the month')).toContainText('27.00');
  await expect(cell(page, 'Basic, by the month')).toContainText('the first 2 payments 1.00');
  await expect(cell(page, 'Basic, by the year')).toContainText('21.50 a month, saves 20%');
  await expect(cell(page, 'Basic, card fee')).toContainText('2.7% + 0.25');
  await expect(bar).toHaveValue('loved by sellers');

  await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
  await expect(page.getByRole('button', { name: /Saltmarsh Basic/ }).first()).toBeVisible();
});

test('a reload in the middle of typing loses neither a cell nor a line', async ({ page, demo }) => {
  await page.goto(`${demo.address}${SHEETS}`);
  await page.locator('.sheet-list a', { hasText: 'Tidewrack' }).click();
  await page.getByLabel('What the page says').fill('2.7% plus a bit');
  await cell(page, 'Plus, by the month').click();
  await page.keyboard.type('61.5');
  await page.reload();
  await expect(page.getByLabel('What the page says')).toHaveValue('2.7% plus a bit');
  await expect(cell(page, 'Plus, by the month')).toContainText('61.5');
  await cell(page, 'Plus, by the month').click();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'Plus, by the month')).toContainText('61.50');
  await expect(cell(page, 'Plus, by the month')).toContainText('the first 2 payments 2.00');
  await page.getByLabel('What the page says').fill('');
  await page.reload();
  await expect(page.getByLabel('What the page says')).toHaveValue('');
  await expect(cell(page, 'Plus, by the month')).toContainText('61.50');
});

test('arrow keys move, typing begins a figure, the space bar goes through what is no figure, Escape and undo go back', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.address}${SHEETS}`);
  await page.locator('.sheet-list a', { hasText: 'Tidewrack' }).click();
  await cell(page, 'Basic, by the month').click();
  await page.keyboard.press('ArrowRight');
  await expect(cell(page, 'Plus, by the month')).toBeFocused();
  await page.keyboard.type('59');
  await page.keyboard.press('Escape');
  await expect(cell(page, 'Plus, by the month')).toContainText('54.00');
  await expect(cell(page, 'Plus, by the month')).toBeFocused();
  await page.keyboard.type('59');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'Plus, by the month')).toContainText('59.00');
  await expect(cell(page, 'Plus, by the month')).toContainText('the first 2 payments 2.00');
  await expect(cell(page, 'Plus, by the year')).toBeFocused();

  const staff = cell(page, 'Basic, staff');
  await staff.click();
  for (const words of ['not known', 'nothing', 'no limit', 'not offered', '–']) {
    await page.keyboard.press('Space');
    await expect(staff.locator('.cell-figure')).toHaveText(words);
  }
  await typeInto(page, 'Basic, staff', 'a few');
  await expect(cell(page, 'Basic, staff')).toContainText('“a few” is not understood.');
  await page.reload();
  await expect(cell(page, 'Basic, staff')).toContainText('a few');
});

test('a table is pasted: what it says stands beside its lines; its columns can be named by hand', async ({ page, demo }) => {
  await newVendor(page, demo.address, 'Saltmarsh');
  const table = [
    '\tBasic\tPlus',
    'Monthly price\t€27\tloads',
    'Card payments\t2.2% + 28c\t1.9% + 28c',
    'Seats\t2\tunlimited',
    'Gift cards\t–\t✓',
    'Ponies\t1\t2',
  ].join('\n');
  await pasteInto(page, 'What the page says', table);
  const read = page.getByRole('group', { name: 'What the page says' });
  await expect(read).toContainText('2 plans');
  await expect(read.getByRole('listitem').filter({ hasText: 'Monthly price' })).toContainText('not understood');
  await read.getByRole('button', { name: 'Add to the sheet' }).click();
  await expect(cell(page, 'Basic, by the month')).toContainText('27.00');
  await expect(cell(page, 'Plus, by the month')).toContainText('–');
  await expect(cell(page, 'Plus, card payments')).toContainText('1.9% + 0.28');
  await expect(cell(page, 'Plus, staff')).toContainText('no limit');
  await expect(cell(page, 'Basic, gift cards')).toContainText('no');
  await expect(cell(page, 'Plus, ponies')).toContainText('2');
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(cell(page, 'Plus, ponies')).toHaveCount(0);

  await pasteInto(page, 'What the page says', table);
  await page.getByRole('button', { name: 'Name its columns myself' }).click();
  await expect(page.getByText('Monthly price: loads')).toBeVisible();
  await page.getByLabel('What “Ponies” means').click();
  await page.getByRole('option', { name: 'leave it out' }).click();
  await page.getByRole('group', { name: 'What was read' }).press('Enter');
  await expect(cell(page, 'Plus, staff')).toContainText('no limit');
  await expect(cell(page, 'Basic, ponies')).toHaveCount(0);
});

test('what was chosen about a page is there after a reload, counts when it is added, and is forgotten when the page is left', async ({
  page,
  demo,
}) => {
  const seats = readFileSync('core/price-page/pages/video-marigold.txt', 'utf8');
  await newVendor(page, demo.address, '');
  await pasteInto(page, 'What the page says', seats);
  const read = page.getByRole('group', { name: 'What the page says' });
  await read.getByLabel('by the month').check();
  await read.getByLabel('Which dollar the page means').click();
  await page.getByTitle('CAD').click();
  await page.reload();
  await expect(read.getByLabel('by the month')).toBeChecked();
  await expect(read.getByTitle('CAD')).toBeVisible();
  await read.getByRole('button', { name: 'Leave it' }).click();
  await expect(read).toBeHidden();

  await pasteInto(page, 'What the page says', seats);
  await expect(read.getByLabel('leave it open')).toBeChecked();
  await read.getByLabel('by the month').check();
  await page.reload();
  await expect(read.getByLabel('by the month')).toBeChecked();
  await read.getByRole('button', { name: 'Add to the sheet' }).click();
  await expect(page.getByLabel('Vendor')).toHaveValue('Marigold Video');
  await expect(cell(page, 'Creator, staff')).toContainText('25');
});

test('a whole pricing page is pasted: each line says what became of it, a question is answered, and it is added in one step', async ({
  page,
  demo,
}) => {
  await newVendor(page, demo.address, '');
  await pasteInto(page, 'What the page says', readFileSync('core/price-page/pages/store-gannetry.txt', 'utf8'));
  const read = page.getByRole('group', { name: 'What the page says' });
  await expect(read).toContainText('Gannetry: 3 plans and 2 add-ons');
  await page.reload();
  await expect(read).toContainText('Gannetry: 3 plans and 2 add-ons');
  await read.getByLabel('Which dollar the page means').click();
  await page.getByTitle('CAD').click();
  // A line leads to its figure, and the figure to its line.
  await read.getByRole('listitem').filter({ hasText: '1,000 products' }).getByRole('button').click();
  await expect(read.getByRole('table', { name: 'Plans' }).getByRole('button', { pressed: true })).toHaveText('1,000');
  await read.getByRole('table', { name: 'Plans' }).getByRole('button', { name: '62.00' }).click();
  await expect(read.locator('li.is-active').first()).toContainText('$62 month to month');
  await read.getByRole('button', { name: 'Add to the sheet' }).click();
  await expect(page.getByLabel('Vendor')).toHaveValue('Gannetry');
  await expect(cell(page, 'Growth, by the month')).toContainText('62.00');
  await expect(cell(page, 'Scale, products')).toContainText('no limit');
  await expect(cell(page, 'Wholesale channel, by the month')).toContainText('29.00');
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(page.getByLabel('Vendor')).toHaveValue('');

  await pasteInto(
    page,
    'What the page says',
    'An evening of kites\n\nWe met on the beach.\nIt was windy.\nThe sea was cold.\nThen we went home.',
  );
  await expect(page.getByText('what was looked for')).toBeVisible();
});

test('of a processor’s page each rate counts for its own payments; one that is asked about is not known until it is answered', async ({
  page,
  demo,
}) => {
  await newVendor(page, demo.address, '');
  const rates =
    'Dabchick Pay\nFees\nDebit cards: 1.1% + €0.25\nCredit cards: 1.6% + €0.25\nDirect debit: €0.35\nCards from abroad: 2.9% + €0.25';
  await pasteInto(page, 'What the page says', rates);
  await expect(page.getByText('Which holds for most of yours?')).toBeVisible();
  await page.getByRole('button', { name: 'Add to the sheet' }).click();
  const sheet = page.locator('.sheet-list a', { hasText: 'Dabchick Pay' });
  await expect(sheet).toContainText('1 not known');
  await expect(cell(page, 'Dabchick Pay, card fee')).toHaveText('not known');
  await page.getByRole('button', { name: 'undo' }).click();
  await pasteInto(page, 'What the page says', rates);
  await page.getByRole('radio', { name: 'credit cards' }).check();
  await page.getByRole('button', { name: 'Add to the sheet' }).click();
  await expect(cell(page, 'Dabchick Pay, credit cards')).toContainText('1.6% + 0.25');
  await expect(sheet).not.toContainText('not known');
  // What is paid so counts where expected sales name it.
  await page.getByRole('link', { name: /^Expected sales/ }).click();
  const stream = page.getByRole('region', { name: 'Kites and spares' });
  await stream.getByText('Start, growth, season, cards, channels, sizes, refunds, margin').click();
  await stream.getByRole('button', { name: 'direct debit +' }).click();
  await expect(stream.getByLabel('Paid with direct debit')).toHaveValue('0');
});

test('from nothing, pages in another currency are compared in it; candidates held back for one reason are told in one line', async ({
  page,
  empty,
}) => {
  await page.goto(empty.address);
  await page.getByRole('button', { name: 'Begin a decision' }).click();
  await page.getByRole('link', { name: /^Price sheets/ }).click();
  await page.getByRole('button', { name: 'Add a vendor' }).click();
  await pasteInto(page, 'What the page says', readFileSync('core/price-page/pages/store-gannetry.txt', 'utf8'));
  await page.getByRole('checkbox', { name: 'Compare everything in USD' }).uncheck();
  await page.getByRole('button', { name: 'Add to the sheet' }).click();
  await expect(page.getByRole('link', { name: '3 candidates are not priced: there is no exchange rate for USD yet.' })).toBeVisible();
  await page.getByRole('button', { name: 'undo' }).click();
  await pasteInto(page, 'What the page says', readFileSync('core/price-page/pages/store-gannetry.txt', 'utf8'));
  await page.getByRole('button', { name: 'Add to the sheet' }).click();
  await expect(page.getByRole('link', { name: 'Basics 24 months, USD' })).toBeVisible();
  await expect(page.getByText('are not priced')).toHaveCount(0);
});

test('files: a saved page’s schema.org data, the JSON of a sheet, rubbish and hostile markup', async ({ page, demo }) => {
  const alerts: string[] = [];
  page.on('dialog', (dialog) => {
    alerts.push(dialog.message());
    void dialog.dismiss();
  });
  await newVendor(page, demo.address, '');
  const file = page.getByLabel('Or drop saved pages here');
  const offer = {
    '@type': 'Product',
    brand: 'Saltmarsh',
    offers: [
      {
        '@type': 'Offer',
        name: 'Basic <img src=x onerror=alert(1)>',
        priceCurrency: 'EUR',
        priceSpecification: { price: 27, unitCode: 'MON' },
      },
    ],
  };
  await file.setInputFiles({
    name: 'page.html',
    mimeType: 'text/html',
    buffer: Buffer.from(
      `<script>alert(2)</script><img src=x onerror=alert(3)><script type="application/ld+json">${JSON.stringify(offer)}</script><div><div>`,
    ),
  });
  await expect(page.getByRole('group', { name: 'What the page says' }).getByRole('button', { name: '27.00' })).toBeVisible();
  await page.getByRole('button', { name: 'Add to the sheet' }).click();
  await expect(page.getByLabel('Vendor')).toHaveValue('Saltmarsh');
  await expect(page.getByLabel('Name of plan 1')).toHaveValue('Basic <img src=x onerror=alert(1)>');

  const download = page.waitForEvent('download');
  await expect(page.getByText(/^saved \d/)).toBeVisible();
  await page.getByRole('main', { name: 'Price sheet' }).getByRole('link', { name: 'export' }).click();
  await file.setInputFiles({
    name: 'sheet.json',
    mimeType: 'application/json',
    buffer: await (await (await download).createReadStream()).toArray().then((chunks) => Buffer.concat(chunks as Buffer[])),
  });
  const before = page.url();
  await page.getByRole('button', { name: 'Add as a separate sheet' }).click();
  await expect(page).not.toHaveURL(before);
  await expect(page.locator('.sheet-list li').last().locator('a.active')).toBeVisible();
  await expect(page.locator('.sheet-list a', { hasText: 'Saltmarsh' })).toHaveCount(2);
  // What is chosen before the new sheet is there would be read for the one before.
  const added = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  await expect(page.getByRole('main', { name: 'Price sheet' }).getByRole('link', { name: 'export' })).toHaveAttribute(
    'href',
    new RegExp(added),
  );

  await file.setInputFiles({ name: 'rubbish.json', mimeType: 'application/json', buffer: Buffer.from('{"plans": [') });
  await expect(page.getByText('rubbish.json can’t be read.')).toBeVisible();
  await file.setInputFiles({ name: 'huge.csv', mimeType: 'text/csv', buffer: Buffer.from('Seats,2,3\n'.repeat(500_000)) });
  // 5 MB are sent, read and answered, on a machine that may be busy.
  await expect(page.getByText('499500 more rows')).toBeVisible({ timeout: 60_000 });
  await file.setInputFiles({ name: 'larger.csv', mimeType: 'text/csv', buffer: Buffer.from('Seats,2,3\n'.repeat(1_100_000)) });
  await expect(page.getByText('larger.csv is over 10 MB')).toBeVisible();
  expect(alerts).toEqual([]);
});

test('a figure that does not add up is asked about beside it, and settled with a reason that is kept', async ({ page, demo }) => {
  await page.goto(`${demo.address}${SHEETS}`);
  await page.locator('.sheet-list a', { hasText: 'Tidewrack' }).click();
  await page.getByLabel('What the page says').fill('save 25%');
  await page.getByRole('button', { name: 'Add ↵' }).click();
  const questions = page.getByRole('region', { name: 'Questions' });
  await expect(questions).toContainText('Its own figures give 20.4%: 258 instead of 324.');
  await questions.getByRole('button', { name: 'mark as answered' }).first().click();
  await questions.getByLabel('Why it is right as it is').fill('They round up.');
  await questions.getByRole('button', { name: 'Settled' }).click();
  await expect(questions).not.toContainText('Its own figures give');
  await expect(page.getByText(/^saved \d/)).toBeVisible();
  await page.reload();
  await page.getByText('1 settled').click();
  await expect(questions).toContainText('“They round up.”');
});

test('evidence is kept with a figure, and shown with its age', async ({ page, demo }) => {
  await page.goto(`${demo.address}${SHEETS}`);
  await page.locator('.sheet-list a', { hasText: 'Tidewrack' }).click();
  await cell(page, 'Plus, by the year').click();
  const evidence = page.getByRole('region', { name: 'Evidence' });
  await evidence.getByText('Say more about it').click();
  await evidence.getByLabel('Where it was seen').first().fill('a partner’s page');
  await evidence.getByRole('checkbox', { name: 'this source earns a commission' }).first().check();
  await evidence.getByLabel('The offer holds until').fill('2026-10-31');
  await expect(evidence).toContainText('516.00, a partner’s page, 3 November 2026');
  await expect(evidence).toContainText('offer until 31 October 2026');
  await expect(page.getByRole('region', { name: 'Questions' })).toContainText('The offer is over');
});

/** The printed page of the demo's hardest sheet (demo/pricing-pages), typed as a person would, its rows with bars. */
const TIDEWRACK = [
  'Plans: Basic | Plus | Trade',
  '27 a month or 258 billed yearly | 54 a month or 516 billed yearly | 119 a month, ? a year',
  'Save: 25% | 20%',
  '2 for each of the first 2 months | 2 for each of the first 2 months',
  'Card fee with Tidewrack Pay: 2.2% + 28c | 1.9% + 28c | 1.6% + 22c',
  'Sales fee with Tidewrack Pay: 1.8% | 0.7% | nothing',
  'Another provider: 2.6% | 1.5% | 0.5%',
  'Seats: 2 | 5 | no limit',
];

test('the demo’s hardest sheet, typed from its printed page, states what the demo’s does', async ({ page, demo }) => {
  await newVendor(page, demo.address, 'Tidewrack');
  await page.getByLabel('What the page says').focus();
  for (const [index, line] of TIDEWRACK.entries()) {
    if (index > 0) await page.keyboard.press('Shift+Enter');
    await page.keyboard.type(line);
  }
  await expect(page.getByText('Its own figures give 20.4%')).toBeVisible();
  await expect(page.getByText('not understood')).toHaveCount(0);
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: '+ add-on' }).click();
  await page.getByLabel('Name of add-on 1').fill('Club');
  await typeInto(page, 'Club, by the month', '18');

  // A heading on the page is a longer name of the same fee.
  const figures = async () =>
    new Map(
      await page.getByRole('gridcell').evaluateAll((cells) =>
        cells.map((one) => {
          const name = one.getAttribute('aria-label')?.split(':')[0] ?? '';
          return [
            name.replace(' with tidewrack pay', '').replace('another provider', 'with an outside processor'),
            one.querySelector('.cell-figure')?.firstChild?.textContent ?? '',
          ] as const;
        }),
      ),
    );
  const typed = await figures();
  await page.locator('.sheet-list a', { hasText: 'Tidewrack Stores' }).click();
  await expect(page.getByLabel('Vendor')).toHaveValue('Tidewrack Stores');
  const demos = await figures();
  for (const plan of ['Basic', 'Plus', 'Trade'])
    for (const row of ['by the month', 'by the year', 'card fee', 'with an outside processor'])
      expect(typed.get(`${plan}, ${row}`), `${plan}, ${row}`).toBe(demos.get(`${plan}, ${row}`));
  for (const name of ['Basic, sales fee', 'Plus, sales fee', 'Basic, staff', 'Plus, staff', 'Club, by the month'])
    expect(typed.get(name), name).toBe(demos.get(name));
});

test('a processor and an add-on sold by others have sheets of their own', async ({ page, demo }) => {
  await page.goto(`${demo.address}${SHEETS}`);
  await page.getByRole('button', { name: 'Add a payment processor' }).click();
  await page.getByLabel('Payment processor', { exact: true }).fill('Quay Pay');
  await page.getByLabel('What the page says').fill('12/mo, 1.4% + 0.25 plus VAT, up to 3 seats');
  await page.getByRole('button', { name: 'Add ↵' }).click();
  await expect(page.getByText('Not added: something that a payment processor cannot have')).toBeVisible();
  await expect(cell(page, 'Quay Pay, card fee')).toContainText('1.4% + 0.25');
  await expect(cell(page, 'Quay Pay, monthly fee')).toContainText('12');

  await page.getByRole('button', { name: 'Add an add-on sold by others' }).click();
  await page.getByLabel('Add-on', { exact: true }).fill('Gallery');
  await typeInto(page, 'Gallery, by the year', '49');
  await page.getByLabel('Works with').click();
  await page.getByTitle('Brindle Sites', { exact: true }).click();
  await expect(page.getByText(/^saved \d/)).toBeVisible();
  await page.reload();
  await expect(cell(page, 'Gallery, by the year')).toContainText('49.00');
});

test('a question can be left: what none of its answers fits is left out', async ({ page, demo }) => {
  await newVendor(page, demo.address, 'Saltmarsh');
  const bar = page.getByLabel('What the page says');
  await bar.fill('27/mo, 49 per year per site');
  await expect(page.getByText('“per site” is not understood. Does “49 per year” hold without it?')).toBeVisible();
  await bar.press('ArrowUp');
  await bar.press('Enter');
  await bar.press('Enter');
  await expect(cell(page, 'this plan, by the month')).toContainText('27.00');
  await expect(cell(page, 'this plan, by the year')).toContainText('–');
});

test('cells are copied and pasted; what is pasted in another currency, or is not understood, stays as it was pasted', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.address}${SHEETS}`);
  await page.locator('.sheet-list a', { hasText: 'Tidewrack' }).click();
  await cell(page, 'Basic, by the month').click();
  await page.evaluate((content) => {
    const data = new DataTransfer();
    data.setData('text/plain', content);
    document.activeElement?.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  }, '31\t£59\n300\tlots');
  await expect(cell(page, 'Basic, by the month')).toContainText('31.00');
  await expect(cell(page, 'Basic, by the year')).toContainText('300.00');
  await expect(cell(page, 'Plus, by the month')).toContainText('This was pasted in GBP; the column is in EUR.');
  await expect(cell(page, 'Plus, by the year')).toContainText('not understood here');
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(cell(page, 'Basic, by the month')).toContainText('27.00');
});
