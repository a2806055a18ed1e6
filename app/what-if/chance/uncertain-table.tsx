import { Button } from 'antd';
import { useState } from 'react';
import type { ChanceAnswer } from '#core/chance/chance-answer';
import type { Decision } from '#core/decision/decision-schema';
import { DataTable } from '../../components/data-table';
import { NumberField } from '../../components/number-field';
import { useWriter } from '../../locale/locale';
import { useEdits } from '../../workbench/use-edits';
import { useWorkbench } from '../../workbench/workbench-context';
import { worthWords } from './words';

/** So many are shown, whatever they are worth. */
const LEAST_SHOWN = 4;
const RANGE = { wanted: 'how far off it may be, from 0 to 1,000', least: 0, most: 1000 };

/** Everything that may come out otherwise: how far, and what knowing it before choosing would be worth. */
export function UncertainTable({ uncertain }: Pick<ChanceAnswer, 'uncertain'>) {
  const { decision } = useWorkbench().state.workbench;
  const edits = useEdits();
  const write = useWriter();
  const [isAll, setAll] = useState(false);
  // What changes no choice is folded, but for what the person said of it.
  const shown = isAll
    ? uncertain
    : uncertain.filter(({ worth, isStated }, at) => at < LEAST_SHOWN || isStated || Number(worth ?? '0') >= 0.5);
  const change = (key: string, spread: string | null | undefined) =>
    edits.decision(`chance.${key}`, 'how sure it is', (one) => withSpreadOf(one, key, spread ?? undefined));
  return (
    <section aria-label="What to find out first">
      <h2>What to find out first</h2>
      <p className="quiet">
        What may come out otherwise, by what knowing it before you choose would be worth: by so much less the choice would give away on
        average.
      </p>
      <DataTable
        label="What may come out otherwise"
        rows={shown}
        keyOf={({ key }) => key}
        columns={[
          { head: 'What', kind: 'names-row', cell: ({ label }) => label },
          {
            head: 'One in ten is further off than',
            cell: ({ key, label, unit, low, high, isStated }) => (
              <NumberField
                fieldKey={`chance.${key}`}
                label={`${label}: one in ten is further off than`}
                labelHidden
                optional
                placeholder={
                  low === high ? write.number(String(low)) : `${write.number(String(low))} below, ${write.number(String(high))} above`
                }
                value={isStated ? String(low) : undefined}
                suffix={unit === 'percent' ? '%' : 'points'}
                range={RANGE}
                onChange={(value) => change(key, value)}
              />
            ),
          },
          { head: 'Worth knowing', kind: 'figures', cell: ({ worth }) => worthWords(worth, decision.hourValue, write) },
          {
            key: 'usual',
            head: <span className="visually-hidden">As usual</span>,
            cell: ({ key, label, isStated }) =>
              isStated && (
                <Button size="small" type="text" aria-label={`${label}: as uncertain as usual`} onClick={() => change(key, undefined)}>
                  as usual
                </Button>
              ),
          },
        ]}
      />
      {shown.length < uncertain.length && (
        <p>
          <Button type="link" size="small" onClick={() => setAll(true)}>
            And {uncertain.length - shown.length} that change no choice
          </Button>
        </p>
      )}
    </section>
  );
}

function withSpreadOf(decision: Decision, key: string, spread: string | undefined): Decision {
  const { [key]: _former, ...others } = decision.chance?.spreads ?? {};
  return { ...decision, chance: { ...decision.chance, spreads: spread === undefined ? others : { ...others, [key]: spread } } };
}
