import { useMemo } from 'react';
import { type Assumption, assumptionsOf } from '#core/what-if/assumption';
import type { Varied } from '#core/what-if/turns-it';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { useAskedDecision } from './asked-decision';
import { useAssumptions as words } from './words';

/** What the totals rest on, each with the range over which it is looked at. */
export interface Assumptions {
  readonly varied: readonly Varied[];
  find(key: string): Assumption | undefined;
  /** Keeps another range for an assumption. */
  setRange(key: string, low: string, high: string): void;
}

export function useAssumptions(): Assumptions {
  const { file } = useAskedDecision();
  const { state } = useWorkbench();
  const edits = useEdits();
  const ranges = state.workbench.decision.whatIf?.ranges;
  return useMemo(() => {
    const all = assumptionsOf(file);
    return {
      varied: all.map((assumption) => {
        const [low, high] = ranges?.[assumption.key] ?? assumption.usual.map(String);
        return { assumption, low: Number(low), high: Number(high) };
      }),
      find: (key) => all.find((one) => one.key === key),
      setRange: (key, low, high) =>
        edits.decision(`whatIf.ranges.${key}`, words.aRange, (one) => ({
          ...one,
          whatIf: { ...one.whatIf, ranges: { ...one.whatIf?.ranges, [key]: [low, high] } },
        })),
    };
  }, [file, ranges, edits]);
}
