import { Decimal } from '../../amount/decimal';
import type { Band } from '../../rules/charges/charge-fields';
import { amountWords, type ChargeWords, type Derived, percentAndEach, phrasedAmount, type WriteNumber } from './charge-words';

export const graduatedWords: ChargeWords<'graduated'> = {
  rate: ({ bands }, write) => bandsWords(bands, write, 'the part up to'),
  phrase: ({ bands }, on, write) => `each part of ${on} at its own price: ${phrasedBands(bands, write)}`,
  derived(derived) {
    const entered = derived.parts.bands.flatMap((_, index) => bandEntered(derived, index));
    return `${derived.number(derived.value(derived.parts.quantity))} ${derived.counted}: ${entered.join(', then ') || 'nothing'}`;
  },
};

export const volumeWords: ChargeWords<'volume'> = {
  rate: ({ bands }, write) => bandsWords(bands, write, 'all, up to'),
  phrase: ({ bands }, on, write) => `all ${on} at the price reached: ${phrasedBands(bands, write)}`,
  derived(derived) {
    const { parts, value, number, counted } = derived;
    const quantity = value(parts.quantity);
    const reached = parts.bands.find(({ upTo }) => upTo === null || quantity.lte(value(upTo))) ?? parts.bands.at(-1);
    const words = reached ? partWords(derived, quantity, reached) : 'nothing';
    return `${number(quantity)} ${counted}: ${words}`;
  },
};

type CountedBand = Derived<'graduated'>['parts']['bands'][number];
type Told = Pick<Derived<'graduated'>, 'value' | 'number'>;

/** What of a quantity lies in a band, at its rate; nothing for a band that it does not enter. */
function bandEntered({ parts, ...told }: Derived<'graduated'>, index: number): string[] {
  const { value } = told;
  const band = parts.bands[index];
  const before = parts.bands[index - 1]?.upTo;
  const edge = before ? value(before) : new Decimal(0);
  const quantity = value(parts.quantity);
  if (!band || quantity.lte(edge)) return [];
  const isLast = band.upTo === null || index === parts.bands.length - 1;
  const top = isLast || !band.upTo ? quantity : Decimal.min(quantity, value(band.upTo));
  return [partWords(told, top.minus(edge), band)];
}

function partWords({ value, number }: Told, quantity: Decimal, { each, percent, flat }: CountedBand): string {
  const fixed = value(flat);
  return `${number(quantity)} × ${number(value(each).plus(value(percent)))}${fixed.isZero() ? '' : ` + ${number(fixed)}`}`;
}

function bandsWords(bands: readonly Band[], write: WriteNumber, upTo: string): string {
  return bands
    .map((band) => {
      const isFlat = band.flat !== undefined && band.each === undefined && band.percent === undefined;
      const rate = isFlat ? amountWords(band.flat ?? null, write) : percentAndEach(band, write);
      const flat = isFlat || band.flat === undefined ? '' : ` and ${amountWords(band.flat, write)} flat`;
      return band.upTo === null ? `then ${rate}${flat}` : `${rate}${flat} for ${upTo} ${write(band.upTo)}`;
    })
    .join('; ');
}

function phrasedBands(bands: readonly Band[], write: WriteNumber): string {
  return bands.map((band) => phrasedBand(band, write)).join('; ');
}

function phrasedBand({ upTo, each, percent, flat }: Band, write: WriteNumber): string {
  const parts: string[] = [];
  if (each !== undefined) parts.push(`${phrasedAmount(each, write)} each`);
  if (percent !== undefined) parts.push(`${phrasedAmount(percent, write)}%`);
  if (flat !== undefined) parts.push(`${phrasedAmount(flat, write)} flat`);
  return `${parts.length === 0 ? 'nothing' : parts.join(' + ')} ${upTo === null ? 'beyond' : `up to ${write(upTo)}`}`;
}
