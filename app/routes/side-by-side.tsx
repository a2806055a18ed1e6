import * as places from '../first-steps/places-in-words';
import { EmptyPlace } from '../first-steps/empty-place';
import { Button } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { withBaseline, withoutArrangement } from '#core/comparison/arrangement';
import { CandidateTag } from '../components/candidate-tag';
import { ChoiceField } from '../components/choice-field';
import type { OpenFigure } from '../line-up/figure-button';
import { FoldedColumns } from '../line-up/folded-columns';
import { CourseChart } from '../line-up/course-chart';
import { LineUpTable } from '../line-up/line-up-table';
import { OwnWaysLines } from '../line-up/own-ways-line';
import { SetAsideVendors } from '../line-up/set-aside';
import { useArranged } from '../line-up/use-arranged';
import { obstacleWords } from '../workbench/obstacle-words';
import { useEdits } from '../workbench/use-edits';
import { useLevel, useWorkbench } from '../workbench/workbench-context';
import { COMPARED_WORDS } from '../locale/compared-words';
import { ComparedByChoice } from '../workbench/compared-by-choice';
import { sideBySide as words } from './words/side-by-side';

const BEST = 'the-best';
const OpenPanel = lazy(() => import('../line-up/open-panel'));

export default function SideBySide() {
  const { state } = useWorkbench();
  const { priced } = useLevel();
  const [open, setOpen] = useState<OpenFigure | null>(null);
  const { columns } = priced.lineUp;
  if (columns.length === 0 && priced.heldBack.length === 0 && !state.workbench.decision.setAside?.length)
    return <EmptyPlace place={places.comparison} />;
  return (
    <>
      <main className="work" aria-label={words.comparison}>
        <Arrangement onPair={(a, b) => setOpen({ kind: 'pair', a, b })} />
        {columns.length > 0 && <LineUpTable open={open} onOpen={setOpen} />}
        <FoldedColumns open={open} />
        <OwnWaysLines />
        <SetAsideVendors />
        {columns.length > 0 && <CourseChart />}
        {priced.heldBack.length > 0 && (
          <section className="held-back" aria-label={words.notPricedYet}>
            <h3>{words.notPricedYet}</h3>
            <ul>
              {priced.heldBack.map(({ candidate, obstacle }) => (
                <li key={candidate.id}>
                  <CandidateTag id={candidate.id} /> <b>{candidate.label}</b>: {obstacleWords(obstacle)}.{' '}
                  <Button type="link" size="small" onClick={() => setOpen({ kind: 'make-up', candidate: candidate.id })}>
                    {words.seeWhatItIsMade}
                  </Button>
                </li>
              ))}
            </ul>
          </section>
        )}
      </main>
      <aside className="margin" aria-label={words.howItCameAbout} aria-live="polite" hidden={open === null}>
        {open !== null && (
          <Button className="panel-close" size="small" onClick={() => setOpen(null)}>
            {words.close}
          </Button>
        )}
        <Suspense fallback={null}>{open !== null && <OpenPanel open={open} onOpen={setOpen} />}</Suspense>
      </aside>
    </>
  );
}

/** What the figures count, what they are set against, and how the columns stand. */
function Arrangement({ onPair }: { onPair(a: string, b: string): void }) {
  const { state } = useWorkbench();
  const edits = useEdits();
  const { columns, baseline } = useArranged();
  const { by } = useLevel().priced.lineUp;
  const { basis = 'paid', currency, lineUp: view } = state.workbench.decision;
  const chosen = columns.some(({ id }) => id === view?.baseline) ? (view?.baseline ?? BEST) : BEST;
  const other = columns.find(({ id }) => id !== baseline?.id);
  return (
    <div className="tools">
      <ChoiceField
        label={words.paymentsCount}
        value={basis}
        options={[
          { value: 'paid', label: words.whenTheyArePaid },
          { value: 'spread', label: words.spreadOverTheMonths },
        ]}
        onChange={(next) => edits.decision('basis', words.whenPaymentsCount, (one) => ({ ...one, basis: next }))}
      />
      <ComparedByChoice label={words.theBestIsTheOne} />
      {columns.length > 1 && (
        <ChoiceField
          label={words.differencesTo}
          searchable
          value={chosen}
          options={[
            { value: BEST, label: COMPARED_WORDS[by].best },
            ...columns.map(({ id, label }) => ({ value: id, label: `${id} ${label}` })),
          ]}
          onChange={(id) =>
            edits.decision('lineUp.baseline', words.whatDifferencesAreTo, (one) => withBaseline(one, id === BEST ? null : id))
          }
        />
      )}
      <span>{words.amounts(<b>{words.wholeHorizon(currency)}</b>)}</span>
      <span className="quiet">{words.anyFigureShowsHow}</span>
      {baseline && other && (
        <Button type="link" size="small" onClick={() => onPair(baseline.id, other.id)}>
          {words.setTwoAgainstEach}
        </Button>
      )}
      {view && (view.order || view.pinned?.length) ? (
        <Button type="link" size="small" onClick={() => edits.decision('lineUp', words.theOrderOfTheLine, withoutArrangement)}>
          {words.orderByTotalAgain}
        </Button>
      ) : null}
    </div>
  );
}
