/** A page that is not looked at paints nothing; what waits for it goes on after so many milliseconds. */
const AT_MOST_MS = 100;

/**
 * Calls once what is drawn already has been painted.
 *
 * @param pause - milliseconds to wait for besides
 * @returns gives it up
 */
export function afterPaint(then: () => void, pause = 0): () => void {
  let isSettled = false;
  let later: ReturnType<typeof setTimeout> | undefined;
  const giveUp = () => {
    isSettled = true;
    clearTimeout(unpainted);
    clearTimeout(later);
    cancelAnimationFrame(frame);
  };
  const once = () => {
    if (isSettled) return;
    giveUp();
    then();
  };
  const unpainted = setTimeout(once, AT_MOST_MS + pause);
  const frame = requestAnimationFrame(() => {
    later = setTimeout(once, pause);
  });
  return giveUp;
}
