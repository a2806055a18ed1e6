import { expect, test } from './venalis';

test('from an empty database to a first answer, a choice, and all of it kept', async ({ page, empty }) => {
  await page.goto(empty.address);
  await expect(page.getByText('Say what you expect to sell')).toBeVisible();
  await page.getByRole('button', { name: 'Begin a decision' }).click();

  await page.getByLabel('Orders a month').fill('100');
  await page.getByLabel('Average order value').fill('30,00');
  await expect(page.locator('.standing-sales b')).toHaveText('3,000');

  await page.getByRole('link', { name: /Price sheets/ }).click();
  await page.getByRole('button', { name: 'Add a vendor' }).click();
  await page.getByLabel('Vendor').fill('Brindle');
  await page.getByLabel('Name of plan 1').fill('Small');
  await page.getByLabel('Small, by the month').fill('12');
  await page.getByLabel('Small, by the year').fill('120');
  await page.getByLabel('Small, Card fee, percent of the order').fill('2.9');
  await page.getByLabel('Small, Card fee, fixed amount').fill('0.30');
  await page.getByLabel('Small, Sales fee, percent of the order').fill('3');

  await page.getByRole('button', { name: '+ plan' }).click();
  await page.getByLabel('Name of plan 2').fill('Large');
  await page.getByLabel('Large, by the month').fill('39');
  await page.getByLabel('Large, by the year').fill('');
  await page.getByLabel('Large, by the year').blur();
  await page.getByLabel('Large, Sales fee, percent of the order').fill('');
  await page.getByLabel('Large, Sales fee, percent of the order').blur();
  const largeByMonth = page.locator('.term-cell', { has: page.getByLabel('Large, by the month') });
  await largeByMonth.getByRole('button', { name: /introductory price/ }).click();
  await largeByMonth.getByLabel('first … payments').fill('2');
  await largeByMonth.getByLabel('cost each').fill('1');

  // Small by the month: 24 × 12 + 2400 × (30 × 2.9 % + 0.30) + 2400 × 30 × 3 % = 288 + 2808 + 2160.
  // Small by the year: 240 + 2808 + 2160. Large: 2 × 1 + 22 × 39 + 2808.
  await expect(page.locator('.answer')).toContainText('Brindle Large costs least over 24 months, 1,540 less than Brindle Small, by the year.');
  await page.getByRole('link', { name: /Line-up/ }).click();
  await expect(page.locator('.total')).toHaveText(['3,668.00', '5,208.00', '5,256.00']);
  await expect(page.getByRole('row', { name: /Per order/ })).toContainText('1.53');
  await expect(page.getByRole('row', { name: /Of sales/ })).toContainText('5.1 %');

  // A theme for one of them, once.
  await page.getByRole('button', { name: /Brindle Large/ }).first().click();
  await page.getByRole('button', { name: /cost, such as a theme/ }).click();
  await page.getByLabel('What', { exact: true }).fill('Theme');
  await page.getByLabel('Cost of Theme').fill('80');
  await expect(page.locator('.total').first()).toHaveText('3,748.00');

  // Fewer orders: the other one is cheapest at once.
  await page.getByRole('link', { name: /Expected sales/ }).click();
  await page.getByLabel('Orders a month').fill('10');
  await expect(page.locator('.answer')).toContainText('Brindle Small, by the year costs least');

  await page.getByRole('link', { name: /Verdict/ }).click();
  await page.getByRole('checkbox', { name: /Brindle Small, by the year/ }).check();
  await page.getByLabel(/^Why Brindle Small/).fill('We start small.');
  await expect(page.getByText(/^saved \d/)).toBeVisible();

  await empty.restart();
  await page.goto(empty.address);
  await page.getByRole('link', { name: /Verdict/ }).click();
  await expect(page.getByLabel(/^Why Brindle Small/)).toHaveValue('We start small.');
  await expect(page.locator('.standing-sales b')).toHaveText('300');
});
