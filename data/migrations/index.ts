import type { Migration } from 'kysely';
import * as decisionsAndSheets from './001-decisions-and-sheets';
import * as archivedAndDeleted from './002-archived-and-deleted';
import * as priceWatch from './003-price-watch';
import * as compactRevisions from './004-compact-revisions';
import * as pastOrders from './005-past-orders';

/** Every step from an empty file to the present tables, in order. */
export const MIGRATIONS: Readonly<Record<string, Migration>> = {
  '001-decisions-and-sheets': decisionsAndSheets,
  '002-archived-and-deleted': archivedAndDeleted,
  '003-price-watch': priceWatch,
  '004-compact-revisions': compactRevisions,
  '005-past-orders': pastOrders,
};
