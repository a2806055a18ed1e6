import { useDeferredValue, useMemo, useState } from 'react';
import { priceDecision } from '#core/comparison/decision-result';
import { type Assumption } from '#core/what-if/assumption';
import type { CheapestMap, MapAxis } from '#core/what-if/map';
import { leadIn } from '#core/what-if/offers';
import { inScenario } from '#core/what-if/scenarios';
import { plain } from '#core/what-if/turns-it';
import * as places from '../../first-steps/places-in-words';
import { DataTable } from '../../components/data-table';
import { ChoiceField } from '../../components/choice-field';
import { Fold } from '../../components/fold';
import { useWriter } from '../../locale/locale';
import { NothingToAsk, useAskedDecision, Working } from '../asked-decision';
import { type MapAxes, mapSentence } from './words';
import { changeWords, nowWords } from '../assumption-words';
import { KeepScenario } from '../keep-scenario';
import { MapChart, stepsOf } from './map-chart';
import { RangeFields } from '../range-fields';
import { useAssumptions } from '../use-assumptions';
import { useWhatIf } from '../use-what-if';
import { screen as texts } from './words';

/** Who is cheapest over two assumptions. */
export default function MapPlace() {
  return (
    <NothingToAsk needs="two" place={places.map}>
      <Fields />
    </NothingToAsk>
  );
}

function Fields() {
  const { file, nameOf, compared } = useAskedDecision();
  const { varied, setRange } = useAssumptions();
  const write = useWriter();
  const [keys, setKeys] = useState({ x: '', y: '' });
  const [looked, setLooked] = useState<{ x: number; y: number } | null>(null);
  const find = (key: string, usual: readonly string[]) =>
    varied.find(({ assumption }) => assumption.key === key) ??
    varied.find(({ assumption }) => usual.includes(assumption.key.split(':')[0] ?? '')) ??
    varied[0];
  const first = find(keys.x, ['orders']);
  const second =
    varied.find(({ assumption }) => assumption.key === keys.y && assumption.key !== first?.assumption.key) ??
    varied.find(({ assumption }) => assumption.kind === 'order-value' && assumption.key !== first?.assumption.key) ??
    varied.find((one) => one !== first);
  const x = useMemo(() => first && { assumption: first.assumption, axis: axisOf(first) }, [first]);
  const y = useMemo(() => second && { assumption: second.assumption, axis: axisOf(second) }, [second]);
  const question = useMemo(
    () => (x && y && x.axis.high > x.axis.low && y.axis.high > y.axis.low ? { kind: 'map' as const, x: x.axis, y: y.axis } : null),
    [x, y],
  );
  const { answer: map, asked, ...working } = useWhatIf<'map'>(file, question);
  // A map of other axes is not shown under the names of these.
  const isOfThese = x !== undefined && y !== undefined && asked?.x.key === x.axis.key && asked.y.key === y.axis.key;
  if (!first || !second || !x || !y) return null;
  const options = varied.map(({ assumption: { key, label } }) => ({ value: key, label }));
  return (
    <>
      <main className="work" aria-label={texts.map} aria-busy={working.isBusy}>
        {map && isOfThese && <p className="says">{mapSentence(map, { x, y }, nameOf, compared)}</p>}
        <div className="tools map-tools">
          <ChoiceField
            label={texts.across}
            searchable
            value={first.assumption.key}
            options={options.filter(({ value }) => value !== second.assumption.key)}
            onChange={(key) => setKeys({ x: key, y: second.assumption.key })}
          />
          <ChoiceField
            label={texts.up}
            searchable
            value={second.assumption.key}
            options={options.filter(({ value }) => value !== first.assumption.key)}
            onChange={(key) => setKeys({ x: first.assumption.key, y: key })}
          />
        </div>
        {question === null && <p className="problem">{texts.theEndsOfARange}</p>}
        <div className="map-box">
          {map && isOfThese ? (
            <MapChart
              map={map}
              x={{ ...x, axis: asked.x }}
              y={{ ...y, axis: asked.y }}
              onPick={(atX, atY) => setLooked({ x: atX, y: atY })}
            />
          ) : (
            <p className="quiet">{texts.theMapIsBeing}</p>
          )}
        </div>
        <Working {...working} />
        {map && isOfThese && (
          <Fold summary={texts.theSameInWords}>
            <MapTable map={map} x={x} y={y} />
          </Fold>
        )}
      </main>
      <aside className="margin" aria-label={texts.thePointAndTheRanges} aria-live="polite">
        <LookedAt
          x={x.assumption}
          y={y.assumption}
          at={looked ?? { x: x.assumption.asIs, y: y.assumption.asIs }}
          isForecast={looked === null}
        />
        <h3>{texts.ranges}</h3>
        {[first, second].map((one) => (
          <div key={one.assumption.key}>
            <p className="quiet range-of">{texts.now(one.assumption.label, nowWords(one.assumption, write))}</p>
            <RangeFields varied={one} labelHidden onChange={(low, high) => setRange(one.assumption.key, low, high)} />
          </div>
        ))}
      </aside>
    </>
  );
}

