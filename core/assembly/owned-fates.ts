import { featuresTogether, fateOf, type OwnedFate } from './owned';
import type { Owned } from '../decision/owned-schema';
import type { Workbench } from '../decision/workbench';

/** What becomes of something owned with each candidate of a decision. */
export function fatesOf({ decision, sheets }: Workbench, owned: Owned): Array<{ id: string; label: string; fate: OwnedFate }> {
  const offers = sheets.flatMap(({ sheet }) => (sheet.kind === 'offer' ? [sheet.offer] : []));
  const addons = [
    ...offers.flatMap((offer) => offer.addons ?? []),
    ...sheets.flatMap(({ sheet }) => (sheet.kind === 'addon' ? [sheet.addon] : [])),
  ];
  const plans = offers.flatMap((offer) => offer.plans);
  return decision.candidates.map(({ id, label, plans: used, addons: taken = [] }) => {
    const parts = [
      ...plans.filter((plan) => used.some((one) => one.plan === plan.id)),
      ...addons.filter((addon) => taken.some((one) => one.addon === addon.id)),
    ];
    return { id, label, fate: fateOf(owned, id, featuresTogether(parts)) };
  });
}
