import { Checkbox } from 'antd';
import { useMemo } from 'react';
import type { NearestMove } from '#core/what-if/nearest-move';
import { leftOutOf, type RoutePlan } from '#core/what-if/route-plan';
import { type MovingCosts, USUAL_MOVING } from '#core/route/moving-costs';
import * as places from '../../first-steps/places-in-words';
import { DataTable } from '../../components/data-table';
import { CandidateTag, candidateColour } from '../../components/candidate-tag';
import { Fold } from '../../components/fold';
import { NumberField } from '../../components/number-field';
import { HowLink } from '../../how/how-link';
import { useWriter } from '../../locale/locale';
import { FirstMoveChart } from './first-move-chart';
import { NobodyToChoose, NothingToAsk, useAskedDecision, Working } from '../asked-decision';
import { OwnWays } from './own-ways';
import { nearestSentence, routeSentence } from './words/route';
import { useWhatIf } from '../use-what-if';
import { useEdits } from '../../workbench/use-edits';
import { useWorkbench } from '../../workbench/workbench-context';
import { ComparedByChoice } from '../../workbench/compared-by-choice';
import { screen as words } from './words/screen';

/** The cheapest way through the horizon: with whom to begin, when to move, and what moving costs. */
export default function RoutePlace() {
  return (
    <NothingToAsk needs="two" place={places.route}>
      <Way />
    </NothingToAsk>
  );
}

function Way() {
  const { file, nameOf } = useAskedDecision();
  const { state } = useWorkbench();
  const write = useWriter();
  const moving = state.workbench.decision.whatIf?.moving ?? USUAL_MOVING;
  const question = useMemo(() => ({ kind: 'route' as const, moving }), [moving]);
  const { answer: plan, ...working } = useWhatIf<'route'>(file, question);
  return (
    <>
      <main className="work" aria-label={words.route} aria-busy={working.isBusy}>
        {plan && plan.total === null && <NobodyToChoose />}
        {plan && plan.total !== null && (
          <>
            <p className="says">{routeSentence(plan, nameOf, write)}</p>
            <Band plan={plan} months={file.months} />
            <QuarterLater plan={plan} />
            <Fold summary={words.theSameInFigures}>
              <RouteTable plan={plan} />
            </Fold>
            {plan.firstMove.length > 1 && <FirstMoveChart way={plan} />}
            {plan.nearest && <Nearest nearest={plan.nearest} months={file.months} />}
          </>
        )}
        <Working {...working} />
        <OwnWays />
      </main>
      <aside className="margin" aria-label={words.whatMovingCosts}>
        <MovingFields moving={moving} plan={plan} />
        <p className="quiet">{words.eachStayCostsWhat}</p>
        <HowLink rule="moving" />
      </aside>
    </>
  );
}

/** The months as a band, in the colours of those they are spent with. */
function Band({ plan, months }: { plan: Pick<RoutePlan, 'segments'>; months: number }) {
  const { nameOf } = useAskedDecision();
  const write = useWriter();
  return (
    <ol className="route-band" aria-label={words.theWayThroughTheMonths}>
      {plan.segments.map(({ candidate, from, months: length }) => (
        <li
          key={from}
          style={{ flexGrow: length, ...{ '--candidate': candidateColour(candidate) } }}
          title={words.ofMonthsFrom({ name: nameOf(candidate), length, months, from: write.month(from) })}
        >
          <b>
            <CandidateTag id={candidate} /> {nameOf(candidate)}
          </b>
          <small>{words.fromFrom(write.month(from), length, length === 1 ? words.month : words.months)}</small>
        </li>
      ))}
    </ol>
  );
}

/** Where it is best to stay: the way with a move that comes nearest, month by month. */
function Nearest({ nearest, months }: { nearest: NearestMove; months: number }) {
  const { file, nameOf } = useAskedDecision();
  const write = useWriter();
  return (
    <section aria-label={words.theNearestWayWithAMove}>
      <h3>{words.ifYouMovedAll}</h3>
      <p>{nearestSentence(nearest, file.cheapestAt?.by ?? 'cost', nameOf, write)}</p>
      <Band plan={nearest} months={months} />
      {nearest.firstMove.length > 1 && <FirstMoveChart way={nearest} />}
    </section>
  );
}

