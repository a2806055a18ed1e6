import { useState } from 'react';
import { Link } from 'react-router';
import { FitChart } from '../fit/fit-chart';
import { FitMakeUp } from '../fit/fit-make-up';
import { FitTableView } from '../fit/fit-table';
import { FitSentence, Stability, Turning } from '../fit/fit-words';
import { useFit } from '../fit/use-fit';
import { Weights } from '../fit/weights';
import { useWorkbench, useWorked } from '../workbench/workbench-context';

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
        <main className="work" aria-label="Fit and cost">
          <h2>Nothing is weighed yet</h2>
          <p>
            {table.criteria.length === 0 ? (
              <>
                Say what you <Link to={`${to}/needs`}>would like</Link> and which <Link to={`${to}/needs/qualities`}>qualities</Link> count,
                each with a weight above 0; you then see how well candidates fit, beside what they cost.
              </>
            ) : (
              <>
                There is no candidate with a price yet. <Link to={`${to}/line-up/candidates`}>Choose one that is proposed</Link>, or build
                your own.
              </>
            )}
          </p>
        </main>
        <aside className="margin" aria-label="Weights">
          <Weights />
        </aside>
      </>
    );
  const places = worked.judged?.firstPlaces ?? [];
  return (
    <>
      <main className="work" aria-label="Fit and cost">
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
      <aside className="margin" aria-label="Weights and make-up" aria-live="polite">
        {opened ? <FitMakeUp table={table} weighed={opened} onClose={() => setOpen(null)} /> : <Weights />}
      </aside>
    </>
  );
}
