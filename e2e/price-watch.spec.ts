import { type ChildProcess, spawn } from 'node:child_process';
import { notAccessible } from './accessibility';
import { addressFrom, expect, start, test as base } from './venalis';

interface World {
  readonly address: string;
  clock(to: string): Promise<void>;
  fault(path: string, fault: string): Promise<void>;
}

/** The demo with a made-up outside world of its own. */
const test = base.extend<{ world: World }>({
  world: async ({ browserName: _ }, use) => {
    const child: ChildProcess = spawn(process.execPath, ['scripts/world.mjs'], {
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, PORT: '0' },
    });
    const address = await addressFrom(child);
    const post = async (path: string, form: Record<string, string>) => {
      await fetch(`${address}${path}`, { method: 'POST', body: new URLSearchParams(form), redirect: 'manual' });
    };
    await use({ address, clock: (to) => post('/clock', { to }), fault: (path, fault) => post('/faults', { path, fault }) });
    child.kill('SIGTERM');
  },
  demo: async ({ world }, use) => {
    const venalis = await start(true, { VENALIS_WORLD: world.address });
    await use(venalis);
    await venalis.stop();
  },
});

test('the clock is moved on: what changed is shown figure by figure, taken over, and followed through to the verdict', async ({
  page,
  demo,
  world,
}) => {
  const decision = `${demo.address}decisions/larkfell-kites`;
  await page.goto(`${decision}/verdict`);
  await page.getByRole('combobox', { name: 'Candidate' }).click();
  await page.getByRole('option', { name: /^A Marlpit Grow/ }).click();
  await page.getByRole('button', { name: 'Give this verdict' }).click();
  await expect(page.getByRole('article')).toBeVisible();
  await expect(page.getByText(/^saved \d/)).toBeVisible();

  await page.goto(`${demo.address}watch`);
  await expect(page.getByText('Prices have changed on 1 of 5 pages.')).toBeVisible();
  // A change of the club's vendor waits from the start.
  const pellmere = page.getByRole('region', { name: 'Pellmere' });
  await expect(pellmere.getByRole('row', { name: /Start, paid by the month/ })).toContainText('11 by the month');
  await pellmere.getByRole('button', { name: 'Keep the old prices' }).click();
  await page.getByRole('button', { name: 'Check all pages' }).click();
  await expect(page.getByText('No prices have changed.')).toBeVisible();

  await world.clock('2027-02-01');
  await page.getByRole('button', { name: 'Check all pages' }).click();
  const marlpit = page.getByRole('region', { name: 'Marlpit' });
  await expect(marlpit.getByRole('row', { name: /Grow, paid by the year/ })).toContainText('864 by the year');
  await expect(marlpit).toContainText(
    'Marlpit Grow is now €312 dearer; the verdict does not hold any more: Wharfside Trade costs €522 less.',
  );
  // An offer is over, and a plan is split.
  await expect(page.getByRole('region', { name: 'Tidewrack Stores' })).toContainText('27 by the month (the first 2 payments 2 each)');
  await expect(page.getByRole('region', { name: 'Brindle Sites' })).toContainText('Shop Light, a new plan');
  await expect(page.getByRole('region', { name: 'Brindle Sites' })).toContainText('not on the page any more');

  expect(await notAccessible(page)).toEqual([]);
  await page.setViewportSize({ width: 390, height: 800 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.setViewportSize({ width: 1280, height: 800 });

  // What is told is what the ticked figures do.
  const effects = marlpit.getByRole('list', { name: 'What it does to decisions' });
  await marlpit.getByLabel('Use: Grow, paid by the year').uncheck();
  // Everything is worked out anew, which takes its time on a busy machine.
  await expect(effects).toContainText('the verdict still holds', { timeout: 60_000 });
  await marlpit.getByLabel('Use: Grow, paid by the month').uncheck();
  await expect(effects).toContainText('Nothing is ticked, so nothing changes.');

  // One figure is left, the other taken over; the history keeps both. Paying by the month is then what is best of the plan.
  await marlpit.getByLabel('Use: Grow, paid by the year').check();
  await expect(effects).toContainText(
    'Marlpit Grow is now €240 dearer; the verdict does not hold any more: Wharfside Trade costs €450 less.',
  );
  await marlpit.getByRole('button', { name: /^Use 1 of 2/ }).click();
  await expect(marlpit.getByRole('row', { name: /Grow, paid by the year/ })).toHaveCount(0);
  await marlpit.getByRole('button', { name: 'Keep the old prices' }).click();
  await expect(marlpit).toHaveCount(0);
  const history = page.getByRole('region', { name: 'History' });
  await expect(history.getByRole('row', { name: /Grow, paid by the year/ })).toContainText('used');
  await expect(history.getByRole('row', { name: /Grow, paid by the month/ })).toContainText('old price kept');

  await page.goto(`${decision}/verdict`);
  await expect(page.getByRole('status').filter({ hasText: 'Verdict of' })).toContainText(
    'Marlpit Grow is now €240 dearer; the verdict does not hold any more: Wharfside Trade costs €450 less.',
  );
  await expect(page.getByRole('article')).toContainText('Marlpit Grow costs €7,050');
  // It is a step of undo like any other.
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Verdict of' })).toContainText('the verdict still holds');
});

test('what was left is not told again, and rates of the day are taken over', async ({ page, demo, world }) => {
  await world.clock('2027-02-01');
  await page.goto(`${demo.address}watch`);
  await page.getByRole('button', { name: 'Check all pages' }).click();
  const tidewrack = page.getByRole('region', { name: 'Tidewrack Stores' });
  await expect(tidewrack).toBeVisible();
  // In another window the same is open; what is decided here is told there as soon as it asks.
  const other = await page.context().newPage();
  await other.goto(`${demo.address}watch`);
  await other.waitForSelector('html[data-live]', { state: 'attached' });
  await tidewrack.getByRole('button', { name: 'Keep the old prices' }).click();
  await expect(tidewrack).toHaveCount(0);
  const elsewhere = other.getByRole('region', { name: 'Tidewrack Stores' });
  await elsewhere.getByRole('checkbox', { name: /^Use: Basic/ }).uncheck();
  await expect(elsewhere).toHaveCount(0);
  await other.close();
  await page.getByRole('button', { name: 'Check all pages' }).click();
  await expect(page.getByRole('region', { name: 'Marlpit' })).toBeVisible();
  await expect(tidewrack).toHaveCount(0);

  await page.getByRole('button', { name: 'Check rates' }).click();
  const rates = page.getByRole('region', { name: 'Exchange rates' });
  await expect(rates).toContainText('Rates of 1 February 2027');
  await rates.getByRole('button', { name: 'Use this rate' }).click();
  await expect(rates.getByRole('row', { name: /EUR for one USD/ })).toContainText('the same');
  await expect(page.getByRole('region', { name: 'History' }).getByRole('row', { name: /USD, exchange rate/ })).toContainText('used');
});

test('pages that are away, slow, half-written or hostile leave the old prices with their age, and the application working', async ({
  page,
  demo,
  world,
}) => {
  await page.goto(`${demo.address}watch`);
  await page.getByRole('button', { name: 'Check all pages' }).click();
  // The demo begins with a change that waits; only now all are read.
  await expect(page.getByRole('row', { name: /^Marlpit/ })).toContainText('no change, just now');
  await world.clock('2027-02-01');
  for (const [vendor, fault] of [
    ['marlpit', 'away'],
    ['tidewrack', 'slow'],
    ['brindle', 'half-written'],
    ['wharfside', 'hostile'],
  ] as const)
    await world.fault(`/vendors/${vendor}`, fault);
  await world.fault('/rates/daily.xml', 'hostile');
  await page.getByRole('button', { name: 'Check all pages' }).click();
  await expect(page.getByText('4 pages could not be read: the prices last seen still stand.')).toBeVisible();
  const row = (name: string) => page.getByRole('row', { name: new RegExp(`^${name}`) });
  await expect(row('Marlpit')).toContainText('it answered with 503; read last just now');
  await expect(row('Tidewrack Stores')).toContainText('no whole answer within 8 seconds');
  await expect(row('Brindle Sites')).toContainText('the answer broke off');
  await expect(row('Wharfside')).toContainText('169.254.169.254, in a private network that is not among the hosts you allow');
  await page.getByRole('button', { name: 'Check rates' }).click();
  await expect(page.getByRole('region', { name: 'Exchange rates' })).toContainText('document type');

  // An address that is none is refused beside its field and stays as typed; one that leads home is not fetched.
  await page.getByText('price sheets are not watched').click();
  const address = page.getByLabel('Address of Lanternroom');
  await address.fill('lanternroom');
  await address.press('Enter');
  await expect(page.getByText('use an address that begins with http:// or https://')).toBeVisible();
  await address.fill(demo.address);
  await address.press('Enter');
  await expect(row('Lanternroom')).toContainText('not checked yet');
  await page.getByRole('button', { name: 'Check all pages' }).click();
  await expect(row('Lanternroom')).toContainText('in a private network');
  await page.goto(`${demo.address}decisions/larkfell-kites/line-up`);
  await expect(page.locator('.total').first()).toHaveText('6,839.30');
});
