import { Writable } from 'node:stream';
import { pino } from 'pino';
import { createStream } from 'rotating-file-stream';

/** What happened, a JSON object a line. */
export type Log = ReturnType<typeof pino>;

const FILE = 'venalis.log';
const LARGEST = '2M';
const FILES_KEPT = 5;

/**
 * The server's log: a file of at most 2 MB and the five before it. What cannot be written is let go: a full disk ends no
 * server.
 *
 * @param folder - null where nothing can be written: then standard error
 */
export function openLog(folder: string | null): Log {
  if (folder === null) return pino({ level: 'warn' }, process.stderr);
  const file = createStream(FILE, { path: folder, size: LARGEST, maxFiles: FILES_KEPT, mode: 0o600 });
  file.on('error', () => undefined);
  const quiet = new Writable({ write: (line: Buffer, _encoding, next) => (file.write(line), next()) });
  return pino({ base: null, timestamp: pino.stdTimeFunctions.isoTime }, quiet);
}
