import { Button } from 'antd';
import { type DragEvent, useState } from 'react';
import { useFetcher } from 'react-router';
import { ARCHIVE_FORMAT } from '#core/assembly/archive-format';
import { FileField } from '../components/file-field';
import { DataTable } from '../components/data-table';
import { CandidateTag } from '../components/candidate-tag';
import { useWriter } from '../locale/locale';
import type { ImportPreview } from '../routes/import';
import { importFile as words } from './words';

/** The longest list of problems that is shown whole. */
const MOST_SHOWN = 50;

/** In bytes. */
const LARGEST_FILE = 5 * 1024 * 1024;
const LARGEST_WITH_ORDERS = 200 * 1024 * 1024;

/** Whether a file says of itself that it has everything of a decision, past orders perhaps as well. */
async function mayHaveOrders(file: File): Promise<boolean> {
  return (await file.slice(0, 200).text()).includes(ARCHIVE_FORMAT);
}

/** Takes in a decision file, chosen or dropped, after a look at what it holds. */
export function ImportFile() {
  const fetcher = useFetcher<ImportPreview>();
  const [chosen, setChosen] = useState<{ name: string; text: string } | null>(null);
  const [tooLarge, setTooLarge] = useState<string | null>(null);
  const [isOver, setOver] = useState(false);
  const send = (text: string, intent: 'preview' | 'keep') =>
    void fetcher.submit(text, { method: 'post', action: `/decisions/import?intent=${intent}`, encType: 'text/plain' });
  const look = async (file: File | undefined) => {
    setTooLarge(null);
    if (!file) return;
    if (file.size > LARGEST_FILE && !(file.size <= LARGEST_WITH_ORDERS && (await mayHaveOrders(file)))) return setTooLarge(file.name);
    const text = await file.text();
    setChosen({ name: file.name, text });
    send(text, 'preview');
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    void look(event.dataTransfer.files[0]);
  };
  return (
    <section
      className={`import${isOver ? ' is-over' : ''}`}
      aria-label={words.import}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <FileField label={words.openADecisionFile} accept=".json,application/json" onFiles={([file]) => void look(file)} />
      <div aria-live="polite">
        {tooLarge && <p className="problem">{words.isOver5Mb(tooLarge)}</p>}
        {fetcher.state !== 'idle' && <p className="quiet">{words.lookingAt(chosen?.name)}</p>}
        {fetcher.state === 'idle' && fetcher.data && chosen && (
          <Preview name={chosen.name} preview={fetcher.data} onKeep={() => send(chosen.text, 'keep')} />
        )}
      </div>
    </section>
  );
}

function Preview({ name, preview, onKeep }: { name: string; preview: ImportPreview; onKeep(): void }) {
  const write = useWriter();
  if (!preview.ok)
    return (
      <>
        <h3>
          {words.wasNotImportedWrong(name, preview.problems.length === 1 ? words.oneThingIs : words.thingsAre(preview.problems.length))}
        </h3>
        <DataTable
          hasOwnLook
          className="problems"
          frame={null}
          rows={preview.problems.slice(0, MOST_SHOWN)}
          keyOf={({ path, wanted }) => `${path} ${wanted}`}
          columns={[
            { head: words.where, cell: ({ path }) => <code>{path || words.theFile}</code> },
            { head: words.found, cell: ({ found }) => found },
            { head: words.useInstead, cell: ({ wanted }) => wanted },
          ]}
        />
        {preview.problems.length > MOST_SHOWN && <p>{words.andMoreTheCommand(preview.problems.length - MOST_SHOWN)}</p>}
      </>
    );
  const { currency, candidates } = preview;
  return (
    <>
      <h3>{preview.name || words.untitledDecision}</h3>
      <p>
        {words.monthsFromInSells({
          months: preview.months,
          start: write.month(preview.start),
          currency,
          streams: preview.streams.join(', ') || words.nothingYet,
          sheets: preview.sheets.join(', ') || words.none,
          orders:
            preview.orders > 0 && words.withPast(write.number(String(preview.orders)), preview.orders === 1 ? words.order : words.orders),
        })}
      </p>
      <ul className="import-candidates">
        {candidates.map(({ id, label, total, atLeast, usable }) => (
          <li key={id}>
            <CandidateTag id={id} /> {label} <b>{atLeast ? words.atLeast(write.money(total, currency)) : write.money(total, currency)}</b>
            {!usable && <span className="problem"> {words.cannotBeChosenAsItIs}</span>}
          </li>
        ))}
      </ul>
      {preview.questions.length > 0 && <p className="quiet">{words.theFilesOwnQuestions(preview.questions.join(', '))}</p>}
      <Button type="primary" onClick={onKeep}>
        {words.import}
      </Button>
    </>
  );
}
