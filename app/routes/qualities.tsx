import { Leaves } from '../components/leaves';
import { todayHere, whileAway } from '../workbench/while-away';
import type { Route } from './+types/qualities';

/** Today, for what is noted on this day. */
export function loader() {
  return { today: new Date().toISOString().slice(0, 10) };
}

export function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  return whileAway(serverLoader, todayHere);
}

/** What is not money: marks, the trial diary, page speed. */
export default function Qualities() {
  return <Leaves place="qualities" />;
}
