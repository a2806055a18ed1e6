import { SteadyButton as Button } from '../components/steady-button';
import type { Stream } from '#core/decision-file/forecast-schema';
import { mostForSize, orderSizesOf, withMoreSizes, withOrderSize } from '#core/decision/edit-order-sizes';
import { NumberField } from '../components/number-field';
import { useWriter } from '../locale/locale';
import { orderSizeFields as words } from './words';

interface OrderSizeFieldsProps {
  stream: Stream;
  onChange(field: string, change: (stream: Stream) => Stream): void;
}

const TIMES = { least: 0.0001, most: 100_000, wanted: words.aNumberAbove0 };

/** Orders of different size: it matters where a fee has a least or a most for each order. */
export function OrderSizeFields({ stream, onChange }: OrderSizeFieldsProps) {
  const write = useWriter();
  const sizes = orderSizesOf(stream);
  return (
    <fieldset className="card-fields">
      <legend>{words.smallAndLargeOrders}</legend>
      <p className="quiet">{sizes.length === 0 ? words.allOrdersCountAsAverage : words.theAverageOrderValue}</p>
      {sizes.map(({ share, times }, index) => (
        <div key={index} className="form-grid">
          {index === 0 ? (
            <span className="field card-rest">
              <span className="field-label">{words.ofAllOrders}</span>
              <b>{write.percent(share)}</b> <span className="quiet">{words.theRemainder}</span>
            </span>
          ) : (
            <NumberField
              fieldKey={`stream.${stream.id}.size.${index}.share`}
              label={words.ofAllOrders}
              suffix="%"
              value={share}
              range={{ least: 0, most: Number(mostForSize(stream, index)), wanted: words.aPercentage }}
              onChange={(next) => onChange(`size.${index}.share`, (one) => withOrderSize(one, index, { share: next ?? '0' }))}
            />
          )}
          {(index > 0 || Number(times) !== 1) && (
            <NumberField
              fieldKey={`stream.${stream.id}.size.${index}.times`}
              label={words.eachIsWorth}
              suffix={index > 0 && Number(sizes[0]?.times) === 1 ? words.oneOfTheOthers : words.times}
              value={times}
              range={TIMES}
              onChange={(next) => next && onChange(`size.${index}.times`, (one) => withOrderSize(one, index, { times: next }))}
            />
          )}
          {index > 0 && (
            <Button type="text" size="small" onClick={() => onChange('sizes', (one) => withOrderSize(one, index, null))}>
              {words.removeThisSize}
            </Button>
          )}
        </div>
      ))}
      <p>
        <Button onClick={() => onChange('sizes', withMoreSizes)}>{sizes.length === 0 ? words.stateSizes : words.addASize}</Button>
      </p>
    </fieldset>
  );
}
