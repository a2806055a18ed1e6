import { useMemo, useState, useSyncExternalStore } from 'react';
import { keptText } from './draft-storage';

/**
 * A text that counts only once it is taken over; until then a reload does not lose it.
 *
 * @param key - unique among all texts of the application
 */
export function useKeptText(key: string): [text: string, setText: (next: string) => void] {
  const [typed, setTyped] = useState<string | null>(null);
  const kept = useMemo(() => keptText(key), [key]);
  // The server does not know what was typed before a reload.
  const left = useSyncExternalStore(neverChanges, kept.read, () => '');
  return [
    typed ?? left,
    (next) => {
      setTyped(next);
      kept.keep(next);
    },
  ];
}

const neverChanges = () => () => undefined;
