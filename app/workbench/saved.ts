import type { Decision } from '#core/decision/decision-schema';
import type { PriceSheet } from '#core/decision/price-sheet';
import type { UsedSheet, Workbench } from '#core/decision/workbench';

/** A decision as the server keeps it. */
export interface Saved {
  workbench: Workbench;
  revision: number;
  savedAt: string;
  /** What undo and redo would do, in words; null if there is nothing. */
  undo: string | null;
  redo: string | null;
}

/** What is sent to be saved. */
export interface SaveRequest {
  key: string;
  label: string;
  revision: number;
  decision: Decision;
  sheets: Array<{ id: string; revision: number; changed?: PriceSheet }>;
}

/** What the server says to a change. */
export type SaveReply =
  | { kind: 'saved'; saved: Saved }
  /** Changed elsewhere meanwhile: how it stands there, and the sheets that have a newer revision. */
  | { kind: 'stale'; current: Saved; staleSheets: UsedSheet[] }
  | { kind: 'refused'; why: string }
  | { kind: 'unreachable'; why: string };

/** How changes get to the server. */
export interface SaveTransport {
  save(request: SaveRequest): Promise<SaveReply>;
  step(direction: 'undo' | 'redo', revision: number): Promise<SaveReply>;
}
