import type { Page } from '@playwright/test';
import { expect, test } from './venalis';

const WHAT_IF = 'decisions/larkfell-kites/what-if';

async function choose(page: Page, label: string, option: string | RegExp): Promise<void> {
  await page.getByRole('combobox', { name: label }).click();
  await page.locator('.ant-select-dropdown:not(.ant-select-dropdown-hidden)').getByText(option).click();
}

test('break-evens of every pair are said with the month that reaches them', async ({ page, demo }) => {
  await page.goto(`${demo.address}${WHAT_IF}`);
  await expect(page.locator('.says')).toHaveText(
    /^Marlpit Grow is cheaper below €6,069 a month \(196 orders, 18% less than expected\), Wharfside Trade above\. Your sales reach that in April 2027/,
  );
  await page.getByRole('button', { name: /Tidewrack Basic/ }).click();
  await expect(page.locator('.says')).toContainText('Tidewrack Basic');
  await choose(page, 'Set against all others', 'D Brindle Shop');
  await expect(page.getByRole('columnheader', { name: 'Against Brindle Shop' })).toBeVisible();
  await page.getByText(/^Every pair: 55$/).click();
  await expect(page.getByRole('region', { name: 'Every pair' }).getByRole('button')).toHaveCount(55);
});

test('the map names the fields; a point is looked at exactly, kept as a scenario, compared and taken over', async ({ page, demo }) => {
  await page.goto(`${demo.address}${WHAT_IF}/map`);
  await expect(page.locator('.says')).toHaveText(
    /^Wharfside Trade is cheapest on \d+% of the map, Marlpit Grow on \d+%\. Your forecast lies in the field of Wharfside Trade\.$/,
  );
  await page.getByText('The same in words').click();
  await expect(page.getByRole('cell', { name: 'Wharfside Trade' }).first()).toBeVisible();

  const map = await page.locator('.map-box canvas').boundingBox();
  if (!map) throw new Error('the map is expected to be drawn');
  await page.mouse.click(map.x + map.width * 0.15, map.y + map.height * 0.8);
  const margin = page.getByRole('complementary', { name: 'The point and the ranges' });
  await expect(margin).toContainText('Marlpit Grow costs least');
  await margin.getByLabel('Keep this as a scenario').fill('A very bad year');
  await margin.getByRole('button', { name: 'Keep' }).click();
  await expect(margin.getByRole('status')).toContainText('“A very bad year” is kept');

  await page.getByRole('link', { name: 'Scenarios (1)' }).click();
  await expect(page.locator('.says')).toHaveText('Wharfside Trade costs least as it is, but not in “A very bad year”.');
  await page.getByRole('button', { name: 'A very bad year' }).click();
  const form = page.getByRole('complementary', { name: 'The scenario' });
  await form.getByLabel('Orders, all streams').fill('-40');
  await form.getByRole('button', { name: 'Apply to my forecast' }).click();
  await expect(page.locator('.answer')).toContainText('Marlpit Grow costs least');
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(page.locator('.answer')).toContainText('Wharfside Trade costs least');
});

test('what turns it follows the ranges that are typed; ends that cannot be are refused beside the field', async ({ page, demo }) => {
  await page.goto(`${demo.address}${WHAT_IF}/turns-it`);
  await expect(page.locator('.says')).toHaveText(
    /^Wharfside Trade is ahead of Marlpit Grow by €210\. It turns with “Orders, all streams”: below −17\.5% Marlpit Grow is cheapest/,
  );
  const margin = page.getByRole('complementary', { name: 'The range' });
  await margin.getByLabel('Orders, all streams, from').fill('-10');
  await expect(page.getByRole('row', { name: /^Orders, all streams/ })).toContainText('not in this range');
  await margin.getByLabel('Orders, all streams, to').fill('-500');
  await expect(margin.getByRole('alert')).toContainText('Enter ');
  await page.reload();
  await page.getByRole('button', { name: 'Orders, all streams' }).click();
  await expect(margin.getByLabel('Orders, all streams, to')).toHaveValue('-500');
});

test('the route says when to move, and follows what moving costs', async ({ page, demo }) => {
  await page.goto(`${demo.address}${WHAT_IF}/route`);
  const margin = page.getByRole('complementary', { name: 'What moving costs' });
  await expect(page.locator('.says')).toHaveText('Moving does not pay: stay with Wharfside Trade throughout, €6,839 in all.');
  // Left out at first, since a move from the same vendor's other plan would skip what the designer is paid.
  await expect(margin).toContainText('Built by a designer is left out');
  await margin.getByRole('checkbox', { name: 'G Built by a designer' }).check();
  // Without the one that costs least throughout, a move pays.
  await margin.getByRole('checkbox', { name: 'E Wharfside Trade' }).uncheck();
  await expect(page.locator('.says')).toHaveText(
    /^Begin with Own hosting and plug-ins, move to Built by a designer in February 2027: €6,891 in all, €159 less than Marlpit Grow throughout\.$/,
  );
  await expect(page.getByText(/^Moving a quarter later/)).toBeVisible();
  await expect(page.getByRole('list', { name: 'The way through the months' }).getByRole('listitem').first()).toBeVisible();
  await margin.getByLabel('To another plan: money').fill('5000');
  await expect(page.locator('.says')).toHaveText(/^Moving does not pay: stay with Marlpit Grow throughout, €7,050 in all\.$/);
});

