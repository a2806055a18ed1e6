import { Leaves } from '../components/leaves';

/** What is expected to be sold, and what was sold before. */
export default function Sales() {
  return <Leaves place="sales" />;
}
