import { memo } from 'react';
import { SteadyButton as Button } from '../components/steady-button';
import { readTypedRate } from '#core/amount/typed-rate';
import type { Stream } from '#core/decision-file/forecast-schema';
import { shaped, type ShapedSeries, withForecast, withKind, withOrdersBetween, withSeries, withStream } from '#core/decision/edit-forecast';
import { ChoiceField } from '../components/choice-field';
import { NumberField } from '../components/number-field';
import { TextField } from '../components/text-field';
import { useEdits } from '../workbench/use-edits';
import { CHANNELS, channelWords } from '#core/wording/channel-words';
import { StreamDetails } from './stream-details';

const KINDS: ReadonlyArray<{ value: Stream['kind']; label: string }> = [
  { value: 'goods', label: 'goods' },
  { value: 'digital', label: 'downloads or courses' },
  { value: 'service', label: 'services' },
  { value: 'subscription', label: 'subscriptions' },
];
const AMOUNT = { least: 0, most: 1e9 };
const AMOUNT_OF_ORDERS = { ...AMOUNT, wanted: 'a number of orders' };
const SHARE = { least: 0, most: 100, wanted: 'a percentage from 0 to 100' };

interface StreamFormProps {
  stream: Stream;
  currency: string;
  /** Whether it is the only one. */
  only: boolean;
  /** What can be typed is told once. */
  isFirst: boolean;
}

/** One stream of expected sales: two figures first, the rest on request. */
export const StreamForm = memo(function StreamForm({ stream, currency, only, isFirst }: StreamFormProps) {
  const edits = useEdits();
  const { id } = stream;
  const name = stream.label || 'this stream';
  const change = (field: string, label: string, recipe: (stream: Stream) => Stream | null) =>
    edits.decision(`stream.${id}.${field}`, `${label}, ${name}`, (one) =>
      withForecast(one, (forecast) => withStream(forecast, id, recipe)),
    );
  const changeOrders = (field: string, label: string, fields: Partial<ShapedSeries>) =>
    change(field, label, (one) => ({ ...one, orders: withSeries(one.orders, fields) }));
  const between = (ends: { least: string; most: string }) =>
    edits.decision(`stream.${id}.orders`, `orders a month, ${name}`, (one) => withOrdersBetween(one, id, ends));
  const orders = shaped(stream.orders);
  const { subscribers } = stream;
  const joins = shaped(subscribers?.joins);

  return (
    <section className="stream" aria-label={name}>
      <div className="stream-head">
        <TextField
          label="What is sold"
          value={stream.label}
          onChange={(label) => change('label', 'the name', (one) => ({ ...one, label }))}
        />
        <ChoiceField
          label="Sold"
          value={stream.channel ?? 'own-site'}
          options={channelOptions(stream)}
          onChange={(channel) => change('channel', 'where it is sold', (one) => ({ ...one, channel }))}
        />
        <ChoiceField
          label="Kind"
          value={stream.kind}
          options={KINDS}
          onChange={(kind) => change('kind', 'the kind', (one) => withKind(one, kind))}
        />
      </div>
      <div className="stream-figures">
        {subscribers ? (
          <>
            <NumberField
              large
              fieldKey={`stream.${id}.subscribers`}
              label="Subscribers at the start"
              value={subscribers.start}
              range={{ ...AMOUNT, wanted: 'a number of subscribers' }}
              onChange={(start) =>
                change('subscribers', 'subscribers at the start', (one) => ({
                  ...one,
                  subscribers: { ...subscribers, start: start ?? '0' },
                }))
              }
            />
            <NumberField
              large
              fieldKey={`stream.${id}.joins`}
              label="Join each month"
              value={joins.start}
              range={{ ...AMOUNT, wanted: 'a number of subscribers' }}
              onChange={(start) =>
                change('joins', 'joins', (one) => ({
                  ...one,
                  subscribers: { ...subscribers, joins: withSeries(subscribers.joins, { start: start ?? '0' }) },
                }))
              }
            />
            <NumberField
              large
              fieldKey={`stream.${id}.churn`}
              label="Leave each month"
              suffix="%"
              value={subscribers.churn}
              range={SHARE}
              onChange={(churn) => change('churn', 'churn', (one) => ({ ...one, subscribers: { ...subscribers, churn: churn ?? '0' } }))}
            />
          </>
        ) : (
          <NumberField
            large
            fieldKey={`stream.${id}.orders`}
            label="Orders a month"
            value={orders.start}
            range={AMOUNT_OF_ORDERS}
            reader={readTypedRate}
            hint={isFirst ? 'or as you know it: 30 a year, 8 a week, 5 to 60 a year' : undefined}
            onChange={(start, typed, isLeft) => {
              const read = readTypedRate(typed, AMOUNT_OF_ORDERS);
              if (isLeft && read.ok && read.between) between(read.between);
              else if (start !== orders.start) changeOrders('orders', 'orders a month', { start: start ?? '0' });
            }}
          />
        )}
        <NumberField
          large
          fieldKey={`stream.${id}.order-value`}
          label={subscribers ? 'Price of a subscription' : 'Average order value'}
          suffix={currency}
          value={shaped(stream.orderValue).start}
          range={{ ...AMOUNT, wanted: `an amount in ${currency}` }}
          onChange={(start) =>
            change('order-value', 'order value', (one) => ({ ...one, orderValue: withSeries(one.orderValue, { start: start ?? '0' }) }))
          }
        />
        {!only && (
          <Button
            className="stream-remove"
            type="text"
            size="small"
            onClick={() => change('removed', 'removed', () => null)}
            aria-label={`Remove ${name}`}
          >
            remove
          </Button>
        )}
      </div>
      <StreamDetails stream={stream} currency={currency} onChange={change} />
    </section>
  );
});

/** The usual places of selling, and the stream's own if it is another. */
function channelOptions({ channel }: Stream) {
  return channel === undefined || CHANNELS.some(({ value }) => value === channel)
    ? CHANNELS
    : [...CHANNELS, { value: channel, label: channelWords(channel) }];
}