test('a way of one’s own is put together, set against the best, and stands in the comparison', async ({ page, demo }) => {
  await page.goto(`${demo.address}${WHAT_IF}/route`);
  await page.getByRole('button', { name: 'Put a way together' }).click();
  const says = page.locator('.own-way-says');
  await expect(says).toHaveText(/^Begin with Marlpit Grow, move to Wharfside Trade in February 2027: .* more than the best throughout\.$/);
  await page.getByRole('button', { name: 'move once more' }).click();
  await expect(says).toContainText('then move to Marlpit Grow in March 2027');
  // Two moves in one month are no way.
  await page.getByLabel('from', { exact: true }).nth(1).click();
  await page.keyboard.type('February 2027');
  await page.keyboard.press('Enter');
  await expect(says).toHaveText('Each move has to come after the one before, and within the months you plan for.');
  await page.getByRole('button', { name: 'leave out the last move' }).click();
  await expect(says).toHaveText(/^Begin with Marlpit Grow, move to Wharfside Trade in February 2027/);
  const told = (await says.textContent()) ?? '';
  await expect(page.getByText(/^saved \d/)).toBeVisible();
  await page.goto(`${demo.address}decisions/larkfell-kites`);
  await expect(page.getByRole('region', { name: 'Ways of your own' })).toContainText(told);
});

test('paying ahead, offers off and a bigger investment each say what they come to', async ({ page, demo }) => {
  await page.goto(`${demo.address}${WHAT_IF}/paying-ahead`);
  await expect(page.locator('.says')).toHaveText(
    'Paid by the year, Wharfside Trade costs €416 less over 24 months. Leave after 1 month and €1,199 is lost; from month 21 on nothing is lost any more.',
  );

  await page.getByRole('link', { name: 'Offers' }).click();
  await expect(page.locator('.says')).toHaveText(
    /^The decision survives: Wharfside Trade costs least without any one of the 3 special offers/,
  );
  await page.getByRole('checkbox', { name: /Tidewrack Stores Basic/ }).uncheck();
  await expect(page.getByRole('complementary', { name: 'With the offers chosen' })).toContainText('210 less than Marlpit Grow');

  await page.getByRole('link', { name: 'Bigger investment' }).click();
  // An example stands there until something is typed.
  await expect(page.getByText('Type what you were offered at the right.')).toBeVisible();
  await expect(page.locator('.says')).toHaveText(/^It pays if it brings [\d.]+% more online orders\./);
  await page.getByLabel('Designer or build, once').fill('2400');
  await expect(page.getByText('Type what you were offered at the right.')).toBeHidden();
  await expect(page.locator('.says')).toHaveText(
    /^It pays if it brings [\d.]+% more online orders\. At the 10% that you expect it leaves you €[\d,]+ more over 24 months, and has paid for itself in \w+ 202[78]\.$/,
  );
  await page.getByLabel('Designer or build, once').fill('900000');
  await expect(page.locator('.says')).toContainText('less over 24 months');

  await page.getByRole('link', { name: 'Next plan up' }).click();
  await expect(page.locator('.says')).toContainText('Trade instead of Basic costs €2,258 more and saves €4,580 in fees');
  // The first two months of Basic cost 2 instead of 27; Trade costs 119.
  await expect(page.locator('.steps-table')).toContainText('117.00 more a month at first, 92.00 more from the renewal on.');
  // 24 × 18 for the club, and what mailings to 900 and more contacts cost singly.
  await expect(page.getByRole('row', { name: /Tidewrack Stores Trade/ })).toContainText(
    'subscriptions: Tidewrack Stores Club, €432; mailings: Postmoor Letters, €264',
  );
});

