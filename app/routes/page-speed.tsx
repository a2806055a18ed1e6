import { Button } from 'antd';
import { useState } from 'react';
import type { Measurement } from '#core/decision/measurement-schema';
import { differentConditions, type PageSpeed as PageSpeedFigures, pageSpeed } from '#core/page-speed/compare';
import { withVendor } from '#core/qualities/edit-qualities';
import { FileField } from '../components/file-field';
import { DataTable } from '../components/data-table';
import { ChoiceField } from '../components/choice-field';
import { useWriter } from '../locale/locale';
import { useRecordings } from '../qualities/use-recordings';
import { useVendors } from '../qualities/vendors';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { pageSpeed as words } from './words/page-speed';

/** Recordings of vendors' demo pages, computed and set side by side. */
export default function PageSpeed() {
  const { decision } = useWorkbench().state.workbench;
  const write = useWriter();
  const vendors = useVendors();
  const recordings = useRecordings();
  const [chosen, setChosen] = useState<string | null>(null);
  const target = vendors.find((vendor) => vendor.id === chosen) ?? vendors[0];
  const measured = vendors.flatMap((vendor) => {
    const measurements = decision.vendors?.[vendor.id]?.measurements ?? [];
    const speed = pageSpeed(measurements);
    return speed ? [{ ...vendor, measurements, speed }] : [];
  });
  const slowest = Math.max(1, ...measured.map(({ speed }) => speed.loadMs ?? 0));
  const seconds = (milliseconds: number | null) =>
    milliseconds === null ? words.notKnown : `${write.number(String(milliseconds / 1000), 1)} s`;
  const size = (bytes: number) => words.mb(write.number(String(bytes / 1e6), 2));
  return (
    <main className="work" aria-label={words.pageSpeed}>
      <p>{words.openAVendorsDemo}</p>
      {target ? (
        <div className="add-row">
          <ChoiceField
            label={words.aRecordingOf}
            value={target.id}
            options={vendors.map(({ id: offer, label }) => ({ value: offer, label }))}
            onChange={setChosen}
          />
          <FileField label={words.harFiles} multiple accept=".har,application/json" onFiles={(files) => recordings.take(target, files)} />
          {recordings.reading > 0 && <span role="status">{words.reading}</span>}
        </div>
      ) : (
        <p className="quiet">{words.thereIsNoVendor}</p>
      )}
      {recordings.refused.map(({ file, problem }) => (
        <p key={file} className="field-problem" role="alert">
          {file}: {problem}
        </p>
      ))}
      {differentConditions(measured).map((warning) => (
        <p key={warning} className="is-warning speed-warning">
          {warning}
        </p>
      ))}
      {measured.length > 0 && (
        <DataTable
          hasOwnLook
          className="speeds"
          frame="qualities-scroll"
          rows={measured.flatMap(rowsOf)}
          keyOf={({ vendor, one }) => `${vendor.id} ${one?.id ?? 'middle'}`}
          rowClass={({ one }) => (one ? '' : 'is-middle')}
          insteadOf={({ one, vendor }) => (one ? null : { from: 6, content: words.theMiddleOf(vendor.speed.recordings) })}
          columns={[
            {
              head: words.vendor,
              kind: 'names-row',
              cell: ({ vendor, one, isAlone }) => (
                <>
                  {(one === null || isAlone) && vendor.label}
                  {one && <small>{one.page}</small>}
                </>
              ),
            },
            {
              head: words.loadedAfter,
              cell: ({ vendor, one }) => (
                <>
                  {seconds((one ?? vendor.speed).loadMs)}
                  {one && <i className="load-bar" aria-hidden="true" style={{ width: `${((one.loadMs ?? 0) / slowest) * 100}%` }} />}
                </>
              ),
            },
            { head: words.contentAfter, cell: ({ one }) => one && seconds(one.contentMs) },
            { head: words.overTheNetwork, cell: ({ vendor, one }) => size((one ?? vendor.speed).bytes) },
            {
              head: words.requests,
              cell: ({ vendor, one }) => (
                <>
                  {(one ?? vendor.speed).requests}
                  {one && one.cached > 0 && <small>{words.fromItsOwnStore(one.cached)}</small>}
                  {one && one.failed > 0 && <small className="lacks">{words.failed(one.failed)}</small>}
                </>
              ),
            },
            {
              head: words.otherSitesCalled,
              cell: ({ vendor, one }) => (one ? <OtherSites sites={one.thirdParties} /> : vendor.speed.thirdParties.length),
            },
            {
              head: words.recorded,
              cell: ({ one }) =>
                one && (
                  <>
                    {one.at === null ? words.notDated : write.day(one.at)}
                    <small>{one.browser}</small>
                  </>
                ),
            },
            { key: 'remove', head: null, cell: ({ vendor, one }) => one && <RemoveRecording vendor={vendor} recording={one} /> },
          ]}
        />
      )}
    </main>
  );
}

type Vendor = ReturnType<typeof useVendors>[number];

interface MeasuredVendor extends Vendor {
  readonly measurements: readonly Measurement[];
  readonly speed: PageSpeedFigures;
}

interface SpeedRow {
  readonly vendor: MeasuredVendor;
  /** Null for the middle of several. */
  readonly one: Measurement | null;
  readonly isAlone: boolean;
}

/** The recordings of a vendor, under what lies in their middle where there are several. */
function rowsOf(vendor: MeasuredVendor): SpeedRow[] {
  const isAlone = vendor.measurements.length === 1;
  const each = vendor.measurements.map((one): SpeedRow => ({ vendor, one, isAlone }));
  return isAlone ? each : [{ vendor, one: null, isAlone }, ...each];
}

function OtherSites({ sites }: { sites: Measurement['thirdParties'] }) {
  if (sites.length === 0) return 'none';
  return sites.map(({ host, requests }) => <small key={host}>{`${host} (${requests})`}</small>);
}

function RemoveRecording({ vendor: { id, label }, recording }: { vendor: Vendor; recording: Measurement }) {
  const edits = useEdits();
  return (
    <Button
      type="text"
      size="small"
      aria-label={words.removeTheRecordingOf(recording.file, label)}
      onClick={() =>
        edits.decision(`vendor.${id}.recording.removed`, words.aRecordingRemoved, (decided) =>
          withVendor(decided, id, (notes) => ({
            ...notes,
            measurements: (notes.measurements ?? []).filter((other) => other.id !== recording.id),
          })),
        )
      }
    >
      {words.remove}
    </Button>
  );
}
