import { amountWords, type ChargeWords, phrasedAmount } from './charge-words';

export const prepaidWords: ChargeWords<'prepaid'> = {
  rate: ({ each, size }, write) => `${amountWords(each, write)} for each pack of ${amountWords(size, write)} bought ahead`,
  bounds: ({ opening }, write) => (opening === undefined ? [] : [`${amountWords(opening, write)} there at the start`]),
  phrase: ({ each, size }, on, write) => `${phrasedAmount(each, write)} per prepaid pack of ${phrasedAmount(size, write)} of ${on}`,
  phrasedBounds: ({ opening }, write) => (opening === undefined ? [] : [`${phrasedAmount(opening, write)} there at the start`]),
  derived({ charge, parts, counted, value, number, write }) {
    const packs = value(parts.packs);
    const bought = packs.isZero() ? 'no pack' : `${number(packs)} packs of ${write(charge.size ?? '1')}`;
    return `${number(value(parts.quantity))} ${counted}, ${number(value(parts.used))} since joining: ${bought} × ${number(value(parts.rate))}`;
  },
};
