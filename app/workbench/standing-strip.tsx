import { Button } from 'antd';
import { useEffect } from 'react';
import { useWriter } from '../locale/locale';
import { AnswerNotes, AnswerSentence } from './answer-sentence';
import { SalesScale } from './sales-scale';
import { useLevel, useWorkbench } from './workbench-context';

/** In view at every place: the level of sales, who is cheapest at which level, and the answer in a sentence. */
export function StandingStrip() {
  const { atForecast, version } = useWorkbench();
  const { priced, scale, setScale } = useLevel();
  const write = useWriter();
  const isTrying = scale !== 1;
  useEscape(isTrying, () => setScale(1));
  return (
    <section className="standing" aria-label="The answer so far">
      <div className="standing-sales">
        <b>{write.whole(priced.average.sales)}</b>
        {isTrying ? (
          <span>
            a month, tried;{' '}
            <Button type="link" size="small" onClick={() => setScale(1)}>
              back to {write.whole(atForecast.average.sales)}
            </Button>
          </span>
        ) : (
          <span>{version === 'expected' ? 'sales a month, on average' : `sales a month, ${version}`}</span>
        )}
      </div>
      <div className="standing-answer">
        <SalesScale />
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
