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
export function benchInVersion(bench: Workbench, version: VersionName): Workbench {
  if (version === 'expected') return bench;
  const { forecast, versions } = bench.decision;
  return { ...bench, decision: { ...bench.decision, forecast: inVersion(forecast, differencesOf(versions, version)) } };
}

/** The sheet of an id, or undefined. */
export function findSheet(bench: Workbench, id: string): UsedSheet | undefined {
  return bench.sheets.find((used) => used.id === id);
}

/** The workbench with one sheet's content replaced; its revision stays until it is saved. */
export function withSheet(bench: Workbench, id: string, change: (sheet: PriceSheet) => PriceSheet): Workbench {
  return {
    ...bench,
    sheets: bench.sheets.map((used) => (used.id === id ? { ...used, sheet: change(used.sheet) } : used)),
  };
}

/** The workbench with its decision document replaced. */
export function withDecision(bench: Workbench, change: (decision: Decision) => Decision): Workbench {
  return { ...bench, decision: change(bench.decision) };
}
