import { type RefObject, useEffect } from 'react';
import { useLocation } from 'react-router';

/** Keeps the current link of a row in view where the row is wider than the screen: one sees where one is. */
export function useCurrentInRow(row: RefObject<HTMLElement | null>): void {
  const { pathname } = useLocation();
  useEffect(() => {
    // After the paint: nobody waits for where things are to be measured.
    const frame = requestAnimationFrame(() => setTimeout(() => showCurrent(row.current), 0));
    return () => cancelAnimationFrame(frame);
  }, [row, pathname]);
}

function showCurrent(element: HTMLElement | null): void {
  const current = element?.querySelector('[aria-current=page]');
  if (!element || !current || element.scrollWidth <= element.clientWidth) return;
  const [link, all] = [current.getBoundingClientRect(), element.getBoundingClientRect()];
  void element.scrollBy({ left: link.left - all.left - (all.width - link.width) / 2 });
}
