import type { Charge, Term } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { termWords } from '../price-sheet/term-words';
import { type Cell, fixedCell, input, newSheet, type SheetInProgress, text } from './cells';

export const PRICES = 'Prices';

const COLUMNS = [
  'price',
  'percent',
  'intro',
  'periods',
  'least',
  'most',
  'free',
  'monthlyMin',
  'monthlyCap',
  'totalCap',
  'size',
  'upTo',
  'flat',
] as const;
type Column = (typeof COLUMNS)[number];
const HEADS: Readonly<Record<Column, string>> = {
  price: 'Price, or each',
  percent: 'Percent',
  intro: 'Introductory price',
  periods: 'for payments',
  least: 'At least',
  most: 'At most',
  free: 'Free, or free for each',
  monthlyMin: 'Least a month',
  monthlyCap: 'Most a month',
  totalCap: 'Most in all',
  size: 'Package of',
  upTo: 'Up to',
  flat: 'Flat',
};
const FIRST = 3;

/** Where the figures of price sheets stand. */
export interface PricePlaces {
  /**
   * The cell of a figure.
   *
   * @param key - `term PART TERM`, `charge PART CHARGE`, `band PART CHARGE INDEX`, `limit PART NAME`, `once PART INDEX`, `extra CANDIDATE INDEX`
   */
  at(key: string, column: Column): string;
}

/** Every price of the decision's price sheets, and what candidates have beside them. */
export function pricesSheet(file: DecisionFile): { sheet: SheetInProgress; prices: PricePlaces } {
  const sheet = newSheet(PRICES);
  const rows = new Map<string, number>();
  const line = (
    key: string,
    owner: string,
    what: string,
    currency: string,
    figures: Partial<Record<Column, string | null | undefined>>,
  ) => {
    rows.set(key, sheet.add(text(owner), text(what, 'quiet'), text(currency), ...COLUMNS.map((column) => figureCell(figures[column]))));
  };
  sheet.add(text('Prices as the price sheets state them', 'title'));
  sheet.add(text('Of', 'head'), text('What', 'head'), text('Currency', 'head'), ...COLUMNS.map((column) => text(HEADS[column], 'head')));
  for (const { part, owner } of partsIn(file)) {
    for (const term of part.terms ?? [])
      line(`term ${part.id} ${term.id}`, owner, `paid ${termWords(term.months)}`, part.currency, termFigures(term));
    for (const [index, { label, amount }] of (part.once ?? []).entries())
      line(`once ${part.id} ${index}`, owner, label || 'on joining', part.currency, { price: amount });
    for (const charge of part.charges ?? []) {
      line(`charge ${part.id} ${charge.id}`, owner, charge.label || charge.id, part.currency, chargeFigures(charge));
      if ('bands' in charge)
        for (const [index, band] of charge.bands.entries())
          line(`band ${part.id} ${charge.id} ${index}`, owner, `${charge.label || charge.id}, band ${index + 1}`, part.currency, {
            upTo: band.upTo ?? undefined,
            price: band.each ?? (band.each === null ? null : '0'),
            percent: band.percent ?? (band.percent === null ? null : '0'),
            flat: band.flat ?? (band.flat === null ? null : '0'),
          });
    }
    for (const [name, most] of Object.entries(part.limits ?? {}))
      line(`limit ${part.id} ${name}`, owner, `limit of ${name.replaceAll('-', ' ')}`, name === 'sales' ? part.currency : '', { most });
  }
  for (const { id, label, extras = [] } of file.candidates)
    for (const [index, extra] of extras.entries())
      line(`extra ${id} ${index}`, label, extra.label, extra.currency ?? file.currency, { price: extra.amount });
  return {
    sheet,
    prices: {
      at(key, column) {
        const row = rows.get(key);
        if (row === undefined) throw new RangeError(`The workbook has no price for ${key}`);
        return fixedCell(PRICES, FIRST + COLUMNS.indexOf(column), row);
      },
    },
  };
}

interface PricedPart {
  readonly id: string;
  readonly currency: string;
  readonly terms?: Term[] | undefined;
  readonly charges?: Charge[] | undefined;
  readonly limits?: Record<string, string> | undefined;
  readonly once?: ReadonlyArray<{ label: string; amount: string }> | undefined;
}

function partsIn({ offers, addons = [], processors = [] }: DecisionFile): Array<{ part: PricedPart; owner: string }> {
  const name = (...parts: string[]) => parts.filter(Boolean).join(' ');
  return [
    ...offers.flatMap((offer) =>
      [...offer.plans, ...(offer.addons ?? []).map(({ raises, ...addon }) => ({ ...addon, limits: raises }))].map((part) => ({
        part,
        owner: name(offer.label || offer.vendor, part.label),
      })),
    ),
    ...addons.map(({ raises, ...part }) => ({ part: { ...part, limits: raises }, owner: part.label })),
    ...processors.map((part) => ({ part, owner: part.label })),
  ];
}

function termFigures({ price, intro }: Term): Partial<Record<Column, string | null | undefined>> {
  if (!intro) return { price };
  return 'off' in intro
    ? { price, percent: intro.off, periods: String(intro.periods) }
    : { price, intro: intro.price, periods: String(intro.periods) };
}

function chargeFigures(charge: Charge): Partial<Record<Column, string | null | undefined>> {
  const { monthlyMin, monthlyCap, totalCap } = charge;
  const shared = { monthlyMin, monthlyCap, totalCap };
  if ('bands' in charge) return shared;
  const { free } = charge;
  const allowance = typeof free === 'object' && free !== null ? free.ratio : free;
  const each = { price: charge.each === undefined ? '0' : charge.each, free: allowance };
  if (charge.how === 'package') return { ...shared, ...each, size: charge.size };
  const rate = { ...each, percent: charge.percent === undefined ? '0' : charge.percent };
  return charge.how === 'per-unit' ? { ...shared, ...rate } : { ...shared, ...rate, least: charge.least, most: charge.most };
}

/** Nothing stays empty; what is not known is said. */
function figureCell(figure: string | null | undefined): Cell {
  if (figure === undefined) return null;
  return figure === null ? text('not known', 'quiet') : input(figure);
}
