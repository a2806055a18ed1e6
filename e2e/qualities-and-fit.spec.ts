import { mkdtempSync, openSync, ftruncateSync, closeSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from './venalis';

const DECISION = 'decisions/larkfell-kites';

test('reviews are pulled to the average where there are few, and a score off its scale is kept until the scale fits', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.address}${DECISION}/needs/qualities`);
  const figure = (name: string) => page.getByRole('button', { name: new RegExp(`^${name}:`) });
  const points = async (vendor: string) =>
    Number(/, (\d+) of 100/.exec((await figure(`Reviews, ${vendor}`).getAttribute('aria-label')) ?? '')?.[1]);
  // Wharfside has 4.9 from 11, Marlpit 4.6 from 240 and some more.
  expect(await points('Wharfside')).toBeLessThan(await points('Marlpit'));
  await figure('Reviews, Chalkfern Video').click();
  const panel = page.getByRole('complementary', { name: 'Quality' });
  await panel.getByRole('button', { name: 'Reviews from one more place' }).click();
  await panel.getByLabel('Score').last().fill('8.4');
  await expect(panel.getByText('Enter a score between 1 and 5; 8.4 is off the scale.')).toBeVisible();
  await panel.getByLabel('to', { exact: true }).last().fill('10');
  await expect(panel.getByText('is off the scale')).toHaveCount(0);
  await expect(panel.getByLabel('Score').last()).toHaveValue('8.4');
  await panel.getByLabel('People').last().fill('300');
  await expect(panel).toContainText('as if 10 more people had given the average of all reviews here');
});

test('the trial diary feeds the marks, and uptime is said in hours a year', async ({ page, demo }) => {
  await page.goto(`${demo.address}${DECISION}/needs/diary`);
  await page.getByLabel('Mark, Write to everybody who bought a spar, Brindle Sites').fill('1');
  await page.getByLabel('Minutes, Write to everybody who bought a spar, Brindle Sites').fill('75');
  await expect(page.locator('.diary tfoot')).toContainText('4 of 5 tasks, 107 minutes');
  await page.getByRole('link', { name: 'Beyond price' }).click();
  await expect(page.getByRole('button', { name: 'Ease, Brindle Sites: 7.3, 73 of 100' })).toBeVisible();
  await page.getByRole('button', { name: /^Downtime, Wharfside:/ }).click();
  await expect(page.getByRole('complementary', { name: 'Quality' })).toContainText(
    'That leaves 53 min a year in which nothing can be sold.',
  );
});

test('recordings are read in the browser; broken, huge and hostile ones are refused in words', async ({ page, demo }) => {
  await page.goto(`${demo.address}${DECISION}/needs/speed`);
  await expect(page.getByText('Partly served from cache, so it looks faster than it is for a first visit: Brindle Sites.')).toBeVisible();
  const folder = mkdtempSync(join(tmpdir(), 'venalis-har-'));
  const huge = join(folder, 'huge.har');
  const file = openSync(huge, 'w');
  ftruncateSync(file, 200_000_000);
  closeSync(file);
  const write = (name: string, text: string) => {
    writeFileSync(join(folder, name), text);
    return join(folder, name);
  };
  const hostile = JSON.stringify({
    log: {
      entries: [
        { request: { url: 'https://<img src=x onerror=alert(1)>' } },
        { request: { url: 'https://x.example/<b>' }, response: { status: 200, bodySize: -7 } },
      ],
      pages: [{ title: '<script>alert(1)</script>', startedDateTime: '2026-11-01', pageTimings: { onLoad: 900 } }],
    },
  });
  await page
    .getByLabel('HAR files')
    .setInputFiles([huge, write('cut.har', '{"log": {"entries": [{'), write('other.har', '{"a": 1}'), write('hostile.har', hostile)]);
  await expect(page.getByRole('alert').filter({ hasText: 'huge.har' })).toContainText('The file has 200 MB; up to 60 MB are read.');
  await expect(page.getByRole('alert').filter({ hasText: 'cut.har' })).toContainText('Was the file cut off when it was saved?');
  await expect(page.getByRole('alert').filter({ hasText: 'other.har' })).toContainText('no recording in the HTTP archive format');
  await expect(page.locator('.speeds')).toContainText('the middle of 2');
  await expect(page.getByText('Recorded up to 21 days apart.')).toBeVisible();
  await page.getByRole('button', { name: 'Remove the recording hostile.har of Marlpit' }).click();
  await expect(page.locator('.speeds')).not.toContainText('the middle of 2');
  rmSync(folder, { recursive: true });
});

test('fit stands beside cost with its make-up; another weight turns it, as was said', async ({ page, demo }) => {
  await page.goto(`${demo.address}${DECISION}/line-up/fit`);
  await expect(page.locator('.fit-sentence')).toContainText(
    /^Tidewrack with Chalkfern fits best, at least \d+ of 100\. The cheapest, Wharfside Trade, fits \d+/,
  );
  await expect(page.getByRole('region', { name: 'How stable it is' })).toContainText(
    /^However you weigh itOf 10,000 ways of weighing, .* fits best in \d+ of 100/,
  );
  await expect(page.getByRole('row').filter({ hasText: 'Fairlight Market' })).toContainText('no own domain');
  const turning = page.getByRole('region', { name: 'Which weight turns it' }).getByRole('listitem');
  await page.getByRole('button', { name: 'Fit of Marlpit Grow: what it is made of' }).click();
  await expect(page.getByRole('region', { name: 'Make-up of the fit' })).toContainText(
    'Each criterion adds its points × its weight ÷ 41, the sum of all weights.',
  );
  await page.getByRole('button', { name: 'Back to the weights' }).click();
  const said = /^(.*): [\d.]+ → (above|below) ([\d.]+), and (.*) fits best$/.exec((await turning.first().textContent()) ?? '');
  const [, label = '', way, to = '', winner = ''] = said ?? [];
  await page.getByLabel(`Weight of ${label}`, { exact: true }).fill(String(Number(to) + (way === 'above' ? 0.2 : -0.2)));
  await expect(page.locator('.fit-sentence')).toContainText(`${winner} fits best`);
});

test('with nothing weighed the place says what to do, and a weight of nothing leaves a thing out', async ({ page, empty }) => {
  await page.goto(empty.address);
  await page.getByRole('button', { name: 'Begin a decision' }).click();
  await page.getByRole('link', { name: /^Comparison/ }).click();
  await page.getByRole('link', { name: 'Fit and cost' }).click();
  await expect(page.getByRole('heading', { name: 'Nothing is weighed yet' })).toBeVisible();
  await page.getByRole('link', { name: 'qualities' }).click();
  await page.getByRole('button', { name: 'Take these 8' }).click();
  await page.getByRole('link', { name: /^Comparison/ }).click();
  await page.getByRole('link', { name: 'Fit and cost' }).click();
  await expect(page.getByText('There is no candidate with a price yet.')).toBeVisible();
  await page.getByLabel('Weight of Ease', { exact: true }).fill('0');
  await expect(page.getByText('7 of 8 count')).toBeVisible();
});
