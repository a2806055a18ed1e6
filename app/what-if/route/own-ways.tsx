import { Button } from 'antd';
import { monthsFrom } from '#core/calendar/month';
import { withMove, withNewWay, withoutLastMove, withoutWay, withStay } from '#core/decision/edit-ways';
import type { OwnWay } from '#core/decision/what-if-schema';
import type { PricedOwnWay } from '#core/what-if/own-way';
import { ChoiceField } from '../../components/choice-field';
import { useWriter } from '../../locale/locale';
import { newId } from '../../workbench/new-id';
import { useEdits } from '../../workbench/use-edits';
import { useWorkbench } from '../../workbench/workbench-context';
import { useAskedDecision } from '../asked-decision';
import { usePricedWays } from './use-priced-ways';
import { ownWaySentence } from './words/own-way';
import { ownWays as words } from './words/own-ways';

/** Ways that the person wants to see: with whom, from when; each with what it costs against the best. */
export function OwnWays() {
  const { priced } = useAskedDecision();
  const { decision } = useWorkbench().state.workbench;
  const edits = useEdits();
  const answers = usePricedWays();
  const ids = priced.lineUp.columns.map(({ id }) => id);
  const [first = '', second = first] = ids;
  const ways = decision.whatIf?.ways ?? [];
  const add = () => {
    const id = newId();
    edits.decision(`way.${id}`, words.aWayAdded, (one) => withNewWay(one, id, second, first));
  };
  return (
    <section aria-label={words.waysOfYourOwn} className="own-ways">
      <h3>{words.aWayOfYourOwn}</h3>
      <p className="quiet limit-width">{words.oneMonthFirstThen}</p>
      {ways.map((way) => (
        <WayFields key={way.id} way={way} priced={answers?.find(({ id }) => id === way.id) ?? null} />
      ))}
      <Button onClick={add}>{words.putAWayTogether}</Button>
    </section>
  );
}

function WayFields({ way, priced }: { way: OwnWay; priced: PricedOwnWay | null }) {
  const { file, nameOf } = useAskedDecision();
  const edits = useEdits();
  const write = useWriter();
  const { id, stays } = way;
  const candidates = file.candidates.map((one) => ({ value: one.id, label: `${one.id} ${nameOf(one.id)}` }));
  const later = monthsFrom(file.start, file.months).slice(1);
  const isMonthLeft = (stays.at(-1)?.from ?? '') < (later.at(-1) ?? '');
  const change = (field: string, label: string, recipe: Parameters<typeof edits.decision>[2]) =>
    edits.decision(`way.${id}.${field}`, label, recipe);
  return (
    <div className="own-way">
      <p className="own-way-says" aria-live="polite">
        {priced ? ownWaySentence(priced, nameOf, write) : words.workingItOut}
      </p>
      <ol>
        {stays.map(({ candidate, from }, index) => (
          <li key={index}>
            <ChoiceField
              label={index === 0 ? words.beginWith : words.then}
              searchable
              value={file.candidates.some((one) => one.id === candidate) ? candidate : undefined}
              options={candidates}
              placeholder={words.noLongerCompared}
              onChange={(next) => change(`${index}.who`, words.whoIsOnTheWay, (one) => withStay(one, id, index, { candidate: next }))}
            />
            {index > 0 && (
              <ChoiceField
                label={words.from}
                searchable
                value={from}
                options={[...later, ...(later.includes(from) ? [] : [from])].map((month) => ({ value: month, label: write.month(month) }))}
                onChange={(next) => change(`${index}.from`, words.whenTheWayMoves, (one) => withStay(one, id, index, { from: next }))}
              />
            )}
          </li>
        ))}
      </ol>
      <Button
        type="link"
        size="small"
        disabled={!isMonthLeft}
        onClick={() => change('move', words.aMoveAdded, (one) => withMove(one, id, stays[0]?.candidate ?? ''))}
      >
        {words.moveOnceMore}
      </Button>
      {stays.length > 2 && (
        <Button type="link" size="small" onClick={() => change('unmove', words.aMoveRemoved, (one) => withoutLastMove(one, id))}>
          {words.leaveOutTheLast}
        </Button>
      )}
      <Button type="link" size="small" onClick={() => change('gone', words.aWayRemoved, (one) => withoutWay(one, id))}>
        {words.removeThisWay}
      </Button>
    </div>
  );
}
