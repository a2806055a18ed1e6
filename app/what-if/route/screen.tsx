import { Checkbox } from 'antd';
import { useMemo } from 'react';
import type { NearestMove } from '#core/what-if/nearest-move';
import { leftOutOf, type RoutePlan } from '#core/what-if/route-plan';
import { type MovingCosts, USUAL_MOVING } from '#core/route/moving-costs';
import { DataTable } from '../../components/data-table';
import { CandidateTag, candidateColour } from '../../components/candidate-tag';
import { Fold } from '../../components/fold';
import { NumberField } from '../../components/number-field';
import { HowLink } from '../../how/how-link';
import { useWriter } from '../../locale/locale';
import { FirstMoveChart } from './first-move-chart';
import { NobodyToChoose, NothingToAsk, useAskedDecision, Working } from '../asked-decision';
import { OwnWays } from './own-ways';
import { nearestSentence, routeSentence } from './words';
import { useWhatIf } from '../use-what-if';
import { useEdits } from '../../workbench/use-edits';
import { useWorkbench } from '../../workbench/workbench-context';
import { ComparedByChoice } from '../../workbench/compared-by-choice';

/** The cheapest way through the horizon: with whom to begin, when to move, and what moving costs. */
export default function RoutePlace() {
  return (
    <NothingToAsk needs="two" place="route">
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
      <main className="work" aria-label="Route" aria-busy={working.isBusy}>
        {plan && plan.total === null && <NobodyToChoose />}
        {plan && plan.total !== null && (
          <>
            <p className="says">{routeSentence(plan, nameOf, write)}</p>
            <Band plan={plan} months={file.months} />
            <QuarterLater plan={plan} />
            <Fold summary="The same in figures">
              <RouteTable plan={plan} />
            </Fold>
            {plan.firstMove.length > 1 && <FirstMoveChart way={plan} />}
            {plan.nearest && <Nearest nearest={plan.nearest} months={file.months} />}
          </>
        )}
        <Working {...working} />
        <OwnWays />
      </main>
      <aside className="margin" aria-label="What moving costs">
        <MovingFields moving={moving} plan={plan} />
        <p className="quiet">
          Each stay costs what it costs when joined and left in those months; what is paid ahead and not used is lost unless the vendor
          gives it back. A vendor once left is not joined again. Found by trying every way there is, not by a rule of thumb.
        </p>
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
    <ol className="route-band" aria-label="The way through the months">
      {plan.segments.map(({ candidate, from, months: length }) => (
        <li
          key={from}
          style={{ flexGrow: length, ...{ '--candidate': candidateColour(candidate) } }}
          title={`${nameOf(candidate)}, ${length} of ${months} months from ${write.month(from)}`}
        >
          <b>
            <CandidateTag id={candidate} /> {nameOf(candidate)}
          </b>
          <small>
            from {write.month(from)}, {length} {length === 1 ? 'month' : 'months'}
          </small>
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
    <section aria-label="The nearest way with a move">
      <h3>If you moved all the same</h3>
      <p>{nearestSentence(nearest, file.cheapestAt?.by ?? 'cost', nameOf, write)}</p>
      <Band plan={nearest} months={months} />
      {nearest.firstMove.length > 1 && <FirstMoveChart way={nearest} />}
    </section>
  );
}

function QuarterLater({ plan }: { plan: RoutePlan }) {
  const write = useWriter();
  if (plan.segments.length < 2) return null;
  if (!plan.quarterLater) return <p>Moving a quarter later is not possible: by then a plan is outgrown, or the months are over.</p>;
  const more = Number(plan.quarterLater.more);
  return (
    <p>
      Moving a quarter later costs {more === 0 ? 'the same' : <b>{write.amount(plan.quarterLater.more.replace('-', ''))}</b>}
      {more !== 0 && (more > 0 ? ' more' : ' less')}: {write.amount(plan.quarterLater.total)}.
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
        { head: 'From', kind: 'names-row', cell: ({ from }) => write.month(from) },
        { head: 'With', cell: ({ candidate }) => nameOf(candidate) },
        { head: 'Months', kind: 'figures', cell: ({ months }) => months },
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
    edits.decision(`whatIf.moving.${key}`, 'what moving costs', (one) => ({ ...one, whatIf: { ...one.whatIf, moving: next } }));
  const effort = (which: 'within' | 'between', title: string) => (
    <fieldset className="moving">
      <legend>{title}</legend>
      <NumberField
        fieldKey={`moving ${which} hours`}
        label={`${which === 'within' ? 'To another plan' : 'To another vendor'}: your hours`}
        value={moving[which].hours}
        range={{ wanted: 'hours', least: 0, most: 10_000 }}
        suffix="h"
        onChange={(hours) => typeof hours === 'string' && keep(`${which}.hours`, { ...moving, [which]: { ...moving[which], hours } })}
      />
      <NumberField
        fieldKey={`moving ${which} money`}
        label={`${which === 'within' ? 'To another plan' : 'To another vendor'}: money`}
        value={moving[which].money}
        range={{ wanted: `an amount in ${file.currency}`, least: 0, most: 1_000_000 }}
        suffix={file.currency}
        onChange={(money) => typeof money === 'string' && keep(`${which}.money`, { ...moving, [which]: { ...moving[which], money } })}
      />
      {plan && <p className="quiet">together {write.money(plan.costs[which], file.currency)} a move</p>}
    </fieldset>
  );
  return (
    <>
      <h2>What moving costs</h2>
      {effort('between', 'To another vendor')}
      {effort('within', 'To another plan of the same vendor')}
      {file.forecast.streams.some(({ subscribers }) => subscribers) && (
        <NumberField
          fieldKey="moving loses"
          label="Subscribers lost by moving to another vendor"
          value={moving.loses ?? '0'}
          range={{ wanted: 'a percentage from 0 to 100', least: 0, most: 100 }}
          suffix="%"
          hint="they have to sign up again"
          onChange={(loses) => typeof loses === 'string' && keep('loses', { ...moving, loses })}
        />
      )}
      {plan && Number(plan.lost) !== 0 && <p className="quiet">They would have brought {write.money(plan.lost, file.currency)}.</p>}
      <ComparedByChoice label="The best way is the one that" />
      <fieldset className="taking-part">
        <legend>Who takes part</legend>
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
            {without.map((id) => nameOf(id)).join(', ')} {without.length === 1 ? 'is' : 'are'} left out: a move from another plan of the
            same vendor would skip what is paid once for it.
          </p>
        )}
      </fieldset>
      <NumberField
        fieldKey="moving moves"
        label="At most so many moves to another vendor"
        value={String(moving.moves)}
        range={{ wanted: 'a number of moves', least: 0, most: 120, whole: true }}
        onChange={(moves) => typeof moves === 'string' && keep('moves', { ...moving, moves: Number(moves) })}
      />
    </>
  );
}
