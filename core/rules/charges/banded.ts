import * as z from 'zod';
import { Decimal } from '../../amount/decimal';
import type { Checker } from '../../fields/checker';
import { bandSchema, type Band, commonFields } from './charge-fields';
import type { ChargeKind, ChargeParts, Counted, CountedBand } from './kind';

/** Each band's part of a quantity at that band's rate, plus `flat` for every band entered (decision file §4). */
export const graduatedSchema = z.strictObject({ ...commonFields, how: z.literal('graduated'), bands: z.array(bandSchema).min(1) });

/** All of a quantity at the rate of the band it falls in, plus that band's `flat` (decision file §4). */
export const volumeSchema = z.strictObject({ ...commonFields, how: z.literal('volume'), bands: z.array(bandSchema).min(1) });

export type Graduated = z.output<typeof graduatedSchema>;
export type Volume = z.output<typeof volumeSchema>;

export interface BandedParts extends ChargeParts {
  readonly bands: readonly CountedBand[];
}

export const graduated: ChargeKind<Graduated, BandedParts> = { figures: {}, rule: banded, most: mostOf, check: checkBands };
export const volume: ChargeKind<Volume, BandedParts> = { figures: {}, rule: banded, most: mostOf, check: checkBands };

function banded({ how, bands: stated }: Graduated | Volume, counted: Counted): BandedParts {
  const bands = counted.bands(stated);
  return { amount: { is: 'bands', how, of: counted.quantity, bands }, quantity: counted.quantity, bands };
}

/** A last band with a number: the plan is not sold beyond it. */
function mostOf({ bands }: Graduated | Volume, counted: Counted): CountedBand['upTo'] {
  return counted.bands(bands).at(-1)?.upTo ?? null;
}

function checkBands({ bands }: { readonly bands: readonly Band[] }, path: readonly PropertyKey[], check: Checker): void {
  let edge = new Decimal(0);
  bands.forEach((band, index) => {
    const at = [...path, 'bands', index, 'upTo'];
    if (band.upTo === null) {
      if (index < bands.length - 1) check.problem(at, 'use a number: only the last band is open');
      return;
    }
    if (edge.gte(band.upTo)) check.problem(at, `use a number above ${edge.toFixed()}: bands in order`);
    edge = Decimal.max(edge, band.upTo);
  });
}
