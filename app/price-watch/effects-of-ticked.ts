import { useEffect } from 'react';
import { useFetcher, useRevalidator } from 'react-router';
import type { FoundChange } from '#core/price-watch/found-change';
import type { DecisionEffect, EffectsOfChanges, WatchedRow } from '../server/watch-view.server';

/** Where it is asked what some of the changes would do. */
export const EFFECTS = '/watch/effects';

/**
 * What the ticked changes would do to decisions. Until that is known, what was said last stands.
 *
 * @param ticked those of the sheet's changes that are to be taken over
 */
export function useEffectsOfTicked(
  { sheetId, found, effects: ofAll }: WatchedRow,
  ticked: readonly FoundChange[],
): { readonly effects: readonly DecisionEffect[]; readonly isAsking: boolean } {
  const { submit, data } = useFetcher<EffectsOfChanges>();
  const asked =
    ticked.length === found.length || ticked.length === 0 ? null : JSON.stringify({ sheet: sheetId, changes: ticked.map(({ id }) => id) });
  useEffect(() => {
    if (asked !== null) void submit(asked, { method: 'post', action: EFFECTS, encType: 'application/json' });
  }, [asked, submit]);
  const { revalidate } = useRevalidator();
  const isOvertaken = data?.effects === null;
  useEffect(() => {
    // Decided in another window, or the page was looked at again: what stands now is shown.
    if (isOvertaken) void revalidate();
  }, [isOvertaken, revalidate]);
  if (asked === null) return { effects: ofAll, isAsking: false };
  const isAnswered = data !== undefined && JSON.stringify({ sheet: sheetId, changes: data.changes }) === asked;
  return { effects: data?.effects ?? ofAll, isAsking: !isAnswered };
}
