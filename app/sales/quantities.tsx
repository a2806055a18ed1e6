import { SteadyButton as Button } from '../components/steady-button';
import { memo, useState } from 'react';
import type { Driver, Forecast, Stream } from '#core/decision-file/forecast-schema';
import { countedByMonth, type ShapedSeries, withForecast, withQuantity, withSeries } from '#core/decision/edit-forecast';
import { ChoiceField } from '../components/choice-field';
import { ChoicesField } from '../components/choices-field';
import { Fold } from '../components/fold';
import { NumberField } from '../components/number-field';
import { TextField } from '../components/text-field';
import { useEdits } from '../workbench/use-edits';
import { SeasonFields } from './season-fields';
import { quantities as words } from './words';

const BASES: ReadonlyArray<{ value: string; label: string }> = [
  { value: 'month', label: words.aMonth },
  { value: 'orders', label: words.forEachOrder },
  { value: 'sales', label: words.forEachUnitOfSales },
  { value: 'subscribers', label: words.forEachSubscriber },
];

/** Other quantities that plans count: visits, contacts, seats, labels … */
export const Quantities = memo(function Quantities({ drivers, streams }: { drivers: Forecast['drivers']; streams: readonly Stream[] }) {
  const edits = useEdits();
  const [name, setName] = useState('');
  const all = Object.entries(drivers ?? {});
  const countable = all.flatMap(([id, driver]) => (isRatio(driver) ? [] : [id]));
  const slugName = name
    .trim()
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  const taken = ['orders', 'sales'].includes(slugName) || slugName in (drivers ?? {});
  const change = (id: string, driver: Driver | null) =>
    edits.decision(`quantity.${id}`, id.replaceAll('-', ' '), (one) => withForecast(one, (forecast) => withQuantity(forecast, id, driver)));
  return (
    <section className="quantities" aria-label={words.otherQuantities}>
      <h2>{words.otherQuantities}</h2>
      <p className="quiet">{words.whatPlansCountBesides}</p>
      {all.map(([id, driver]) => (
        <QuantityRow key={id} id={id} driver={driver} countable={countable} streams={streams} onChange={(next) => change(id, next)} />
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
        <TextField label={words.anotherQuantity} value={name} placeholder={words.visits} onChange={setName} />
        <Button htmlType="submit" disabled={slugName === '' || taken}>
          {words.add}
        </Button>
        {taken && <span className="field-problem">{words.isThereAlready(slugName)}</span>}
      </form>
    </section>
  );
});

interface QuantityRowProps {
  id: string;
  driver: Driver;
  /** Quantities that others can be counted by: those that are not counted by others themselves, so that none goes in a circle. */
  countable: readonly string[];
  streams: readonly Stream[];
  onChange(driver: Driver | null): void;
}

function QuantityRow({ id, driver, countable, streams, onChange }: QuantityRowProps) {
  const ratio = isRatio(driver) ? driver : null;
  const series = countedByMonth(driver);
  const value = ratio ? ratio.ratio : (series?.start ?? '0');
  const name = id.replaceAll('-', ' ');
  const basis = ratio?.per ?? 'month';
  const options = [
    ...BASES,
    ...countable
      .filter((one) => one !== id && !BASES.some((base) => base.value === one))
      .map((one) => ({ value: one, label: words.forEachOf(one.replaceAll('-', ' ')) })),
  ];
  const shown = options.some((one) => one.value === basis) ? options : [...options, { value: basis, label: words.forEachOfBasis(basis) }];
  const changeSeries = (fields: { [Field in keyof ShapedSeries]?: ShapedSeries[Field] | undefined }) =>
    onChange(withSeries(series ?? '0', fields));
  const orNone = (text: string | null | undefined) => (text && Number(text) !== 0 ? text : undefined);
  return (
    <div className="quantity-row">
      <NumberField
        fieldKey={`quantity.${id}`}
        label={name}
        value={value}
        range={{ least: 0, most: 1e9, wanted: words.aNumber }}
        onChange={(next) => (ratio ? onChange({ ...ratio, ratio: next ?? '0' }) : changeSeries({ start: next ?? '0' }))}
      />
      <ChoiceField
        label={words.counted(name)}
        labelHidden
        value={basis}
        options={shown}
        onChange={(next) =>
          onChange(next === 'month' ? value : { per: next, ratio: value, ...(ratio?.streams ? { streams: ratio.streams } : {}) })
        }
      />
      {series && (
        <>
          <NumberField
            fieldKey={`quantity.${id}.add`}
            label={words.moreEachMonth(name)}
            labelHidden
            prefix="+"
            suffix={words.eachMonth}
            value={series.add ?? '0'}
            range={{ least: -1e9, most: 1e9, wanted: words.aNumberSuchAs45 }}
            onChange={(add) => changeSeries({ add: orNone(add) })}
          />
          <NumberField
            fieldKey={`quantity.${id}.growth`}
            label={words.growth(name)}
            labelHidden
            prefix="+"
            suffix={words.percentAMonth}
            value={series.growth ?? '0'}
            range={{ least: -100, most: 1000, wanted: words.aPercentageAMonth }}
            onChange={(growth) => changeSeries({ growth: orNone(growth) })}
          />
        </>
      )}
      {ratio && streams.length > 1 && (ratio.per === 'orders' || ratio.per === 'sales') && (
        <ChoicesField
          label={words.ofWhichStreams(name)}
          labelHidden
          values={ratio.streams ?? []}
          options={streams.map((stream) => ({ value: stream.id, label: stream.label || stream.id }))}
          placeholder={words.ofAllStreams}
          onChange={(chosen) => {
            const { streams: _former, ...rest } = ratio;
            onChange(chosen.length > 0 ? { ...rest, streams: chosen } : rest);
          }}
        />
      )}
      <Button type="text" size="small" aria-label={words.removeName(name)} onClick={() => onChange(null)}>
        {words.remove}
      </Button>
      {series && (
        <Fold className="quantity-season" summary={series.season || series.set ? words.byCalendarMonthDiffers : words.byCalendarMonth}>
          <SeasonFields of={`quantity.${id}`} what={name} season={series.season} onChange={(season) => changeSeries({ season })} />
          <p className="quiet">{words.aSingleMonthCan}</p>
        </Fold>
      )}
    </div>
  );
}

function isRatio(driver: Driver): driver is Extract<Driver, { per: string }> {
  return typeof driver === 'object' && 'per' in driver;
}
