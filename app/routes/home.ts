import { redirect } from 'react-router';
import { listDecisions } from '#data/decisions';
import { database } from '../server/database.server';

/** Opens where the person left off: the decision changed last, or the list if there is none. */
export async function loader() {
  const [last] = await listDecisions(await database());
  throw redirect(last ? `/decisions/${last.id}/line-up` : '/decisions');
}
