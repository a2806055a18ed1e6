import { describe, expect, it } from 'vitest';
import { pagesIn } from '../tests/page-corpus';
import { notStated, type PageTruth, saidWithoutTruth } from '../tests/page-truth';
import type { PageReading } from './page-reading';
import { readPricePage } from './read-price-page';

const readings = new Map<string, PageReading>();

/** Each page is read once for all that is asked of it. */
function readingOf(text: string, { currency }: PageTruth): PageReading {
  const found = readings.get(text) ?? readPricePage(text, { currency });
  readings.set(text, found);
  return found;
}

/** What of each page is not read for certain: asked, or stated otherwise than the truth has it. */
const NOT_READ: Readonly<Record<string, readonly string[]>> = {
  // Whose cards are European is asked: seen from the shop they may be all or only some.
  'market-fairstead': ['Pilot: fee 1.4%+0.25 payment', 'Launch: fee 1.4%+0.25 payment', 'Scale: fee 1.4%+0.25 payment'],
  'course-tern': ['Taster', 'Teacher', 'School', 'Academy'].map((plan) => `${plan}: fee 1.5%+0.25 payment domestic`),
  'course-plumbline': ['Apprentice', 'Journeyman', 'Master'].map((plan) => `${plan}: fee 1.5%+0.25 payment domestic`),
  // A feature behind others in one sentence, and a thing to buy whose plans count it.
  'plugin-harrowgate': ['Single', 'Several', 'Studio', 'Forever'].map((plan) => `${plan}: feat calendar-sync yes`),
  'tickets-plover': ['+Extra door scanner: addon 0 89'],
  'builder-saltmarsh': ['A page about me', 'A site for my business', 'A shop'].map((plan) => `${plan}: fee 1.5%+0.25 payment domestic`),
  // A sentence about what listing a thing costs.
  'market-thornfield': [': per 0.15 listings/items'],
  // A way of paying beside card fees, and lists of several things in one sentence, stay open.
  'course-merlinstone': ['Free', 'Creator', 'Studio'].map((plan) => `${plan}: fee 0.8% payment label=bank/transfer`),
  'booking-curlewtime': [
    'Plus: lim text-reminders/texts 100',
    'Premium: lim calendars 20',
    'Premium: feat gift-cards yes',
    'Premium: lim text-reminders/texts 500',
  ],
  'course-mayfly': [
    ...['Seedling', 'Orchard', 'Forest'].map((plan) => `${plan}: fee 1.5%+0.25 payment`),
    // What is charged beyond it is read; what stands before it in the same sentence is not.
    ...['Seedling', 'Orchard', 'Forest'].map((plan) => `${plan}: lim video-hours/hours-of-video/video 10`),
  ],
  '11-course-ashgrove': ['Seed: fee 1.5%+0.25 payment', 'Sapling: fee 1.5%+0.25 payment', 'Grove: fee 1.5%+0.25 payment'],
  'pay-whitethroat': [': fee 1.2%+0.20 payment label=debit', ': fee 1.6%+0.20 payment label=credit'],
  '22-pay-coinbrook': [': fee 1.1%+0.10 payment inperson', ': fee 1.9%+0.10 payment inperson'],
  // What comes on top for some cards, beside rates by the way of paying, stays open.
  'pay-hyssop': [
    'Pay as you go: fee 0.6% payment label=american/business/cards/abroad',
    'Plus: fee 0.6% payment label=american/business/cards/abroad',
  ],
  // Whether a rounded saving is taken off exactly is asked.
  'live-ringdove': ['Mat: term 12 153', 'Room: term 12 397.8', 'House: term 12 867'],
  'labels-tystie': ['Small: term 12 205.2', 'Medium: term 12 529.2', 'Large: term 12 1393.2'],
  'mail-merlinpost': ['Maker: term 12 122.40', 'Workshop: term 12 295.80'],
  // What stands under steps of a price is taken for no list of all of them.
  'mail-sanderling': [
    'up to 1,000 contacts: lim emails inf',
    'up to 10,000 contacts: lim emails inf',
    'up to 2,500 contacts: lim emails inf',
    'up to 5,000 contacts: lim emails inf',
  ],
  // A list headed "Free" beside a table of steps is of no plan of that table; "adds" names no price.
  'mail-scoterpost': ['Free: lim automations 1', 'Free: lim landing-pages inf', 'Free: lim users/staff 1', 'Creator: refund 30'],
  // How much several plans have in one sentence stays open; for how long bare prices are is asked; a class is no sign.
  'note-lemming': ['Advanced: lim products inf', 'Advanced: lim staff 8', 'Basic: lim products inf', 'Basic: lim staff 2'],
  'note-vole': ['House: term 1 49', 'Regular: term 1 18'],
  'page-otter': ['Stall: feat stock-control no'],
  // A mail about one plan, and steps of a price in one sentence, name no plan that prices could stand under.
  'typed-winkle': ['Cabin: intro 12 48x1', 'Cabin: lim domains 1', 'Cabin: lim mailboxes/mailbox 5', 'Cabin: lim storage 20'],
  // An amount without a sign on a page whose other amounts have none either.
  'typed-redshank': [': per 0.20 listings/products/items'],
  'typed-periwinkle': ['Free|*: lim contacts 250', 'Free|*: lim emails 1000', 'Free|*: term 1 0'],
  'store-krahnenburg': ['Klein', 'Mittel', 'Groß'].map((plan) => `${plan}: fee 1.4%+0.25 payment|label=card`),
  // A listing that is paid for some months, and what is rented or bought, stay open.
  'market-copperbeech': [': per 0.20 listings/items'],
  'pay-millstone': ['+Terminal: addon 1 19'],
  // What so many months cost is said in an answer to a question.
  'hosting-fenwick': ['Small site: term 12 75', 'Busy site: term 12 180', 'Shop: term 12 420'],
  // Another rate for a wallet with a name of its own stays open.
  'course-fablewright': ['Free', 'Storyteller', 'Novelist', 'Publisher'].map((plan) => `${plan}: fee 3.49%+0.49 payment label=payport`),
  // A price by the year and one for each in one line.
  'plugin-scarab': ['+text messages: addon 12 29'],
  'store-ruffcastle': ['+Till Pro: addon 1 89'],
  // A domain that is free for a year is a free domain.
  'builder-quillbrook': ['Solo: feat custom-domain yes'],
  // A seat by the year or by the month is asked.
  'video-marigold': ['Creator: per 25 seats|users|staff', 'Live: per 125 seats|users|staff', 'Studio: per 50 seats|users|staff'],
  // What stands below the prices of plans that a count names; a rate that the headline repeats without its channel is asked.
  'labels-skelgill': [
    '10,000 parcels: lim shops|sites inf',
    '2,000 parcels: lim shops|sites 10',
    '50 parcels: lim shops|sites 1',
    '500 parcels: lim shops|sites 3',
  ],
  'pay-barrow': [': fee 1.3%+0.20 payment domestic|online'],
  // Typed cards beside an online checkout, and whose cards those of a region are: both are asked.
  'pay-withybed': [': fee 2.6%+0.25 payment online'],
  'store-culvert': ['Base', 'Growth', 'Scale'].map((plan) => `${plan}: fee 1.5%+0.25 payment domestic`),
  'saved-lonning': ['Highway', 'Lane', 'Road'].map((plan) => `${plan}: fee 1.5%+0.25 payment domestic`),
  // Half an hour, so that plans are counted in one unit.
  '01-builder-quillmoor': ['Spark: lim video-minutes 30'],
  // Its own card says 10,000 contacts.
  '16-mail-dovecote': ['Aviary: lim contacts 5000'],
  // Whether steps take the place of the price above them is asked.
  'h3-table-hidden-yearly-postmoth': [
    'Pupa: step contacts 5000 42',
    'Pupa: step contacts 10000 71',
    'Imago: step contacts 5000 98',
    'Imago: step contacts 10000 154',
  ],
};

