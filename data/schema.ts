import type { Generated } from 'kysely';

/** The tables of the database; times are ISO 8601 in UTC, documents JSON that was validated on the way in. */
export interface Database {
  decisions: {
    id: string;
    /** The current revision. */
    revision: number;
    name: string;
    createdAt: string;
    changedAt: string;
    archivedAt: string | null;
    deletedAt: string | null;
    /** Since when it has been found deleted for long enough to be removed; null where it has not. */
    oldSince: string | null;
  };
  /** What a decision comes to in one of its revisions, for the list. */
  decisionSummaries: {
    decisionId: string;
    revision: number;
    /** The build that worked it out. */
    madeBy: string;
    /** JSON; null while it is being worked out for the first time. */
    summary: string | null;
  };
  decisionRevisions: {
    decisionId: string;
    revision: number;
    /** The document, compressed; see `revision-content`. */
    content: Buffer;
    /** The revision that `content` is written against; null where it stands by itself. */
    base: number | null;
    savedAt: string;
    /** Which value was changed, so that one stretch of typing is one step of undo. */
    changeKey: string;
    /** The revision that undo goes back to, and what it takes back in words. */
    undoTo: number | null;
    undoLabel: string | null;
    redoTo: number | null;
    redoLabel: string | null;
  };
  /** The price sheets that the current revision of each decision uses. */
  usedSheets: { decisionId: string; sheetId: string; revision: number };
  sheets: { id: string; revision: number; kind: string; label: string; changedAt: string };
  /** What holds for all decisions, as JSON by name. */
  settings: { key: string; value: string };
  /** Where a price sheet is looked at again, how that went last, and what was found and is not decided yet (JSON). */
  watchedSheets: { sheetId: string; address: string; triedAt: string | null; seenAt: string | null; problem: string | null; found: string };
  /** Changes of prices and rates that were decided; `sheetId` is null for rates. */
  priceChanges: {
    id: Generated<number>;
    sheetId: string | null;
    label: string;
    changeId: string;
    plan: string;
    what: string;
    before: string;
    after: string;
    outcome: 'accepted' | 'left';
    decidedAt: string;
  };
  /** Files of past orders (JSON: what is kept of them as a whole); one that is not whole was left while it was sent. */
  pastOrderFiles: { id: string; decisionId: string; content: string; addedAt: string; isWhole: number };
  /** Their orders, so many at a time: JSON, compressed. */
  pastOrderParts: { fileId: string; place: number; content: Buffer };
  sheetRevisions: { sheetId: string; revision: number; content: Buffer; base: number | null; savedAt: string };
}
