import { notAccessible } from './accessibility';
import { expect, test } from './venalis';

const SALES = 'decisions/larkfell-kites/sales';

test('the season is drawn with keys or dragged, and a season of zeros is said', async ({ page, demo }) => {
  await page.goto(`${demo.address}${SALES}`);
  await page.getByText('Start, growth, season, cards, channels, sizes, refunds, margin').first().click();
  const july = page.getByRole('slider', { name: 'Season, July' }).first();
  await expect(july).toHaveAttribute('aria-valuenow', '1.55');
  const before = await page.locator('.standing-sales b').textContent();
  await july.press('PageUp');
  await expect(july).toHaveAttribute('aria-valuenow', '1.8');
  await expect(page.locator('.standing-sales b')).not.toHaveText(before ?? '');

  await july.scrollIntoViewIfNeeded();
  const box = await july.boundingBox();
  if (!box) throw new Error('a bar is wanted');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height - 1);
  await page.mouse.up();
  await expect(july).toHaveAttribute('aria-valuenow', '0');

  for (const slider of (await page.getByRole('slider', { name: /^Season/ }).all()).slice(0, 12)) await slider.press('Home');
  await expect(page.getByRole('alert').filter({ hasText: 'A season of zeros' })).toBeVisible();
});

test('a month is set by hand in the table and on the chart, and given back', async ({ page, demo }) => {
  await page.goto(`${demo.address}${SALES}`);
  const march = page.getByRole('button', { name: /^Kites and spares, March 2027: / });
  await expect(march).toHaveText('88.5');
  await march.click();
  await page.keyboard.type('200');
  await page.keyboard.press('Enter');
  await expect(march).toHaveText('200');
  await expect(march).toHaveAccessibleName(/set by hand/);
  await march.click();
  await page.keyboard.press('Delete');
  await page.keyboard.press('Enter');
  await expect(march).toHaveText('88.5');

  await page.getByLabel('The chart shows').click();
  await page.getByTitle('set months of Kites and spares by hand').click();
  await page.locator('.months-chart').scrollIntoViewIfNeeded();
  const chart = page.locator('.months-chart canvas');
  await chart.scrollIntoViewIfNeeded();
  const box = await chart.boundingBox();
  if (!box) throw new Error('a chart is wanted');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height * 0.7);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height * 0.2, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /^Kites and spares.*set by hand/ })).toHaveCount(1);
});

test('three versions side by side, stated as differences, and every screen shows either', async ({ page, demo }) => {
  await page.goto(`${demo.address}${SALES}`);
  const outcomes = page.locator('.outcomes');
  await expect(outcomes).toContainText('5,518');
  await page.getByLabel('Orders and sign-ups, cautious').fill('-50');
  await expect(outcomes).toContainText('3,679');
  await page.getByRole('radio', { name: 'cautious' }).check();
  await expect(page.locator('.standing-sales b')).toHaveText('€3,679');
  await page.getByRole('link', { name: /Comparison/ }).click();
  const cautious = await page.locator('.total').first().textContent();
  await expect(page.locator('.standing-sales')).toContainText('cautious');
  await page.getByRole('radio', { name: 'expected' }).check();
  await expect(page.locator('.total').first()).not.toHaveText(cautious ?? '');
});

test('cards and wallets always add up; other quantities are counted by month, by order or by each other', async ({ page, demo }) => {
  await page.goto(`${demo.address}${SALES}`);
  await page.getByText('Start, growth, season, cards, channels, sizes, refunds, margin').first().click();
  await page.getByLabel('Another kind of card or wallet').first().fill('Wallet');
  await page.getByRole('button', { name: 'Add' }).first().click();
  await page.getByLabel('Paid with wallets').first().fill('70');
  await expect(page.getByRole('alert').filter({ hasText: 'from 0 to 66' })).toBeVisible();
  await page.getByLabel('Paid with wallets').first().fill('20');
  await expect(page.locator('.card-rest').first()).toContainText('46%');

  await page.getByLabel('Another quantity').fill('Mailings');
  await page.getByLabel('Another quantity').press('Enter');
  await page.getByLabel('mailings', { exact: true }).fill('4');
  const inMarch = page.getByRole('button', { name: /^mailings, March 2027: / });
  await page.getByText('By calendar month').last().click();
  await page
    .getByRole('group', { name: /half as many mailings again/ })
    .getByLabel('Mar', { exact: true })
    .fill('2.5');
  await expect(inMarch).toHaveText('10');
  await inMarch.click();
  await page.keyboard.type('7');
  await page.keyboard.press('Enter');
  await expect(inMarch).toHaveAccessibleName('mailings, March 2027: 7, set by hand');
  await page.getByLabel('mailings: counted').click();
  await page.getByTitle('for each of contacts').click();
  await expect(page.getByRole('button', { name: /^mailings, March 2027: / })).toHaveCount(0);
  await expect(page.getByText(/^saved \d/)).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('mailings', { exact: true })).toHaveValue('4');
});

