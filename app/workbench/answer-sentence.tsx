import type { LineUpColumn } from '#core/comparison/line-up';
import type { Workbench } from '#core/decision/workbench';
import { contradictions } from '#core/needs/contradictions';
import { featureWords } from '#core/wording/need-words';
import { SteadyButton as Button } from '../components/steady-button';
import { useDeferredValue, useMemo } from 'react';
import { Link } from 'react-router';
import { decimal } from '#core/amount/decimal';
import { CARD_FEES } from '#core/assembly/card-fees';
import { liftThatTurns } from '#core/comparison/lift-that-turns';
import { candidateColour } from '../components/candidate-tag';
import { COMPARED_WORDS } from '../locale/compared-words';
import { useWriter } from '../locale/locale';
import type { HeldBack, Obstacle } from '#core/assembly/assemble';
import { Caveats, ComingBack, UnseenBest, useWayAhead, WayFirst } from './further-sentences';
import { obstacleWords } from './obstacle-words';
import { useEdits } from './use-edits';
import { useLevel, useWorkbench } from './workbench-context';
import { answerSentence as words } from './words/answer-sentence';

/** The answer in one sentence, as far as there is one. */
export function AnswerSentence() {
  const { state, decisionId } = useWorkbench();
  const { priced } = useLevel();
  const write = useWriter();
  const { leader, runnerUp, columns, by } = priced.lineUp;
  const compared = COMPARED_WORDS[by];
  const over = words.overMonths(state.workbench.decision.months);
  const way = useWayAhead();
  if (columns.length === 0 && state.workbench.decision.setAside?.length)
    return (
      <p className="answer">
        {words.everyVendorIsSet(
          <Link to={`/decisions/${decisionId}/line-up`}>{words.considerOneAgain}</Link>,
          <Link to={`/decisions/${decisionId}/sheets`}>{words.addAnother}</Link>,
        )}
        <ComingBack />
      </p>
    );
  if (columns.length === 0)
    return (
      <p className="answer">{words.nothingToCompareYet(<Link to={`/decisions/${decisionId}/sheets`}>{words.enterWhatTwoPlans}</Link>)}</p>
    );
  if (!leader) return <Nobody />;
  const name = <em style={{ color: `color-mix(in srgb, ${candidateColour(leader.id)} 62%, var(--ink))` }}>{leader.label}</em>;
  if (!runnerUp)
    return (
      <p className="answer">
        {way && <WayFirst found={way} over={over} />}
        {words.comesTo(name, write.amount(leader.result.total), way ? '' : ` ${over}`)} <Others />
      </p>
    );
  if (Number(runnerUp.margin) === 0)
    return (
      <p className="answer">
        {words.andTheSame({
          name,
          runnerUp: runnerUp.column.label,
          cost: by === 'keep' ? words.leaveYou : words.cost,
          over,
          amount: write.amount(by === 'keep' ? leader.result.keep : leader.result.total),
        })}
      </p>
    );
  return (
    <p className="answer">
      {way && <WayFirst found={way} over={over} />}
      {words.than({
        name,
        leads: compared.leads,
        over: way ? '' : ` ${over}`,
        margin: marginWords(runnerUp.margin, write.amount(runnerUp.margin), compared.by),
        runnerUp: runnerUp.column.label,
      })}{' '}
      <NextChange />
      <UnseenBest />
      <ComingBack />
      <OtherMeasure />
      <Caveats />
    </p>
  );
}

