import { Leaves } from '../components/leaves';
import { todayHere, whileAway } from '../workbench/while-away';
import type { Route } from './+types/needs';

/** Today, for the age of what answers rest on. */
export function loader() {
  return { today: new Date().toISOString().slice(0, 10) };
}

export function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  return whileAway(serverLoader, todayHere);
}

/** What the seller needs, and what plans say to it. */
export default function Needs() {
  return <Leaves place="needs" />;
}
