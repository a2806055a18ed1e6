import type { Allowance, Band, Charge } from '../decision-file/price-sheet-schema';

/** Writes a decimal for a person, such as `27.5` as `27.50` or `27,50`. */
export type WriteNumber = (decimal: string) => string;

const NOT_KNOWN = 'not known';

/**
 * A charge's rate the way a price sheet states it.
 *
 * @param write - writes a decimal in the person's locale
 * @example rateWords(cardFee, String) // '1.7 % + 0.25'
 */
export function rateWords(charge: Charge, write: WriteNumber): string {
  const parts = [rateOf(charge, write), ...boundsOf(charge, write)];
  return parts.join(', ');
}

/** What a charge counts, in words: "of each order", "of sales", "each subscriber". */
export function countedWords(charge: Charge): string {
  if (charge.how === 'per-order') return 'per order';
  const on = charge.on ?? 'orders';
  if (on === 'sales') return 'of sales';
  return `on ${on.replaceAll('-', ' ')}`;
}

/** Which orders a charge is narrowed to, in words; empty if it counts all. */
export function narrowedWords({ only }: Charge): string {
  if (!only) return '';
  const parts = [
    only.cards && `${list(only.cards)} cards`,
    only.channels && `through ${list(only.channels)}`,
    only.kinds && `${list(only.kinds)} only`,
    only.streams && `${list(only.streams)} only`,
    only.payments && (only.payments === 'own' ? 'with the platform’s own payments' : 'with an outside processor'),
  ];
  return parts.filter((part) => part !== undefined).join(', ');
}

function rateOf(charge: Charge, write: WriteNumber): string {
  switch (charge.how) {
    case 'per-order':
      return percentAndEach(charge, write);
    case 'per-unit':
      return `${percentAndEach(charge, write)} each`;
    case 'package':
      return `${amount(charge.each, write)} for every ${amount(charge.size, write)}`;
    case 'graduated':
      return bandWords(charge.bands, write, 'the part up to');
    case 'volume':
      return bandWords(charge.bands, write, 'all, up to');
  }
}

function boundsOf(charge: Charge, write: WriteNumber): string[] {
  const parts: string[] = [];
  if (charge.how === 'per-order' && charge.least !== undefined) parts.push(`at least ${amount(charge.least, write)}`);
  if (charge.how === 'per-order' && charge.most !== undefined) parts.push(`at most ${amount(charge.most, write)}`);
  if ('free' in charge && charge.free !== undefined) parts.push(`after ${allowanceWords(charge.free, write)} free`);
  if (charge.monthlyMin !== undefined) parts.push(`at least ${amount(charge.monthlyMin, write)} a month`);
  if (charge.monthlyCap !== undefined) parts.push(`at most ${amount(charge.monthlyCap, write)} a month`);
  if (charge.totalCap !== undefined) parts.push(`at most ${amount(charge.totalCap, write)} in all`);
  return parts;
}

function percentAndEach(
  { percent, each }: { percent?: string | null | undefined; each?: string | null | undefined },
  write: WriteNumber,
): string {
  const parts = [
    percent !== undefined && (percent === null ? NOT_KNOWN : `${write(percent)} %`),
    each !== undefined && amount(each, write),
  ].filter((part) => part !== false);
  return parts.length === 0 ? 'nothing' : parts.join(' + ');
}

function bandWords(bands: readonly Band[], write: WriteNumber, upTo: string): string {
  return bands
    .map((band) => {
      const isFlat = band.flat !== undefined && band.each === undefined && band.percent === undefined;
      const rate = isFlat ? amount(band.flat ?? null, write) : percentAndEach(band, write);
      const flat = isFlat || band.flat === undefined ? '' : ` and ${amount(band.flat, write)} flat`;
      return band.upTo === null ? `then ${rate}${flat}` : `${rate}${flat} for ${upTo} ${write(band.upTo)}`;
    })
    .join('; ');
}

function allowanceWords(free: Allowance, write: WriteNumber): string {
  if (free === null || typeof free === 'string') return amount(free, write);
  return `${amount(free.ratio, write)} for each of ${free.per.replaceAll('-', ' ')}`;
}

function amount(value: string | null, write: WriteNumber): string {
  return value === null ? NOT_KNOWN : write(value);
}

function list(names: readonly string[]): string {
  return names.map((name) => name.replaceAll('-', ' ')).join(' and ');
}