test('one candidate, nothing sold, a single quarter, nobody to choose: each is said, with what to do', async ({ page, empty, demo }) => {
  const leaves = ['', '/next-plan', '/map', '/route', '/turns-it', '/paying-ahead', '/offers', '/investment', '/scenarios'];
  await page.goto(empty.address);
  await page.getByRole('button', { name: 'Begin a decision' }).click();
  await page.waitForURL(/decisions\/[^/]+\//);
  const decision = page.url().replace(/(decisions\/[^/]+)\/.*/, '$1');
  for (const leaf of leaves) {
    await page.goto(`${decision}/what-if${leaf}`);
    await expect(page.locator('.leaf')).toContainText(/It takes one price to begin with|No scenario is kept yet/);
  }
  const larkfell = `${demo.address}decisions/larkfell-kites`;
  await page.goto(`${larkfell}/frame`);
  await page.getByLabel('Horizon').fill('3');
  await expect(page.locator('.answer')).toContainText('over 3 months');
  for (const leaf of leaves) {
    await page.goto(`${larkfell}/what-if${leaf}`);
    await expect(page.locator('main.work[aria-busy=true]')).toHaveCount(0);
    await expect(page.locator('.leaf')).not.toContainText(/NaN|Infinity|undefined/);
  }
});

test('what if asks about the version that is shown; a scenario is undone, and stays after a reload', async ({ page, demo }) => {
  await page.goto(`${demo.address}${WHAT_IF}/turns-it`);
  await expect(page.locator('.says')).toContainText('Wharfside Trade is ahead of Marlpit Grow by €210');
  await page.getByText('hopeful', { exact: true }).click();
  await expect(page.locator('.says')).toContainText('Wharfside Trade is ahead of Marlpit Grow by €511');
  await page.getByText('expected', { exact: true }).click();
  await expect(page.locator('.says')).toContainText('Wharfside Trade is ahead of Marlpit Grow by €210');

  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Scenarios (1)' })).toBeVisible();
  await expect(page.getByText(/^saved \d/)).toBeVisible();
  await page.reload();
  await page.getByRole('link', { name: 'Scenarios (1)' }).click();
  await expect(page.getByRole('row', { name: /^Orders, all streams −17\.5%/ })).toBeVisible();
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(page.getByRole('heading', { name: 'No scenario is kept yet' })).toBeVisible();
  // Two examples stand there worked out; one click keeps one.
  await expect(page.getByRole('row', { name: /A fifth fewer orders/ })).toContainText('5,886');
  await page.getByRole('button', { name: 'Keep “A fifth fewer orders”' }).click();
  await expect(page.getByRole('link', { name: 'Scenarios (1)' })).toBeVisible();
  await expect(page.getByRole('row', { name: /A fifth more orders/ })).toHaveCount(0);
});

test('another way of paying is put into the line-up from where it is weighed', async ({ page, demo }) => {
  await page.goto(`${demo.address}${WHAT_IF}/paying-ahead`);
  await choose(page, 'Plan of', 'B Tidewrack Basic');
  const yearly = page.getByRole('row', { name: /^by the year/ });
  await yearly.getByRole('button', { name: 'compare it too' }).click();
  await expect(yearly.getByRole('button', { name: 'compare it too' })).toHaveCount(0);
  await page.getByRole('link', { name: /^Comparison/ }).click();
  await page.getByRole('link', { name: 'Candidates', exact: true }).click();
  await expect(page.getByRole('button', { name: /^L Tidewrack Basic by the year/ })).toBeVisible();
});

test('chance says how often the answer is right, what it gives away, and what to find out first', async ({ page, demo }) => {
  await page.goto(`${demo.address}${WHAT_IF}/chance`);
  const says = page.locator('.says');
  await expect(says).toHaveText(
    /^Wharfside Trade comes first in 7\d of 100 futures\. Choosing it gives away €\d+ on average beside what would have been best; in one of twenty futures €\d+ or more\.$/,
  );
  const table = page.getByRole('table', { name: 'How often each comes first', exact: true });
  await expect(
    table.getByRole('row', { name: /Own hosting and plug-ins outgrown in \d+ of 100, half of these by \w+ 2027/ }),
  ).toBeVisible();
  await expect(page.getByRole('table', { name: 'How often each comes first, by the level of sales' }).getByRole('row')).toHaveCount(9);
  await expect(table.getByRole('row', { name: /Lanternroom Circle lacks a must in 5\d of 100: nobody has checked/ })).toBeVisible();
  const waiting = page.getByRole('region', { name: 'What waiting is worth' });
  await expect(waiting).toContainText(
    /Waiting does not pay: to begin with Wharfside Trade by the month and decide in \w+ 2027 costs €\d+ more on average than choosing Wharfside Trade now\./,
  );
  const findOut = page.getByRole('region', { name: 'What to find out first' });
  await expect(findOut.getByRole('row', { name: /^Orders of all streams/ })).toContainText(/€\d+/);

  // Certain of everything that is shown: the next things matter more.
  await findOut.getByLabel('Orders of all streams: one in ten is further off than').fill('0');
  await page.keyboard.press('Tab');
  await expect(says).toHaveText(/^Wharfside Trade comes first in [89]\d of 100 futures\./);
  await findOut.getByLabel('Orders of all streams: one in ten is further off than').fill('-3');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert').filter({ hasText: 'Enter how far off it may be, from 0 to 1,000' })).toBeVisible();
  await findOut.getByRole('button', { name: 'Orders of all streams: as uncertain as usual' }).click();
  await expect(says).toHaveText(/^Wharfside Trade comes first in 7\d of 100 futures\./);

  // What nobody knows of a plan comes out by chance too, as likely as one says.
  await findOut.getByRole('button', { name: /that change no choice/ }).click();
  await findOut.getByLabel('Lanternroom Circle: card reader: how likely it is there').fill('100');
  await page.keyboard.press('Tab');
  await expect(table.getByRole('row', { name: /Lanternroom Circle/ })).not.toContainText('nobody has checked');
});
