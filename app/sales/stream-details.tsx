import { monthsFrom } from '#core/calendar/month';
import type { Stream } from '#core/decision-file/forecast-schema';
import { shaped, type ShapedSeries, withSeries } from '#core/decision/edit-forecast';
import { firstMonthSold, withFirstMonth } from '#core/decision/edit-streams';
import { ChoiceField } from '../components/choice-field';
import { Fold } from '../components/fold';
import { NumberField } from '../components/number-field';
import { useWriter } from '../locale/locale';
import { useWorkbench } from '../workbench/workbench-context';
import { CardFields } from './card-fields';
import { ChannelSplit } from './channel-split';
import { OrderSizeFields } from './order-size-fields';
import { SeasonFields } from './season-fields';

const SHARE = { least: 0, most: 100, wanted: 'a percentage from 0 to 100' };
const GROWTH = { least: -100, most: 1000, wanted: 'a percentage a month, such as 1.5' };

interface StreamDetailsProps {
  stream: Stream;
  currency: string;
  onChange(field: string, label: string, change: (stream: Stream) => Stream): void;
}

/** What refines a stream: growth, season, cards, refunds, what is left of a sale. */
export function StreamDetails(props: StreamDetailsProps) {
  return (
    <Fold summary="Start, growth, season, cards, channels, sizes, refunds, margin" className="stream-more">
      <Details {...props} />
    </Fold>
  );
}

function Details({ stream, currency, onChange }: StreamDetailsProps) {
  const { id, subscribers } = stream;
  const write = useWriter();
  const { start, months: length } = useWorkbench().state.workbench.decision;
  const months = monthsFrom(start, length);
  const counted = shaped(subscribers ? subscribers.joins : stream.orders);
  const value = shaped(stream.orderValue);
  const what = subscribers ? 'Joins' : 'Orders';
  const changeCounted = (field: string, label: string, fields: { [Field in keyof ShapedSeries]?: ShapedSeries[Field] | undefined }) =>
    onChange(field, label, (one) =>
      one.subscribers
        ? { ...one, subscribers: { ...one.subscribers, joins: withSeries(one.subscribers.joins, fields) } }
        : { ...one, orders: withSeries(one.orders, fields) },
    );
  const orNone = (text: string | null | undefined) => (text && Number(text) !== 0 ? text : undefined);
  return (
    <>
      <div className="form-grid">
        <ChoiceField
          label={subscribers ? 'People join from' : 'Sold from'}
          value={firstMonthSold(stream, months) ?? undefined}
          options={months.map((month) => ({ value: month, label: write.month(month) }))}
          placeholder="in no month"
          searchable
          onChange={(first) => onChange('first-month', 'the first month of sales', (one) => withFirstMonth(one, first, months))}
        />
        <NumberField
          fieldKey={`stream.${id}.growth`}
          label={`${what} grow by`}
          suffix="% a month"
          value={counted.growth ?? '0'}
          range={GROWTH}
          onChange={(growth) => changeCounted('growth', 'growth', { growth: orNone(growth) })}
        />
        <NumberField
          fieldKey={`stream.${id}.add`}
          label={`And by a fixed number of ${what.toLowerCase()}`}
          suffix="a month"
          value={counted.add ?? '0'}
          range={{ least: -1e9, most: 1e9, wanted: 'a number a month, such as 2' }}
          onChange={(add) => changeCounted('add', 'fixed growth', { add: orNone(add) })}
        />
        <NumberField
          fieldKey={`stream.${id}.value-growth`}
          label={subscribers ? 'The price grows by' : 'The order value grows by'}
          suffix="% a month"
          value={value.growth ?? '0'}
          range={GROWTH}
          onChange={(growth) =>
            onChange('value-growth', 'growth of the order value', (one) => ({
              ...one,
              orderValue: withSeries(one.orderValue, { growth: orNone(growth) }),
            }))
          }
        />
        {subscribers && (
          <NumberField
            fieldKey={`stream.${id}.every`}
            label="Paid every"
            suffix="months"
            value={String(subscribers.every ?? 1)}
            range={{ least: 1, most: 120, whole: true, wanted: 'a number of months' }}
            hint="the price above is for that time"
            onChange={(every) =>
              onChange('every', 'how often subscribers pay', (one) =>
                one.subscribers ? { ...one, subscribers: { ...one.subscribers, every: Number(every ?? '1') } } : one,
              )
            }
          />
        )}
        <NumberField
          fieldKey={`stream.${id}.refunds`}
          label="Refunded"
          suffix="% of orders"
          value={stream.refunds ?? '0'}
          range={SHARE}
          onChange={(refunds) => onChange('refunds', 'refunds', (one) => ({ ...one, refunds: refunds ?? '0' }))}
        />
        <NumberField
          fieldKey={`stream.${id}.margin`}
          label="Left after the goods themselves"
          suffix="% of sales"
          value={stream.margin ?? '100'}
          range={SHARE}
          onChange={(margin) => onChange('margin', 'margin', (one) => ({ ...one, margin: margin ?? '100' }))}
        />
        <NumberField
          fieldKey={`stream.${id}.sales-tax`}
          label="Sales tax in the price"
          suffix="%"
          value={stream.salesTax ?? '0'}
          range={{ least: 0, most: 100, wanted: 'a percentage from 0 to 100' }}
          hint={`passed on; part of what a customer pays in ${currency}`}
          onChange={(salesTax) => onChange('sales-tax', 'sales tax', (one) => ({ ...one, salesTax: salesTax ?? '0' }))}
        />
      </div>
      <CardFields stream={stream} onChange={(field, change) => onChange(field, 'cards', change)} />
      {!subscribers && <ChannelSplit stream={stream} />}
      <OrderSizeFields stream={stream} onChange={(field, change) => onChange(field, 'sizes of orders', change)} />
      <SeasonFields
        of={`stream.${id}`}
        what={what.toLowerCase()}
        season={counted.season}
        onChange={(season) => changeCounted('season', 'the season', { season })}
      />
    </>
  );
}