function QuarterLater({ plan }: { plan: RoutePlan }) {
  const write = useWriter();
  if (plan.segments.length < 2) return null;
  if (!plan.quarterLater) return <p>{words.movingAQuarterLater}</p>;
  const more = Number(plan.quarterLater.more);
  return (
    <p>
      {words.movingAQuarterLaterCosts(
        more === 0 ? words.theSame : <b>{write.amount(plan.quarterLater.more.replace('-', ''))}</b>,
        more !== 0 && (more > 0 ? words.more : words.less),
        write.amount(plan.quarterLater.total),
      )}
    </p>
  );
}

function RouteTable({ plan }: { plan: RoutePlan }) {
  const { nameOf } = useAskedDecision();
  const write = useWriter();
  return (
    <DataTable
      frame={null}
      rows={plan.segments}
      keyOf={({ from }) => from}
      columns={[
        { head: words.from, kind: 'names-row', cell: ({ from }) => write.month(from) },
        { head: words.with, cell: ({ candidate }) => nameOf(candidate) },
        { head: words.monthsHead, kind: 'figures', cell: ({ months }) => months },
      ]}
    />
  );
}

function MovingFields({ moving, plan }: { moving: MovingCosts; plan: RoutePlan | null }) {
  const { file, nameOf } = useAskedDecision();
  const without = moving.without ?? leftOutOf(file);
  const edits = useEdits();
  const write = useWriter();
  const keep = (key: string, next: MovingCosts) =>
    edits.decision(`whatIf.moving.${key}`, words.changeOfMovingCosts, (one) => ({ ...one, whatIf: { ...one.whatIf, moving: next } }));
  const effort = (which: 'within' | 'between', title: string) => (
    <fieldset className="moving">
      <legend>{title}</legend>
      <NumberField
        fieldKey={`moving ${which} hours`}
        label={words.yourHours(which === 'within' ? words.toAnotherPlan : words.toAnotherVendor)}
        value={moving[which].hours}
        range={{ wanted: words.hours, least: 0, most: 10_000 }}
        suffix="h"
        onChange={(hours) => typeof hours === 'string' && keep(`${which}.hours`, { ...moving, [which]: { ...moving[which], hours } })}
      />
      <NumberField
        fieldKey={`moving ${which} money`}
        label={words.money(which === 'within' ? words.toAnotherPlan : words.toAnotherVendor)}
        value={moving[which].money}
        range={{ wanted: words.anAmountIn(file.currency), least: 0, most: 1_000_000 }}
        suffix={file.currency}
        onChange={(money) => typeof money === 'string' && keep(`${which}.money`, { ...moving, [which]: { ...moving[which], money } })}
      />
      {plan && <p className="quiet">{words.togetherAMove(write.money(plan.costs[which], file.currency))}</p>}
    </fieldset>
  );
  return (
    <>
      <h2>{words.whatMovingCosts}</h2>
      {effort('between', words.toAnotherVendor)}
      {effort('within', words.toAnotherPlanOfTheSame)}
      {file.forecast.streams.some(({ subscribers }) => subscribers) && (
        <NumberField
          fieldKey="moving loses"
          label={words.subscribersLostByMoving}
          value={moving.loses ?? '0'}
          range={{ wanted: words.aPercentageFrom0, least: 0, most: 100 }}
          suffix="%"
          hint={words.theyHaveToSign}
          onChange={(loses) => typeof loses === 'string' && keep('loses', { ...moving, loses })}
        />
      )}
      {plan && Number(plan.lost) !== 0 && <p className="quiet">{words.theyWouldHaveBrought(write.money(plan.lost, file.currency))}</p>}
      <ComparedByChoice label={words.theBestWayIsTheOne} />
      <fieldset className="taking-part">
        <legend>{words.whoTakesPart}</legend>
        {file.candidates.map(({ id }) => (
          <Checkbox
            key={id}
            checked={!without.includes(id)}
            onChange={({ target }) =>
              keep('without', { ...moving, without: target.checked ? without.filter((one) => one !== id) : [...without, id] })
            }
          >
            {id} {nameOf(id)}
          </Checkbox>
        ))}
        {moving.without === undefined && without.length > 0 && (
          <p className="quiet">
            {words.leftOutAMove(without.map((id) => nameOf(id)).join(', '), without.length === 1 ? words.is : words.are)}
          </p>
        )}
      </fieldset>
      <NumberField
        fieldKey="moving moves"
        label={words.atMostSoMany}
        value={String(moving.moves)}
        range={{ wanted: words.aNumberOfMoves, least: 0, most: 120, whole: true }}
        onChange={(moves) => typeof moves === 'string' && keep('moves', { ...moving, moves: Number(moves) })}
      />
    </>
  );
}
