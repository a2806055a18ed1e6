import type { DecisionFile } from '../decision-file/schema';

/** The kind of card that stands for customers abroad: the first that is not the usual one; null if all pay alike. */
export function foreignKind({ forecast }: Pick<DecisionFile, 'forecast'>): string | null {
  const kinds = forecast.streams.flatMap(({ cards }) => Object.keys(cards ?? {}));
  return kinds.find((kind) => /foreign|abroad|international/.test(kind)) ?? kinds.find((kind) => kind !== 'domestic') ?? null;
}
