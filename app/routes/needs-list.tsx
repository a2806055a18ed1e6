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
import { needsList as texts } from './words/needs-list';

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
                  edits.decision(`need.${needKey(need)}.${field}`, texts.aNeed, (one) => withChangedNeed(one, needKey(need), recipe))
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
      <main className="work" aria-label={texts.whatIsNeeded}>
        {contradictions(needs).map(({ words }) => (
          <p key={words} className="notice" role="alert">
            {words}
          </p>
        ))}
        {needs.length === 0 && (
          <>
            <h2>{texts.whatMustItDo}</h2>
            <p>{texts.sayWhatYouSell}</p>
            <StarterSets />
          </>
        )}
        {group('must', texts.itMust, texts.aCandidateThatDoes)}
        {isDrawnBelow && group('want', texts.niceToHave, texts.whatIsMetCounts)}
        {isDrawnBelow && <NewNeed />}
        {needs.length > 0 && (
          <Fold summary={texts.moreToBeginWithByWhat}>
            <StarterSets />
          </Fold>
        )}
      </main>
      <aside className="margin" aria-label={texts.limits}>
        {isDrawnBelow && <ExpectedLimits />}
      </aside>
    </>
  );
}
