import { expect, test, typeInto } from './venalis';

const DECISION = 'decisions/larkfell-kites';

test('every vendor has a proposal, or every plan says why not', async ({ page, demo }) => {
  await page.goto(`${demo.address}${DECISION}/line-up/candidates`);
  const vendor = (name: string) => page.getByRole('listitem', { name, exact: true });
  await expect(vendor('Wharfside')).toContainText('Wharfside Trade, by the year');
  await expect(vendor('Tidewrack Stores')).toContainText(/Basic: no subscriptions; with Club €[\d,]+ dearer than Trade/);
  await expect(vendor('Marlpit')).toContainText('Seed: no subscriptions');
  await expect(page.getByRole('listitem', { name: 'Oakum Hosting and Fernhalt One' })).toContainText(
    'Oakum Hosting Roomy with Fernhalt One Branch, by the year, with Regulars',
  );
  await expect(vendor('Fairlight Market')).toContainText('Open stall: no subscriptions, no card reader, no own domain; not known: export');
  const line = page.getByRole('region', { name: 'Put together' }).getByRole('listitem').filter({ hasText: 'Fairlight Market' });
  await expect(line).toHaveClass('is-grey');
  await expect(line).toContainText('22,795.19');
});

test('a proposal is taken, follows what changes, says what has changed, and is pinned by hand', async ({ page, demo }) => {
  await page.goto(`${demo.address}${DECISION}/line-up/candidates`);
  const wharfside = page.getByRole('listitem', { name: 'Wharfside', exact: true });
  // The candidate that came by itself goes, and is taken again.
  await wharfside.getByRole('button', { name: /^Candidate E follows it/ }).click();
  await page.getByRole('button', { name: 'Remove it from the comparison' }).click();
  await expect(page.locator('.answer')).toContainText('Wharfside Trade, by the year, in USD would cost €1,122 less');
  await wharfside.getByRole('button', { name: 'Take it' }).click();
  await expect(wharfside.getByRole('button', { name: 'Candidate L follows it: what it is put together from' })).toBeVisible();
  await expect(page.locator('.answer')).toContainText('Wharfside Trade costs least');

  // The yearly price goes up: paying by the month is what is proposed from then on, and the candidate goes along.
  await page.getByRole('link', { name: /^Price sheets/ }).click();
  await page.locator('.sheet-list a', { hasText: 'Wharfside' }).click();
  await page.getByRole('gridcell', { name: /^Trade, by the year:/ }).click();
  await page.keyboard.type('1900');
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: /^Comparison/ }).click();
  await page.getByRole('link', { name: 'Candidates', exact: true }).click();
  const changed = page.getByRole('region', { name: 'What has changed' });
  await expect(changed).toContainText(
    /now Wharfside Trade, by the month, in USD, [\d,.]+; was Wharfside Trade, by the year, in USD, [\d,.]+/,
  );
  await changed.getByRole('button', { name: 'Got it' }).click();
  await expect(changed).toHaveCount(0);

  await wharfside.getByRole('button', { name: /^Candidate L follows it/ }).click();
  const panel = page.getByRole('complementary', { name: 'What it is put together from' });
  await panel.getByLabel('Trade is paid').click();
  await page.getByTitle('by the year', { exact: true }).click();
  await expect(panel).toContainText('Pinned: it stays as it is, whatever is proposed.');
  await expect(wharfside.getByRole('button', { name: /^Candidate L pinned/ })).toBeVisible();
  await panel.getByRole('button', { name: 'Follow the proposal again' }).click();
  await expect(wharfside.getByRole('button', { name: /^Candidate L follows it/ })).toBeVisible();
});

test('plans of several vendors are put together by hand; what is bought twice is said', async ({ page, demo }) => {
  await page.goto(`${demo.address}${DECISION}/line-up/candidates`);
  const lines = page.getByRole('region', { name: 'Put together' }).getByRole('listitem');
  await expect(lines).toHaveCount(11);
  await page.getByRole('button', { name: 'Build your own' }).click();
  await lines
    .last()
    .getByRole('button', { name: /^L Put together by hand/ })
    .click();
  const panel = page.getByRole('complementary', { name: 'What it is put together from' });
  await panel.getByLabel('Plan', { exact: true }).click();
  await page.getByTitle('Tidewrack Stores Plus', { exact: true }).click();
  await panel.getByLabel('With a plan of another vendor').click();
  await page.getByTitle('Postmoor Letters Letters', { exact: true }).click();
  await expect(lines.last()).toContainText(/twice in it: .*mailings \(Tidewrack Stores Plus, Postmoor Letters Letters\)/);
  await expect(lines.last()).toContainText('Postmoor Letters Letters could go: the rest meets every need that it meets');
  await expect(lines.last()).toContainText('your own hours are not stated for it; the others count theirs');
  await expect(lines.last()).toContainText('no subscriptions');
  await panel.getByRole('button', { name: 'Without Postmoor Letters Letters' }).click();
  await expect(lines.last()).not.toContainText('twice in it');
});

test('a candidate whose plan is gone stays, says so, and takes another', async ({ page, demo }) => {
  await page.goto(`${demo.address}${DECISION}/sheets`);
  await page.locator('.sheet-list a', { hasText: 'Oakum' }).click();
  await page.getByRole('button', { name: /^Remove Roomy/ }).click();
  await page.getByRole('link', { name: /^Comparison/ }).click();
  await page.getByRole('link', { name: 'Candidates', exact: true }).click();
  const line = page.getByRole('region', { name: 'Put together' }).getByRole('listitem').filter({ hasText: 'Built by a designer' });
  await expect(line).toContainText('its plan is no longer on the price sheet');
  await line.getByRole('button', { name: /^G Built/ }).click();
  const panel = page.getByRole('complementary', { name: 'What it is put together from' });
  await expect(panel).toContainText(
    'A plan that is no longer on a price sheet of this decision. Choose another, or undo what took it off.',
  );
  await panel.getByLabel('Plan', { exact: true }).click();
  await page.getByTitle('Brindle Sites Shop', { exact: true }).click();
  await expect(line).not.toContainText('no longer');
});

test('a vendor is set aside with its reason, and comes back into view once it would be the best', async ({ page, demo }) => {
  await page.goto(`${demo.address}${DECISION}/line-up`);
  await page
    .getByRole('button', { name: /Marlpit Grow/ })
    .first()
    .click();
  const panel = page.getByRole('complementary', { name: 'How it came about' });
  await panel.getByLabel('Why it is out').fill('no stock for the stall');
  await panel.getByRole('button', { name: 'Set Marlpit aside' }).click();
  await expect(page.locator('.answer')).toContainText('912 less than Tidewrack Trade');
  await expect(page.getByRole('region', { name: 'Set aside' })).toContainText('no stock for the stall');

  await page.getByRole('link', { name: /^Price sheets/ }).click();
  await page.locator('.sheet-list a', { hasText: 'Marlpit' }).click();
  await typeInto(page, 'Grow, by the year', '300/yr');
  await expect(page.locator('.answer')).toContainText('(no stock for the stall): Marlpit Grow would now cost least');
  await page.locator('.answer').getByRole('button', { name: 'Consider Marlpit again' }).click();
  await expect(page.locator('.answer')).toContainText(/^Marlpit Grow costs least/);
});
