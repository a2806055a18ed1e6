import { useEffect, useEffectEvent, useMemo, useState } from 'react';
import { useFetcher } from 'react-router';
import * as z from 'zod';
import type { SheetSource } from '#core/sheet-import/read-source';
import { keptText } from '../workbench/draft-storage';
import { useKeptText } from '../workbench/use-kept-text';

interface Taken {
  readonly name: string;
  readonly text: string;
  readonly key: number;
}

/** What was pasted and not added yet, as it is kept for a reload. */
const keptSchema = z.array(z.object({ name: z.string(), text: z.string(), key: z.number() }));
/** Longer pages are not kept: they can be pasted again, and the browser's storage is small. */
const MOST_KEPT = 400_000;

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
  /** Under which key what is chosen about the first is kept for a reload. */
  readonly keptAs: string;
  read(text: string, name: string): void;
  /** Goes on to the next. */
  done(): void;
}

/** Texts that another place hands to a sheet's page, which reads them when it opens. */
const handedOver = new Map<string, readonly Taken[]>();

/** Hands a text to the page of a sheet, which is opened next and reads it. */
export function handOver(sheetId: string, text: string, name: string): void {
  handedOver.set(sheetId, [{ name, text, key: 1 }]);
  if (text.length <= MOST_KEPT) keptText(`pasted.${sheetId}`).keep(JSON.stringify([{ name, text, key: 1 }]));
}

/**
 * Has texts read on the server, where they are checked; a reload does not lose them.
 *
 * @param sheetId - whose texts they are
 */
export function useIntake(sheetId: string): Intake {
  const fetcher = useFetcher<SheetSource>();
  const [kept, keep] = useKeptText(`pasted.${sheetId}`);
  const [taken, setTaken] = useState<readonly Taken[] | null>(null);
  const left = useMemo(() => handedOver.get(sheetId) ?? keptTexts(kept), [sheetId, kept]);
  const queue = taken ?? left;
  const [first] = queue;
  // Until its own answer is there, what was found in the text before it is not shown as what this one holds.
  const [readKey, setReadKey] = useState<number | null>(null);
  const isReading = first !== undefined && (fetcher.state !== 'idle' || readKey !== first.key);
  const ask = ({ text, key }: Taken) =>
    void fetcher.submit(text, { method: 'post', action: '/read-source', encType: 'text/plain' }).then(() => setReadKey(key));
  const setQueue = (next: readonly Taken[]) => {
    setTaken(next);
    handedOver.delete(sheetId);
    const text = next.length === 0 ? '' : JSON.stringify(next);
    keep(text.length > MOST_KEPT ? '' : text);
  };
  // What was there before a reload is read again, once.
  const again = taken === null ? left[0] : undefined;
  const askAgain = useEffectEvent((one: Taken) => ask(one));
  useEffect(() => {
    if (again) askAgain(again);
  }, [again]);
  return {
    name: first?.name ?? null,
    key: first?.key ?? 0,
    keptAs: `chosen.${sheetId}`,
    isReading,
    source: first !== undefined && !isReading ? (fetcher.data ?? null) : null,
    waiting: Math.max(0, queue.length - 1),
    read(text, name) {
      // Never the key of what was read before, which would be shown for a moment as what this one holds.
      const one = { name, text, key: Math.max(0, readKey ?? 0, ...queue.map(({ key }) => key)) + 1 };
      // What was refused has been told; it does not stand in the way of the next.
      const isFree = first === undefined || (!isReading && fetcher.data?.kind === 'refused');
      setQueue(isFree ? [one] : [...queue, one]);
      if (isFree) ask(one);
    },
    done() {
      const [, ...others] = queue;
      setQueue(others);
      if (others[0]) ask(others[0]);
    },
  };
}

function keptTexts(kept: string): readonly Taken[] {
  if (kept === '') return [];
  try {
    return keptSchema.safeParse(JSON.parse(kept)).data ?? [];
  } catch {
    return [];
  }
}
