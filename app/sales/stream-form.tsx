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
import { streamForm as words } from './words';

const KINDS: ReadonlyArray<{ value: Stream['kind']; label: string }> = [
  { value: 'goods', label: words.goods },
  { value: 'digital', label: words.downloadsOrCourses },
  { value: 'service', label: words.services },
  { value: 'subscription', label: words.subscriptions },
];
const AMOUNT = { least: 0, most: 1e9 };
const AMOUNT_OF_ORDERS = { ...AMOUNT, wanted: words.aNumberOfOrders };
const SHARE = { least: 0, most: 100, wanted: words.aPercentageFrom0 };

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
  const name = stream.label || words.thisStream;
  const change = (field: string, label: string, recipe: (stream: Stream) => Stream | null) =>
    edits.decision(`stream.${id}.${field}`, `${label}, ${name}`, (one) =>
      withForecast(one, (forecast) => withStream(forecast, id, recipe)),
    );
  const changeOrders = (field: string, label: string, fields: Partial<ShapedSeries>) =>
    change(field, label, (one) => ({ ...one, orders: withSeries(one.orders, fields) }));
  const between = (ends: { least: string; most: string }) =>
    edits.decision(`stream.${id}.orders`, words.ordersAMonthName(name), (one) => withOrdersBetween(one, id, ends));
  const orders = shaped(stream.orders);
  const { subscribers } = stream;
  const joins = shaped(subscribers?.joins);

  return (
    <section className="stream" aria-label={name}>
      <div className="stream-head">
        <TextField
          label={words.whatIsSold}
          value={stream.label}
          onChange={(label) => change('label', words.theName, (one) => ({ ...one, label }))}
        />
        <ChoiceField
          label={words.sold}
          value={stream.channel ?? 'own-site'}
          options={channelOptions(stream)}
          onChange={(channel) => change('channel', words.whereItIsSold, (one) => ({ ...one, channel }))}
        />
        <ChoiceField
          label={words.kind}
          value={stream.kind}
          options={KINDS}
          onChange={(kind) => change('kind', words.theKind, (one) => withKind(one, kind))}
        />
      </div>
      <div className="stream-figures">
        {subscribers ? (
          <>
            <NumberField
              large
              fieldKey={`stream.${id}.subscribers`}
              label={words.subscribersAtTheStart}
              value={subscribers.start}
              range={{ ...AMOUNT, wanted: words.aNumberOfSubscribers }}
              onChange={(start) =>
                change('subscribers', words.changeOfSubscribers, (one) => ({
                  ...one,
                  subscribers: { ...subscribers, start: start ?? '0' },
                }))
              }
            />
            <NumberField
              large
              fieldKey={`stream.${id}.joins`}
              label={words.joinEachMonth}
              value={joins.start}
              range={{ ...AMOUNT, wanted: words.aNumberOfSubscribers }}
              onChange={(start) =>
                change('joins', words.joins, (one) => ({
                  ...one,
                  subscribers: { ...subscribers, joins: withSeries(subscribers.joins, { start: start ?? '0' }) },
                }))
              }
            />
            <NumberField
              large
              fieldKey={`stream.${id}.churn`}
              label={words.leaveEachMonth}
              suffix="%"
              value={subscribers.churn}
              range={SHARE}
              onChange={(churn) =>
                change('churn', words.churn, (one) => ({ ...one, subscribers: { ...subscribers, churn: churn ?? '0' } }))
              }
            />
          </>
        ) : (
          <NumberField
            large
            fieldKey={`stream.${id}.orders`}
            label={words.ordersAMonth}
            value={orders.start}
            range={AMOUNT_OF_ORDERS}
            reader={readTypedRate}
            hint={isFirst ? words.orAsYouKnow : undefined}
            onChange={(start, typed, isLeft) => {
              const read = readTypedRate(typed, AMOUNT_OF_ORDERS);
              if (isLeft && read.ok && read.between) between(read.between);
              else if (start !== orders.start) changeOrders('orders', words.changeOfOrders, { start: start ?? '0' });
            }}
          />
        )}
        <NumberField
          large
          fieldKey={`stream.${id}.order-value`}
          label={subscribers ? words.priceOfASubscription : words.averageOrderValue}
          suffix={currency}
          value={shaped(stream.orderValue).start}
          range={{ ...AMOUNT, wanted: words.anAmountIn(currency) }}
          onChange={(start) =>
            change('order-value', words.orderValue, (one) => ({ ...one, orderValue: withSeries(one.orderValue, { start: start ?? '0' }) }))
          }
        />
        {!only && (
          <Button
            className="stream-remove"
            type="text"
            size="small"
            onClick={() => change('removed', words.removed, () => null)}
            aria-label={words.removeName(name)}
          >
            {words.remove}
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
