// npm run demo-orders: writes the made-up past orders of the demo anew; the same each time.
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './setup.mjs';

const SEED = 20_261_128;
const [FIRST_YEAR, FIRST_MONTH, MONTHS] = [2025, 8, 14];
/** The demo's season, January first, a little stronger in May than is expected. */
const KITES = [0.5, 0.62, 0.85, 1.12, 1.5, 1.48, 1.5, 1.42, 1.02, 0.78, 0.62, 0.7];
const FESTIVALS = [0, 0, 0, 0.25, 1.1, 1.7, 2.5, 2.0, 0.7, 0, 0, 0];
const FIRST_NAMES = ['Aveline', 'Bram', 'Cosima', 'Dorn', 'Elka', 'Fenno', 'Gisla', 'Harm', 'Ilse', 'Jorin'];
const LAST_NAMES = ['Ashgrove', 'Birkwell', 'Copperlea', 'Dunnock', 'Eastmere', 'Fallowby', 'Greywater', 'Hollin'];
const HOME = 'Germany';
const FREE_SHIPPING_FROM = 80;
const ABROAD = ['Austria', 'Netherlands', 'Denmark', 'France', 'Switzerland'];

/** A small generator of random numbers (mulberry32), so that the file is the same on every machine. */
function random(seed) {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

const next = random(SEED);
const normal = () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
const one = (of) => of[Math.floor(next() * of.length)];
/** So many as come by chance where that many are expected; close enough to Poisson's for what is many. */
const chance = (mean) => Math.max(0, Math.round(mean + Math.sqrt(mean) * normal()));
const spread = (mean, width) => mean * Math.exp(width * normal() - (width * width) / 2);

const CHANNELS = [
  {
    name: 'Web shop',
    expected: (at, month) => 84 * 1.009 ** at * KITES[month],
    mean: 46,
    width: 0.75,
    least: 6,
    abroad: 0.31,
    refunds: 0.042,
  },
  {
    name: 'Festival',
    expected: (at, month) => 44 * FESTIVALS[month],
    mean: 31,
    width: 0.6,
    least: 4,
    abroad: 0.12,
    refunds: 0.004,
    days: [0, 6],
  },
  { name: 'Downloads', expected: (at) => 17 * 1.015 ** at, mean: 9.5, width: 0.2, least: 5, abroad: 0.42, refunds: 0.01 },
];

function ordersOf(at) {
  const [year, month] = [FIRST_YEAR + Math.floor((FIRST_MONTH + at) / 12), (FIRST_MONTH + at) % 12];
  const length = new Date(Date.UTC(year, month + 1, 0)).getUTCDate();
  return CHANNELS.flatMap((channel) =>
    Array.from({ length: chance(channel.expected(at, month)) }, () => {
      let day = 1 + Math.floor(next() * length);
      // Festivals are at weekends.
      while (channel.days && !channel.days.includes(new Date(Date.UTC(year, month, day)).getUTCDay())) day = 1 + (day % length);
      const time = `${String(8 + Math.floor(next() * 14)).padStart(2, '0')}:${String(Math.floor(next() * 60)).padStart(2, '0')}`;
      return { channel, placed: `${year}-${String(month + 1).padStart(2, '0')}-${String(day).padStart(2, '0')} ${time}` };
    }),
  );
}

function lineOf({ channel, placed }, number) {
  const name = `${one(FIRST_NAMES)} ${one(LAST_NAMES)}`;
  const isFestival = channel.name === 'Festival';
  const goods = Math.max(channel.least, spread(channel.mean - (channel.name === 'Web shop' ? 4 : 0), channel.width));
  const shipping = channel.name === 'Web shop' && goods <= FREE_SHIPPING_FROM ? 4.9 : 0;
  const discount = !isFestival && next() < 0.08 ? goods * 0.1 : 0;
  const total = goods + shipping - discount;
  const chosen = next();
  const state = next();
  const refunded = state < channel.refunds * 1.3 ? total * (state < channel.refunds ? 1 : 0.5) : 0;
  const cancelled = state > 0.988;
  const status = refunded > 0 ? 'given back' : 'paid';
  return [
    `LK-${number}`,
    placed,
    isFestival ? '' : name,
    isFestival ? '' : `${name.toLowerCase().replace(' ', '.')}@example.invalid`,
    chosen < channel.abroad ? one(ABROAD) : HOME,
    channel.name,
    next() < 0.7 ? 'card' : 'wallet',
    'EUR',
    goods.toFixed(2),
    shipping.toFixed(2),
    discount.toFixed(2),
    (Math.round(goods * 100) / 100 + shipping - Math.round(discount * 100) / 100).toFixed(2),
    cancelled ? '0.00' : refunded.toFixed(2),
    cancelled ? 'cancelled' : status,
  ].join(',');
}

const HEADER = 'Order number,Placed at,Customer,E-mail,Country,Sold at,Paid with,Currency,Subtotal,Shipping,Discount,Total,Refunded,Status';
const orders = Array.from({ length: MONTHS }, (_, at) => ordersOf(at))
  .flat()
  .sort((a, b) => (a.placed < b.placed ? -1 : 1));
const folder = join(root, 'demo', 'past-orders');
mkdirSync(folder, { recursive: true });
writeFileSync(join(folder, 'larkfell-kites.csv'), `${[HEADER, ...orders.map((order, at) => lineOf(order, 1001 + at))].join('\n')}\n`);
console.log(`${orders.length} orders`);
