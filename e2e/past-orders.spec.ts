import { expect, test } from './venalis';

const PAST_ORDERS = 'decisions/larkfell-kites/sales/past-orders';
const csv = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

test('past orders of the demo are replayed order by order, and what they say is taken over one by one', async ({ page, demo }) => {
  await page.goto(`${demo.address}${PAST_ORDERS}`);
  await expect(
    page.getByRole('heading', { name: /^Your 1,704 orders of 12 months would have cost least with Marlpit Grow: €2,939/ }),
  ).toBeVisible();
  await page.getByText('Orders on which Marlpit Grow and Wharfside Trade differ most').click();
  await expect(page.getByRole('table', { name: 'Orders on which the first two differ most' }).getByRole('row')).toHaveCount(7);
  await page.getByRole('button', { name: 'Use €46.47 for Average order value, Kites and spares' }).click();
  await expect(page.getByRole('button', { name: /for Average order value, Kites and spares/ })).toHaveCount(0);
  await page.getByRole('link', { name: 'What you expect' }).click();
  await expect(page.getByRole('textbox', { name: 'Average order value' }).first()).toHaveValue('46.47');
});

test('an export is looked through before it is kept, asked about where it can be read two ways, and deleted with a click', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.address}${PAST_ORDERS}`);
  await page.getByRole('button', { name: 'Delete larkfell-kites.csv and its orders' }).click();
  await expect(page.getByRole('heading', { name: 'What your own orders would have cost' })).toBeVisible();
  const file = page.locator('input[type=file]');
  const rows = Array.from({ length: 40 }, (_, at) => `0${1 + (at % 9)}/0${1 + (at % 7)}/2026;Somebody ${at};"${20 + at},50 €";F-${at}`);
  await file.setInputFiles(csv('stall.csv', ['Datum;Kunde;Gesamtbetrag;Bestellnummer', ...rows, 'bald;Jemand;5;X'].join('\n')));
  await page.getByRole('button', { name: 'The day comes first' }).click();
  const found = page.getByRole('region', { name: 'What was found in stall.csv' });
  await expect(found.getByRole('heading')).toHaveText('40 orders from 1 January 2026 to 8 July 2026');
  await found.getByText('1 row could not be read').click();
  await expect(found.getByText('Line 42: the date cannot be read.')).toBeVisible();
  await expect(found.getByRole('row', { name: /Kunde/ })).toContainText('not used');
  await expect(page.locator('main')).not.toContainText('Somebody');
  await found.getByRole('button', { name: 'Keep these orders' }).click();
  await expect(page.getByRole('row', { name: /^stall\.csv 40/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Your \d+ orders of \d months would have cost least/ })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('row', { name: /^stall\.csv 40/ })).toBeVisible();
});

test('files that are no orders are refused in words, and nothing of them is kept', async ({ page, demo }) => {
  await page.goto(`${demo.address}${PAST_ORDERS}`);
  const file = page.locator('input[type=file]');
  for (const [name, text, words] of [
    ['empty.csv', '', 'This file is empty.'],
    ['packed.zip', 'PK\u0003\u0004…', 'packed file or a workbook'],
    ['names.csv', 'Name,Street\nAnn,Long Road 1\n', 'No line of this file names a date and an amount.'],
    ['undated.csv', 'Order,Total\n1,5\n', 'No column says when an order was placed.'],
  ] as const) {
    await file.setInputFiles(csv(name, text));
    await expect(page.getByRole('alert')).toContainText(words);
  }
  await expect(page.getByRole('table', { name: 'Files of past orders' }).getByRole('row')).toHaveCount(2);
});

test('orders that cannot be are refused at the server’s door', async ({ page, demo }) => {
  await page.goto(`${demo.address}${PAST_ORDERS}`);
  const statusOf = (body: unknown) =>
    page.evaluate(
      async ([address, text]) =>
        (await fetch(address ?? '', { method: 'POST', body: text ?? '', headers: { 'Content-Type': 'application/json' } })).status,
      ['/decisions/larkfell-kites/past-orders', JSON.stringify(body)],
    );
  const file = {
    name: 'a.csv',
    orders: 1,
    from: '2026-01-01',
    to: '2026-01-01',
    words: { currency: [''], country: [''], means: [''], channel: [''] },
  };
  expect(await statusOf({ do: 'begin', id: 'a', file })).toBe(200);
  expect(await statusOf({ do: 'begin', id: 'a', file: { ...file, mail: 'ann@example.invalid' } })).toBe(422);
  const part = { day: [20_000], value: [-5], refunded: [0], number: [0], currency: [0], country: [0], means: [0], channel: [0] };
  expect(await statusOf({ do: 'add', id: 'a', place: 0, part })).toBe(422);
  expect(await statusOf({ do: 'finish', id: 'a' })).toBe(409);
});

test('several files are looked through one after the other; one that is none is named, and the others go on', async ({ page, demo }) => {
  await page.goto(`${demo.address}${PAST_ORDERS}`);
  const orders = (name: string) => csv(`${name}.csv`, `Date,Total,Order number\n2026-11-03,20.50,${name}-1\n2026-11-05,30.50,${name}-2\n`);
  await page.locator('input[type=file]').setInputFiles([csv('empty.csv', ''), orders('stall'), orders('web')]);
  await expect(page.getByRole('alert')).toContainText('empty.csv: This file is empty.');
  await expect(page.getByText('Then web.csv.')).toBeVisible();
  await page.getByRole('region', { name: 'What was found in stall.csv' }).getByRole('button', { name: 'Keep these orders' }).click();
  await page.getByRole('region', { name: 'What was found in web.csv' }).getByRole('button', { name: 'Discard' }).click();
  await expect(page.getByRole('row', { name: /^stall\.csv 2/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /^web\.csv/ })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Choose files' })).toBeVisible();
});

test('cautious and hopeful sales can be set from the spread of the past', async ({ page, demo }) => {
  await page.goto(`${demo.address}${PAST_ORDERS}`);
  const spread = page.getByRole('region', { name: 'Cautious and hopeful' });
  await expect(spread).toContainText(/one stretch of three months in ten comes out 20% below .*, and one in ten 25% above\./);
  await spread.getByRole('button', { name: 'Use them' }).click();
  await expect(spread).toContainText('Your cautious and hopeful sales differ by that, and chance takes months to lie apart like this.');
  await page.getByRole('link', { name: 'What you expect' }).click();
  await expect(page.getByLabel('Orders and sign-ups, cautious')).toHaveValue('-20');
});

test('a list of payments is set beside what the sheet says for the same orders, and its fees become real ones', async ({ page, demo }) => {
  await page.goto(`${demo.address}${PAST_ORDERS}`);
  const orders = Array.from({ length: 20 }, (_, at) => `2027-01-${String(1 + at).padStart(2, '0')},${(20 + at).toFixed(2)},N-${at}`);
  await page.locator('input[type=file]').setInputFiles(csv('january.csv', ['Date,Total,Order number', ...orders].join('\n')));
  await page.getByRole('button', { name: 'Keep these orders' }).click();
  await expect(page.getByRole('row', { name: /^january\.csv 20/ })).toBeVisible();

  await page.goto(`${demo.address}decisions/larkfell-kites/verdict/afterwards`);
  const payouts = page.getByRole('region', { name: 'What was charged for payments' });
  const file = payouts.locator('input[type=file]');
  await file.setInputFiles(csv('names.csv', 'Name,Street\nSomebody,Somewhere\n'));
  await expect(payouts.getByRole('alert')).toContainText('names.csv: No line of this file names a day and two of gross, fee and net.');
  // A twentieth of each, which no sheet of the demo takes; and a transfer.
  const paid = Array.from(
    { length: 20 },
    (_, at) => `${String(1 + at).padStart(2, '0')}.01.2027;${20 + at},00 €;-${((20 + at) / 20).toFixed(2).replace('.', ',')} €`,
  );
  await file.setInputFiles(csv('payments.csv', ['Datum;Brutto;Gebühr', ...paid, '31.01.2027;-500,00 €;0,00 €'].join('\n')));
  await expect(payouts.getByRole('alert')).toHaveCount(0);
  await expect(payouts.locator('.says')).toHaveText(/^Charged 5% where the sheet says [\d.]+%: €\d+ more on 20 payments\.$/);
  await expect(payouts).toContainText('20 payments were read. 1 line is left out: refunds, transfers or monthly fees.');
  await payouts.getByRole('button', { name: 'Use as the fees of 1 month' }).click();
  // 20 + 21 + … + 39 is 590.
  await expect(page.getByLabel('Fees by sales, January 2027')).toHaveValue('29.50');
  await expect(payouts).toContainText('They stand above as the real fees of that month.');
});
