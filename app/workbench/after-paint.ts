/** A page that is not looked at paints nothing; what waits for it goes on after so many milliseconds. */
const AT_MOST_MS = 100;

/** Calls once what is drawn already has been painted. */
export function afterPaint(then: () => void): void {
  let isDone = false;
  const once = () => {
    if (isDone) return;
    isDone = true;
    clearTimeout(late);
    then();
  };
  const late = setTimeout(once, AT_MOST_MS);
  requestAnimationFrame(() => setTimeout(once, 0));
}