test('what is typed into a list to choose from before the list is there narrows it, or is taken', async ({ page, demo }) => {
  const lists: Array<() => Promise<void>> = [];
  await page.route(/\/choice-select-[^/]*\.js$/, (route) => void lists.push(() => route.continue()));
  await page.goto(`${demo.address}${SALES}`);
  const stream = page.getByRole('region', { name: 'Kites and spares' });
  await stream.getByText('Start, growth, season, cards, channels, sizes, refunds, margin').click();
  const from = stream.getByLabel('Sold from');
  await from.click();
  await page.keyboard.type('june 2028x');
  await page.keyboard.press('Backspace');
  await page.keyboard.press('Enter');
  await expect(stream.getByTitle('June 2028')).toBeVisible();
  await page.keyboard.type('ju');
  await expect(from).toHaveValue('ju');
  await expect.poll(() => lists.length).toBeGreaterThan(0);
  for (const letIt of lists) await letIt();
  await expect(page.locator('.ant-select-item-option')).toHaveText(['June 2027', 'July 2027', 'June 2028', 'July 2028']);
  await expect(from).toHaveValue('ju');
  await page.keyboard.type('ly');
  await expect(page.locator('.ant-select-item-option')).toHaveText(['July 2027', 'July 2028']);
  await page.keyboard.press('Enter');
  await expect(stream.getByTitle('July 2027').first()).toBeVisible();
  await expect(page.getByRole('button', { name: /^Kites and spares, June 2027: / })).toHaveText('0');
  // The chosen one is marked as the one that Enter takes, too.
  await from.click();
  await expect(page.locator('.ant-select-item-option-selected.ant-select-item-option-active')).toHaveText('July 2027');
  expect(await notAccessible(page, ['color-contrast'])).toEqual([]);
});

test('what is owned goes on with its cost, or ends where a candidate has it', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/frame`);
  await page.getByRole('button', { name: 'Something you have or pay for' }).click();
  await page.getByLabel('What it is', { exact: true }).fill('Mailing tool');
  const answer = page.locator('.answer');
  await expect(answer).toContainText('210 less');
  await page.getByLabel('Each payment').fill('10');
  await page.getByLabel('Ends with').click();
  await page.getByTitle('E Wharfside Trade', { exact: true }).click();
  // Every other candidate pays 24 × 10 more.
  await expect(answer).toContainText('450 less');
  await expect(page.getByText(/Not needed with E Wharfside Trade/)).toBeVisible();
});

test('decisions are duplicated, archived, deleted and brought back', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions`);
  await page.getByRole('button', { name: /^Duplicate Where/ }).click();
  await expect(page.getByLabel('The question')).toHaveValue('Where should Larkfell Kites sell from 2027? (copy)');
  await page.goto(`${demo.address}decisions`);
  await expect(page.locator('.decision-list li')).toHaveCount(3);
  await page.getByRole('button', { name: /^Archive .*\(copy\)/ }).click();
  await expect(page.getByText('1 archived')).toBeVisible();
  await page.getByText('1 archived').click();
  await page.getByRole('button', { name: /^Unarchive/ }).click();
  await expect(page.getByText('1 archived')).toHaveCount(0);
  await page.getByRole('button', { name: /^Delete .*\(copy\)/ }).click();
  await expect(page.getByText('was deleted.')).toBeVisible();
  await expect(page.locator('.decision-list li')).toHaveCount(2);
  await page.getByRole('button', { name: 'Bring back' }).click();
  await expect(page.locator('.decision-list li')).toHaveCount(3);
});

test('orders are typed as they are known: by the year, by the week, between two figures', async ({ page, demo }) => {
  await page.goto(`${demo.address}${SALES}`);
  const orders = page.getByLabel('Orders a month').first();
  for (const [typed, monthly] of [
    ['30 a year', '2.5'],
    ['3 a week', '13'],
    ['between 12 and 36 a year', '2'],
  ] as const) {
    await orders.fill(typed);
    await orders.blur();
    await expect(orders).toHaveValue(monthly);
  }
  await page.getByLabel('Differences for').click();
  await page.locator('.ant-select-dropdown:not(.ant-select-dropdown-hidden)').getByTitle('Kites and spares').click();
  await expect(page.getByLabel('Orders and sign-ups, cautious')).toHaveValue('-50');
  await expect(page.getByLabel('Orders and sign-ups, hopeful')).toHaveValue('50');
  await orders.fill('30 a fortnight');
  await orders.blur();
  await expect(page.getByRole('alert').filter({ hasText: 'Enter a number of orders' })).toBeVisible();
  await expect(orders).toHaveValue('30 a fortnight');
});

test('one total is split by where it is sold, and begins in a month of its own', async ({ page, demo }) => {
  await page.goto(`${demo.address}${SALES}`);
  const stream = page.getByRole('region', { name: 'Kites and spares' });
  await stream.getByText('Start, growth, season, cards, channels, sizes, refunds, margin').click();
  await stream.getByLabel('Of these orders in person').fill('90');
  await stream.getByLabel('Of these orders on a marketplace').fill('15');
  await expect(stream.getByText('Together these are more than 100%.')).toBeVisible();
  await stream.getByLabel('Of these orders in person').fill('8');
  await stream.getByRole('button', { name: 'Split Kites and spares' }).click();
  await expect(stream).toHaveCount(3);
  await expect(page.locator('.standing-sales b')).toHaveText('€7,357');
  await expect(page.getByLabel('Orders a month').nth(0)).toHaveValue('73.92');
  await expect(page.getByLabel('Orders a month').nth(1)).toHaveValue('7.68');
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(stream).toHaveCount(1);
  // The table follows the fields when there is time for it.
  await expect(page.getByRole('button', { name: /^Kites and spares, May 2027: / })).toHaveCount(1);

  await stream.getByLabel('Sold from').click();
  await page.keyboard.type('June 2027');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Kites and spares, May 2027: / })).toHaveText('0');
  await expect(page.locator('.standing-sales b')).not.toHaveText('€7,357');
});
