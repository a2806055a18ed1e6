import * as z from 'zod';
import { graduated, graduatedSchema, volume, volumeSchema } from './banded';
import type { ChargeKind } from './kind';
import { packaged, packageSchema } from './package';
import { perOrder, perOrderSchema } from './per-order';
import { perUnit, perUnitSchema } from './per-unit';
import { prepaid, prepaidSchema } from './prepaid';

/** What depends on volume, whatever its kind (decision file §4). */
export const chargeSchema = z.discriminatedUnion('how', [
  perOrderSchema,
  perUnitSchema,
  packageSchema,
  graduatedSchema,
  volumeSchema,
  prepaidSchema,
]);

export type Charge = z.output<typeof chargeSchema>;
export type ChargeHow = Charge['how'];
export type ChargeOf<How extends ChargeHow> = Extract<Charge, { how: How }>;

/** Every kind of charge; whoever adds one to the schema is told what else it needs. */
export const CHARGE_KINDS = {
  'per-order': perOrder,
  'per-unit': perUnit,
  package: packaged,
  graduated,
  volume,
  prepaid,
} satisfies { readonly [How in ChargeHow]: ChargeKind<ChargeOf<How>> };

/** What a kind of charge makes of what is counted, by the name of the kind. */
export type PartsOf<How extends ChargeHow> = ReturnType<(typeof CHARGE_KINDS)[How]['rule']>;

/** The kind of a charge; the types go with the charge that is handed in. */
export function kindOf<Given extends Charge>(charge: Given): ChargeKind<Given> {
  // A charge and its kind have the same `how`, which the compiler cannot follow through the registry.
  return CHARGE_KINDS[charge.how] as unknown as ChargeKind<Given>;
}
