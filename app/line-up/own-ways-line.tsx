import { Link } from 'react-router';
import { useWriter } from '../locale/locale';
import { useAskedDecision } from '../what-if/asked-decision';
import { usePricedWays } from '../what-if/route/use-priced-ways';
import { ownWaySentence } from '../what-if/route/words/own-way';
import { useStore } from '../workbench/workbench-context';
import { ownWaysLine as words } from './words/own-ways-line';

/** The person's own ways, beside the candidates they are made of. */
export function OwnWaysLines() {
  const { nameOf } = useAskedDecision();
  const { decisionId } = useStore();
  const write = useWriter();
  const ways = usePricedWays();
  if (!ways || ways.length === 0) return null;
  return (
    <section className="set-aside" aria-label={words.waysOfYourOwn}>
      <h3>{words.waysOfYourOwn}</h3>
      <ul>
        {ways.map((way) => (
          <li key={way.id}>
            {ownWaySentence(way, nameOf, write)} <Link to={`/decisions/${decisionId}/what-if/route`}>{words.changeIt}</Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
