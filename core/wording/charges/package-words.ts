import { amountWords, beyondWords, type ChargeWords, freeWords, phrasedAmount } from './charge-words';

export const packageWords: ChargeWords<'package'> = {
  rate: ({ each, size }, write) => `${amountWords(each, write)} for every ${amountWords(size, write)}`,
  bounds: ({ free }, write) => freeWords(free, write),
  phrase: ({ each, size }, on, write) => `${phrasedAmount(each, write)} per started ${phrasedAmount(size, write)} of ${on}`,
  derived({ charge, parts, counted, value, number, write }) {
    const beyond = beyondWords(value(parts.quantity), value(parts.free), number);
    return `${number(value(parts.packages))} packages of ${write(charge.size ?? '1')} for ${beyond} ${counted} × ${number(value(parts.rate))}`;
  },
};
