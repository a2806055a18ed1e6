import { expect, test } from './venalis';

const number = (text: string | null) => Number((text ?? '').replace(/[^\d]/g, ''));

test('the sales scale follows arrow keys and dragging, all figures with it, and Escape goes back', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
  const slider = page.getByRole('slider', { name: 'Sales a month' });
  const sales = page.locator('.standing-sales b');
  const total = page.locator('.total').first();
  const [forecast, totalAtForecast] = [await sales.textContent(), await total.textContent()];
  await expect(slider).toHaveAttribute('aria-valuetext', /a month: Wharfside Trade is cheapest, €[\d,]+ less than Marlpit Grow$/);

  await slider.focus();
  for (let press = 0; press < 3; press++) await page.keyboard.press('PageDown');
  await expect(slider).toHaveAttribute('aria-valuetext', /Marlpit Grow is cheapest/);
  expect(number(await sales.textContent())).toBeCloseTo(number(forecast) / 1.1 ** 3, -1);
  await expect(page.locator('.answer')).toContainText('Marlpit Grow costs least');
  await expect(total).not.toHaveText(totalAtForecast ?? '');
  await page.keyboard.press('Escape');
  await expect(sales).toHaveText(forecast ?? '');
  await expect(total).toHaveText(totalAtForecast ?? '');

  const track = await page.locator('.scale-track').boundingBox();
  if (!track) throw new Error('the scale is expected to be drawn');
  const pointer = await slider.boundingBox();
  if (!pointer) throw new Error('the pointer is expected to be drawn');
  await page.mouse.move(pointer.x + pointer.width / 2, track.y + 10);
  await page.mouse.down();
  await page.mouse.move(track.x + track.width * 0.05, track.y + 10, { steps: 6 });
  await page.mouse.up();
  await expect(page.locator('.answer')).toContainText('Brindle Shop costs least');
  // It stays in view, and tried, at every place.
  await page.getByRole('link', { name: /Expected sales/ }).click();
  await expect(page.locator('.answer')).toContainText('Brindle Shop costs least');
  await page.getByRole('button', { name: /^back to/ }).click();
  await expect(sales).toHaveText(forecast ?? '');
});

test('another level is typed on the scale or into its figure; what cannot be is refused, Escape leaves', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/what-if`);
  const slider = page.getByRole('slider', { name: 'Sales a month' });
  await slider.press('9');
  const field = page.getByLabel('Try sales a month');
  await expect(field).toHaveValue('9');
  await field.press('End');
  await page.keyboard.type('500');
  await page.keyboard.press('Enter');
  await expect(page.locator('.standing-sales b')).toHaveText('€9,500');
  await expect(page.locator('.answer')).toContainText('Wharfside Trade costs least');
  await expect(slider).toHaveAttribute('aria-valuetext', /^€9,500 a month: Wharfside Trade is cheapest, €[\d,]+ less than Marlpit Grow$/);

  await page.getByRole('button', { name: '€9,500' }).click();
  for (const [typed, problem] of [
    ['-5', 'Enter sales a month from'],
    ['99999999', 'Enter sales a month from'],
    ['many', 'is not a number'],
    ['1,234', 'can be read two ways'],
  ] as const) {
    await field.fill(typed);
    await page.keyboard.press('Enter');
    await expect(page.locator('.standing-sales [role=alert]')).toContainText(problem);
    await expect(field).toHaveValue(typed);
  }
  await page.keyboard.press('Escape');
  await expect(page.locator('.standing-sales b')).toHaveText('€9,500');
  await page.keyboard.press('Escape');
  await expect(page.locator('.standing-sales b')).toHaveText('€7,357');
});

test('the scale is dragged with a finger', async ({ browser, demo }) => {
  const context = await browser.newContext({ hasTouch: true, locale: 'en-GB', viewport: { width: 820, height: 1000 } });
  const page = await context.newPage();
  await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
  const track = await page.locator('.scale-track').boundingBox();
  if (!track) throw new Error('the scale is expected to be drawn');
  const touch = await context.newCDPSession(page);
  const point = (share: number) => [{ x: track.x + track.width * share, y: track.y + track.height / 2 }];
  await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: point(0.6) });
  for (const share of [0.7, 0.8, 0.9]) await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: point(share) });
  await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  await expect(page.locator('.answer')).toContainText('Wharfside Trade costs least');
  await expect(page.getByRole('button', { name: /^back to €7,357/ })).toBeVisible();
  await context.close();
});
