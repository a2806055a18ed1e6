import { differencesOf, inVersion, type VersionName } from '../forecast/versions';
import type { Decision } from './decision-schema';
import type { PriceSheet } from './price-sheet';

/** A price sheet as a decision uses it. */
export interface UsedSheet {
  readonly id: string;
  /** The sheet's revision that the decision uses; 0 for a sheet that was never saved. */
  readonly revision: number;
  readonly sheet: PriceSheet;
}

/** Everything one decision is made of: its document and the price sheets it uses. */
export interface Workbench {
  readonly decision: Decision;
  /** In the order in which they stand in the decision file. */
  readonly sheets: readonly UsedSheet[];
}

/** The workbench with its expected sales in one of their versions. */
export function workbenchInVersion(workbench: Workbench, version: VersionName): Workbench {
  if (version === 'expected') return workbench;
  const { forecast, versions } = workbench.decision;
  return { ...workbench, decision: { ...workbench.decision, forecast: inVersion(forecast, differencesOf(versions, version)) } };
}

/** The sheet of an id, or undefined. */
export function findSheet(workbench: Workbench, id: string): UsedSheet | undefined {
  return workbench.sheets.find((used) => used.id === id);
}

/** The workbench with one sheet's content replaced; its revision stays until it is saved. */
export function withSheet(workbench: Workbench, id: string, change: (sheet: PriceSheet) => PriceSheet): Workbench {
  return {
    ...workbench,
    sheets: workbench.sheets.map((used) => (used.id === id ? { ...used, sheet: change(used.sheet) } : used)),
  };
}

/** The workbench with its decision document replaced. */
export function withDecision(workbench: Workbench, change: (decision: Decision) => Decision): Workbench {
  return { ...workbench, decision: change(workbench.decision) };
}
