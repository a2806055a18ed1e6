import { Button } from 'antd';
import { useState } from 'react';
import type { Driver, Forecast } from '#core/decision-file/forecast-schema';
import { shaped, withForecast, withSeries } from '#core/decision/edit-forecast';
import { ChoiceField } from '../components/choice-field';
import { NumberField } from '../components/number-field';
import { TextField } from '../components/text-field';
import { useEdits } from '../workbench/use-edits';

type Basis = 'month' | 'orders' | 'sales' | 'subscribers';

const BASES: ReadonlyArray<{ value: Basis; label: string }> = [
  { value: 'month', label: 'a month' },
  { value: 'orders', label: 'for each order' },
  { value: 'sales', label: 'for each unit of sales' },
  { value: 'subscribers', label: 'for each subscriber' },
];

/** Other quantities that plans count: visits, contacts, seats, labels … */
export function Quantities({ drivers }: { drivers: Forecast['drivers'] }) {
  const edits = useEdits();
  const [name, setName] = useState('');
  const all = Object.entries(drivers ?? {});
  const slugName = name.trim().toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '');
  const taken = ['orders', 'sales'].includes(slugName) || slugName in (drivers ?? {});
  const change = (id: string, driver: Driver | null) =>
    edits.decision(`quantity.${id}`, id.replaceAll('-', ' '), (one) =>
      withForecast(one, (forecast) => {
        const { [id]: _former, ...others } = forecast.drivers ?? {};
        return { ...forecast, drivers: driver === null ? others : { ...forecast.drivers, [id]: driver } };
      }),
    );
  return (
    <section className="quantities" aria-label="Other quantities">
      <h2>Other quantities</h2>
      <p className="quiet">What plans count besides orders: visits, contacts, seats, labels. Limits and allowances are held against them.</p>
      {all.map(([id, driver]) => (
        <QuantityRow key={id} id={id} driver={driver} onChange={(next) => change(id, next)} />
      ))}
      <form
        className="add-row"
        onSubmit={(event) => {
          event.preventDefault();
          if (slugName === '' || taken) return;
          change(slugName, '0');
          setName('');
        }}
      >
        <TextField label="Another quantity" value={name} placeholder="visits" onChange={setName} />
        <Button htmlType="submit" disabled={slugName === '' || taken}>
          Add
        </Button>
        {taken && <span className="field-problem">{slugName} is there already</span>}
      </form>
    </section>
  );
}

function QuantityRow({ id, driver, onChange }: { id: string; driver: Driver; onChange(driver: Driver | null): void }) {
  const ratio = typeof driver === 'object' && 'per' in driver ? driver : null;
  const value = ratio ? ratio.ratio : shaped(driver as Exclude<Driver, { per: string }>).start;
  const name = id.replaceAll('-', ' ');
  const basis = (ratio?.per ?? 'month') as Basis;
  const options = BASES.some((one) => one.value === basis) ? BASES : [...BASES, { value: basis, label: `for each of ${basis}` }];
  return (
    <div className="quantity-row">
      <NumberField
        fieldKey={`quantity.${id}`}
        label={name}
        value={value}
        range={{ least: 0, most: 1e9, wanted: 'a number' }}
        onChange={(next) =>
          onChange(ratio ? { ...ratio, ratio: next ?? '0' } : withSeries(driver as Exclude<Driver, { per: string }>, { start: next ?? '0' }))
        }
      />
      <ChoiceField
        label={`${name}: counted`}
        labelHidden
        value={basis}
        options={options}
        onChange={(next) => onChange(next === 'month' ? value : { per: next, ratio: value })}
      />
      <Button type="text" size="small" aria-label={`Remove ${name}`} onClick={() => onChange(null)}>
        remove
      </Button>
    </div>
  );
}
