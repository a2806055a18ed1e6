import { useEffect, useState } from 'react';
import { AnswerNotes, AnswerSentence } from './answer-sentence';
import { LevelField } from './level-field';
import { SalesScale } from './sales-scale';
import { useLevel } from './workbench-context';

/** In view at every place: the level of sales, who is cheapest at which level, and the answer in a sentence. */
export function StandingStrip() {
  const { scale, setScale } = useLevel();
  const [typing, setTyping] = useState<string | null>(null);
  useEscape(scale !== 1, () => setScale(1));
  return (
    <section className="standing" aria-label="The answer so far">
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
