import { afterPaint } from './after-paint';
import { startTransition, useEffect, useState } from 'react';

/**
 * A value as it was before the last frame that was painted: what takes long to follow waits until the eye has its
 * answer, and gives way to what is typed meanwhile.
 *
 * @param pause - milliseconds without a further change to wait for besides
 */
export function useAfterPaint<Value>(value: Value, pause = 0): Value {
  const [painted, setPainted] = useState(value);
  useEffect(() => {
    if (painted === value) return undefined;
    return afterPaint(() => startTransition(() => setPainted(value)), pause);
  }, [painted, value, pause]);
  return painted;
}
