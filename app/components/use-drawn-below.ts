import { useDeferredValue, useState } from 'react';

/**
 * Whether what stands below the first screen is drawn yet. When a place is opened it follows a moment later, so that the
 * place is there at once; a page that comes from the server has all of it.
 */
export function useDrawnBelow(): boolean {
  const [isOpenedHere] = useState(() => typeof document !== 'undefined' && document.documentElement.dataset['live'] === 'true');
  return useDeferredValue(true, !isOpenedHere);
}
