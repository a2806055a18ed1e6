import { SteadyButton as Button } from '../components/steady-button';
import { Link } from 'react-router';
import { decimal } from '#core/amount/decimal';
import { type BetterWay, betterWay } from '#core/proposals/better-way';
import { withFollower } from '#core/proposals/edit-followed';
import { COMPARED_WORDS } from '../locale/compared-words';
import { useWriter } from '../locale/locale';
import { ConsiderAgain } from '../line-up/set-aside';
import { useEdits } from './use-edits';
import { wayWords } from '../proposals/way-ahead';
import { caveatWords } from './caveat-words';
import { todayHere } from './while-away';
import { useLevel, useWorkbench, useWorked } from './workbench-context';
import { furtherSentences as texts } from './words/further-sentences';

/** What was worked out about the decision as it stands; null while that is under way, and at a level that is only tried. */
function useJudgedNow() {
  const { scale } = useLevel();
  const { judged, isJudging } = useWorked();
  return scale === 1 && !isJudging ? judged : null;
}

/** A way with moves that costs less than the one that costs least throughout, and by how much; null where there is none. */
export function useWayAhead(): BetterWay | null {
  const { priced, scale } = useLevel();
  const { ways, proposals } = useWorked();
  const { leader, by } = priced.lineUp;
  const { pricing } = priced.priced;
  const plan = pricing.file.candidates.find(({ id }) => id === leader?.id)?.plans[0]?.plan;
  if (scale !== 1 || by === 'keep' || !ways || !proposals || plan === undefined) return null;
  const found = betterWay(ways, proposals, pricing.plan(plan).offer.id);
  return found && Number(found.less) >= 0.5 ? found : null;
}

/** The best way where it has moves: the first sentence, before the one about staying. */
export function WayFirst({ found: { way, less }, over }: { found: BetterWay; over: string }) {
  const { state, decisionId } = useWorkbench();
  const { leader } = useLevel().priced.lineUp;
  const write = useWriter();
  if (!leader) return null;
  const total = decimal(leader.result.total).minus(less).toFixed();
  return (
    <>
      {texts.lessThanThroughoutWithout({
        wayWords: wayWords(state.workbench, way, write).replace(/\.$/, ''),
        total: write.amount(total),
        over,
        less: write.amount(less),
        leader: leader.label,
        move: <Link to={`/decisions/${decisionId}/what-if/route`}>{texts.aMove}</Link>,
      })}{' '}
    </>
  );
}

/** What the sheets have that is better than every candidate, and a button that makes it one. */
export function UnseenBest() {
  const { state } = useWorkbench();
  const { priced } = useLevel();
  const unseen = useJudgedNow()?.unseen;
  const edits = useEdits();
  const write = useWriter();
  if (!unseen) return null;
  const { wouldBeBy } = COMPARED_WORDS[priced.lineUp.by];
  return (
    <>
      {' '}
      {unseen.words} {unseen.by === null ? texts.couldBeChosen : `${wouldBeBy(write.amount(unseen.by))}`}.{' '}
      <Button
        type="link"
        size="small"
        onClick={() =>
          edits.decision(`follow.${unseen.proposed.offer}`, texts.amongTheColumns(unseen.words), (decision) =>
            withFollower({ ...state.workbench, decision }, unseen.proposed, todayHere().today),
          )
        }
      >
        {texts.putItBeside}
      </Button>
    </>
  );
}

/** A vendor that was set aside and would be the best by now. */
export function ComingBack() {
  const { priced } = useLevel();
  const back = useJudgedNow()?.comingBack;
  const write = useWriter();
  if (!back) return null;
  const { wouldNowBeBetter, by } = COMPARED_WORDS[priced.lineUp.by];
  return (
    <>
      {' '}
      {texts.setAsideIn({
        month: write.month(back.on.slice(0, 7)),
        reason: back.reason ? ` (${back.reason})` : '',
        back: back.label,
        couldBeChosen: back.by === null ? texts.couldBeChosenNow : `${wouldNowBeBetter}, ${write.amount(back.by)} ${by}`,
      })}{' '}
      <ConsiderAgain offer={back.offer} />
    </>
  );
}

/** What would make the first sentence mislead: payments counted the other way, or a special offer that decides it. */
export function Caveats() {
  const { state } = useWorkbench();
  const { priced } = useLevel();
  const judged = useJudgedNow();
  const write = useWriter();
  if (!judged) return null;
  const nameOf = (id: string | null) => state.workbench.decision.candidates.find((one) => one.id === id)?.label ?? 'nobody';
  const words = caveatWords(judged.caveats, nameOf, write, COMPARED_WORDS[priced.lineUp.by]);
  return words === '' ? null : <> {words}</>;
}
