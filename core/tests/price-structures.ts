import type { Candidate } from '../decision-file/candidate-schema';

/** A candidate of a structure: plans with the months of their term, and what is put together with them. */
export interface StructureCandidate extends Pick<Candidate, 'extras'> {
  /** "Plan 12" = the plan of that name, paid by the year. */
  readonly takes: readonly string[];
  readonly addons?: readonly string[];
  /** Paid through the outside processor of the structure. */
  readonly isOutside?: boolean;
  /** What it costs over the horizon, base currency. */
  readonly total: number;
  /** The limit that ends it, and whether something is not known. */
  readonly outgrown?: string;
  readonly isAtLeast?: boolean;
}

/** One way of pricing, as it is typed, with what it must come to. */
export interface Structure {
  readonly number: number;
  readonly name: string;
  readonly plans: Readonly<Record<string, string>>;
  readonly addons?: Readonly<Record<string, string>>;
  readonly processor?: string;
  readonly answers?: readonly string[];
  readonly currency?: string;
  readonly months?: number;
  readonly candidates: readonly StructureCandidate[];
}

const one = (takes: string, total: number, more: Partial<StructureCandidate> = {}): StructureCandidate => ({
  takes: [takes],
  total,
  ...more,
});

/**
 * Every price structure that occurs, one sheet each, typed the way its page says it. The forecast of all of them: in
 * each of 12 months 250 orders of 8.00 with domestic cards, so sales of 2,000, and the quantities of `QUANTITIES`.
 */
