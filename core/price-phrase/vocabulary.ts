import type { StatedCharge } from './statement';

/** Words for a time, by its months. */
const PERIOD_WORDS: Readonly<Record<string, number>> = {
  month: 1,
  months: 1,
  mo: 1,
  mth: 1,
  mos: 1,
  m: 1,
  quarter: 3,
  quarters: 3,
  'half year': 6,
  'half years': 6,
  year: 12,
  years: 12,
  yr: 12,
  yrs: 12,
  y: 12,
  annum: 12,
  // As pages in German, French, Italian and Dutch have them.
  monat: 1,
  mois: 1,
  mese: 1,
  maand: 1,
  jahr: 12,
  anno: 12,
  jaar: 12,
};

/** Words for how often, by the months between. */
const ADVERB_WORDS: Readonly<Record<string, number>> = {
  monthly: 1,
  quarterly: 3,
  'half yearly': 6,
  yearly: 12,
  annually: 12,
  annual: 12,
  biennially: 24,
};

export const PERIODS = Object.keys(PERIOD_WORDS);
export const ADVERBS = Object.keys(ADVERB_WORDS);

/** Months of a period named in words. */
export function monthsOf(words: string): number {
  return PERIOD_WORDS[words] ?? ADVERB_WORDS[words] ?? 1;
}

/** Words for one order, whatever a page calls it. */
export const ORDER_WORDS = [
  'order',
  'orders',
  'sale',
  'transaction',
  'transactions',
  'purchase',
  'purchases',
  'checkout',
  'checkouts',
  'payment',
  'payments',
  'charge',
];

/** Words for the money that sales come to. */
export const SALES_WORDS = [
  'sales',
  'revenue',
  'turnover',
  'receipts',
  'takings',
  'earnings',
  'sales volume',
  'gross sales',
  'monthly sales',
  'all sales',
  'your sales',
  'your revenue',
];

/** What pages call a quantity, by the name it has in a forecast; a name may have several where forecasts differ. */
const QUANTITY_WORDS: Readonly<Record<string, readonly string[]>> = {
  orders: ['order', 'orders', 'transactions', 'transaction', 'purchases'],
  sales: SALES_WORDS,
  subscribers: ['subscriber', 'subscribers', 'member', 'members', 'paying members', 'active subscribers'],
  contacts: ['contact', 'contacts', 'email contacts', 'addresses'],
  emails: ['email', 'emails', 'mail', 'mails', 'mailing', 'mailings', 'e mails'],
  staff: [
    'staff',
    'seat',
    'seats',
    'user',
    'users',
    'staff account',
    'staff accounts',
    'team member',
    'team members',
    'admin',
    'admin user',
    'admin users',
    'admins',
    'administrators',
  ],
  labels: ['label', 'labels', 'shipping label', 'shipping labels', 'shipment', 'shipments', 'parcel', 'parcels'],
  visits: ['visit', 'visits', 'visitor', 'visitors', 'page views'],
  products: ['product', 'products', 'item', 'items', 'articles'],
  'video-hours': [
    'video hour',
    'video hours',
    'hour of video',
    'hours of video',
    'hour of stored video',
    'hours of stored video',
    'stored video',
  ],
  storage: ['gb', 'gb of storage', 'gb storage', 'gigabytes', 'storage'],
  bandwidth: ['gb bandwidth', 'gb of bandwidth', 'bandwidth', 'gb of traffic', 'gb traffic'],
  sites: ['site', 'sites', 'website', 'websites'],
};

const QUANTITY_BY_WORDS = new Map(Object.entries(QUANTITY_WORDS).flatMap(([name, all]) => all.map((one) => [one, name] as const)));

/**
 * The name of a quantity that a page's words mean.
 *
 * @param known - quantities that the forecast states; one of them is taken where the words themselves name it
 * @example quantityOf('seats', []) // 'staff'
 * @example quantityOf('carrier pigeons', []) // 'carrier-pigeons'
 */
export function quantityOf(words: string, known: readonly string[]): string {
  if (words.startsWith(AS_WRITTEN)) return nameOf(words);
  const slug = slugOf(words);
  const inKnown = [slug, `${slug}s`].find((one) => known.includes(one));
  return inKnown ?? QUANTITY_BY_WORDS.get(words) ?? QUANTITY_BY_WORDS.get(words.replaceAll('-', ' ')) ?? slug;
}

/** Marks a name that was quoted and is meant as it is written. */
export const AS_WRITTEN = '“';

/**
 * The identifier that words stand for; a quoted one is taken as it is written.
 *
 * @example nameOf('Gift cards') // 'gift-cards'
 */
export function nameOf(words: string): string {
  const exact = words.startsWith(AS_WRITTEN) ? words.slice(AS_WRITTEN.length) : '';
  return /^[A-Za-z0-9][A-Za-z0-9._-]{0,79}$/.test(exact) ? exact : slugOf(words);
}

/** Words for one of something as words for several, where they are not a usual name already. */
export function plural(words: string): string {
  if (/(?:^| )(?:person|people)$/.test(words)) return words.replace(/person$/, 'people');
  if (/(ss|x|ch|sh)$/.test(words)) return `${words}es`;
  const isSettled =
    words.startsWith(AS_WRITTEN) || words.endsWith('s') || (QUANTITY_BY_WORDS.has(words) && !QUANTITY_BY_WORDS.has(`${words}s`));
  if (!isSettled && /[^aeiou]y$/.test(words)) return words.replace(/y$/, 'ies');
  return isSettled ? words : `${words}s`;
}

/** Whether the words are a usual name of a quantity. */
export function isUsualQuantity(words: string): boolean {
  return QUANTITY_BY_WORDS.has(words);
}

/** Words as an identifier: "Gift cards" becomes `gift-cards`. */
export function slugOf(words: string): string {
  return (
    words
      .trim()
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-+|-+$/g, '')
      .normalize('NFD')
      .replace(/[^a-z0-9-]/g, '')
      .slice(0, 80) || 'unnamed'
  );
}

export type Bucket = NonNullable<StatedCharge['bucket']>;

/** Headings under which pages state fees, by what they are. */
export const CHARGE_HEADINGS: ReadonlyArray<{
  readonly words: RegExp;
  readonly bucket: Bucket;
  readonly label: string;
  readonly only?: NonNullable<StatedCharge['only']>;
}> = [
  {
    words: /\b(outside|other|another|external|third party|3rd party|own) (payment )?(processor|provider|gateway|processing)/,
    bucket: 'transaction',
    label: 'With an outside processor',
    only: { payments: 'outside' },
  },
  { words: /\b(card|cards|processing)\b.*\bwith \w+ (pay|payments)\b/, bucket: 'payment', label: 'Card fee', only: { payments: 'own' } },
  { words: /\bwith \w+ (pay|payments)\b/, bucket: 'transaction', label: 'Sales fee', only: { payments: 'own' } },
  { words: /\b(international|foreign|abroad)\b/, bucket: 'payment', label: 'Cards from abroad', only: { cards: ['international'] } },
  { words: /\bdomestic\b/, bucket: 'payment', label: 'Domestic cards', only: { cards: ['domestic'] } },
  {
    words: /\bin person\b|\bcard reader\b|\bat the (till|stall)\b/,
    bucket: 'payment',
    label: 'Cards in person',
    only: { channels: ['in-person'] },
  },
  { words: /\b(card|cards|payment|payments|processing)\b/, bucket: 'payment', label: 'Card fee' },
  {
    words: /\b(transaction|sales fee|selling fee|commission|revenue share|platform fee|share of sales|platform)\b/,
    bucket: 'transaction',
    label: 'Sales fee',
  },
];
