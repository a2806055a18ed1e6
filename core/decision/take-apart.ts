import type { DecisionFile } from '../decision-file/schema';
import type { PriceSheet } from './price-sheet';
import type { Workbench } from './workbench';

/**
 * Takes a decision file apart into a decision and its price sheets: the reverse of `assembleDecisionFile`.
 *
 * @param newId - gives a fresh identifier for each sheet
 * @param seen - the day the sheets were seen, if that is known
 * @returns a workbench whose sheets were never saved (revision 0)
 */
export function takeApart(file: DecisionFile, newId: () => string, seen?: string): Workbench {
  const { format: _format, version: _version, offers, addons, processors, ...rest } = file;
  const { breakEven: _breakEven, cheapestAt, route: _route, propose: _propose, ...decision } = rest;
  const evidence = seen === undefined ? {} : { seen };
  const sheets: PriceSheet[] = [
    ...offers.map((offer) => ({ kind: 'offer' as const, ...evidence, offer })),
    ...(addons ?? []).map((addon) => ({ kind: 'addon' as const, ...evidence, addon })),
    ...(processors ?? []).map((processor) => ({ kind: 'processor' as const, ...evidence, processor })),
  ];
  const compared = cheapestAt?.by === undefined ? {} : { comparedBy: cheapestAt.by };
  return { decision: { ...decision, ...compared }, sheets: sheets.map((sheet) => ({ id: newId(), revision: 0, sheet })) };
}
