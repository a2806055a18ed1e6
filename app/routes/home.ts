import { redirect } from 'react-router';
import { listDecisions } from '#data/decision-list';
import { database } from '../server/database.server';

/** Opens where the person left off: the decision changed last, or the list if there is none. */
export async function loader() {
  const [last] = (await listDecisions(await database())).filter(({ archivedAt }) => archivedAt === null);
  throw redirect(last ? `/decisions/${last.id}/line-up` : '/decisions');
}
