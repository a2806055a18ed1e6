import { useCallback, useEffect, useRef, useState } from 'react';
import { useRevalidator } from 'react-router';
import type { StoredOrderFile } from '#data/past-orders';
import type { ExportChoices } from '#core/past-orders/read-export';
import type { FoundExport, PastOrdersAnswer, PastOrdersQuestion, PastOrdersReply } from '../../workers/past-orders';
import { newId } from '../workbench/new-id';
import { useAfterPaint } from '../workbench/use-after-paint';
import { useStore, useWorkbench } from '../workbench/workbench-context';

/** What happens to a file that was dropped. */
export type Intake =
  | { readonly is: 'idle' }
  | { readonly is: 'reading' | 'keeping'; readonly name: string; readonly part: number }
  | { readonly is: 'found'; readonly name: string; readonly found: FoundExport }
  | { readonly is: 'refused'; readonly name: string; readonly why: string };

export interface PastOrdersHere {
  readonly intake: Intake;
  /** What the kept orders come to; null until that is worked out, and where there are none. */
  readonly answer: PastOrdersAnswer | null;
  read(file: File, choices?: ExportChoices): void;
  /** Reads the same file again, as a person says it is meant. */
  readAgain(choices: ExportChoices): void;
  keep(): void;
  /** Leaves what was dropped; nothing of it is kept. */
  leave(): void;
  remove(id: string | null): Promise<void>;
}

const LARGEST_BYTES = 500_000_000;
const TOO_LARGE = 'This file is larger than 500 MB. Export your orders by the year, and drop one year after the other.';
const BROKEN =
  'This file could not be worked on to its end; your browser may be short of memory. Open this page again, and drop a part of it.';
/** What is typed elsewhere is not held up by a million orders. */
const ANSWER_AFTER_MS = 200;

/** Takes past orders in, and has worked out what they come to, beside the interface. */
export function usePastOrders(files: readonly StoredOrderFile[]): PastOrdersHere {
  const { decisionId } = useStore();
  const workbench = useAfterPaint(useWorkbench().state.workbench, ANSWER_AFTER_MS);
  const { revalidate } = useRevalidator();
  const [intake, setIntake] = useState<Intake>({ is: 'idle' });
  const [answer, setAnswer] = useState<PastOrdersAnswer | null>(null);
  const [loaded, setLoaded] = useState(0);
  const worker = useRef<Worker | null>(null);
  const dropped = useRef<{ readonly file: File; choices: ExportChoices } | null>(null);
  const address = `/decisions/${decisionId}/past-orders`;
  const ask = useCallback((question: PastOrdersQuestion) => worker.current?.postMessage(question), []);

  useEffect(() => {
    const started = new Worker(new URL('../../workers/past-orders.ts', import.meta.url), { type: 'module' });
    worker.current = started;
    const name = () => dropped.current?.file.name ?? '';
    started.addEventListener('message', ({ data }: MessageEvent<PastOrdersReply>) => {
      if (data.say === 'progress') setIntake((now) => (now.is === 'reading' || now.is === 'keeping' ? { ...now, part: data.part } : now));
      else if (data.say === 'found') setIntake({ is: 'found', name: name(), found: data.found });
      else if (data.say === 'refused') setIntake({ is: 'refused', name: name(), why: data.why });
      else if (data.say === 'not-kept') setIntake({ is: 'refused', name: name(), why: `Nothing was kept: ${data.why}. Try again.` });
      else if (data.say === 'loaded') setLoaded((times) => times + 1);
      else if (data.say === 'answer') setAnswer(data.answer);
      else {
        setIntake({ is: 'idle' });
        void revalidate();
      }
    });
    started.addEventListener('error', () => setIntake({ is: 'refused', name: name(), why: BROKEN }));
    return () => started.terminate();
  }, [revalidate]);
  const ids = files.map(({ id }) => id).join(' ');
  useEffect(() => {
    if (files.length > 0) ask({ ask: 'load', address, files: files.map(({ id, file, parts }) => ({ id, file, parts })) });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the same files come anew with every answer of the server
  }, [ids, address, ask]);
  useEffect(() => {
    if (loaded > 0 && ids !== '') ask({ ask: 'answer', workbench });
  }, [loaded, ids, workbench, ask]);

  const read = (file: File, choices: ExportChoices = {}) => {
    dropped.current = { file, choices };
    if (file.size > LARGEST_BYTES) return setIntake({ is: 'refused', name: file.name, why: TOO_LARGE });
    setIntake({ is: 'reading', name: file.name, part: 0 });
    ask({ ask: 'read', file, choices });
  };
  return {
    intake,
    answer: files.length > 0 ? answer : null,
    read,
    readAgain(choices) {
      if (dropped.current) read(dropped.current.file, { ...dropped.current.choices, ...choices });
    },
    keep() {
      const name = dropped.current?.file.name ?? 'orders';
      setIntake({ is: 'keeping', name, part: 0 });
      ask({ ask: 'keep', address: new URL(address, location.href).href, id: newId(), name: name.slice(0, 200) });
    },
    leave() {
      ask({ ask: 'stop' });
      setIntake({ is: 'idle' });
    },
    async remove(id) {
      try {
        const response = await fetch(address, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify({ do: 'delete', id }),
        });
        if (!response.ok) throw new Error(`the server answered ${response.status}`);
        await revalidate();
      } catch {
        setIntake({ is: 'refused', name: '', why: 'Nothing was deleted, as Venalis can’t be reached. Try again.' });
      }
    },
  };
}
