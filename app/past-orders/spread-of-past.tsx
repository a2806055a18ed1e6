import { hasSpread, type Spread, withSpread } from '#core/past-orders/spread';
import { SteadyButton as Button } from '../components/steady-button';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { spreadWords } from './past-orders-words';
import { spreadOfPast as words } from './words';

/** How far cautious and hopeful sales lie apart by the past's own spread, to be used in the place of a guess. */
export function SpreadOfPast({ spread }: { spread: Spread }) {
  const { decision } = useWorkbench().state.workbench;
  const edits = useEdits();
  const write = useWriter();
  const isUsed = hasSpread(decision, spread);
  return (
    <section aria-label={words.cautiousAndHopeful}>
      <h2>{words.cautiousAndHopeful}</h2>
      <p>
        {spreadWords(spread, write)}{' '}
        {isUsed ? (
          <span className="quiet">{words.yourCautiousAndHopeful}</span>
        ) : (
          <Button
            size="small"
            onClick={() => edits.decision('versions.spread', words.cautiousAndHopefulSales, (one) => withSpread(one, spread))}
          >
            {words.useThem}
          </Button>
        )}
      </p>
    </section>
  );
}
