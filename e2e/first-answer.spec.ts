import { notAccessible } from './accessibility';
import { cell, expect, test, typeInto } from './venalis';

test('from an empty database to a first answer, a choice, and all of it kept', async ({ page, empty }) => {
  await page.goto(empty.address);
  await expect(page.getByText('Say what you expect to sell')).toBeVisible();
  await page.getByRole('button', { name: 'Begin a decision' }).click();

  await page.getByLabel('Orders a month').fill('100');
  await page.getByLabel('Average order value').fill('30,00');
  await expect(page.locator('.standing-sales b')).toHaveText('€3,000');

  await page.getByRole('link', { name: /Price sheets/ }).click();
  await page.getByRole('button', { name: 'Add a vendor' }).click();
  await page.getByLabel('Vendor').fill('Brindle');
  await page.getByLabel('Name of plan 1').fill('Small');
  await typeInto(page, 'Small, by the month', '12');
  await typeInto(page, 'Small, by the year', '120');
  await typeInto(page, 'Small, card fee', '2.9% + 0.30');
  await typeInto(page, 'Small, sales fee', '3%');

  await page.getByRole('button', { name: 'Copy Small to the right' }).click();
  await page.getByLabel('Name of plan 2').fill('Large');
  await cell(page, 'Large, by the year').click();
  await page.keyboard.press('Delete');
  await cell(page, 'Large, sales fee').click();
  await page.keyboard.press('Delete');
  await typeInto(page, 'Large, by the month', '39, 1 each for the first 2 months');

  // Small by the month: 24 × 12 + 2400 × (30 × 2.9% + 0.30) + 2400 × 30 × 3% = 288 + 2808 + 2160.
  // Small by the year: 240 + 2808 + 2160; that is what is proposed of it. Large: 2 × 1 + 22 × 39 + 2808.
  await expect(page.locator('.answer')).toContainText('Brindle Large costs least over 24 months, €1,540 less than Brindle Small.');
  await page.getByRole('link', { name: /Comparison/ }).click();
  await expect(page.locator('.total')).toHaveText(['3,668.00', '5,208.00']);
  await expect(page.getByRole('row', { name: /Per order/ })).toContainText('1.53');
  await expect(page.getByRole('row', { name: /Of sales/ })).toContainText('5.1%');

  // A theme for one of them, once.
  await page
    .getByRole('button', { name: /Brindle Large/ })
    .first()
    .click();
  await page.getByRole('button', { name: /cost, such as a theme/ }).click();
  await page.getByLabel('What', { exact: true }).fill('Theme');
  await page.getByLabel('Cost of Theme').fill('80');
  await expect(page.locator('.total').first()).toHaveText('3,748.00');

  // Fewer orders: the other one is cheapest at once.
  await page.getByRole('link', { name: /Expected sales/ }).click();
  await page.getByLabel('Orders a month').fill('10');
  await expect(page.locator('.answer')).toContainText('Brindle Small costs least');

  await page.getByRole('link', { name: /Verdict/ }).click();
  await expect(page.locator('[data-verdict]')).toContainText('Brindle Small costs');
  // With one guess of sales and no dates on the sheet it is a modest verdict that says what to find out.
  await expect(page.getByText('Provisional: answer the open questions first.')).toBeVisible();
  await expect(page.getByRole('complementary', { name: 'What it rests on' })).toContainText('Sales are one guess');
  await page.getByLabel(/^Why\?/).fill('We start small.');
  await page.getByRole('button', { name: 'Give this verdict' }).click();
  await expect(page.getByRole('article')).toContainText('We start small.');
  await expect(page.getByText(/^saved \d/)).toBeVisible();

  await empty.restart();
  await page.goto(empty.address);
  await page
    .getByRole('link', { name: /Verdict/ })
    .first()
    .click();
  await expect(page.getByRole('article')).toContainText('We start small.');
  await expect(page.getByText('the verdict still holds')).toBeVisible();
  await expect(page.locator('.standing-sales b')).toHaveText('€300');
});

test('a decision begins on one page: what is sold, and pricing pages; the comparison builds up beside it', async ({ page, empty }) => {
  await page.goto(empty.address);
  await page.getByRole('button', { name: 'Begin a decision' }).click();
  await expect(page).toHaveURL(/\/start$/);
  const soFar = page.getByRole('complementary', { name: 'So far' });
  await expect(soFar).toContainText('How much you sell: not said yet');
  await page.getByLabel('Orders a month').fill('600 a year');
  await page.getByLabel('Average order value').fill('40');
  await expect(soFar).toContainText('Sales of €2,000 a month');
  expect(await notAccessible(page)).toEqual([]);

  await page.getByLabel(/paste it here/).fill('Marlpit\n\nSeed\n19/mo\nCard fee 2.9% + 0.30\n\nGrow\n59/mo\nCard fee 1.9% + 0.20');
  await page.getByRole('button', { name: 'Read prices' }).click();
  await expect(page).toHaveURL(/\/sheets\//);
  await page.getByRole('button', { name: 'Add to the sheet' }).click();
  // 24 × 19 + 1,200 × (40 × 2.9% + 0.30), against 24 × 59 + 1,200 × (40 × 1.9% + 0.20).
  await expect(page.locator('.answer')).toContainText('Seed');
  await page.goBack();
  await expect(soFar).toContainText('Prices of 1 vendor');
  await expect(soFar.getByRole('row').first()).toContainText('2,208');
  await expect(soFar.getByRole('row').nth(1)).toContainText('2,568');
  await soFar.getByRole('link', { name: 'See the whole comparison' }).click();
  await expect(page.locator('.total')).toHaveCount(2);
});

test('where sales grow into the dearer plan, the first sentence is the way that begins small and moves', async ({ page, empty }) => {
  await page.goto(empty.address);
  await page.getByRole('button', { name: 'Begin a decision' }).click();
  await page.getByLabel('Orders a month').fill('5');
  await page.getByLabel('Average order value').fill('12');
  await page
    .getByLabel(/paste it here/)
    .fill('Gorsefield\n\nStart\n0/mo\nSales fee 6% per order\nCard fee 2%\n\nGrow\n49/mo\nSales fee 1% per order\nCard fee 2%');
  await page.getByRole('button', { name: 'Read prices' }).click();
  await page.getByRole('button', { name: 'Add to the sheet' }).click();
  await page.getByRole('link', { name: /Expected sales/ }).click();
  await page.getByText('Start, growth, season, cards, channels, sizes, refunds, margin').click();
  await page.getByLabel('And by a fixed number of orders').fill('8');
  // 2,328 orders of 12 in all. Start: 8%, 2,234.88; Grow: 24 × 49 + 3%, 2,014.08. Start pays while a month has fewer than 82
  // orders, ten months long: 8% of 4,920 and then 14 × 49 + 3% of 23,016 are 1,770.08.
  const answer = page.locator('.answer');
  await expect(answer).toContainText(
    /^Begin on Gorsefield Start, by the month; move to Gorsefield Grow, by the month, in \w+ 202\d: €1,770 over 24 months/,
  );
  await expect(answer).toContainText(
    '€244 less than Gorsefield Grow throughout. Without a move, Gorsefield Grow costs least, €221 less than Gorsefield Start.',
  );
  await page.getByRole('link', { name: /Comparison/ }).click();
  await expect(page.locator('.total-row')).toContainText(/1,770 begun on Gorsefield Start, moved in \w+ 202\d/);
});