/** Where candidates bring different sales, who costs least need not leave most: then both are said, and one can choose. */
function OtherMeasure() {
  const level = useLevel();
  // Finding where it turns takes as long as everything else together: it follows once what was typed is painted.
  const priced = useDeferredValue(level.priced);
  const scale = useDeferredValue(level.scale);
  const edits = useEdits();
  const write = useWriter();
  const { leader, columns, by } = priced.lineUp;
  const { result } = priced.priced;
  const other = columns.find(({ id }) => id === (by === 'keep' ? result.cheapest : result.mostKept));
  const ids = by === 'cost' && scale === 1 && other && leader ? `${other.id} ${leader.id}` : null;
  const turns = useMemo(() => {
    const [mostKept, cheapest] = ids?.split(' ') ?? [];
    return mostKept && cheapest && mostKept !== cheapest ? liftThatTurns(priced.priced, mostKept, cheapest) : null;
  }, [priced, ids]);
  if (!leader || !other || other.id === leader.id) return null;
  const apart = (figure: 'total' | 'keep') => write.amount(decimal(other.result[figure]).minus(leader.result[figure]).abs().toFixed());
  const next = by === 'keep' ? 'cost' : 'keep';
  return (
    <>
      {' '}
      {by === 'cost'
        ? words.leavesYouMoreThough(other.label, apart('keep'), apart('total'))
        : words.costsLessButLeaves(other.label, apart('total'), apart('keep'))}
      {turns !== null && words.asLongAsItBrings(write.percent(turns, 1))}.{' '}
      <Button
        type="link"
        size="small"
        onClick={() => edits.decision('comparedBy', words.whatDecides, (one) => ({ ...one, comparedBy: next }))}
      >
        {words.compareBy(next === 'keep' ? words.whatIsLeft : words.cost)}
      </Button>
    </>
  );
}

/** Whether a candidate may turn out to cost less than the one that does, once all of its prices are known. */
function mayBeCheaper({ atLeast, result }: LineUpColumn, leader: LineUpColumn | null): boolean {
  return atLeast && result.usable && (!leader || decimal(result.total).lt(leader.result.total));
}

/** What there is beside the only candidate that can be chosen: one that is held back by a price nobody entered comes first. */
function Others() {
  const { leader, columns, by } = useLevel().priced.lineUp;
  const write = useWriter();
  if (columns.length === 1) return <>{words.withASecondCandidate}</>;
  const heldBack = columns.find((column) => mayBeCheaper(column, leader));
  if (!heldBack) return <>{words.noOtherCandidateCan}</>;
  const { label, result } = heldBack;
  const lacks = result.unknown.includes(CARD_FEES) ? words.itsCardFeesAreNotEntered : words.somethingOnItsPrice;
  return <>{words.atLeastBut({ label, mayBeBetter: COMPARED_WORDS[by].mayBeBetter, total: write.amount(result.total), lacks })}</>;
}

/** Why no candidate can be chosen, as far as all have it in common. */
function Nobody() {
  const { state, decisionId } = useWorkbench();
  const { priced } = useLevel();
  const lacks = priced.lineUp.columns.map(({ result }) => [...result.missing, ...result.unclear]);
  const shared = (lacks[0] ?? []).filter((feature) => lacks.every((each) => each.includes(feature)));
  const needs = <Link to={`/decisions/${decisionId}/needs`}>{words.needs}</Link>;
  if (contradictions(state.workbench.decision.needs ?? []).some(({ isFatal }) => isFatal))
    return <p className="answer">{words.noCandidateCanBeChosenTwo(needs)}</p>;
  if (shared.length > 0)
    return (
      <p className="answer">
        {words.noCandidateCanBeChosenNone(
          shared.map(featureWords).join('”, “'),
          <Link to={`/decisions/${decisionId}/needs/answers`}>{words.findOut}</Link>,
          needs,
        )}
      </p>
    );
  return <p className="answer">{words.noCandidateCanBeChosen}</p>;
}

/** From which level of sales on the answer is another one. */
function NextChange() {
  const { salesScale, state } = useWorkbench();
  const { scale } = useLevel();
  const write = useWriter();
  const index = salesScale?.stretches.findIndex(({ from }) => from >= scale) ?? -1;
  const next = salesScale?.stretches[index];
  const here = salesScale?.stretches[index - 1];
  if (!next || !here) return null;
  const level = write.amount(here.salesTo);
  if (next.candidate === null) return <>{words.aboveAMonthNoCandidate(level)}</>;
  const label = state.workbench.decision.candidates.find(({ id }) => id === next.candidate)?.label ?? next.candidate;
  return <>{words.aboveAMonthDoes(level, label)}</>;
}

