import { Link } from 'react-router';
import { betterWay } from '#core/proposals/better-way';
import { useWriter } from '../locale/locale';
import { wayWords } from '../proposals/way-ahead';
import { useLevel, useWorkbench, useWorked } from './workbench-context';

/** A way with moves that costs less than the one that costs least throughout: told beside it, so that the first sentence is no wrong answer. */
export function BestWay() {
  const { state, decisionId } = useWorkbench();
  const { priced, scale } = useLevel();
  const { ways, proposals } = useWorked();
  const write = useWriter();
  const { leader, by } = priced.lineUp;
  const { pricing } = priced.priced;
  const plan = pricing.file.candidates.find(({ id }) => id === leader?.id)?.plans[0]?.plan;
  if (scale !== 1 || by === 'keep' || !ways || !proposals || plan === undefined) return null;
  const found = betterWay(ways, proposals, pricing.plan(plan).offer.id);
  if (!found || Number(found.less) < 0.5) return null;
  return (
    <>
      {' '}
      Cheaper still, by {write.whole(found.less)}, with <Link to={`/decisions/${decisionId}/what-if/route`}>a move</Link>:{' '}
      {wayWords(state.workbench, found.way, write).replace(/^Begin/, 'begin')}
    </>
  );
}
