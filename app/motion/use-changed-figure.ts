import { type RefObject, useEffect, useRef } from 'react';
import { wantsLessMotion } from './wish-for-less';

const FADING: KeyframeAnimationOptions = { duration: 900, easing: 'ease-out' };
const TINT = 'color-mix(in srgb, var(--pen) 22%, transparent)';

/**
 * A figure that changes by what was entered is tinted for a moment. One that follows the level of sales is not: along the
 * scale everything changes, and nothing has to be found.
 *
 * @param figure - the figure as it is written
 * @param level - the multiple of the forecast that is being looked at
 */
export function useChangedFigure(element: RefObject<HTMLElement | null>, figure: string, level: number): void {
  const last = useRef({ figure, level });
  useEffect(() => {
    const before = last.current;
    last.current = { figure, level };
    if (before.figure === figure || before.level !== level || wantsLessMotion()) return;
    element.current?.animate([{ backgroundColor: TINT }, { backgroundColor: 'transparent' }], FADING);
  }, [element, figure, level]);
}
