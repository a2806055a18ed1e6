import { expect, test } from './venalis';

const number = (text: string | null) => Number((text ?? '').replace(/[^\d]/g, ''));

test('the sales scale follows arrow keys and dragging, all figures with it, and Escape goes back', async ({ page, demo }) => {
  await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
  const slider = page.getByRole('slider', { name: 'Sales a month' });
  const sales = page.locator('.standing-sales b');
  const total = page.locator('.total').first();
  const [forecast, totalAtForecast] = [await sales.textContent(), await total.textContent()];
  await expect(slider).toHaveAttribute('aria-valuetext', /a month: Marlpit Grow is cheapest, [\d,]+ less than Wharfside Trade$/);

  await slider.focus();
  for (let press = 0; press < 3; press++) await page.keyboard.press('PageUp');
  await expect(slider).toHaveAttribute('aria-valuetext', /Wharfside Trade is cheapest/);
  expect(number(await sales.textContent())).toBeCloseTo(number(forecast) * 1.1 ** 3, -1);
  await expect(page.locator('.answer')).toContainText('Wharfside Trade costs least');
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
