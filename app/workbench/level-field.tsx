import { SteadyButton as Button } from '../components/steady-button';
import { lazy, Suspense } from 'react';
import { useWriter } from '../locale/locale';
import { useLevel, useWorkbench } from './workbench-context';
import { levelField as words } from './words/level-field';

const loadTyped = () => import('./typed-level');
const TypedLevel = lazy(loadTyped);

/** The level of monthly sales being looked at, in figures; it can be typed. */
export function LevelField({ typing, onTyping }: { typing: string | null; onTyping(text: string | null): void }) {
  const { atForecast, salesScale, version } = useWorkbench();
  const { priced, scale, setScale } = useLevel();
  const write = useWriter();
  const isTrying = scale !== 1;
  if (typing !== null && salesScale)
    return (
      <Suspense fallback={typing}>
        <TypedLevel typing={typing} salesScale={salesScale} onTyping={onTyping} />
      </Suspense>
    );
  return (
    <>
      {salesScale ? (
        <button
          type="button"
          className="level"
          title={words.typeAnotherLevel}
          onPointerEnter={() => void loadTyped()}
          onClick={() => onTyping('')}
        >
          <b>{write.amount(priced.average.sales)}</b>
        </button>
      ) : (
        <b>{write.amount(priced.average.sales)}</b>
      )}
      {isTrying ? (
        <span>
          {words.aMonthTried}{' '}
          <Button type="link" size="small" onClick={() => setScale(1)}>
            {words.backTo(write.amount(atForecast.average.sales))}
          </Button>
        </span>
      ) : (
        <span>{version === 'expected' ? words.salesAMonthOnAverage : words.salesAMonth(version)}</span>
      )}
    </>
  );
}
