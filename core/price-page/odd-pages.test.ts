import { describe, expect, it } from 'vitest';
import { readPricePage } from './read-price-page';

const kinds = (text: string) => readPricePage(text).plans.map(({ name, facts }) => [name, facts.map(({ statement }) => statement.kind)]);
const openLines = (text: string) => readPricePage(text).open.map(({ text: line }) => line);

describe('odd pages', () => {
  it('what later years cost, without a plan that it is of, is sold beside nothing', () => {
    const { addons, open } = readPricePage('First year\t£24\t£48\nEvery year after\t£48\t£84');
    expect(addons).toEqual([]);
    expect(open.map(({ line }) => line)).toEqual([1, 2]);
  });

  it('leave open what no price sheet can hold, so that the rest can be saved', () => {
    const page = (price: string, products: string) =>
      `Shop\n\nSolo\n€${price}/month\n${products} products\n2 users\n\nDuo\n€19/month\n9 products\n3 users`;
    expect(openLines(page('9'.repeat(23), '9'.repeat(20)))).toEqual([`€${'9'.repeat(23)}/month`, `${'9'.repeat(20)} products`]);
    expect(kinds(page('9'.repeat(23), '9'.repeat(20)))).toEqual([
      ['Solo', ['limit']],
      ['Duo', ['term', 'limit', 'limit']],
    ]);
    expect(
      openLines('Shop\n\nSolo\n€9/month\n1 site\n2 users\n\nDuo\n€19 for 99999 months\n3 sites\n5000-day free trial on every plan'),
    ).toEqual(['€19 for 99999 months', '5000-day free trial on every plan']);
  });

  it('with two small plans and their fees are no payment processor’s', () => {
    const page =
      'Laden\n\nSolo\n1.234,50 € pro Jahr\n1.000 Produkte\n2,5 % Verkaufsgebühr\n\nDuo\n2.468,00 € pro Jahr\n5.000 Produkte\n1,5 % Verkaufsgebühr';
    expect(readPricePage(page).isProcessor).toBe(false);
    expect(kinds(page)).toEqual([
      ['Solo', ['term', 'limit', 'charge']],
      ['Duo', ['term', 'limit', 'charge']],
    ]);
  });

  it('of another subject, of nothing and of negative prices state nothing', () => {
    expect(kinds('An evening of kites\n\nWe met on the beach.\nIt was windy.')).toEqual([]);
    expect(kinds('\n \n\n')).toEqual([]);
    expect(openLines('Shop\n\nSolo\n€-12/month\n2 users\n\nDuo\n€19/month\n9 sites\n4 users')).toContain('€-12/month');
  });

  it('with a share below nothing, or above all of a sale, leave it open and make no feature of it', () => {
    const page = 'Small\n£12 / month\n-2.9% of each sale\n\nLarge\n£30 / month\n900% of each sale';
    expect(openLines(page)).toEqual(['-2.9% of each sale', '900% of each sale']);
    expect(kinds(page)).toEqual([
      ['Small', ['term']],
      ['Large', ['term']],
    ]);
  });

  it('with prices that change after a first time take them as the line says, with a sign or without', () => {
    for (const sign of ['', '€']) {
      const { plans } = readPricePage(
        `Peatbog Hosting\n\nShared\n${sign}45.60 for the first year, then ${sign}118.80 billed yearly\n` +
          `${sign}3.80/mo for the first 36 months, then ${sign}8.30/mo, billed every 3 years\n10 sites\n20 GB storage`,
      );
      expect(plans[0]?.facts.map(({ statement }) => statement).filter(({ kind }) => kind === 'term')).toEqual([
        { kind: 'term', term: { months: 12, price: '118.80', intro: { price: '45.60', periods: 1 } } },
        { kind: 'term', term: { months: 36, price: '298.8', intro: { price: '136.8', periods: 1 } } },
      ]);
    }
  });

  it('leave open a sentence whose amount is stated nowhere, whatever else its line states', () => {
    const { open, plans } = readPricePage(
      'Solo\n€9 a month\n3 pages\n\nTeam\n€29 a month\n9 pages\n\nCards cost 2% + €0.25. We once gave €77 to a school.',
      {},
    );
    expect(plans.every(({ facts }) => facts.some(({ statement }) => statement.kind === 'charge'))).toBe(true);
    expect(open.map(({ text }) => text)).toEqual(['Cards cost 2% + €0.25. We once gave €77 to a school.']);
    const all = readPricePage('Solo\n€9 a month\n3 pages\n\nTeam\n€29 a month\n9 pages\n\nCards cost 2% + €0.25. Traffic €3 per TB.', {});
    expect(all.open).toEqual([]);
  });

  it('leave open a share of nobody knows what, also on a line whose price is read', () => {
    const { open, plans } = readPricePage('Bay\nSolo €9/month, 3 pages, 2%\nTeam €29/month, 9 pages, you keep 150% of every sale', {});
    expect(open.map(({ line }) => line)).toEqual([2, 3]);
    expect(plans.flatMap(({ facts }) => facts.map(({ statement }) => statement.kind))).toEqual(['term', 'limit', 'term', 'limit']);
  });

  it('ask where how a price is billed does not fit the time that it is for', () => {
    const { plans, asked } = readPricePage(
      'Host\n\nShared\n3.80/mo for the first 5 months, then 8/mo, billed yearly\n10 sites\n20 GB storage',
    );
    expect(plans[0]?.facts.map(({ statement }) => statement.kind)).toEqual(['limit', 'limit']);
    expect(asked).toMatchObject([{ question: 'Is the lower price paid month by month, or for 5 months ahead?', plans: ['Shared'] }]);
  });

  it('take no price from below nothing, with a sign or without', () => {
    for (const price of ['-19/mo', '€-19/month', '-€19 a month', '−€19/month', 'from -€19 a month', '-19 € per month']) {
      const { plans } = readPricePage(`Shop\n\nSolo\n${price}\n2 users\n\nDuo\n29/mo\n9 sites\n4 users`);
      expect(plans.find(({ name }) => name === 'Solo')?.facts.some(({ statement }) => statement.kind === 'term') ?? false).toBe(false);
    }
  });

  it('take no fee from below nothing, nor of more than all', () => {
    const fees = (rate: string) => kinds(`Shop\n\nSolo\n€9/month\n1 site\n${rate} of each sale\n\nDuo\n€19/month\n3 sites\n4 users`);
    expect(fees('-2.5%')[0]?.[1]).not.toContain('charge');
    expect(fees('250%')[0]?.[1]).not.toContain('charge');
    expect(fees('100%')[0]?.[1]).toContain('charge');
    expect(fees('2.5%')[0]?.[1]).toContain('charge');
  });

  it('that are a table of names and prices have plans, under whatever else there are add-ons', () => {
    const names = (head: string) => {
      const { plans, addons } = readPricePage(`${head}\tPrice\nSolo\t$9 a month\nDuo\t$19 a month`);
      return [plans.map(({ name }) => name), addons.map(({ name }) => name)];
    };
    expect(names('Plan')).toEqual([['Solo', 'Duo'], []]);
    expect(names('Add-on')).toEqual([[], ['Solo', 'Duo']]);
  });

  it('have a table whose prices stand above the names, or whose head is short of its corner', () => {
    const above = readPricePage('Price\tFree\t$24 / month\n\tBegin\tTeach\nTeachers\t1\t3');
    expect(above.plans.map(({ name, facts }) => [name, facts.length])).toEqual([
      ['Begin', 2],
      ['Teach', 2],
    ]);
    const short = readPricePage('Grow\tThrive\n$35/mo\t$95/mo\nStaff logins\t2\t5\nProducts\t100\t900\nShops\t1\t2');
    expect(short.plans.map(({ name, facts }) => [name, facts.length])).toEqual([
      ['Grow', 4],
      ['Thrive', 4],
    ]);
  });

  it('count one and several of a thing under the same name', () => {
    const { plans } = readPricePage(
      'Small\n€9/month\n1 warehouse\n1 community\n1 seat\n1 GB\n\nLarge\n€29/month\n5 warehouses\n3 communities\n9 seats\n20 GB',
    );
    const counted = plans.map(({ facts }) =>
      facts.flatMap(({ statement }) => (statement.kind === 'limit' ? [`${statement.most} ${statement.quantity}`] : [])),
    );
    expect(counted).toEqual([
      ['1 warehouses', '1 communities', '1 staff', '1 storage'],
      ['5 warehouses', '3 communities', '9 staff', '20 storage'],
    ]);
  });

  it('of a definition list alone are HTML, and a name with two values keeps both', () => {
    const { lines } = readPricePage('<dl><dt>RAM<dd>2 GB<dd>4 GB<dt>CPU<dd>1 core</dl>');
    expect(lines.map(({ text }) => text)).toEqual(['RAM: 2 GB', '4 GB', 'CPU: 1 core']);
  });

  it('in German told in sentences state no add-ons named after the plans', () => {
    const page = 'Der Basis Tarif kostet 9 € im Monat mit 3 Seiten. Der Plus Tarif kostet 19 € im Monat mit 9 Seiten.';
    expect(readPricePage(page).plans.flatMap(({ facts }) => facts.map(({ statement }) => statement.kind))).not.toContain('addon');
  });

  it('of a few lines are about the one plan that they name', () => {
    expect(kinds('Brackenlearn\n\nSolo\n19/mo\nCard fee 2.9% + 0.30')).toEqual([['Solo', ['term', 'charge']]]);
    expect(kinds('Solo\n19/mo')).toEqual([['Solo', ['term']]]);
    expect(kinds('An evening\n\nWe met on the beach, and then we all went home.\n\nTickets\n€19 each')).toEqual([]);
  });

  it('with a plan named twice at different prices ask which one holds', () => {
    const { plans, asked } = readPricePage(
      'Solo\n€10/month\n1 site\n2 users\n\nDuo\n€20/month\n3 sites\n4 users\n\nSolo\n€12/month\n1 site\n2 users',
    );
    expect(plans.map(({ name }) => name)).toEqual(['Solo', 'Duo']);
    expect(asked.map(({ options }) => options.map(({ label }) => label))).toEqual([['10', '12']]);
  });

  const SHOP = 'Shop\n\nSmall\n$10 a month\n5 products\n\nLarge\n$20 a month\n50 products\n\n';
  const prices = (text: string) =>
    readPricePage(text).plans.map(({ facts }) =>
      facts.flatMap(({ statement }) => (statement.kind === 'term' ? [statement.term.price] : [])),
    );

  it.each([
    ['15 months free', [['10'], ['20']]],
    ['12 months free', [['10'], ['20']]],
    [
      '11 months free',
      [
        ['10', '10'],
        ['20', '20'],
      ],
    ],
  ])('make no price of nothing or less out of a year with %s', (saved, expected) => {
    expect(prices(`${SHOP}Pay yearly and get ${saved}`)).toEqual(expected);
    if (expected[0]?.length === 1) expect(openLines(`${SHOP}Pay yearly and get ${saved}`)).toEqual([`Pay yearly and get ${saved}`]);
  });

  it('leave a seat open that costs less by the month, and ask which of two prices is paid', () => {
    const page = (monthly: string) =>
      `Video\n\nHost\n$15 per seat/month\nbilled yearly, or ${monthly} monthly\n60 videos\n\nSell\n$90 a month\n5 videos`;
    expect(openLines(page('$5'))).toEqual(['$15 per seat/month', 'billed yearly, or $5 monthly']);
    const [asked] = readPricePage(page('$25')).asked;
    expect([asked?.question, asked?.plans]).toEqual(['Each seat costs less when a year is paid at once. How will you pay?', ['Host']]);
    // Until it is answered nobody knows what the plan costs, and it is not free.
    expect(prices(page('$25'))).toEqual([[], ['90']]);
  });

  it('read steps plan by plan only where they go up, and keep the plans’ own prices', () => {
    const page = (counts: string) =>
      `Mail\n\nLite\n€12/mo\n1,000 contacts\n\nPlus\n€24/mo\n1,000 contacts\n\nContacts: ${counts}\nLite: €22 / €39\nPlus: €39 / €65`;
    const bands = readPricePage(page('2,500 / 5,000')).plans.map(({ facts }) =>
      facts.flatMap(({ statement }) => (statement.kind === 'charge' && 'bands' in statement.charge ? statement.charge.bands : [])),
    );
    expect(bands.map((steps) => steps.map(({ upTo, flat }) => [upTo, flat]))).toEqual([
      [
        ['1000', '12'],
        ['2500', '22'],
        ['5000', '39'],
      ],
      [
        ['1000', '24'],
        ['2500', '39'],
        ['5000', '65'],
      ],
    ]);
    expect(prices(page('2,500 / 5,000'))).toEqual([[], []]);
    expect(prices(page('5,000 / 2,500'))).toEqual([['12'], ['24']]);
  });

  it('ask which holds where an answer says that there is no fee, and a plan has stated one', () => {
    const page = `${SHOP.replace('50 products', '50 products\n1% transaction fee')}Do you charge transaction fees?\nNo.`;
    const { asked, plans } = readPricePage(page);
    expect(asked.map(({ plans: names, options }) => [names, options.map(({ label }) => label)])).toEqual([
      [['Large'], ['the fee', 'none']],
    ]);
    const fees = plans.map(({ facts }) =>
      facts.flatMap(({ statement }) => (statement.kind === 'charge' && 'percent' in statement.charge ? [statement.charge.percent] : [])),
    );
    expect(fees).toEqual([['0'], []]);
  });
});
