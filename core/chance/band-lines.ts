import type { Figure, RatedBand } from '../rules/expression/expression';
import { ROUNDING } from '../scales/form-values';
import { bandsInNumbers } from '../scales/level-form';

/** Bands as straight lines: up to each bound an amount, and so much for each. */
export interface BandLines {
  readonly isGraduated: boolean;
  readonly bounds: Float64Array;
  readonly amounts: Float64Array;
  readonly each: Float64Array;
}

/** Reads bands as lines (decision file §4, `bands`). */
export function bandLines(how: 'graduated' | 'volume', bands: readonly RatedBand[]): BandLines {
  const isGraduated = how === 'graduated';
  let [sum, edge] = [0, 0];
  const lines = bandsInNumbers(bands).map(({ upTo, rate, flat }) => {
    if (!isGraduated) return [upTo * (1 + ROUNDING), flat, rate] as const;
    const amount = sum + flat - edge * rate;
    sum += (upTo - edge) * rate + flat;
    edge = upTo;
    return [upTo * (1 + ROUNDING), amount, rate] as const;
  });
  const column = (at: 0 | 1 | 2) => Float64Array.from(lines, (line) => line[at]);
  return { isGraduated, bounds: column(0), amounts: column(1), each: column(2) };
}

/** Writes what bands make of quantities, by month. */
export function fillBands({ isGraduated, bounds, amounts, each }: BandLines, values: Float64Array, into: Float64Array): void {
  for (let month = 0; month < into.length; month++) {
    const quantity = values[month] ?? 0;
    let at = 0;
    while (at < bounds.length && quantity > (bounds[at] ?? 0)) at++;
    const isNothing = at === bounds.length || (isGraduated && quantity <= 0);
    into[month] = isNothing ? 0 : (amounts[at] ?? 0) + (each[at] ?? 0) * quantity;
  }
}

/** Bands with what is drawn for those of their figures that nobody knows, read as lines anew whenever it is asked. */
export function drawnBands(
  how: 'graduated' | 'volume',
  bands: readonly RatedBand[],
  openFigure: (figure: Figure) => Float64Array | null,
): { readonly open: readonly Figure[]; now(): BandLines } {
  const open = bands.flatMap(({ each, percent, flat }) => [each, percent, flat]).filter((figure) => openFigure(figure));
  const known = bandLines(how, bands);
  if (open.length === 0) return { open, now: () => known };
  const drawn = (figure: Figure): Figure => ({ ...figure, value: String(openFigure(figure)?.[0] ?? figure.value) });
  return {
    open,
    now: () =>
      bandLines(
        how,
        bands.map((band) => ({ ...band, each: drawn(band.each), percent: drawn(band.percent), flat: drawn(band.flat) })),
      ),
  };
}
