import { useCallback, useEffect, useEffectEvent, useRef, useState } from 'react';
import { useRevalidator } from 'react-router';
import type { StoredOrderFile } from '#data/past-orders';
import type { ExportChoices } from '#core/past-orders/read-export';
import type { FoundExport, PastOrdersAnswer, PastOrdersQuestion, PastOrdersReply } from '../../workers/past-orders';
import { type PastOrdersWorker, startPastOrdersWorker } from './past-orders-worker';
import { newId } from '../workbench/new-id';
import { useAfterPaint } from '../workbench/use-after-paint';
import { useStore, useWorkbench } from '../workbench/workbench-context';
import { usePastOrders as words } from './words';

/** What happens to a file that was dropped. */
export type Intake =
  | { readonly is: 'idle' }
  | { readonly is: 'reading' | 'keeping'; readonly name: string; readonly part: number }
  | { readonly is: 'found'; readonly name: string; readonly found: FoundExport };

/** A file that could not be taken, or a wish that could not be done, and why. */
export interface Refused {
  readonly name: string;
  readonly why: string;
}

export interface PastOrdersHere {
  readonly intake: Intake;
  readonly refused: readonly Refused[];
  /** Files that were dropped with this one, and are looked through after it. */
  readonly waiting: readonly string[];
  /** What the kept orders come to; null until that is worked out, and where there are none. */
  readonly answer: PastOrdersAnswer | null;
  /** How far working it out is, from 0 to 1; `stopped` where the person wanted no more of it. */
  readonly answering: number | 'stopped';
  stopAnswer(): void;
  answerAgain(): void;
  /** Reads files one after the other, each looked through before the next. */
  readAll(files: readonly File[]): void;
  /** Reads the same file again, as a person says it is meant. */
  readAgain(choices: ExportChoices): void;
  keep(): void;
  /** Leaves the file that is looked through, nothing of it is kept; the next one follows. */
  leave(): void;
  /** Ends what is under way, and leaves the files that wait. */
  stop(): void;
  remove(id: string | null): Promise<void>;
}

const LARGEST_BYTES = 500_000_000;
const TOO_LARGE = words.thisFileIsLarger;
const BROKEN = words.thisFileCouldNotBeWorked;
/** What is typed elsewhere is not held up by a million orders. */
const ANSWER_AFTER_MS = 200;

/** Takes past orders in, and has worked out what they come to, beside the interface. */
export function usePastOrders(files: readonly StoredOrderFile[]): PastOrdersHere {
  const { decisionId } = useStore();
  const { revalidate } = useRevalidator();
  const [intake, setIntake] = useState<Intake>({ is: 'idle' });
  const [refused, setRefused] = useState<readonly Refused[]>([]);
  const [answer, setAnswer] = useState<PastOrdersAnswer | null>(null);
  const [answering, setAnswering] = useState<PastOrdersHere['answering']>(0);
  const [loaded, setLoaded] = useState(0);
  const [waiting, setWaiting] = useState<readonly File[]>([]);
  const worker = useRef<PastOrdersWorker | null>(null);
  const dropped = useRef<{ readonly file: File; choices: ExportChoices } | null>(null);
  const address = `/decisions/${decisionId}/past-orders`;
  const ask = useCallback((question: PastOrdersQuestion) => worker.current?.ask(question), []);

  const heard = useEffectEvent((reply: PastOrdersReply) => {
    const name = dropped.current?.file.name ?? '';
    if (reply.say === 'progress') setIntake((now) => (now.is === 'reading' || now.is === 'keeping' ? { ...now, part: reply.part } : now));
    else if (reply.say === 'found') setIntake({ is: 'found', name, found: reply.found });
    else if (reply.say === 'refused') refuse({ name, why: reply.why });
    else if (reply.say === 'not-kept') refuse({ name, why: words.nothingWasKeptTry(reply.why) });
    else if (reply.say === 'loaded') setLoaded((times) => times + 1);
    // What is said of a question that was stopped may come late.
    else if (reply.say === 'answering') setAnswering((now) => (now === 'stopped' ? now : reply.part));
    else if (reply.say === 'answer') {
      setAnswer(reply.answer);
      setAnswering(0);
    } else {
      next();
      void revalidate();
    }
  });
  const broke = useEffectEvent(() => refuse({ name: dropped.current?.file.name ?? '', why: BROKEN }));
  useEffect(() => {
    const started = startPastOrdersWorker(
      (reply) => heard(reply),
      () => broke(),
    );
    worker.current = started;
    return started.close;
  }, []);
  const ids = files.map(({ id }) => id).join(' ');
  useEffect(() => {
    if (files.length > 0) worker.current?.load(address, files);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the same files come anew with every answer of the server
  }, [ids, address]);
  const workbench = useAfterPaint(useWorkbench().state.workbench, ANSWER_AFTER_MS);
  const work = useCallback(() => ask({ ask: 'answer', workbench }), [workbench, ask]);
  useEffect(() => {
    if (loaded > 0 && ids !== '') work();
  }, [loaded, ids, work]);

  const read = (file: File, choices: ExportChoices = {}) => {
    dropped.current = { file, choices };
    if (file.size > LARGEST_BYTES) return refuse({ name: file.name, why: TOO_LARGE });
    setIntake({ is: 'reading', name: file.name, part: 0 });
    ask({ ask: 'read', file, choices });
  };
  function next() {
    const [first, ...others] = waiting;
    setWaiting(others);
    if (first) read(first);
    else setIntake({ is: 'idle' });
  }
  function refuse(one: Refused) {
    setRefused((before) => [...before, one]);
    next();
  }
  return {
    intake,
    refused,
    waiting: waiting.map(({ name }) => name),
    answer: files.length > 0 ? answer : null,
    answering,
    stopAnswer() {
      setAnswering('stopped');
      ask({ ask: 'stop-answer' });
    },
    answerAgain() {
      setAnswering(0);
      work();
    },
    readAll([first, ...others]) {
      setRefused([]);
      setWaiting(others);
      if (first) read(first);
    },
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
      next();
    },
    stop() {
      ask({ ask: 'stop' });
      setWaiting([]);
      setIntake({ is: 'idle' });
    },
    async remove(id) {
      setRefused([]);
      if (await isDeleted(address, id)) await revalidate();
      else setRefused([{ name: '', why: words.nothingWasDeletedAsVenalis }]);
    },
  };
}

/** Deletes a file of past orders, or all, and says whether that was done. */
async function isDeleted(address: string, id: string | null): Promise<boolean> {
  try {
    const response = await fetch(address, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ do: 'delete', id }),
    });
    return response.ok;
  } catch {
    return false;
  }
}
