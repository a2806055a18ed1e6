import { useState } from 'react';
import type { Forecast } from '#core/decision-file/forecast-schema';
import type { Plan } from '#core/decision-file/price-sheet-schema';
import { NumberField } from '../components/number-field';
import { AddRow } from './add-row';
import type { PlanChange } from './term-rows';

/** What is paid on joining, the first such fee of each plan. */
export function JoiningFeeRow({ plans, onChange }: { plans: readonly Plan[]; onChange: PlanChange }) {
  return (
    <tr>
      <th scope="row">
        Paid on joining<small>once</small>
      </th>
      {plans.map((plan) => (
        <td key={plan.id}>
          <NumberField
            fieldKey={`${plan.id}.once`}
            label={`${plan.label || 'this plan'}, paid on joining`}
            labelHidden
            optional
            value={plan.once?.[0]?.amount}
            placeholder="–"
            range={{ least: 0, most: 1e9, wanted: `an amount in ${plan.currency}` }}
            onChange={(amount) => onChange(plan, 'once', 'the joining fee', (one) => withJoiningFee(one, amount))}
          />
        </td>
      ))}
      <td />
    </tr>
  );
}

function withJoiningFee({ once, ...plan }: Plan, amount: string | null | undefined): Plan {
  const [first, ...others] = once ?? [];
  const all = amount == null ? others : [{ label: first?.label ?? 'Joining fee', amount }, ...others];
  return all.length > 0 ? { ...plan, once: all } : plan;
}

interface LimitRowsProps {
  plans: readonly Plan[];
  forecast: Forecast;
  onChange: PlanChange;
}

/** The most that each plan allows in a month, a row for each quantity. */
export function LimitRows({ plans, forecast, onChange }: LimitRowsProps) {
  const [asked, setAsked] = useState<readonly string[]>([]);
  const rows = [...new Set([...plans.flatMap(({ limits }) => Object.keys(limits ?? {})), ...asked])];
  const addable = ['orders', 'sales', 'subscribers', ...Object.keys(forecast.drivers ?? {})].filter((name) => !rows.includes(name));
  const isCounted = (name: string) => ['orders', 'sales', 'subscribers'].includes(name) || name in (forecast.drivers ?? {});
  return (
    <>
      {rows.map((name) => (
        <tr key={name}>
          <th scope="row">
            {name.replaceAll('-', ' ')}, at most
            <small>{isCounted(name) ? 'a month; empty = no limit' : 'not among the expected quantities'}</small>
          </th>
          {plans.map((plan) => (
            <td key={plan.id}>
              <NumberField
                fieldKey={`${plan.id}.limit.${name}`}
                label={`${plan.label || 'this plan'}, ${name} at most`}
                labelHidden
                optional
                value={plan.limits?.[name]}
                placeholder="no limit"
                range={{ least: 0, most: 1e12, wanted: 'the most the plan allows' }}
                onChange={(most) => onChange(plan, `limit.${name}`, `limit of ${name}`, (one) => withLimit(one, name, most))}
              />
            </td>
          ))}
          <td />
        </tr>
      ))}
      <AddRow
        label="Another limit"
        placeholder="+ a limit"
        options={addable.map((name) => ({ value: name, label: name.replaceAll('-', ' ') }))}
        columns={plans.length}
        onAdd={(name) => setAsked([...asked, name])}
      />
    </>
  );
}

function withLimit({ limits, ...plan }: Plan, name: string, most: string | null | undefined): Plan {
  const { [name]: _former, ...others } = limits ?? {};
  const all = most == null ? others : { ...limits, [name]: most };
  return Object.keys(all).length > 0 ? { ...plan, limits: all } : plan;
}
