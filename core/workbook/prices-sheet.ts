import type { Charge, Term } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { CHARGE_KINDS, kindOf } from '../rules/charges/kinds';
import { termWords } from '../wording/term-words';
import { type Cell, fixedCell, input, newSheet, type SheetInProgress, text } from './cells';

export const PRICES = 'Prices';

/** Columns that are not figures of a kind of charge, with what stands over them. */
const TERM_HEADS = {
  price: 'Price, or each',
  percent: 'Percent',
  intro: 'Introductory price',
  periods: 'for payments',
  renewal: 'Renewal price',
};
const OTHER_HEADS = { monthlyMin: 'Least a month', monthlyCap: 'Most a month', totalCap: 'Most in all', upTo: 'Up to', flat: 'Flat' };

/** What one rate costs stands in the column of prices, whatever it is a rate of. */
const columnOf = (field: string) => (field === 'each' ? 'price' : field);

const HEADS: Readonly<Record<string, string>> = {
  ...TERM_HEADS,
  ...Object.fromEntries(
    Object.values(CHARGE_KINDS).flatMap(({ figures }) => Object.entries(figures).map(([field, head]) => [columnOf(field), head])),
  ),
  ...OTHER_HEADS,
};
const COLUMNS = Object.keys(HEADS);
const FIRST = 3;

/** Where the figures of price sheets stand. */
export interface PricePlaces {
  /**
   * The cell of a figure.
   *
   * @param key - `term PART TERM`, `change PART TERM INDEX`, `charge PART CHARGE`, `band PART CHARGE INDEX`, `limit PART NAME`, `raise PART NAME`, `once PART INDEX`, `extra CANDIDATE INDEX`
   */
  at(key: string, column: string): string;
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
    figures: Readonly<Record<string, string | null | undefined>>,
  ) => {
    rows.set(key, sheet.add(text(owner), text(what, 'quiet'), text(currency), ...COLUMNS.map((column) => figureCell(figures[column]))));
  };
  sheet.add(text('Prices as the price sheets state them', 'title'));
  sheet.add(
    text('Of', 'head'),
    text('What', 'head'),
    text('Currency', 'head'),
    ...COLUMNS.map((column) => text(HEADS[column] ?? column, 'head')),
  );
  for (const { part, owner } of partsIn(file)) {
    for (const term of part.terms ?? [])
      line(`term ${part.id} ${term.id}`, owner, `paid ${termWords(term.months)}`, part.currency, termFigures(term));
    for (const term of part.terms ?? [])
      for (const [index, { from, price }] of (term.changes ?? []).entries())
        line(`change ${part.id} ${term.id} ${index}`, owner, `paid ${termWords(term.months)}, from ${from}`, part.currency, { price });
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
    for (const [kind, what, limits] of limitsOf(part))
      for (const [name, most] of Object.entries(limits)) {
        const id = what.endsWith('a year') ? `${name}/year` : name;
        const label = what.replace('…', name.replaceAll('-', ' '));
        line(`${kind} ${part.id} ${id}`, owner, label, name === 'sales' ? part.currency : '', { most });
      }
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
        return fixedCell(PRICES, FIRST + COLUMNS.indexOf(columnOf(column)), row);
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
  readonly yearlyLimits?: Record<string, string> | undefined;
  readonly raises?: Record<string, string> | undefined;
  readonly once?: ReadonlyArray<{ label: string; amount: string }> | undefined;
}

function partsIn({ offers, addons = [], processors = [] }: DecisionFile): Array<{ part: PricedPart; owner: string }> {
  const name = (...parts: string[]) => parts.filter(Boolean).join(' ');
  return [
    ...offers.flatMap((offer) =>
      [...offer.plans, ...(offer.addons ?? [])].map((part) => ({
        part,
        owner: name(offer.label || offer.vendor, part.label),
      })),
    ),
    ...addons.map((part) => ({ part, owner: part.label })),
    ...processors.map((part) => ({ part, owner: part.label })),
  ];
}

/** Limits, and what an add-on adds to them, with how each is called. */
function limitsOf({
  limits = {},
  yearlyLimits = {},
  raises = {},
}: PricedPart): Array<[kind: string, what: string, Record<string, string>]> {
  return [
    ['limit', 'limit of …', limits],
    ['limit', 'limit of … a year', yearlyLimits],
    ['raise', 'more of …', raises],
  ];
}

function termFigures({ price, intro, renewal }: Term): Readonly<Record<string, string | null | undefined>> {
  const renewed = renewal ? { renewal: renewal.price } : {};
  if (!intro) return { price, ...renewed };
  const introduction = 'off' in intro ? { percent: intro.off } : { intro: intro.price };
  return { price, ...introduction, periods: String(intro.periods), ...renewed };
}

/** The figures of a charge by column; a rate that is not stated is nothing. */
function chargeFigures(charge: Charge): Readonly<Record<string, string | null | undefined>> {
  const { monthlyMin, monthlyCap, totalCap } = charge;
  const stated = Object.entries(charge) as ReadonlyArray<readonly [string, unknown]>;
  const own = Object.keys(kindOf(charge).figures).map((field) => {
    const value = stated.find(([name]) => name === field)?.[1];
    const figure = typeof value === 'object' && value !== null && 'ratio' in value ? (value as { ratio: string | null }).ratio : value;
    const isRate = field === 'each' || field === 'percent';
    return [columnOf(field), (figure === undefined && isRate ? '0' : figure) as string | null | undefined] as const;
  });
  return { monthlyMin, monthlyCap, totalCap, ...Object.fromEntries(own) };
}

/** Nothing stays empty; what is not known is said. */
function figureCell(figure: string | null | undefined): Cell {
  if (figure === undefined) return null;
  return figure === null ? text('not known', 'quiet') : input(figure);
}
