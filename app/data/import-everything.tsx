import { useState } from 'react';
import { useRevalidator } from 'react-router';
import { FileField } from '../components/file-field';
import type { EverythingReply } from '../routes/data-import';
import { outcomeWords } from './outcome-words';

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
      <FileField label="Import such a file" accept=".json,application/json" onFiles={([file]) => file && void send(file)} />
      <div aria-live="polite">
        {state && state.reply === null && <p className="quiet">Reading {state.name} …</p>}
        {state?.reply?.ok === true && <p>{outcomeWords(state.reply.outcome)}</p>}
        {state?.reply?.ok === false && (
          <>
            <p className="problem">{state.name} was not imported, and nothing was changed:</p>
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
      problems: [
        response.status === 413 ? 'The file is over 200 MB, too large to import.' : 'Venalis could not read it in time. Try again.',
      ],
    };
  } catch {
    return { ok: false, problems: ['Venalis can’t be reached. Check that it is running, then choose the file again.'] };
  }
}
