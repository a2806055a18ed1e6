import { Button } from 'antd';
import { useId, useState } from 'react';
import { differentConditions, pageSpeed } from '#core/page-speed/compare';
import { withVendor } from '#core/qualities/edit-qualities';
import { ChoiceField } from '../components/choice-field';
import { useWriter } from '../locale/locale';
import { useRecordings } from '../qualities/use-recordings';
import { useVendors } from '../qualities/vendors';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';

/** Recordings of vendors' demo pages, computed and set side by side. */
export default function PageSpeed() {
  const { decision } = useWorkbench().state.workbench;
  const edits = useEdits();
  const write = useWriter();
  const vendors = useVendors();
  const id = useId();
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
    milliseconds === null ? 'not known' : `${write.number(String(milliseconds / 1000), 1)} s`;
  const size = (bytes: number) => `${write.number(String(bytes / 1e6), 2)} MB`;
  return (
    <main className="work" aria-label="Page speed">
      <p>
        Open a vendor’s demo shop, record the page in the browser’s network panel, and save it as a HAR file. Only its figures are kept; the
        file itself goes nowhere.
      </p>
      {target ? (
        <div className="add-row">
          <ChoiceField
            label="A recording of"
            value={target.id}
            options={vendors.map(({ id: offer, label }) => ({ value: offer, label }))}
            onChange={setChosen}
          />
          <span className="field">
            <label htmlFor={id} className="field-label">
              HAR files
            </label>
            <input
              id={id}
              type="file"
              multiple
              accept=".har,application/json"
              onChange={({ target: input }) => {
                recordings.take(target, [...(input.files ?? [])]);
                input.value = '';
              }}
            />
          </span>
          {recordings.reading > 0 && <span role="status">Reading …</span>}
        </div>
      ) : (
        <p className="quiet">There is no vendor yet to measure.</p>
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
        <div className="qualities-scroll">
          <table className="speeds">
            <thead>
              <tr>
                <th scope="col">Vendor</th>
                <th scope="col">Loaded after</th>
                <th scope="col">Content after</th>
                <th scope="col">Over the network</th>
                <th scope="col">Requests</th>
                <th scope="col">Other sites called</th>
                <th scope="col">Recorded</th>
                <td />
              </tr>
            </thead>
            {measured.map(({ id: offer, label, measurements, speed }) => (
              <tbody key={offer}>
                {measurements.length > 1 && (
                  <tr className="is-middle">
                    <th scope="row">{label}</th>
                    <td>{seconds(speed.loadMs)}</td>
                    <td />
                    <td>{size(speed.bytes)}</td>
                    <td>{speed.requests}</td>
                    <td>{speed.thirdParties.length}</td>
                    <td colSpan={2}>the middle of {speed.recordings}</td>
                  </tr>
                )}
                {measurements.map((one) => (
                  <tr key={one.id}>
                    <th scope="row">
                      {measurements.length > 1 ? '' : label}
                      <small>{one.page}</small>
                    </th>
                    <td>
                      {seconds(one.loadMs)}
                      <i className="load-bar" aria-hidden="true" style={{ width: `${((one.loadMs ?? 0) / slowest) * 100}%` }} />
                    </td>
                    <td>{seconds(one.contentMs)}</td>
                    <td>{size(one.bytes)}</td>
                    <td>
                      {one.requests}
                      {one.cached > 0 && <small>{one.cached} from its own store</small>}
                      {one.failed > 0 && <small className="lacks">{one.failed} failed</small>}
                    </td>
                    <td>
                      {one.thirdParties.length === 0
                        ? 'none'
                        : one.thirdParties.map(({ host, requests }) => <small key={host}>{`${host} (${requests})`}</small>)}
                    </td>
                    <td>
                      {one.at === null ? 'not dated' : write.day(one.at)}
                      <small>{one.browser}</small>
                    </td>
                    <td>
                      <Button
                        type="text"
                        size="small"
                        aria-label={`Remove the recording ${one.file} of ${label}`}
                        onClick={() =>
                          edits.decision(`vendor.${offer}.recording.removed`, 'a recording removed', (decided) =>
                            withVendor(decided, offer, (notes) => ({
                              ...notes,
                              measurements: (notes.measurements ?? []).filter((other) => other.id !== one.id),
                            })),
                          )
                        }
                      >
                        remove
                      </Button>
                    </td>
                  </tr>
                ))}
              </tbody>
            ))}
          </table>
        </div>
      )}
    </main>
  );
}
