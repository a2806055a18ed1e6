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
import { streamDetails as words } from './words';

const SHARE = { least: 0, most: 100, wanted: words.aPercentageFrom0 };
const GROWTH = { least: -100, most: 1000, wanted: words.aPercentageAMonth };

interface StreamDetailsProps {
  stream: Stream;
  currency: string;
  onChange(field: string, label: string, change: (stream: Stream) => Stream): void;
}

/** What refines a stream: growth, season, cards, refunds, what is left of a sale. */
export function StreamDetails(props: StreamDetailsProps) {
  return (
    <Fold summary={words.startGrowthSeasonCards} className="stream-more">
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
  const what = subscribers ? words.joins : words.orders;
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
          label={subscribers ? words.peopleJoinFrom : words.soldFrom}
          value={firstMonthSold(stream, months) ?? undefined}
          options={months.map((month) => ({ value: month, label: write.month(month) }))}
          placeholder={words.inNoMonth}
          searchable
          onChange={(first) => onChange('first-month', words.theFirstMonthOfSales, (one) => withFirstMonth(one, first, months))}
        />
        <NumberField
          fieldKey={`stream.${id}.growth`}
          label={words.growBy(what)}
          suffix={words.percentAMonth}
          value={counted.growth ?? '0'}
          range={GROWTH}
          onChange={(growth) => changeCounted('growth', words.growth, { growth: orNone(growth) })}
        />
        <NumberField
          fieldKey={`stream.${id}.add`}
          label={words.andByAFixed(what.toLowerCase())}
          suffix={words.aMonth}
          value={counted.add ?? '0'}
          range={{ least: -1e9, most: 1e9, wanted: words.aNumberAMonth }}
          onChange={(add) => changeCounted('add', words.fixedGrowth, { add: orNone(add) })}
        />
        <NumberField
          fieldKey={`stream.${id}.value-growth`}
          label={subscribers ? words.thePriceGrowsBy : words.theOrderValueGrows}
          suffix={words.percentAMonth}
          value={value.growth ?? '0'}
          range={GROWTH}
          onChange={(growth) =>
            onChange('value-growth', words.growthOfTheOrder, (one) => ({
              ...one,
              orderValue: withSeries(one.orderValue, { growth: orNone(growth) }),
            }))
          }
        />
        {subscribers && (
          <NumberField
            fieldKey={`stream.${id}.every`}
            label={words.paidEvery}
            suffix={words.months}
            value={String(subscribers.every ?? 1)}
            range={{ least: 1, most: 120, whole: true, wanted: words.aNumberOfMonths }}
            hint={words.thePriceAboveIsForThat}
            onChange={(every) =>
              onChange('every', words.howOftenSubscribersPay, (one) =>
                one.subscribers ? { ...one, subscribers: { ...one.subscribers, every: Number(every ?? '1') } } : one,
              )
            }
          />
        )}
        <NumberField
          fieldKey={`stream.${id}.refunds`}
          label={words.refunded}
          suffix={words.percentOfOrders}
          value={stream.refunds ?? '0'}
          range={SHARE}
          onChange={(refunds) => onChange('refunds', words.refunds, (one) => ({ ...one, refunds: refunds ?? '0' }))}
        />
        <NumberField
          fieldKey={`stream.${id}.margin`}
          label={words.leftAfterTheGoods}
          suffix={words.percentOfSales}
          value={stream.margin ?? '100'}
          range={SHARE}
          onChange={(margin) => onChange('margin', words.margin, (one) => ({ ...one, margin: margin ?? '100' }))}
        />
        <NumberField
          fieldKey={`stream.${id}.sales-tax`}
          label={words.salesTaxInThePrice}
          suffix="%"
          value={stream.salesTax ?? '0'}
          range={{ least: 0, most: 100, wanted: words.aPercentageFrom0 }}
          hint={words.passedOnPartOfWhat(currency)}
          onChange={(salesTax) => onChange('sales-tax', words.salesTax, (one) => ({ ...one, salesTax: salesTax ?? '0' }))}
        />
      </div>
      <CardFields stream={stream} onChange={(field, change) => onChange(field, words.cards, change)} />
      {!subscribers && <ChannelSplit stream={stream} />}
      <OrderSizeFields stream={stream} onChange={(field, change) => onChange(field, words.sizesOfOrders, change)} />
      <SeasonFields
        of={`stream.${id}`}
        what={what.toLowerCase()}
        season={counted.season}
        onChange={(season) => changeCounted('season', words.theSeason, { season })}
      />
    </>
  );
}
