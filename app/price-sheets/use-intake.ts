import { useState } from 'react';
import { useFetcher } from 'react-router';
import type { SheetSource } from '#core/sheet-import/read-source';

/** A text that was pasted or a file, and what it was found to hold. */
export interface Intake {
  /** What it is called; null while nothing is looked at. */
  readonly name: string | null;
  readonly isReading: boolean;
  readonly source: SheetSource | null;
  /** Changes with every text. */
  readonly key: number;
  read(text: string, name: string): void;
  done(): void;
}

/** Has texts read on the server, where they are checked. */
export function useIntake(): Intake {
  const fetcher = useFetcher<SheetSource>();
  const [looked, setLooked] = useState<{ name: string | null; key: number }>({ name: null, key: 0 });
  const isReading = looked.name !== null && fetcher.state !== 'idle';
  return {
    name: looked.name,
    key: looked.key,
    isReading,
    source: looked.name !== null && !isReading ? (fetcher.data ?? null) : null,
    read(text, name) {
      setLooked({ name, key: looked.key + 1 });
      void fetcher.submit(text, { method: 'post', action: '/read-source', encType: 'text/plain' });
    },
    done: () => setLooked({ name: null, key: looked.key + 1 }),
  };
}
