import { type Decimal, decimal } from '../amount/decimal';
import type { Band, Charge } from '../decision-file/price-sheet-schema';
import { chargeIn, type GridRow, gridRows } from '../price-sheet/grid-rows';
import { columnsOf, type Part, partsOf, placeOf } from '../price-sheet/parts';
import type { Check, CheckContext, Finding } from './finding';

const nameOf = ({ label }: Part) => label || 'This plan';

/** A tier that is dearer per unit than the one below. */
export const tierCheck: Check = (sheet, { write }) =>
  partsOf(sheet).flatMap((part) =>
    (part.charges ?? []).flatMap((charge): Finding[] => {
      if (charge.how !== 'graduated' && charge.how !== 'volume') return [];
      const dearer = charge.bands.findIndex((band, index) => isDearer(charge.bands[index - 1], band));
      const [below, band] = [charge.bands[dearer - 1], charge.bands[dearer]];
      if (!below || !band) return [];
      const finding = {
        check: 'tier',
        place: placeOf(part.id, { kind: 'charge', id: charge.id }),
        title: `${nameOf(part)}, ${charge.label}`,
        figures: JSON.stringify(charge.bands),
      };
      return [
        {
          ...finding,
          question: `From ${write(below.upTo ?? '')} on it gets dearer: ${bandWords(band, write)} instead of ${bandWords(below, write)}. Tiers mostly fall; is it so on the page?`,
        },
      ];
    }),
  );

function isDearer(below: Band | undefined, band: Band): boolean {
  if (!below) return false;
  const rate = (one: Band, field: 'each' | 'percent') => (one[field] == null ? null : decimal(one[field]));
  for (const field of ['each', 'percent'] as const) {
    const [before, after] = [rate(below, field), rate(band, field)];
    if (before && after && after.gt(before)) return true;
  }
  const perUnit = ({ flat, upTo, each, percent }: Band) =>
    flat == null || upTo === null || each !== undefined || percent !== undefined ? null : decimal(flat).div(upTo);
  const [before, after] = [perUnit(below), perUnit(band)];
  return before !== null && after !== null && before.gt(0) && after.gt(before);
}

function bandWords({ each, percent, flat, upTo }: Band, write: CheckContext['write']): string {
  const parts = [
    each != null && `${write(each)} each`,
    percent != null && `${write(percent)}%`,
    flat != null && `${write(flat)}${upTo === null ? '' : ` up to ${write(upTo)}`}`,
  ];
  return parts.filter(Boolean).join(' + ') || 'nothing';
}

type Rated = { part: Part; charge: Extract<Charge, { how: 'per-order' | 'per-unit' }> };

function ratedIn(columns: readonly Part[], row: GridRow): Rated[] {
  return columns.flatMap((part) => {
    const charge = chargeIn(part, row);
    return charge && (charge.how === 'per-order' || charge.how === 'per-unit') ? [{ part, charge }] : [];
  });
}

/** A percentage where the neighbours have an amount, or an amount where they have a percentage. */
export const kindCheck: Check = (sheet, { write }) => {
  const columns = columnsOf(sheet);
  return gridRows(sheet)
    .filter(({ kind }) => kind.kind === 'charge')
    .flatMap((row): Finding[] => {
      const rated = ratedIn(columns, row);
      const percents = rated.filter(({ charge }) => charge.percent != null && charge.each == null && !decimal(charge.percent).isZero());
      const amounts = rated.filter(({ charge }) => charge.percent == null && charge.each != null && !decimal(charge.each).isZero());
      const isPercentOdd = percents.length === 1 && (amounts.length >= 2 || (amounts.length === 1 && rated.length === 2));
      const isAmountOdd = amounts.length === 1 && percents.length >= 2;
      const [odd] = [...(isPercentOdd ? percents : []), ...(isAmountOdd ? amounts : [])];
      if (!odd) return [];
      const { part, charge } = odd;
      const isPercent = charge.percent != null;
      const words = isPercent ? `${write(charge.percent ?? '')}%` : write(charge.each ?? '');
      return [
        {
          check: 'kind',
          place: placeOf(part.id, { kind: 'charge', id: charge.id }),
          title: `${nameOf(part)}, ${row.title}`,
          figures: words,
          question: `${words}: its neighbours have ${isPercent ? 'an amount' : 'a percentage'}. Is ${isPercent ? 'a fixed amount' : 'a percentage'} meant?`,
        },
      ];
    });
};

/** One amount of a row, and what the neighbours have there. */
interface Compared {
  readonly part: Part;
  readonly place: string;
  readonly value: Decimal;
}

/** An amount ten times its neighbours or more, or a tenth or less. */
export const magnitudeCheck: Check = (sheet, { write }) => {
  const columns = columnsOf(sheet);
  return gridRows(sheet).flatMap((row) => comparedIn(columns, row).flatMap((compared) => outliers(compared, row, write)));
};

function comparedIn(columns: readonly Part[], row: GridRow): Compared[][] {
  const { kind } = row;
  if (kind.kind === 'term')
    return [
      columns.flatMap((part) => {
        const price = part.terms?.find(({ months }) => months === kind.months)?.price;
        return price == null ? [] : [{ part, place: placeOf(part.id, kind), value: decimal(price) }];
      }),
    ];
  if (kind.kind !== 'charge') return [];
  return (['percent', 'each'] as const).map((field) =>
    ratedIn(columns, row).flatMap(({ part, charge }) => {
      const amount = charge[field];
      return amount == null ? [] : [{ part, place: placeOf(part.id, { kind: 'charge', id: charge.id }), value: decimal(amount) }];
    }),
  );
}

function outliers(all: readonly Compared[], row: GridRow, write: CheckContext['write']): Finding[] {
  const some = all.filter(({ value }) => value.gt(0)).sort((a, b) => a.value.cmp(b.value));
  if (some.length < 2) return [];
  const [least, most] = [some[0], some.at(-1)];
  const [second, secondMost] = [some[1], some.at(-2)];
  const found: Array<{ odd: Compared; beside: Compared; words: string }> = [];
  if (most && secondMost && most.value.gte(secondMost.value.times(10)))
    found.push({ odd: most, beside: secondMost, words: 'ten times its neighbour or more' });
  else if (least && second && some.length > 2 && least.value.lte(second.value.div(10)))
    found.push({ odd: least, beside: second, words: 'a tenth of its neighbour or less' });
  return found.map(({ odd, beside, words }) => ({
    check: 'magnitude',
    place: odd.place,
    title: `${nameOf(odd.part)}, ${row.title.toLowerCase()}`,
    figures: `${odd.value.toFixed()} ${beside.value.toFixed()}`,
    question: `${write(odd.value.toFixed())} beside ${write(beside.value.toFixed())} for ${nameOf(beside.part)}: ${words}. Is the decimal sign where it should be?`,
  }));
}
