/** A price as a made-up vendor's page states it. */
export interface PublishedPrice {
  /** Months that it pays for. */
  readonly months: 1 | 12;
  readonly price: string;
  /** For how many payments another price holds first, and until when one can join for it (`YYYY-MM-DD`). */
  readonly intro?: { readonly price: string; readonly payments: number; readonly until?: string };
}

/** A plan on a vendor's page. */
export interface PublishedPlan {
  readonly name: string;
  readonly prices: readonly PublishedPrice[];
  /** Fees by the name they bear on the page. */
  readonly fees: Readonly<Record<string, string>>;
}

/** A vendor's pricing page on one day. */
export interface PublishedPage {
  readonly vendor: string;
  readonly currency: string;
  readonly plans: readonly PublishedPlan[];
}

/** Something that changes on a day; later changes come on top of earlier ones. */
interface PageChange {
  readonly on: string;
  change(page: PublishedPage): PublishedPage;
}

const plan = (name: string, prices: readonly PublishedPrice[], fees: Readonly<Record<string, string>> = {}): PublishedPlan => ({
  name,
  prices,
  fees,
});
const monthly = (price: string, intro?: PublishedPrice['intro']): PublishedPrice => ({ months: 1, price, ...(intro ? { intro } : {}) });
const yearly = (price: string): PublishedPrice => ({ months: 12, price });

const withPlan = (
  page: PublishedPage,
  name: string,
  change: (one: PublishedPlan) => PublishedPlan | readonly PublishedPlan[],
): PublishedPage => ({ ...page, plans: page.plans.flatMap((one) => (one.name === name ? change(one) : one)) });
const withoutOffers = (page: PublishedPage): PublishedPage => ({
  ...page,
  plans: page.plans.map((one) => ({ ...one, prices: one.prices.map(({ intro: _over, ...price }) => price) })),
});

const NEWCOMERS = { price: '2', payments: 2, until: '2026-12-31' } as const;

/** Made-up vendors of the worked example: how their pages stand at first, and what changes when. */
export const CATALOGUE: Readonly<Record<string, { readonly first: PublishedPage; readonly changes: readonly PageChange[] }>> = {
  marlpit: {
    first: {
      vendor: 'Marlpit',
      currency: 'EUR',
      plans: [
        plan('Seed', [monthly('29'), yearly('288')], {
          'Domestic cards': '2.6% + 0.25',
          'Cards from abroad': '3.6% + 0.25',
          'Sales fee': '1%',
        }),
        plan('Grow', [monthly('69'), yearly('708')], { 'Domestic cards': '1.7% + 0.25', 'Cards from abroad': '2.8% + 0.25' }),
      ],
    },
    changes: [
      // Paid by the year the plan becomes 156 dearer: over two years more than it was ahead by.
      { on: '2027-01-15', change: (page) => withPlan(page, 'Grow', (one) => ({ ...one, prices: [monthly('79'), yearly('864')] })) },
      {
        on: '2027-06-01',
        change: (page) => withPlan(page, 'Grow', (one) => ({ ...one, fees: { ...one.fees, 'Domestic cards': '1.9% + 0.25' } })),
      },
    ],
  },
  tidewrack: {
    first: {
      vendor: 'Tidewrack',
      currency: 'EUR',
      plans: [
        plan('Basic', [monthly('27', NEWCOMERS), yearly('258')]),
        plan('Plus', [monthly('54', NEWCOMERS), yearly('516')]),
        plan('Trade', [monthly('119')]),
      ],
    },
    changes: [{ on: '2027-01-01', change: withoutOffers }],
  },
  pellmere: {
    // The small plan became dearer after the sheet was written.
    first: {
      vendor: 'Pellmere',
      currency: 'EUR',
      plans: [
        plan('Start', [monthly('11'), yearly('108')], { 'Card fee': '2.5% + 0.25', 'Sales fee': '5%' }),
        plan('Full', [monthly('49'), yearly('540')], { 'Card fee': '2.5% + 0.25', 'Sales fee': '0.5%' }),
      ],
    },
    changes: [],
  },
  brindle: {
    first: { vendor: 'Brindle', currency: 'EUR', plans: [plan('Shop', [yearly('408')], { 'Card fee': '2.7% + 0.30' })] },
    changes: [
      // One plan becomes two.
      {
        on: '2027-02-01',
        change: (page) =>
          withPlan(page, 'Shop', (one) => [
            { ...one, name: 'Shop Light', prices: [yearly('300')] },
            { ...one, name: 'Shop Full', prices: [yearly('492')] },
          ]),
      },
    ],
  },
  wharfside: {
    first: {
      vendor: 'Wharfside',
      currency: 'USD',
      plans: [plan('Trade', [monthly('139', { price: '5', payments: 2 }), yearly('1308')], { 'Card fee': '1.4% + 0.20' })],
    },
    changes: [
      {
        on: '2027-03-01',
        change: (page) =>
          withPlan(page, 'Trade', (one) => ({ ...one, prices: [monthly('129', { price: '5', payments: 2 }), yearly('1308')] })),
      },
    ],
  },
};

/** A vendor's page as it stands on a day; undefined for a vendor that is not there. */
export function pageOn(vendor: string, day: string): PublishedPage | undefined {
  const entry = Object.hasOwn(CATALOGUE, vendor) ? CATALOGUE[vendor] : undefined;
  return entry?.changes.filter(({ on }) => on <= day).reduce((page, { change }) => change(page), entry.first);
}

/** Rates against the euro: where they begin, and by how many percent they swing around it. */
const RATES: Readonly<Record<string, readonly [middle: number, swing: number]>> = {
  USD: [1.087, 4],
  GBP: [0.842, 2],
  CHF: [0.957, 2],
  SEK: [11.21, 3],
  JPY: [161.4, 5],
};
const DAYS_A_SWING = 180;

/** Made-up rates of a day: they swing slowly, and are the same whenever they are asked for. */
export function ratesOn(day: string): Record<string, string> {
  const days = Date.parse(`${day}T00:00:00Z`) / 86_400_000;
  const wave = (phase: number) => Math.sin(((days % DAYS_A_SWING) / DAYS_A_SWING) * 2 * Math.PI + phase);
  return Object.fromEntries(
    Object.entries(RATES).map(([code, [middle, swing]], index) => [code, (middle * (1 + (swing / 100) * wave(index))).toFixed(4)]),
  );
}
