import { beyondWords, type ChargeWords, freeWords, percentAndEach, phrasedAmount } from './charge-words';

export const perUnitWords: ChargeWords<'per-unit'> = {
  rate: (charge, write) => `${percentAndEach(charge, write)} each`,
  bounds: ({ free }, write) => freeWords(free, write),
  phrase({ percent, each, on: counted }, on, write) {
    if (counted === 'sales' && percent !== undefined && each === undefined) return `${phrasedAmount(percent, write)}% of sales`;
    const parts: string[] = [];
    if (each !== undefined) parts.push(phrasedAmount(each, write));
    if (percent !== undefined) parts.push(`${phrasedAmount(percent, write)}%`);
    return `${parts.length === 0 ? 'nothing' : parts.join(' + ')} per unit of ${on}`;
  },
  derived: ({ parts, counted, value, number }) =>
    `${beyondWords(value(parts.quantity), value(parts.free), number)} ${counted} × ${number(value(parts.rate))}`,
};
