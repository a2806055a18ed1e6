import { useMemo } from 'react';
import { answerOf, askedVendors, isMet } from '#core/needs/answers';
import { contradictions } from '#core/needs/contradictions';
import { withChangedNeed } from '#core/needs/edit-needs';
import type { DecisionNeed } from '#core/decision/need-schema';
import { needKey } from '#core/wording/need-words';
import { useDrawnBelow } from '../components/use-drawn-below';
import { Fold } from '../components/fold';
import { ExpectedLimits } from '../needs/expected-limits';
import { NeedRow } from '../needs/need-row';
import { NewNeed } from '../needs/new-need';
import { StarterSets } from '../needs/starter-sets';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';

/** So many needs fill the first screen. */
const FIRST_SCREEN = 4;

export default function NeedsList() {
  const { state } = useWorkbench();
  const edits = useEdits();
  const { needs = [] } = state.workbench.decision;
  const isDrawnBelow = useDrawnBelow();
  const plans = useMemo(() => askedVendors(state.workbench.sheets).flatMap((vendor) => vendor.plans), [state.workbench.sheets]);
  const met = (need: DecisionNeed) => {
    const answers = plans.map((asked) => answerOf(need, asked));
    return {
      met: answers.filter((answer) => isMet(answer, need)).length,
      unknown: answers.filter(({ kind }) => kind === 'not-known').length,
      plans: plans.length,
    };
  };
  const group = (level: DecisionNeed['level'], title: string, words: string) => {
    const inGroup = needs.filter((need) => need.level === level);
    return (
      inGroup.length > 0 && (
        <section aria-label={title}>
          <h2>{title}</h2>
          <p className="quiet">{words}</p>
          <ul className="needs">
            {(isDrawnBelow ? inGroup : inGroup.slice(0, FIRST_SCREEN)).map((need) => (
              <NeedRow
                key={needKey(need)}
                need={need}
                met={met(need)}
                onChange={(field, recipe) =>
                  edits.decision(`need.${needKey(need)}.${field}`, 'a need', (one) => withChangedNeed(one, needKey(need), recipe))
                }
              />
            ))}
          </ul>
        </section>
      )
    );
  };
  return (
    <>
      <main className="work" aria-label="What is needed">
        {contradictions(needs).map(({ words }) => (
          <p key={words} className="notice" role="alert">
            {words}
          </p>
        ))}
        {needs.length === 0 && (
          <>
            <h2>What must it do?</h2>
            <p>Say what you sell and how. You get a list to begin with, and remove what doesn’t matter to you.</p>
            <StarterSets />
          </>
        )}
        {group('must', 'It must', 'A candidate that does not is never proposed, and is shown in grey, with the reason.')}
        {isDrawnBelow && group('want', 'Nice to have', 'What is met counts for fit, by its weight. It changes no totals.')}
        {isDrawnBelow && <NewNeed />}
        {needs.length > 0 && (
          <Fold summary="More to begin with, by what you sell">
            <StarterSets />
          </Fold>
        )}
      </main>
      <aside className="margin" aria-label="Limits">
        {isDrawnBelow && <ExpectedLimits />}
      </aside>
    </>
  );
}
