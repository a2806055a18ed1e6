import { useState } from 'react';
import { Link } from 'react-router';
import { FitChart } from '../fit/fit-chart';
import { FitMakeUp } from '../fit/fit-make-up';
import { FitTableView } from '../fit/fit-table';
import { FitSentence, Stability, Turning } from '../fit/fit-words';
import { useFit } from '../fit/use-fit';
import { Weights } from '../fit/weights';
import { useWorkbench, useWorked } from '../workbench/workbench-context';
import { fit as words } from './words/fit';

/** Fit beside cost: how well candidates do what is wanted, and what they cost for it. */
export default function Fit() {
  const { state, decisionId } = useWorkbench();
  const worked = useWorked();
  const { table, weighed, turning } = useFit();
  const [open, setOpen] = useState<string | null>(null);
  const opened = weighed.find(({ candidate }) => candidate === open);
  const to = `/decisions/${decisionId}`;
  if (table.criteria.length === 0 || weighed.length === 0)
    return (
      <>
        <main className="work" aria-label={words.fitAndCost}>
          <h2>{words.nothingIsWeighedYet}</h2>
          <p>
            {table.criteria.length === 0 ? (
              <>
                {words.sayWhatYouAndWhich(
                  <Link to={`${to}/needs`}>{words.wouldLike}</Link>,
                  <Link to={`${to}/needs/qualities`}>{words.qualities}</Link>,
                )}
              </>
            ) : (
              <>{words.thereIsNoCandidate(<Link to={`${to}/line-up/candidates`}>{words.chooseOneThatIsProposed}</Link>)}</>
            )}
          </p>
        </main>
        <aside className="margin" aria-label={words.weights}>
          <Weights />
        </aside>
      </>
    );
  const places = worked.judged?.firstPlaces ?? [];
  return (
    <>
      <main className="work" aria-label={words.fitAndCost}>
        <FitSentence weighed={weighed} />
        <FitChart weighed={weighed} currency={state.workbench.decision.currency} />
        <div className="qualities-scroll">
          <FitTableView
            weighed={weighed}
            places={places}
            open={open}
            onOpen={(candidate) => setOpen(open === candidate ? null : candidate)}
          />
        </div>
        <Stability places={places} isBehind={worked.isJudging} />
        <Turning turning={turning} />
      </main>
      <aside className="margin" aria-label={words.weightsAndMakeUp} aria-live="polite">
        {opened ? <FitMakeUp table={table} weighed={opened} onClose={() => setOpen(null)} /> : <Weights />}
      </aside>
    </>
  );
}