describe.each([
  ['pages of our own', 'pages'],
  ['the shared corpus', 'corpus'],
] as const)('%s', (_title, name) => {
  it.each(pagesIn(name).map((one) => [one.page, one] as const))('%s is read but for what is named', (page, { text, truth }) => {
    const reading = readingOf(text, truth);
    expect(notStated(reading, truth).sort()).toEqual([...(NOT_READ[page] ?? [])].sort());
    expect(reading.currency).toBe(truth.currency);
  });

  it.each(pagesIn(name).map((one) => [one.page, one] as const))(
    'every line with a figure of %s is used, asked, open or put aside',
    (_page, { text, truth }) => {
      const { lines, plans, addons, asked, open, aside } = readingOf(text, truth);
      const told = new Set([
        ...[...plans, ...addons].flatMap(({ line, facts }) => [line, ...facts.flatMap((fact) => fact.lines)]),
        ...asked.flatMap((one) => one.lines),
        ...[...open, ...aside].map(({ line }) => line),
      ]);
      expect(lines.filter(({ line, text: said }) => /\d/.test(said) && !told.has(line))).toEqual([]);
    },
  );
});

it.each(pagesIn('pages').map((one) => [one.page, one] as const))(
  '%s states no price and no fee that the page does not',
  (_page, { text, truth }) => {
    const reading = readingOf(text, truth);
    expect(saidWithoutTruth(reading, truth)).toEqual([]);
    const named = new Set(truth.items.flatMap(({ plan }) => (plan ? [plan.toLowerCase()] : [])));
    expect(reading.plans.filter(({ name }) => named.size > 0 && !named.has(name.toLowerCase()))).toEqual([]);
  },
);

/** Add-ons of the shared corpus that its truth leaves out, and that its pages sell. */
const ALSO_SOLD = ['Load balancer', 'Own IP address', 'Loyalty programme', 'Reader for contactless and chip', 'Stand', 'Terminal'];

it.each(pagesIn('corpus').map((one) => [one.page, one] as const))(
  '%s states no price and no fee that is not its',
  (_page, { text, truth }) => {
    const said = saidWithoutTruth(readingOf(text, truth), truth);
    expect(said.filter((one) => !ALSO_SOLD.some((name) => one.startsWith(`${name}: `)))).toEqual([]);
  },
);

it('what is counted has one name on all plans of a page, in the singular or in the plural', () => {
  const twofold = [...pagesIn('pages'), ...pagesIn('corpus')].flatMap(({ page, text, truth }) => {
    const { plans } = readingOf(text, truth);
    const counted = new Set(
      plans.flatMap(({ facts }) => facts.flatMap(({ statement }) => (statement.kind === 'limit' ? [statement.quantity] : []))),
    );
    return [...counted].filter((one) => counted.has(`${one}s`) || counted.has(`${one}es`)).map((one) => `${page}: ${one}`);
  });
  expect(twofold).toEqual([]);
});
