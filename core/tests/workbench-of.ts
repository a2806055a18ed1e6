import { takeApart } from '../decision/take-apart';
import type { Workbench } from '../decision/workbench';
import type { DecisionFile } from '../decision-file/schema';

/** A decision file as a workbench: its sheets are `s0`, `s1` and so on, seen on the first of November 2026. */
export function workbenchOf(file: DecisionFile, seen: string | undefined = '2026-11-01'): Workbench {
  let next = 0;
  return takeApart(file, () => `s${next++}`, seen);
}
