import { useEffect, useState } from 'react';

/** So long nothing may change before what follows a moment later is drawn. */
const PAUSE_MS = 120;

/** A value as it was when it last stood still: pictures follow it without slowing down what is being dragged. */
export function useSettled<Value>(value: Value): Value {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(() => value), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [value]);
  return settled;
}
