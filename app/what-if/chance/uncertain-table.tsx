import { Button } from 'antd';
import { useState } from 'react';
import type { ChanceAnswer } from '#core/chance/chance-answer';
import type { Uncertain } from '#core/chance/uncertain';
import type { Decision } from '#core/decision/decision-schema';
import { DataTable } from '../../components/data-table';
import { NumberField } from '../../components/number-field';
import { useWriter } from '../../locale/locale';
import { useEdits } from '../../workbench/use-edits';
import { useWorkbench } from '../../workbench/workbench-context';
import { RangeFields } from '../range-fields';
import { useAssumptions } from '../use-assumptions';
import { worthWords } from './words';
import { uncertainTable as words } from './words';

/** So many are shown, whatever they are worth. */
const LEAST_SHOWN = 4;
const LIKELY = { wanted: words.howLikelyItIsFrom0, least: 0, most: 100 };
const SUFFIXES = { percent: '%', points: 'points', likely: words.percentLikely } as const;
const RANGE = { wanted: words.howFarOffItMay, least: 0, most: 1000 };

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
    edits.decision(`chance.${key}`, words.howSureItIs, (one) => withSpreadOf(one, key, spread ?? undefined));
  return (
    <section aria-label={words.whatToFindOut}>
      <h2>{words.whatToFindOut}</h2>
      <p className="quiet">{words.whatMayComeOut}</p>
      <DataTable
        label={words.whatMayComeOutOtherwise}
        rows={shown}
        keyOf={({ key }) => key}
        columns={[
          { head: words.what, kind: 'names-row', cell: ({ label }) => label },
          { head: words.howUncertain, cell: (one) => <HowUncertain uncertain={one} onChange={(spread) => change(one.key, spread)} /> },
          { head: words.worthKnowing, kind: 'figures', cell: ({ worth }) => worthWords(worth, decision.hourValue, write) },
          {
            key: 'usual',
            head: <span className="visually-hidden">{words.asUsual}</span>,
            cell: ({ key, label, unit, isStated }) =>
              isStated &&
              unit !== 'amount' && (
                <Button size="small" type="text" aria-label={words.asUncertainAsUsual(label)} onClick={() => change(key, undefined)}>
                  {words.asUsualAgain}
                </Button>
              ),
          },
        ]}
      />
      {shown.length < uncertain.length && (
        <p>
          <Button type="link" size="small" onClick={() => setAll(true)}>
            {words.andThatChangeNoChoice(uncertain.length - shown.length)}
          </Button>
        </p>
      )}
    </section>
  );
}

/** How far something may be off: a figure, or the range of a price that nobody knows. */
function HowUncertain({
  uncertain: { key, label, unit, low, high, isStated },
  onChange,
}: {
  uncertain: Uncertain;
  onChange(spread: string | null | undefined): void;
}) {
  const write = useWriter();
  const { varied, setRange } = useAssumptions();
  const price = varied.find(({ assumption }) => assumption.key === key);
  if (unit === 'amount') return price ? <RangeFields varied={price} labelHidden onChange={(from, to) => setRange(key, from, to)} /> : null;
  const usual = low === high ? write.number(String(low)) : words.belowAbove(write.number(String(low)), write.number(String(high)));
  return (
    <NumberField
      fieldKey={`chance.${key}`}
      label={unit === 'likely' ? words.howLikelyItIsThere(label) : words.oneInTenIsFurther(label)}
      labelHidden
      optional
      placeholder={usual}
      value={isStated ? String(low) : undefined}
      suffix={SUFFIXES[unit]}
      range={unit === 'likely' ? LIKELY : RANGE}
      onChange={onChange}
    />
  );
}

function withSpreadOf(decision: Decision, key: string, spread: string | undefined): Decision {
  const { [key]: _former, ...others } = decision.chance?.spreads ?? {};
  return { ...decision, chance: { ...decision.chance, spreads: spread === undefined ? others : { ...others, [key]: spread } } };
}
