import { redirect } from 'react-router';
import { listDecisions } from '#data/decision-list';
import { database } from '../server/database.server';
import { readSlowDecisions } from '../server/slow-decisions';

/**
 * Opens where the person left off: the decision changed last, or the list if there is none or if it took too long to
 * open the last time.
 */
export async function loader() {
  const db = await database();
  const [last] = (await listDecisions(db)).filter(({ archivedAt }) => archivedAt === null);
  const slow = await db.selectFrom('settings').select('value').where('key', '=', 'slowDecisions').executeTakeFirst();
  const isOpened = last !== undefined && !readSlowDecisions(slow?.value).includes(last.id);
  throw redirect(isOpened ? `/decisions/${last.id}/line-up` : '/decisions');
}
