import { useMemo } from 'react';
import { useWorkbench } from '../workbench/workbench-context';
import { vendors as words } from './words';

/** A vendor by its offer. */
export interface NamedOffer {
  readonly id: string;
  readonly label: string;
}

/** The vendors of the decision, in the order of their sheets. */
export function useVendors(): readonly NamedOffer[] {
  const { sheets } = useWorkbench().state.workbench;
  return useMemo(
    () =>
      sheets.flatMap(({ sheet }) =>
        sheet.kind === 'offer' ? [{ id: sheet.offer.id, label: sheet.offer.label || sheet.offer.vendor || words.withoutAName }] : [],
      ),
    [sheets],
  );
}
