import type { PreparedData } from '#data/prepare-data';
import { keepDailyBackUp } from '#data/back-ups';
import type { DataPaths } from '#data/data-folder';
import { dataProblemKind } from '#data/data-problem';
import { removeDeleted } from '#data/decision-list';
import { thinHistory } from '#data/thin-history';
import type { Log } from './log';

/** What is done about the data from time to time. */
export interface Upkeep {
  /** Something was changed. */
  noteChange(): void;
  stop(): void;
}

const EVERY_MS = 3_600_000;
/** After a pause of this length what was changed is written from the log into the database file. */
const PAUSE_MS = 3_000;

/**
 * Looks after the data while a server runs: a back-up on every day on which something changes, removal of what was
 * deleted long ago, thinner history.
 *
 * @param damaged - told when the data turn out to be damaged
 */
export function keepUp({ open }: PreparedData, paths: DataPaths, log: Log, damaged: (finding: string) => void): Upkeep {
  if (!open) return { noteChange: () => undefined, stop: () => undefined };
  const { db, sqlite } = open;
  let pause: ReturnType<typeof setTimeout> | undefined;
  const attempt = async (what: string, action: () => unknown) => {
    try {
      await action();
    } catch (error) {
      log.error({ err: error }, `${what} failed`);
      if (dataProblemKind(error) === 'damaged') damaged(error instanceof Error ? error.message : '');
    }
  };
  const look = async () => {
    const now = new Date();
    await attempt('the daily back-up', () => keepDailyBackUp(sqlite, paths, now.toISOString().slice(0, 10)));
    await attempt('removing what was deleted long ago', () => removeDeleted(db, now));
    await attempt('thinning out the history', () => thinHistory(db, now));
    await attempt('giving room back', () => sqlite.pragma('incremental_vacuum(2000)'));
  };
  const timer = setInterval(() => void look(), EVERY_MS);
  timer.unref();
  void look();
  return {
    noteChange() {
      clearTimeout(pause);
      pause = setTimeout(() => void attempt('writing the log into the database', () => sqlite.pragma('wal_checkpoint(PASSIVE)')), PAUSE_MS);
      pause.unref();
    },
    stop() {
      clearInterval(timer);
      clearTimeout(pause);
    },
  };
}
