import type { Locator, Page } from '@playwright/test';
import { wideLineUp } from '../bench/wide-line-up.mjs';
import { cell, expect, test, typeInto } from './venalis';

test('a candidate is put together in the line-up: term, processor, add-ons, costs, hours; and taken out', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
  const panel = page.getByRole('complementary', { name: 'How it came about' });
  await page
    .getByRole('button', { name: /Tidewrack Basic/ })
    .first()
    .click();
  await expect(panel.getByRole('heading', { name: 'What B is put together from' })).toBeVisible();

  const column = await page
    .locator('.line-up thead th')
    .evaluateAll((heads) => heads.findIndex((head) => head.textContent?.includes('Tidewrack Basic')));
  const addons = page
    .getByRole('row', { name: /^Add-ons/ })
    .locator('td')
    .nth(column - 1);
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

  await panel.getByRole('button', { name: 'Remove it from the comparison' }).click();
  await expect(page.getByRole('button', { name: /Tidewrack Basic/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(page.getByRole('button', { name: /Tidewrack Basic/ }).first()).toBeVisible();
});

test('payments spread over the months they cover give other months and the same order of magnitude', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/frame`);
  await page.getByLabel('Payments count').click();
  await page.getByTitle('in equal parts over the months they pay for').click();
  await page.getByRole('link', { name: /Comparison/ }).click();
  await expect(page.getByText('spread over the months they cover')).toBeVisible();
  await expect(page.locator('.total').first()).toHaveText('6,839.30');
  await page.getByRole('button', { name: 'Plans, Marlpit Grow: how it came about' }).click();
  await expect(page.getByRole('complementary', { name: 'How it came about' })).toContainText('part 1 of 12');
});

test('the keyboard alone reaches every place and opens a figure', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
  await page.keyboard.press('Alt+Digit2');
  await expect(page).toHaveURL(/sales$/);
  await page.keyboard.press('Alt+Digit5');
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

test('twenty candidates: only columns in view are drawn; pinned, moved by key and by dragging, and kept so', async ({ page, demo }) => {
  const origin = demo.address.replace(/\/$/, '');
  const kept = await page.request.post(`${demo.address}decisions/import?intent=keep`, {
    data: JSON.stringify(wideLineUp()),
    headers: { 'Content-Type': 'text/plain', Origin: origin },
    maxRedirects: 0,
  });
  const decision = `${demo.address}decisions/${/decisions\/([^/]+)\//.exec(kept.headers()['location'] ?? '')?.[1]}`;
  await page.goto(`${decision}/line-up`);
  const heads = page.locator('.line-up thead .candidate-head');
  await expect(page.locator('.line-up')).toHaveAttribute('aria-colcount', '19');
  await expect.poll(() => heads.count()).toBeLessThan(10);
  const names = () => heads.locator('b').allTextContents();
  const [first = '', second = '', third = ''] = await names();

  await page.getByRole('button', { name: `Keep ${third} in view` }).click();
  await expect(heads.first()).toContainText(third);
  await page.locator('.line-up-scroll').evaluate((element) => (element.scrollLeft = element.scrollWidth));
  await expect(heads.first()).toContainText(third);
  await expect.poll(async () => (await names()).includes(second)).toBe(false);
  await expect(heads.last()).toBeInViewport();

  await page.locator('.line-up-scroll').evaluate((element) => (element.scrollLeft = 0));
  await heads.nth(1).press('Alt+ArrowRight');
  await expect.poll(async () => (await names()).slice(0, 3)).toEqual([third, second, first]);
  await dragOver(page, heads.nth(2), heads.nth(1));
  await expect.poll(async () => (await names()).slice(0, 3)).toEqual([third, first, second]);
  await page.getByRole('button', { name: `Move ${second}` }).press('Space');
  await expect(page.getByText(`${second} is over place 3 of 18.`)).toBeAttached();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText(`${second} is over place 2 of 18.`)).toBeAttached();
  await page.keyboard.press('Space');
  await expect.poll(async () => (await names()).slice(0, 3)).toEqual([third, second, first]);
  await heads.nth(1).press('Alt+ArrowRight');
  await expect.poll(async () => (await names()).slice(0, 3)).toEqual([third, first, second]);
  await expect(page.getByText(/^saved \d/)).toBeVisible();
  await page.reload();
  await expect.poll(async () => (await names()).slice(0, 3)).toEqual([third, first, second]);
  await page.getByRole('button', { name: 'order by total again' }).click();
  await expect.poll(async () => (await names()).slice(0, 3)).toEqual([first, second, third]);
});

test('columns that change places glide to where they stand, but not for who wants less motion', async ({ page, demo }) => {
  await page.addInitScript(() => {
    const animate = Element.prototype.animate;
    Element.prototype.animate = function (...given) {
      if (JSON.stringify(given[0]).includes('translateX')) document.documentElement.dataset['glided'] = 'true';
      return animate.apply(this, given);
    };
  });
  const glided = page.locator('html[data-glided]');
  for (const [reducedMotion, count] of [
    ['no-preference', 1],
    ['reduce', 0],
  ] as const) {
    await page.emulateMedia({ reducedMotion });
    await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
    const first = page.locator('.candidate-head b').first();
    const before = await first.textContent();
    await page.locator('.candidate-head').first().press('Alt+ArrowRight');
    await expect(first).not.toHaveText(before ?? '');
    await expect(glided).toHaveCount(count);
    await page.getByRole('button', { name: 'undo' }).click();
    await expect(first).toHaveText(before ?? '');
  }
});

test('differences are to any candidate, rows open to the price sheet’s lines, rates and what is left open too', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
  await page.getByRole('combobox', { name: 'Differences to' }).click();
  await page.locator('.ant-select-dropdown:not(.ant-select-dropdown-hidden)').getByText('A Marlpit Grow').click();
  const total = page.getByRole('row', { name: /^Total/ });
  await expect(total.locator('td').nth(0)).toContainText('−210, cheapest');
  await expect(total.locator('td').nth(1)).toContainText('baseline');

  await page.getByRole('button', { name: 'Payment fees', exact: true }).click();
  const opened = page.getByRole('row', { name: /^Domestic cards/ });
  await expect(opened.locator('td').nth(1)).toContainText('1.7% + 0.25 per order');
  await opened.locator('td').nth(1).getByRole('button').first().click();
  const panel = page.getByRole('complementary', { name: 'How it came about' });
  await expect(panel).toContainText('Payment fees, Marlpit Grow');
  await page.getByRole('button', { name: 'Per order, Marlpit Grow: how it came about' }).click();
  await expect(panel).toContainText(/The total of 7,049\.72 ÷ [\d,.]+ orders over the whole horizon = [\d.]+\./);
  await page.getByRole('button', { name: 'What is left to you, Marlpit Grow: how it came about' }).click();
  await expect(panel).toContainText(/without sales tax × [\d.]+% margin/);

  await page.getByRole('button', { name: 'set two against each other' }).click();
  await expect(panel).toContainText('Wharfside Trade costs €210.42 less than Marlpit Grow.');
  await expect(panel.getByRole('row', { name: /^Payment fees/ })).toContainText('−1,201');
});

test('the cost so far is drawn month by month, and told in words', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
  const courses = page.getByRole('region', { name: 'Cost so far, month by month' });
  await expect(courses).toContainText(/^Cost so far, month by month\s*Wharfside Trade has cost least/);
  await expect(courses.getByText(/: the price goes from [$€][\d.]+ to [$€][\d.]+ in /).first()).toBeVisible();
  // Drawn once it comes into view.
  await courses.scrollIntoViewIfNeeded();
  await expect(courses.locator('canvas')).toBeVisible();
  await courses.getByText('The same in figures').click();
  await expect(courses.getByRole('row', { name: /^December 2028/ })).toContainText('7,050');
});

/** Takes something up with the mouse and puts it down on something else, in more than one move, as a hand does. */
async function dragOver(page: Page, from: Locator, to: Locator): Promise<void> {
  await from.hover();
  await page.mouse.down();
  await page.mouse.move(300, 300);
  await to.hover();
  await page.mouse.up();
}
