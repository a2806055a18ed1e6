import { useState } from 'react';
import { useRevalidator } from 'react-router';
import { FileField } from '../components/file-field';
import type { EverythingReply } from '../routes/data-import';
import { outcomeWords } from './outcome-words';
import { importEverything as words } from './words';

/** Takes in a file with everything, chosen here, and says what became of it. */
export function ImportEverything() {
  const { revalidate } = useRevalidator();
  const [state, setState] = useState<{ readonly name: string; readonly reply: EverythingReply | null } | null>(null);
  const send = async (file: File) => {
    setState({ name: file.name, reply: null });
    setState({ name: file.name, reply: await replyTo(file) });
    void revalidate();
  };
  return (
    <div className="import-everything">
      <FileField label={words.importSuchAFile} accept=".json,application/json" onFiles={([file]) => file && void send(file)} />
      <div aria-live="polite">
        {state && state.reply === null && <p className="quiet">{words.reading(state.name)}</p>}
        {state?.reply?.ok === true && <p>{outcomeWords(state.reply.outcome)}</p>}
        {state?.reply?.ok === false && (
          <>
            <p className="problem">{words.wasNotImportedAndNothing(state.name)}</p>
            <ul>
              {state.reply.problems.map((problem) => (
                <li key={problem}>{problem}</li>
              ))}
            </ul>
          </>
        )}
      </div>
    </div>
  );
}

async function replyTo(file: File): Promise<EverythingReply> {
  try {
    const response = await fetch('/data/import', {
      method: 'POST',
      body: file,
      headers: { 'Content-Type': 'text/plain' },
    });
    if (response.headers.get('Content-Type')?.includes('application/json')) return (await response.json()) as EverythingReply;
    return {
      ok: false,
      problems: [response.status === 413 ? words.theFileIsOver : words.venalisCouldNotRead],
    };
  } catch {
    return { ok: false, problems: [words.venalisCantBeReached] };
  }
}
