import { Leaves } from '../components/leaves';

/** What is compared: the candidates side by side, how each is put together, and how well it fits. */
export default function LineUp() {
  return <Leaves place="line-up" />;
}