function axisOf({ assumption, low, high }: { assumption: Assumption; low: number; high: number }): MapAxis {
  return { key: assumption.key, low, high };
}

/** Who would be cheapest at a point of the map, exactly; and keeping it. */
function LookedAt({ x, y, at, isForecast }: { x: Assumption; y: Assumption; at: { x: number; y: number }; isForecast: boolean }) {
  const { file, nameOf, compared } = useAskedDecision();
  const write = useWriter();
  const shown = useDeferredValue(at);
  const changes = useMemo(
    () => [
      { key: x.key, value: plain(Number(shown.x.toFixed(2))) },
      { key: y.key, value: plain(Number(shown.y.toFixed(2))) },
    ],
    [x.key, y.key, shown],
  );
  const standing = useMemo(() => leadIn(priceDecision(isForecast ? file : inScenario(file, { changes }))), [file, changes, isForecast]);
  const words = `${x.label} ${isForecast ? nowWords(x, write) : changeWords(x, shown.x, write)}, ${y.label} ${isForecast ? nowWords(y, write) : changeWords(y, shown.y, write)}`;
  return (
    <>
      <h2>{isForecast ? texts.yourForecast : texts.thisPoint}</h2>
      <p>{isForecast ? texts.everythingAsYouExpect : `${words}.`}</p>
      <p>
        {standing ? (
          <>
            <b>{nameOf(standing.first)}</b> {compared.leads}: {write.amount(standing.total)}
            {standing.margin !== null && texts.than(write.amount(standing.margin), compared.by, nameOf(standing.second))}.
          </>
        ) : (
          texts.noCandidateCanBeChosen
        )}
      </p>
      {isForecast ? (
        <p className="quiet">{texts.chooseAPointOnTheMap(compared.leads)}</p>
      ) : (
        <KeepScenario key={words} suggestion={words.slice(0, 200)} changes={changes} />
      )}
    </>
  );
}

const [TABLE_COLUMNS, TABLE_ROWS] = [6, 7];

function MapTable({ map, x, y }: MapAxes & { map: CheapestMap }) {
  const { nameOf } = useAskedDecision();
  const write = useWriter();
  const columns = stepsOf(x.axis, TABLE_COLUMNS);
  const rows = stepsOf(y.axis, TABLE_ROWS);
  const winner = (column: number, row: number) =>
    map.ids[
      map.winners[
        Math.round((row / (TABLE_ROWS - 1)) * (map.rows - 1)) * map.columns + Math.round((column / (TABLE_COLUMNS - 1)) * (map.columns - 1))
      ] ?? -1
    ] ?? null;
  return (
    <DataTable
      rows={rows.map((value, row) => ({ value, row }))}
      keyOf={({ value }) => value}
      columns={[
        {
          key: 'down',
          head: texts.downAcross(y.assumption.label, x.assumption.label),
          kind: 'names-row',
          cell: ({ value }) => changeWords(y.assumption, value, write),
        },
        ...columns.map((value, column) => ({
          key: value,
          head: changeWords(x.assumption, value, write),
          cell: ({ row }: { row: number }) => nameOf(winner(column, row)),
        })),
      ]}
    />
  );
}
