import type { Charge, ChargeHow } from '../../rules/charges/kinds';
import { graduatedWords, volumeWords } from './banded-words';
import type { ChargeWords, Derived, WriteNumber } from './charge-words';
import { packageWords } from './package-words';
import { perOrderWords } from './per-order-words';
import { perUnitWords } from './per-unit-words';
import { prepaidWords } from './prepaid-words';

/** The words of every kind of charge. */
export const CHARGE_WORDS = {
  'per-order': perOrderWords,
  'per-unit': perUnitWords,
  package: packageWords,
  graduated: graduatedWords,
  volume: volumeWords,
  prepaid: prepaidWords,
} satisfies { readonly [How in ChargeHow]: ChargeWords<How> };

/** The words of a charge's own kind, ready to be asked. */
export interface WordsOfCharge {
  rate(write: WriteNumber): string;
  bounds(write: WriteNumber): string[];
  phrase(on: string, write: WriteNumber): string;
  phrasedBounds(write: WriteNumber): string[];
  derived(derived: Omit<Derived<ChargeHow>, 'charge'>): string;
}

type Stated = { readonly [How in ChargeHow]: Omit<Extract<Charge, { how: How }>, 'id'> }[ChargeHow];

/** A charge and its words have the same `how`; the types go with the charge that is handed in. */
export function wordsOf(charge: Stated): WordsOfCharge {
  // A charge and its words have the same `how`, which the compiler cannot follow through the registry.
  const words = CHARGE_WORDS[charge.how] as unknown as ChargeWords<ChargeHow>;
  return {
    rate: (write) => words.rate(charge, write),
    bounds: (write) => words.bounds?.(charge, write) ?? [],
    phrase: (on, write) => words.phrase(charge, on, write),
    phrasedBounds: (write) => words.phrasedBounds?.(charge, write) ?? [],
    derived: (derived) => words.derived({ ...derived, charge } as never),
  };
}
