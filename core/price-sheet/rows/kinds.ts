import type { RowKind } from '../../price-phrase/row-kind';
import { chargeRow } from './charge-row';
import { refundRow, trialRow } from './days-row';
import { featureRow } from './feature-row';
import { joiningRow } from './joining-row';
import { limitRow } from './limit-row';
import type { RowRule } from './row-rule';
import { savingRow } from './saving-row';
import { termRow } from './term-row';

/** Every kind of row, in the order in which a sheet has them; whoever adds one to `RowKind` is told what it needs. */
export const ROW_RULES = {
  term: termRow,
  trial: trialRow,
  refund: refundRow,
  joining: joiningRow,
  saving: savingRow,
  charge: chargeRow,
  limit: limitRow,
  feature: featureRow,
} satisfies { readonly [Kind in RowKind['kind']]: RowRule<Extract<RowKind, { kind: Kind }>> };

/** The rule of a row; the types go with the kind that is handed in. */
export function ruleOf<Kind extends RowKind>(kind: Kind): RowRule<Kind> {
  // A kind and its rule have the same name, which the compiler cannot follow through the registry.
  return ROW_RULES[kind.kind] as unknown as RowRule<Kind>;
}
