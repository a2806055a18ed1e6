import { setAsideOf } from '#core/assembly/set-aside';
import { Button } from 'antd';
import { boughtTwice, superfluousParts } from '#core/proposals/bought-twice';
import { lacksHours } from '#core/proposals/edit-followed';
import { withCandidate, withCopiedCandidate } from '#core/decision/candidates';
import { candidateSummary } from '#core/wording/candidate-summary';
import { featureWords } from '#core/wording/need-words';
import { CandidateTag } from '../components/candidate-tag';
import { useWriter } from '../locale/locale';
import { obstacleWords } from '../workbench/obstacle-words';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { standingWords } from './reason-words';
import { putTogether as words } from './words/put-together';

/** Every candidate: what it is made of, what it has twice, and why it cannot be used where it cannot. */
export function PutTogether({ open, onOpen }: { open: string | null; onOpen(candidate: string): void }) {
  const { state, atForecast: priced } = useWorkbench();
  const edits = useEdits();
  const write = useWriter();
  const { workbench } = state;
  const { candidates, currency, followed = [] } = workbench.decision;
  const { file } = priced.priced.pricing;
  const firstPlan = workbench.sheets
    .flatMap(({ sheet }) => (sheet.kind === 'offer' ? sheet.offer.plans : []))
    .find(({ terms }) => terms.length > 0);
  return (
    <section aria-label={words.putTogether}>
      <h2>{words.beingCompared}</h2>
      <ul className="put-together">
        {candidates.map((candidate) => {
          const column = priced.lineUp.columns.find(({ id }) => id === candidate.id);
          const held = priced.heldBack.find((one) => one.candidate.id === candidate.id);
          const assembled = file.candidates.find(({ id }) => id === candidate.id);
          const twice = assembled ? boughtTwice(file, assembled) : [];
          const superfluous = assembled && twice.length > 0 ? superfluousParts(file, assembled) : [];
          const standing = column ? standingWords(column.result, write.month) : '';
          const aside = setAsideOf(candidate, workbench) === undefined ? null : words.itsVendorIsSet;
          const why = aside ?? (held ? obstacleWords(held.obstacle) : standing);
          const follows = followed.find((one) => one.candidate === candidate.id);
          return (
            <li key={candidate.id} className={why ? 'is-grey' : ''}>
              <button type="button" className="candidate-line" aria-expanded={open === candidate.id} onClick={() => onOpen(candidate.id)}>
                <CandidateTag id={candidate.id} /> <b>{candidate.label || words.withoutAName}</b>{' '}
                <small>{candidateSummary(workbench, candidate)}</small>
              </button>
              <span className="candidate-total">
                {column ? `${column.atLeast ? words.atLeast : ''}${write.money(column.result.total, currency)}` : '–'}
              </span>
              <Button
                type="text"
                size="small"
                aria-label={words.copyCandidate(candidate.label)}
                onClick={() =>
                  edits.decision(`candidate.copy.${candidates.length}`, words.copied(candidate.label), (one) =>
                    withCopiedCandidate(one, candidate.id),
                  )
                }
              >
                {words.copy}
              </Button>
              {why && <p className="problem">{why}</p>}
              {follows && <p className="quiet">{follows.pinned ? words.pinnedStaysAsItIsWhatever : words.followsWhatIsProposed}</p>}
              {lacksHours(workbench.decision, candidate) && <p className="bought-twice">{words.yourOwnHoursAreNotStated}</p>}
              {superfluous.length > 0 && (
                <p className="bought-twice">
                  {superfluous.length === 1 ? words.couldGoTheRest(superfluous[0] ?? '') : words.oneOfTheseCould(superfluous.join(', '))}
                </p>
              )}
              {twice.length > 0 && (
                <p className="quiet">
                  {words.twiceInIt(twice.map(({ feature, parts }) => `${featureWords(feature)} (${parts.join(', ')})`).join('; '))}
                </p>
              )}
            </li>
          );
        })}
      </ul>
      {firstPlan && (
        <Button
          onClick={() => {
            const [term] = firstPlan.terms;
            if (term)
              edits.decision(`candidate.new.${candidates.length}`, words.aCandidate, (one) =>
                withCandidate(one, { label: words.putTogetherByHand, plans: [{ plan: firstPlan.id, term: term.id }] }),
              );
          }}
        >
          {words.buildYourOwn}
        </Button>
      )}
    </section>
  );
}
