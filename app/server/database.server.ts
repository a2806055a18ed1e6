import { isMainThread } from 'node:worker_threads';
import type { Kysely } from 'kysely';
import { dataFolder, dataPaths } from '#data/data-folder';
import { connect, connectForReading } from '#data/open-database';
import { prepareData } from '#data/prepare-data';
import type { Database } from '#data/schema';
import { firstContent } from './first-content.server';
import type { ThreadSettings } from './request-messages';

let opened: Promise<Kysely<Database>> | undefined;
let isReadOnly = false;

/** Says how this thread may use the data. */
export function takeSettings(settings: ThreadSettings): void {
  isReadOnly = settings.isReadOnly;
}

/** This thread’s connection to the database, opened once. */
export function database(): Promise<Kysely<Database>> {
  opened ??= open();
  return opened;
}

async function open(): Promise<Kysely<Database>> {
  const paths = dataPaths(dataFolder());
  // While developing there is no server around this that has got the data ready.
  if (isMainThread) await prepareData(paths, new Date(), firstContent());
  return (isReadOnly ? await connectForReading(paths.database) : connect(paths.database)).db;
}