/** Limits of the cheapest candidate's plans that are marked as not known. */
function limitsNotKnown({ decision, sheets }: Workbench, leader: LineUpColumn | null): string[] {
  const plans = decision.candidates.find(({ id }) => id === leader?.id)?.plans ?? [];
  return sheets.flatMap(({ sheet }) =>
    Object.entries(sheet.marks ?? {}).flatMap(([place, mark]) => {
      const [, part, quantity] = /^(\S+) limit (.+)$/.exec(place) ?? [];
      return mark === 'not-known' && quantity !== undefined && plans.some(({ plan }) => plan === part) ? [quantity] : [];
    }),
  );
}

function marginWords(margin: string, whole: string, by: string): string {
  return Number(margin) < 0.5 ? words.lessThanOne(by) : `${whole} ${by}`;
}

/** What stands beside the answer: gaps that might change it, candidates held back, figures that rest on a former value. */
export function AnswerNotes() {
  const { state, decisionId } = useWorkbench();
  const { priced } = useLevel();
  const write = useWriter();
  const { leader, runnerUp, columns, by } = priced.lineUp;
  const heldBack = columns.filter((column) => mayBeCheaper(column, leader));
  const unread = Object.values(state.unread);
  const notes = [
    ...unread.map(({ label, text }) => ({
      key: `unread ${label}`,
      text: words.cannotBeReadTheFigures(text, label),
      to: null,
    })),
    // Where nobody else can be chosen, the sentence itself names the first.
    ...heldBack.slice(leader && !runnerUp ? 1 : 0).map(({ id, label, result }) => ({
      key: `gap ${id}`,
      text: result.unknown.includes(CARD_FEES)
        ? words.comesToAtLeast(label, write.amount(result.total))
        : words.atLeastButSomething(label, COMPARED_WORDS[by].mayBeBetter, write.amount(result.total)),
      to: 'sheets',
    })),
    ...limitsNotKnown(state.workbench, leader).map((quantity) => ({
      key: `limit ${quantity}`,
      text: words.itsLimitIsNotKnown(leader?.label ?? '', quantity.replaceAll('-', ' ')),
      to: 'sheets',
    })),
    ...heldBackNotes(priced.heldBack),
  ];
  if (notes.length === 0) return null;
  return (
    <ul className="answer-notes">
      {notes.map(({ key, text, to }) => (
        <li key={key}>{to ? <Link to={`/decisions/${decisionId}/${to}`}>{text}</Link> : text}</li>
      ))}
    </ul>
  );
}

/** Candidates that are held back for the same reason are told in one line. */
function heldBackNotes(heldBack: readonly HeldBack[]): Array<{ key: string; text: string; to: string }> {
  const byReason = new Map<string, HeldBack[]>();
  for (const one of heldBack) {
    const reason = obstacleWords(one.obstacle);
    byReason.set(reason, [...(byReason.get(reason) ?? []), one]);
  }
  return [...byReason].flatMap(([reason, [first, ...others]]) => {
    if (!first) return [];
    const { candidate, obstacle } = first;
    const who = others.length === 0 ? words.is(candidate.id, candidate.label) : words.candidatesAre(others.length + 1);
    return [{ key: `held ${candidate.id}`, text: words.notPriced(who, reason), to: placeOf(obstacle.kind) }];
  });
}

/** Where what keeps a candidate from being priced can be mended. */
function placeOf(obstacle: Obstacle['kind']): string {
  if (obstacle === 'rate') return 'frame';
  return obstacle === 'gone' ? 'line-up' : 'sales';
}
