import { cell, expect, test, typeInto } from './venalis';

test('a candidate is put together in the line-up: term, processor, add-ons, costs, hours; and taken out', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
  const panel = page.getByRole('complementary', { name: 'How it came about' });
  await page.getByRole('button', { name: /Tidewrack Basic/ }).first().click();
  await expect(panel.getByRole('heading', { name: 'What B is put together from' })).toBeVisible();

  const column = await page.locator('.line-up thead th').evaluateAll((heads) => heads.findIndex((head) => head.textContent?.includes('Tidewrack Basic')));
  const addons = page.getByRole('row', { name: /^Add-ons/ }).locator('td').nth(column - 1);
  await expect(addons).toHaveText('432.00');
  await panel.getByLabel('How many of Club').fill('2');
  await expect(page.getByRole('row', { name: /^Add-ons/ })).toContainText('864.00');
  await panel.getByRole('checkbox', { name: 'Club' }).uncheck();
  await expect(page.getByRole('row', { name: /^Add-ons/ })).not.toContainText('864.00');

  await panel.getByRole('button', { name: /cost, such as a theme/ }).click();
  await panel.getByLabel('What', { exact: true }).fill('Domain');
  await panel.getByLabel('Cost of Domain').fill('12,50');
  await expect(page.getByRole('row', { name: /^Paid once/ })).toContainText('12.50');
  await panel.getByLabel('Each month').fill('2');
  await expect(page.getByRole('row', { name: /^Own time/ })).toContainText('1,392.00');

  await panel.getByRole('button', { name: 'Take it out of the line-up' }).click();
  await expect(page.getByRole('button', { name: /Tidewrack Basic/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(page.getByRole('button', { name: /Tidewrack Basic/ }).first()).toBeVisible();
});

test('payments spread over what they pay for give other months and the same order of magnitude', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/frame`);
  await page.getByLabel('Payments count').click();
  await page.getByTitle('in equal parts over the months they pay for').click();
  await page.getByRole('link', { name: /Line-up/ }).click();
  await expect(page.getByText('spread over what they pay for')).toBeVisible();
  await expect(page.locator('.total').first()).toHaveText('7,049.72');
  await page.getByRole('button', { name: 'Plans, Marlpit Grow: how it came about' }).click();
  await expect(page.getByRole('complementary', { name: 'How it came about' })).toContainText('part 1 of 12');
});

test('the keyboard alone reaches every place and opens a figure', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
  await page.keyboard.press('Alt+Digit2');
  await expect(page).toHaveURL(/sales$/);
  await page.keyboard.press('Alt+Digit7');
  await expect(page).toHaveURL(/line-up$/);
  await page.keyboard.press('?');
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeHidden();
  const figure = page.getByRole('button', { name: 'Total, Marlpit Grow: how it came about' });
  await figure.press('Enter');
  await expect(figure).toHaveAttribute('aria-expanded', 'true');
});

test('a price sheet serves two decisions, and each keeps the revision it used', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions`);
  await page.getByRole('button', { name: 'Begin a decision' }).click();
  await page.getByLabel('Orders a month').fill('50');
  await page.getByLabel('Average order value').fill('40');
  await page.getByRole('link', { name: /Price sheets/ }).click();
  await page.getByLabel('Use a sheet you have').click();
  await page.getByTitle('Brindle Sites').click();
  await expect(page.getByLabel('Vendor')).toHaveValue('Brindle Sites');
  await typeInto(page, 'Shop, by the year', '999');
  await expect(page.getByText(/^saved \d/)).toBeVisible();

  await page.goto(`${demo.address}decisions/larkfell-kites/sheets`);
  await page.locator('.sheet-list a', { hasText: 'Brindle' }).click();
  await expect(cell(page, 'Shop, by the year')).toContainText('408.00');
  await page.getByRole('button', { name: 'Use the newest' }).click();
  await expect(cell(page, 'Shop, by the year')).toContainText('999.00');
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(cell(page, 'Shop, by the year')).toContainText('408.00');
});
