import { NumberField } from '../components/number-field';
import type { Varied } from '#core/what-if/turns-it';
import { useWorkbench } from '../workbench/workbench-context';
import { rangeUnit } from './assumption-words';
import { rangeFields as words } from './words';

/** The two ends of the range over which an assumption is looked at. */
export function RangeFields({
  varied,
  labelHidden,
  onChange,
}: {
  varied: Varied;
  labelHidden?: boolean;
  onChange(low: string, high: string): void;
}) {
  const { assumption, low, high } = varied;
  const { currency } = useWorkbench().state.workbench.decision;
  const [least, most] = assumption.bounds;
  const suffix = rangeUnit(assumption, currency);
  const shared = { ...(labelHidden ? { labelHidden: true } : {}), suffix };
  return (
    <span className="range-fields">
      <NumberField
        {...shared}
        fieldKey={`range ${assumption.key} low`}
        label={words.from(assumption.label)}
        value={String(low)}
        range={{ wanted: words.theLowerEnd, least, most: Math.min(most, high) }}
        onChange={(value) => typeof value === 'string' && onChange(value, String(high))}
      />
      <NumberField
        {...shared}
        fieldKey={`range ${assumption.key} high`}
        label={words.to(assumption.label)}
        value={String(high)}
        range={{ wanted: words.theUpperEnd, least: Math.max(least, low), most }}
        onChange={(value) => typeof value === 'string' && onChange(String(low), value)}
      />
    </span>
  );
}
