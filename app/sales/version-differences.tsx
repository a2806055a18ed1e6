import { useState } from 'react';
import { differencesOf, type VersionName } from '#core/forecast/versions';
import type { Differences, StreamDifferences } from '#core/forecast/versions-schema';
import { DataTable } from '../components/data-table';
import { ChoiceField } from '../components/choice-field';
import { NumberField } from '../components/number-field';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useAfterPaint } from '../workbench/use-after-paint';
import { price, useWorkbench } from '../workbench/workbench-context';
import { versionDifferences as words } from './words';

type Changed = Exclude<VersionName, 'expected'>;
type Field = keyof StreamDifferences;

const FIELDS: ReadonlyArray<{ field: Field; label: string; unit: string }> = [
  { field: 'orders', label: words.ordersAndSignUps, unit: '%' },
  { field: 'orderValue', label: words.orderValue, unit: '%' },
  { field: 'growth', label: words.growthAMonth, unit: 'points' },
  { field: 'refunds', label: words.refunds, unit: 'points' },
  { field: 'churn', label: words.leavingEachMonth, unit: 'points' },
  { field: 'margin', label: words.leftAfterTheGoods, unit: 'points' },
];
const RANGE = { least: -100, most: 1000, wanted: words.aDifferenceSuchAs25 };
const ALL = words.allStreams;

/** Cautious and hopeful sales, each as differences to the expected, and what each comes to. */
export function VersionDifferences() {
  const { state } = useWorkbench();
  const edits = useEdits();
  const { decision } = state.workbench;
  const { streams } = decision.forecast;
  const [stream, setStream] = useState(ALL);
  const shown = streams.some(({ id }) => id === stream) ? stream : ALL;
  const stated = (version: Changed, field: Field) => {
    const differences = differencesOf(decision.versions, version);
    return shown === ALL ? differences[field] : differences.streams?.[shown]?.[field];
  };
  const change = (version: Changed, field: Field, value: string | null | undefined) =>
    edits.decision(`versions.${version}.${shown}.${field}`, words.theVersion(version), (one) => {
      const differences = differencesOf(one.versions, version);
      const next: Differences =
        shown === ALL
          ? withField(differences, field, value)
          : { ...differences, streams: { ...differences.streams, [shown]: withField(differences.streams?.[shown] ?? {}, field, value) } };
      return { ...one, versions: { ...one.versions, [version]: next } };
    });
  const difference = (version: 'cautious' | 'hopeful', { field, label, unit }: (typeof FIELDS)[number]) => (
    <NumberField
      fieldKey={`versions.${version}.${shown}.${field}`}
      label={`${label}, ${version}`}
      labelHidden
      optional
      suffix={unit}
      placeholder={shown === ALL ? words.theSame : words.asForAll}
      value={stated(version, field)}
      range={RANGE}
      onChange={(value) => change(version, field, value)}
    />
  );
  return (
    <section className="versions" aria-label={words.threeVersions}>
      <h2>{words.cautiousExpectedHopeful}</h2>
      <p className="quiet">{words.statedAsDifferencesToWhat}</p>
      {streams.length > 1 && (
        <ChoiceField
          label={words.differencesFor}
          value={shown}
          options={[
            { value: ALL, label: ALL },
            ...streams.map(({ id, label }) => ({ value: id, label: label || words.aStreamWithoutAName })),
          ]}
          onChange={setStream}
        />
      )}
      <DataTable
        hasOwnLook
        className="versions-table"
        frame={null}
        rows={FIELDS.filter(({ field }) => field !== 'churn' || streams.some(({ subscribers }) => subscribers))}
        keyOf={({ field }) => field}
        columns={[
          {
            key: 'field',
            head: <span className="visually-hidden">{words.whatDiffers}</span>,
            kind: 'names-row',
            cell: ({ label }) => label,
          },
          { head: words.cautious, cell: (row) => difference('cautious', row) },
          { head: words.expected, cellClass: 'quiet', cell: () => words.asAbove },
          { head: words.hopeful, cell: (row) => difference('hopeful', row) },
        ]}
        foot={<Outcomes />}
      />
    </section>
  );
}

function withField<Of extends StreamDifferences>(differences: Of, field: Field, value: string | null | undefined): Of {
  const { [field]: _former, ...others } = differences;
  return (value == null ? others : { ...differences, [field]: value }) as Of;
}

/** Past the pause between two keys, so that pricing all versions never keeps the next key waiting. */
const OUTCOMES_AFTER_MS = 400;

/** What each version comes to: sales, and who is cheapest by how much. */
function Outcomes() {
  const { state } = useWorkbench();
  const write = useWriter();
  // Three decisions are priced here; they follow right after the figures being typed are painted.
  const workbench = useAfterPaint(state.workbench, OUTCOMES_AFTER_MS);
  const outcomes = (['cautious', 'expected', 'hopeful'] as const).map((version) => ({ version, ...price(workbench, version) }));
  return (
    <tbody className="outcomes">
      <tr>
        <th scope="row">{words.ordersAMonth}</th>
        {outcomes.map(({ version, average }) => (
          <td key={version}>{write.number(average.orders, 1)}</td>
        ))}
      </tr>
      <tr>
        <th scope="row">{words.salesAMonth}</th>
        {outcomes.map(({ version, average }) => (
          <td key={version}>{write.whole(average.sales)}</td>
        ))}
      </tr>
      <tr>
        <th scope="row">{words.costsLeast}</th>
        {outcomes.map(({ version, lineUp: { leader, runnerUp } }) => (
          <td key={version}>
            {leader ? (
              <>
                <b>{leader.label}</b>
                <small>
                  {write.whole(leader.result.total)}
                  {runnerUp && words.lessThan(write.whole(runnerUp.margin), runnerUp.column.label)}
                </small>
              </>
            ) : (
              words.noCandidateCanBeChosen
            )}
          </td>
        ))}
      </tr>
    </tbody>
  );
}