export const STRUCTURES: readonly Structure[] = [
  {
    number: 1,
    name: 'free for ever, within an allowance',
    plans: { Free: 'free up to 40 labels a month' },
    candidates: [one('Free 1', 0, { outgrown: 'labels' })],
  },
  {
    number: 2,
    name: 'free software, paid is what passes through it',
    plans: { Free: 'free, 3.20 per label' },
    candidates: [one('Free 1', 12 * 60 * 3.2)],
  },
  {
    number: 3,
    name: 'free core with unavoidable separate costs',
    plans: { Core: 'free' },
    candidates: [one('Core 1', 12 * 5, { extras: [{ label: 'Hosting', amount: '5', months: 1 }] })],
  },
  { number: 4, name: 'flat by the month', plans: { Flat: '90/mo' }, candidates: [one('Flat 1', 12 * 90)] },
  {
    number: 5,
    name: 'ladder of plans with features and limits',
    plans: {
      Basic: '12/mo, up to 2 seats, no gift cards',
      Plus: '25/mo, up to 5 seats, gift cards: yes',
      Trade: '60/mo, unlimited seats, gift cards: yes',
    },
    candidates: [one('Basic 1', 144, { outgrown: 'staff' }), one('Plus 1', 300), one('Trade 1', 720)],
  },
  {
    number: 6,
    name: 'quoted by the month, billed by the year',
    plans: { Plan: '30/mo, 24 a month billed yearly' },
    candidates: [one('Plan 1', 360), one('Plan 12', 288)],
  },
  {
    number: 7,
    name: 'percent off for paying by the year',
    plans: { Plan: '30/mo, 15 % off for paying by the year' },
    candidates: [one('Plan 12', 306)],
  },
  {
    number: 8,
    name: 'introductory price for a term, then renewal price',
    plans: { Plan: '3/mo for the first 36 months, then 9/mo' },
    answers: ['36 months ahead'],
    months: 48,
    candidates: [one('Plan 36', 108 + 324)],
  },
  {
    number: 9,
    name: 'introductory price by the length of the term',
    plans: { Plan: '5/mo for the first 12 months, then 10/mo; 3/mo for the first 36 months, then 9/mo' },
    answers: ['12 months ahead', '36 months ahead'],
    months: 24,
    candidates: [one('Plan 12', 60 + 120), one('Plan 36', 108)],
  },
  {
    number: 10,
    name: 'a promotion that comes and goes',
    plans: { Plan: '10/mo, 4 each for the first 3 months, until 2026-12-31' },
    candidates: [one('Plan 1', 3 * 4 + 9 * 10)],
  },
  {
    number: 11,
    name: 'by the year only, several sites for one price',
    plans: { Five: '12/yr, up to 5 sites', Many: '200/yr, up to 200 sites' },
    candidates: [one('Five 12', 12), one('Many 12', 200)],
  },
  {
    number: 12,
    name: 'plan by number of sites',
    plans: { One: '7/mo, 1 site', Two: '9/mo, 2 sites', Three: '12/mo, 3 sites' },
    candidates: [one('One 1', 84, { outgrown: 'sites' }), one('Two 1', 108), one('Three 1', 144)],
  },
  {
    number: 13,
    name: 'fixed fee per sale on the small plan',
    plans: { Small: '25/mo, 4 per sale', Large: '60/mo, no transaction fees' },
    candidates: [one('Small 1', 300 + 12 * 250 * 4), one('Large 1', 720)],
  },
  {
    number: 14,
    name: 'the platform’s percent on top of the processor’s fee',
    plans: { Plan: '20/mo, 2 % of each order, 2.4% + 0.25' },
    candidates: [one('Plan 1', 240 + 12 * (40 + 48 + 62.5))],
  },
  {
    number: 15,
    name: 'payment processing: percent and fixed amount',
    plans: { Plan: 'free, 2.4 % + 0.25' },
    candidates: [one('Plan 1', 12 * (48 + 62.5))],
  },
  {
    number: 16,
    name: 'processing rate by plan, kind of card, in person or online',
    plans: {
      Small: 'free\nCard fee: 4%',
      Large: '49/mo, 1.6% + 0.20 for domestic cards, 2.6% + 0.20 for cards from abroad\nIn person: 1.2%',
    },
    candidates: [one('Small 1', 12 * 80), one('Large 1', 12 * (49 + 32 + 50))],
  },
  {
    number: 17,
    name: 'surcharge for an outside processor',
    plans: { Basic: '20/mo, 2.5% with an outside processor', Plus: '40/mo, 1.2% with an outside processor' },
    processor: '2.4% + 0.25',
    candidates: [
      one('Basic 1', 240, {}),
      one('Basic 1', 240 + 12 * (50 + 110.5), { isOutside: true }),
      one('Plus 1', 480 + 12 * (24 + 110.5), { isOutside: true }),
    ],
  },
  { number: 18, name: 'revenue share', plans: { Plan: 'free, 8 % of receipts' }, candidates: [one('Plan 1', 12 * 160)] },
  {
    number: 19,
    name: 'base and fee per subscriber',
    plans: { Plan: '40/mo, 0.60 per subscriber' },
    candidates: [one('Plan 1', 12 * (40 + 90))],
  },
  {
    number: 20,
    name: 'fee per subscriber falling by tier',
    plans: { Plan: '40/mo, 2.00 per subscriber for the first 100, 1.50 for the next 400' },
    candidates: [one('Plan 1', 12 * (40 + 200 + 75))],
  },
  {
    number: 21,
    name: 'storage per unit and month, first unit free',
    plans: { Plan: 'free, first hour of video free, then 3 each' },
    candidates: [one('Plan 1', 12 * 15)],
  },
  {
    number: 22,
    name: 'all of these together, against a licence',
    plans: {
      Pay: 'free, 3 per hour of video, 2.00 per subscriber, 8 % of receipts',
      Licence: '9,000.00 a year, 3 per hour of video, 0.80 per subscriber',
    },
    candidates: [one('Pay 1', 12 * (18 + 300 + 160)), one('Licence 12', 9000 + 12 * (18 + 120))],
  },
  {
    number: 23,
    name: 'licence by the year, or dearer by the month',
    plans: { Licence: '9000 a year, 900 a month' },
    candidates: [one('Licence 12', 9000), one('Licence 1', 10_800)],
  },
  {
    number: 24,
    name: 'transactions included, then per transaction',
    plans: { Small: '20/mo, 200 orders free then 0.20', Large: '45/mo, 450 orders free then 0.10' },
    candidates: [one('Small 1', 240 + 12 * 10), one('Large 1', 540)],
  },
  {
    number: 25,
    name: 'stages: trying out, setting up without selling, live',
    plans: { Trying: '20/mo', 'Setting up': '110/mo, up to 0 orders', Live: '220/mo' },
    candidates: [one('Trying 1', 240), one('Setting up 1', 1320, { outgrown: 'orders' }), one('Live 1', 2640)],
  },
  {
    number: 26,
    name: 'plan limited by sales, products, vendors and seats at once',
    plans: {
      Plan: '80/mo, up to 4,000 of sales, 400 products, up to 40 vendors, 5 seats',
      Small: '30/mo, up to 1,500 of sales, 400 products',
    },
    candidates: [one('Plan 1', 960), one('Small 1', 360, { outgrown: 'sales' })],
  },
  {
    number: 27,
    name: 'plan by inside and outside users',
    plans: { Plan: '50/mo, up to 8 inside users, up to 900 outside users' },
    candidates: [one('Plan 1', 600, { outgrown: 'outside-users' })],
  },
  {
    number: 28,
    name: 'bought once for life beside monthly and yearly',
    plans: { Plan: '120/mo, 800/yr, 1300 once' },
    candidates: [one('Plan 1', 1440), one('Plan 12', 800), one('Plan 0', 1300)],
  },
  {
    number: 29,
    name: 'bought once, renewal not stated',
    plans: { 'Plug-in': '45 on joining for “The plug-in”, not known by the year' },
    candidates: [one('Plug-in 12', 45, { isAtLeast: true })],
  },
  {
    number: 30,
    name: 'by contacts, with mailings as a multiple of them',
    plans: { Plan: '90/mo, up to 5,000 contacts, 0.01 per email, after 10 free for each of contacts' },
    candidates: [one('Plan 1', 12 * (90 + 20))],
  },
  {
    number: 31,
    name: 'message credits in steps on top',
    plans: { Plan: '100/mo, up to 5,000 messages, 28 more for 4,000 messages' },
    candidates: [one('Plan 1', 12 * 128)],
  },
  {
    number: 32,
    name: 'plan by order volume',
    plans: { Plan: 'free; 2,500 orders: 700; 8,000: 1150' },
    candidates: [one('Plan 1', 12 * 700)],
  },
  {
    number: 33,
    name: 'modules put together',
    plans: { Plan: 'free, 150 per 100,000 emails, 0.008 per message' },
    candidates: [one('Plan 1', 12 * (150 + 72))],
  },
  {
    number: 34,
    name: 'price depends on where one sells',
    plans: { 'One channel': '15/mo', 'Two channels': '35/mo' },
    candidates: [one('One channel 1', 180), one('Two channels 1', 420)],
  },
  {
    number: 35,
    name: 'listings limited and automatic orders included',
    plans: { Plan: '29/mo, up to 1,500 listings, up to 180 automatic orders' },
    candidates: [one('Plan 1', 348, { outgrown: 'automatic-orders' })],
  },
  {
    number: 36,
    name: 'look-ups and installations limited',
    plans: { Plan: '19/mo, up to 900 look-ups, up to 1 phone, up to 2 browsers' },
    candidates: [one('Plan 1', 228)],
  },
  {
    number: 37,
    name: 'fee per label on the free plan, none with a subscription',
    plans: { Free: 'free, 0.06 per label', Paid: '17/mo' },
    candidates: [one('Free 1', 12 * 3.6), one('Paid 1', 204)],
  },
  {
    number: 38,
    name: 'volume steps within one plan',
    plans: { Plan: 'free, 60 up to 4,000 contacts; 130 up to 9,000' },
    candidates: [one('Plan 1', 720)],
  },
  {
    number: 39,
    name: 'free number, then percent per order, capped by the month',
    plans: { Plan: 'free, first 40 orders free, 0.9 %, at most 80 a month' },
    candidates: [one('Plan 1', 12 * 15.12)],
  },
  {
    number: 40,
    name: 'free monthly allowance, then a low rate in blocks',
    plans: { Plan: 'free, 8,000 emails free, then 0.90 per thousand' },
    candidates: [one('Plan 1', 12 * 4 * 0.9)],
  },
  {
    number: 41,
    name: 'credit as percent of sales, capped, against the subscription',
    plans: { Plan: '30/mo, 1.2 % of sales back as a credit, at most 30 a month, at most 6,000.00 in all' },
    candidates: [one('Plan 1', 12 * (30 - 24))],
  },
  {
    number: 42,
    name: 'prepaid units in another currency, used up per class',
    plans: { Plan: 'free, 3 per class' },
    currency: 'USD',
    candidates: [one('Plan 1', 12 * 54)],
  },
  {
    number: 43,
    name: 'by the half-year or the year only',
    plans: { Plan: '150 by the half-year, 280 by the year' },
    candidates: [one('Plan 6', 300), one('Plan 12', 280)],
  },
  {
    number: 44,
    name: 'discount code for the first term only',
    plans: { Plan: '120/yr, 25 % off once' },
    months: 24,
    candidates: [one('Plan 12', 90 + 120)],
  },
  {
    number: 45,
    name: 'offer for a limited number of buyers',
    plans: { Plan: '9/mo, 5 each for the first 6 months, for the first 200 buyers' },
    candidates: [one('Plan 1', 6 * 5 + 6 * 9)],
  },
  {
    number: 46,
    name: 'a remaining balance becomes extra months',
    plans: { Plan: '20/mo, 90 days free' },
    candidates: [one('Plan 1', 9 * 20)],
  },
  {
    number: 47,
    name: 'trials: free, for a token amount, several periods for a token',
    plans: {
      Token: '29/mo, 10 days for 2',
      Months: 'two months at 2, then 29/mo',
      Free: '29/mo, 14-day free trial',
      Longer: '29/mo, free for 60 days',
    },
    candidates: [one('Token 1', 2 + 348), one('Months 1', 4 + 290), one('Free 1', 348), one('Longer 1', 290)],
  },
  {
    number: 48,
    name: 'refund window, different by product',
    plans: { Short: '29/mo, 21 days money back', Long: '29/mo, money back within 60 days' },
    candidates: [one('Short 1', 348), one('Long 1', 348)],
  },
  {
    number: 49,
    name: 'free in the first year, charged afterwards',
    plans: { Mailbox: '20/yr, first year free' },
    months: 24,
    candidates: [one('Mailbox 12', 20)],
  },
  {
    number: 50,
    name: 'a service once, if claimed in time',
    plans: { Claimed: '29/mo, 0 on joining for “Moving the site”, until 2026-12-16', Late: '29/mo, 120 on joining for “Moving the site”' },
    candidates: [one('Claimed 1', 348), one('Late 1', 468)],
  },
  {
    number: 51,
    name: 'add-on ticked in advance at purchase',
    plans: { Plan: '29/mo' },
    addons: { Certificate: '30/yr' },
    candidates: [one('Plan 1', 348), one('Plan 1', 378, { addons: ['Certificate 12'] })],
  },
  {
    number: 52,
    name: 'compensation if an uptime promise is missed',
    plans: { Plan: '29/mo, 99.9% uptime' },
    candidates: [one('Plan 1', 348)],
  },
  {
    number: 53,
    name: 'unused part returned on a change of term',
    plans: { Plan: '348/yr, unused part paid back' },
    candidates: [one('Plan 12', 348)],
  },
  {
    number: 54,
    name: 'built once for a price, with photographs and texts beside it',
    plans: { Build: '6000 once, 1200 on joining for “Photographs and texts”' },
    candidates: [one('Build 0', 7200)],
  },
  {
    number: 55,
    name: 'a stack',
    plans: { Hosting: '80/yr', Theme: '60 once', 'Page builder': '49/yr', Delivery: '10/mo', Connector: '20/mo' },
    candidates: [{ takes: ['Hosting 12', 'Theme 0', 'Page builder 12', 'Delivery 1', 'Connector 1'], total: 80 + 60 + 49 + 120 + 240 }],
  },
  {
    number: 56,
    name: 'hosting that steps up with traffic',
    plans: { Hosting: '80/yr, all visits at the price reached: nothing up to 5000; 90 flat beyond' },
    candidates: [one('Hosting 12', 80 + 12 * 90)],
  },
  { number: 57, name: 'price on request', plans: { Plan: 'price on request' }, candidates: [one('Plan 1', 0, { isAtLeast: true })] },
  {
    number: 58,
    name: 'paid connector between two tools',
    plans: { Plan: '29/mo' },
    addons: { Connector: '20/mo' },
    candidates: [one('Plan 1', 348 + 240, { addons: ['Connector 1'] })],
  },
  {
    number: 59,
    name: 'a bundle that saves buying something else',
    plans: { Bundle: '40/mo, with theme, with gallery plug-in', Bare: '29/mo' },
    candidates: [
      one('Bundle 1', 480),
      one('Bare 1', 348 + 60, { extras: [{ label: 'Theme', amount: '60', months: 0, features: { theme: true } }] }),
    ],
  },
];

/** What is counted besides orders and sales, the same in every month. */
export const QUANTITIES: Readonly<Record<string, string>> = {
  subscribers: '150',
  contacts: '1000',
  emails: '12000',
  messages: '9000',
  labels: '60',
  staff: '3',
  sites: '2',
  'video-hours': '6',
  visits: '8000',
  products: '300',
  vendors: '10',
  'inside-users': '4',
  'outside-users': '950',
  listings: '900',
  'automatic-orders': '200',
  'look-ups': '100',
  classes: '20',
};
