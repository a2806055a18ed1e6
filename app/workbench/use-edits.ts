import { useMemo } from 'react';
import type { Decision } from '#core/decision/decision-schema';
import { withCandidatesForNewPlans, withRenamedCandidates } from '#core/decision/candidates';
import type { PriceSheet } from '#core/decision/price-sheet';
import { withDecision, withSheet } from '#core/decision/workbench';
import { newId } from './new-id';
import type { ChangeName } from './workbench-store';
import { useStore } from './workbench-context';
import { useEdits as words } from './words/use-edits';

/** The ways in which screens change what is on the workbench. */
export interface Edits {
  /** Changes the decision's document; `key` is the value's place, `label` its name. */
  decision(key: string, label: string, change: (decision: Decision) => Decision): void;
  /**
   * Changes a price sheet; plans with a new price come into the line-up by themselves.
   *
   * @param besides - changes the decision in the same step
   */
  sheet(
    id: string,
    key: string,
    label: string,
    change: (sheet: PriceSheet) => PriceSheet,
    besides?: (decision: Decision) => Decision,
  ): void;
  /** Puts one more sheet on the workbench, its priced plans into the comparison, and says its id. */
  addSheet(sheet: PriceSheet, kept?: { id: string; revision: number }): string;
  /** Takes a sheet off the workbench; it stays in the database. */
  removeSheet(id: string, label: string): void;
}

export function useEdits(): Edits {
  const { store } = useStore();
  return useMemo(
    () => ({
      decision(key, label, change) {
        store.change(named(key, label), (workbench) => withDecision(workbench, change));
      },
      sheet(id, key, label, change, besides) {
        store.change(named(`${id}.${key}`, label), (workbench) => {
          const before = workbench.sheets.find((used) => used.id === id)?.sheet;
          if (!before) return workbench;
          const after = change(before);
          if (after === before) return workbench;
          const decision = withCandidatesForNewPlans(withRenamedCandidates(workbench.decision, before, after), before, after);
          return { ...withSheet(workbench, id, () => after), decision: besides ? besides(decision) : decision };
        });
      },
      addSheet(sheet, kept) {
        const { id, revision } = kept ?? { id: newId(), revision: 0 };
        store.change({ key: `sheets.${id}`, label: words.aPriceSheetAdded }, (workbench) => ({
          decision: withCandidatesForNewPlans(workbench.decision, null, sheet),
          sheets: [...workbench.sheets, { id, revision, sheet }],
        }));
        return id;
      },
      removeSheet(id, label) {
        store.change(named(`sheets.${id}`, words.removed(label)), (workbench) => ({
          ...workbench,
          sheets: workbench.sheets.filter((used) => used.id !== id),
        }));
      },
    }),
    [store],
  );
}

/** Names that people give can be as long as they are allowed to be; what a change is called may not be longer. */
const MOST_CHARACTERS = 200;

function named(key: string, label: string): ChangeName {
  const shown = label.length > MOST_CHARACTERS ? `${label.slice(0, MOST_CHARACTERS - 1)}…` : label;
  return { key: key.slice(0, MOST_CHARACTERS), label: shown };
}
