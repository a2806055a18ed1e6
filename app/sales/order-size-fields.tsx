import { SteadyButton as Button } from '../components/steady-button';
import type { Stream } from '#core/decision-file/forecast-schema';
import { mostForSize, orderSizesOf, withMoreSizes, withOrderSize } from '#core/decision/edit-order-sizes';
import { NumberField } from '../components/number-field';
import { useWriter } from '../locale/locale';

interface OrderSizeFieldsProps {
  stream: Stream;
  onChange(field: string, change: (stream: Stream) => Stream): void;
}

const TIMES = { least: 0.0001, most: 100_000, wanted: 'a number above 0, such as 0.5' };

/** Orders of different size: it matters where a fee has a least or a most for each order. */
export function OrderSizeFields({ stream, onChange }: OrderSizeFieldsProps) {
  const write = useWriter();
  const sizes = orderSizesOf(stream);
  return (
    <fieldset className="card-fields">
      <legend>Small and large orders</legend>
      <p className="quiet">
        {sizes.length === 0
          ? 'All orders count as average ones. State sizes if a fee has a least or a most for each order.'
          : 'The average order value stays as it is above.'}
      </p>
      {sizes.map(({ share, times }, index) => (
        <div key={index} className="form-grid">
          {index === 0 ? (
            <span className="field card-rest">
              <span className="field-label">Of all orders</span>
              <b>{write.percent(share)}</b> <span className="quiet">the remainder</span>
            </span>
          ) : (
            <NumberField
              fieldKey={`stream.${stream.id}.size.${index}.share`}
              label="Of all orders"
              suffix="%"
              value={share}
              range={{ least: 0, most: Number(mostForSize(stream, index)), wanted: 'a percentage' }}
              onChange={(next) => onChange(`size.${index}.share`, (one) => withOrderSize(one, index, { share: next ?? '0' }))}
            />
          )}
          {(index > 0 || Number(times) !== 1) && (
            <NumberField
              fieldKey={`stream.${stream.id}.size.${index}.times`}
              label="Each is worth"
              suffix={index > 0 && Number(sizes[0]?.times) === 1 ? '× one of the others' : 'times'}
              value={times}
              range={TIMES}
              onChange={(next) => next && onChange(`size.${index}.times`, (one) => withOrderSize(one, index, { times: next }))}
            />
          )}
          {index > 0 && (
            <Button type="text" size="small" onClick={() => onChange('sizes', (one) => withOrderSize(one, index, null))}>
              Remove this size
            </Button>
          )}
        </div>
      ))}
      <p>
        <Button onClick={() => onChange('sizes', withMoreSizes)}>{sizes.length === 0 ? 'State sizes' : 'Add a size'}</Button>
      </p>
    </fieldset>
  );
}
