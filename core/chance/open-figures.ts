import type { Figure, FigurePlace } from '../rules/expression/expression';
import type { OpenPrice } from '../what-if/open-prices';

/** Finds the months of those figures that are prices nobody knows; null for all others. */
export function openFigures(
  open: readonly OpenPrice[],
  prices: ReadonlyMap<string, Float64Array>,
): (figure: Figure) => Float64Array | null {
  const keyOf = ({ part, line, id, field }: FigurePlace) => `${part} ${line} ${id} ${field}`;
  const known = new Map(open.flatMap(({ id, places }) => places.map((place) => [keyOf(place), prices.get(id) ?? null])));
  return ({ at }) => (at === null || known.size === 0 ? null : (known.get(keyOf(at)) ?? null));
}
