import type { PriceSheet } from '../decision/price-sheet';
import { type Part, partsOf } from './parts';
import { ROW_RULES } from './rows/kinds';
import type { RowRule } from './rows/row-rule';

/** How many figures of a sheet are charged or limited, but not known. */
export function gapsOf(sheet: PriceSheet): number {
  const rules: ReadonlyArray<Pick<RowRule<never>, 'gaps'>> = Object.values(ROW_RULES);
  const inPart = (part: Part) => rules.reduce((sum, rule) => sum + (rule.gaps?.(part) ?? 0), 0);
  const marked = Object.values(sheet.marks ?? {}).filter((mark) => mark === 'not-known').length;
  return partsOf(sheet).reduce((sum, part) => sum + inPart(part), marked);
}
