import { useEffect, useRef, useState } from 'react';
import { AnswerNotes, AnswerSentence } from './answer-sentence';
import { LevelField } from './level-field';
import { SalesScale } from './sales-scale';
import { useLevel } from './workbench-context';
import { standingStrip as words } from './words/standing-strip';

/** In view at every place: the level of sales, who is cheapest at which level, and the answer in a sentence. */
export function StandingStrip() {
  const { scale, setScale } = useLevel();
  const [typing, setTyping] = useState<string | null>(null);
  const strip = useHeightTold();
  useEscape(scale !== 1, () => setScale(1));
  return (
    <section className="standing" aria-label={words.theAnswerSoFar} ref={strip}>
      <div className="standing-sales">
        <LevelField typing={typing} onTyping={setTyping} />
      </div>
      <div className="standing-answer">
        <SalesScale onType={setTyping} />
        <div aria-live="polite">
          <AnswerSentence />
          <AnswerNotes />
        </div>
      </div>
    </section>
  );
}

/** Escape goes back to the forecast, wherever the focus is. */
function useEscape(active: boolean, back: () => void) {
  useEffect(() => {
    if (!active) return undefined;
    const press = (event: KeyboardEvent) => event.key === 'Escape' && !event.defaultPrevented && back();
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [active, back]);
}

/** What sticks below the strip has to know how high it is: a sentence or two more make it higher. */
function useHeightTold() {
  const strip = useRef<HTMLElement>(null);
  useEffect(() => {
    const element = strip.current;
    if (!element) return undefined;
    const observer = new ResizeObserver(() => {
      document.documentElement.style.setProperty('--standing-height', `${element.offsetHeight}px`);
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return strip;
}
