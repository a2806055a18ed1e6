import { useState } from 'react';
import { useFetcher } from 'react-router';
import type { SheetSource } from '#core/sheet-import/read-source';

interface Taken {
  readonly name: string;
  readonly text: string;
  readonly key: number;
}

/** Texts that were pasted or dropped, one after the other, and what the first of them was found to hold. */
export interface Intake {
  /** What it is called; null while nothing is looked at. */
  readonly name: string | null;
  readonly isReading: boolean;
  readonly source: SheetSource | null;
  /** How many wait behind it. */
  readonly waiting: number;
  /** Changes with every text. */
  readonly key: number;
  read(text: string, name: string): void;
  /** Goes on to the next. */
  done(): void;
}

/** Has texts read on the server, where they are checked. */
export function useIntake(): Intake {
  const fetcher = useFetcher<SheetSource>();
  const [queue, setQueue] = useState<readonly Taken[]>([]);
  const [next, setNext] = useState(1);
  const [first] = queue;
  const isReading = first !== undefined && fetcher.state !== 'idle';
  const ask = ({ text }: Taken) => void fetcher.submit(text, { method: 'post', action: '/read-source', encType: 'text/plain' });
  return {
    name: first?.name ?? null,
    key: first?.key ?? 0,
    isReading,
    source: first !== undefined && !isReading ? (fetcher.data ?? null) : null,
    waiting: Math.max(0, queue.length - 1),
    read(text, name) {
      const taken = { name, text, key: next };
      setNext(next + 1);
      // What was refused has been told; it does not stand in the way of the next.
      const isFree = first === undefined || (!isReading && fetcher.data?.kind === 'refused');
      setQueue((before) => (isFree ? [taken] : [...before, taken]));
      if (isFree) ask(taken);
    },
    done() {
      const [, ...others] = queue;
      setQueue(others);
      if (others[0]) ask(others[0]);
    },
  };
}
